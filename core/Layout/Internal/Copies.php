<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout\Internal;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Layout\Area;
use KeenSeam\Core\Layout\LayoutNotPossible;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Measure\Fraction;

/**
 * Copies of what was just changed, wherever a symmetry takes it.
 *
 * @internal
 */
final class Copies
{
    /**
     * @return list<Cell> to be laid over the grid; a cell that the symmetry leaves in its place gets no copy
     *
     * @throws LayoutNotPossible
     */
    public static function of(Grid $now, Grid $before, Symmetry $symmetry): array
    {
        self::ensureAllowed($now, $symmetry);
        $whole = new CellBox(0, 0, count($now->columns), count($now->rows));
        $laid = [];
        $copies = [];
        $unchanged = array_map(static fn (Cell $cell): string => serialize($cell), $before->cells);
        foreach ($now->cells as $cell) {
            $box = new CellBox($cell->column - 1, $cell->row - 1, $cell->columnSpan, $cell->rowSpan);
            if (in_array(serialize($cell), $unchanged, true) || self::isTaken($cell, $laid)) {
                continue;
            }
            $laid[] = Area::ofCell($cell);
            foreach ($symmetry->moves() as $move) {
                $target = $box->moved($move, $whole);
                $copy = $cell->at($target->y + 1, $target->x + 1, $target->height, $target->width)->lying($move->around($cell->placement));
                if (! self::isTaken($copy, $laid)) {
                    $laid[] = Area::ofCell($copy);
                    $copies[] = $copy;
                }
            }
        }

        return $copies;
    }

    /** @param list<Area> $laid */
    private static function isTaken(Cell $cell, array $laid): bool
    {
        return array_filter($laid, Area::ofCell($cell)->overlaps(...)) !== [];
    }

    /** Widths have to match their images, or a copy would be of another size. */
    private static function ensureAllowed(Grid $grid, Symmetry $symmetry): void
    {
        foreach ($symmetry->moves() as $move) {
            if (! self::leavesWidths($grid, $move)) {
                throw LayoutNotPossible::notSymmetric($symmetry);
            }
        }
    }

    private static function leavesWidths(Grid $grid, Placement $move): bool
    {
        $columns = self::texts($grid->columns);
        $rows = self::texts($grid->rows);
        [$movedColumns, $movedRows] = [$move->mirrored ? array_reverse($columns) : $columns, $rows];
        for ($i = 0; $i < $move->turn->quarters(); ++$i) {
            [$movedColumns, $movedRows] = [array_reverse($movedRows), $movedColumns];
        }

        return [$movedColumns, $movedRows] === [$columns, $rows];
    }

    /**
     * @param non-empty-list<Fraction> $widths
     *
     * @return list<string> shares of the whole
     */
    private static function texts(array $widths): array
    {
        $sum = array_reduce($widths, static fn (Fraction $sum, Fraction $width): Fraction => $sum->plus($width), Fraction::zero());

        return array_map(static fn (Fraction $width): string => $width->dividedBy($sum)->toText(), $widths);
    }
}
