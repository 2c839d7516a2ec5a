<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Measure\Fraction;

/** Cells of a wall made into one, as a small grid or as one drawn unit, and small grids opened into cells again. */
final class Grouping
{
    /**
     * The chosen cells, and whatever lies in the rectangle round them, as one small grid.
     *
     * @param non-empty-list<array{int, int}> $places row and column
     *
     * @throws LayoutNotPossible
     */
    public static function grouped(Wall $wall, array $places): Wall
    {
        $grid = $wall->grid();
        $area = self::wholeCells($grid, $places);
        $inside = array_values(array_filter($grid->cells, static fn (Cell $cell): bool => Area::ofCell($cell)->overlaps($area)));
        [$columns, $rows] = [array_slice($grid->columns, $area->column - 1, $area->columnSpan), array_slice($grid->rows, $area->row - 1, $area->rowSpan)];
        if (count($inside) < 2 || $columns === [] || $rows === []) {
            throw LayoutNotPossible::oneCellOnly();
        }
        $unit = new GridUnit(Grid::of($columns, $rows, array_map(static fn (Cell $cell): Cell => $cell->at($cell->row - $area->row + 1, $cell->column - $area->column + 1, $cell->rowSpan, $cell->columnSpan), $inside)));

        return $wall->laid([new Cell($area->row, $area->column, $area->rowSpan, $area->columnSpan, $unit)]);
    }

    /**
     * One drawn unit over the chosen cells, to be cut: of whole cloth, or of what is there.
     *
     * @param non-empty-list<array{int, int}> $places row and column
     *
     * @throws \KeenSeam\Core\KeenSeamProblem
     */
    public static function drawn(Wall $wall, array $places, DrawingStart $start): Wall
    {
        $area = self::wholeCells($wall->grid(), $places);
        $cell = static fn (Drawing $drawing): Cell => new Cell($area->row, $area->column, $area->rowSpan, $area->columnSpan, $drawing->unit(new Placement()));
        if ($start !== DrawingStart::Picture) {
            $whole = Drawing::whole($wall->cloths()->background());
            [$zero, $one] = [Fraction::zero(), Fraction::of(1)];

            return $wall->laid([$cell($start === DrawingStart::Whole ? $whole : $whole->cut(new Spot($zero, $one), new Spot($one, $zero), false)->painted(1, $wall->cloths()->figure()))]);
        }
        $patches = [];
        foreach (Face::of($wall->open()->asBlock())->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && Area::ofCell($unit->cell)->overlaps($area)) {
                array_push($patches, ...$unit->patches());
            }
        }

        return $patches === [] ? throw LayoutNotPossible::nothingChosen() : $wall->laid([$cell(Drawing::of($patches))]);
    }

    /**
     * The whole of the open grid as one cell, with the seams it has.
     *
     * @throws \KeenSeam\Core\KeenSeamProblem
     */
    public static function asOneCell(Wall $wall): Wall
    {
        $patches = Face::of($wall->open()->asBlock())->patches;
        $one = [Fraction::of(1)];

        return $wall->withGrid(Grid::of($one, $one, [new Cell(1, 1, 1, 1, Drawing::of($patches)->unit(new Placement()))]));
    }

    /**
     * A small grid's cells in its place; rows and columns are divided where they have to be.
     *
     * @throws LayoutNotPossible where no small grid is
     */
    public static function openedOut(Wall $wall, int $row, int $column): Wall
    {
        $grid = $wall->grid();
        $group = $grid->cellAt($row, $column);
        if ($group === null || ! $group->unit instanceof GridUnit) {
            throw LayoutNotPossible::noGridThere($row, $column);
        }
        $boxes = [];
        foreach ($grid->cells as $cell) {
            if ($cell !== $group) {
                $boxes[] = [$cell, new Spot($grid->columnLine($cell->column), $grid->rowLine($cell->row)), new Spot($grid->columnLine($cell->lastColumn() + 1), $grid->rowLine($cell->lastRow() + 1))];
            }
        }
        [$left, $top] = [$grid->columnLine($group->column), $grid->rowLine($group->row)];
        [$width, $height] = [$grid->columnLine($group->lastColumn() + 1)->minus($left), $grid->rowLine($group->lastRow() + 1)->minus($top)];
        $inner = $group->unit->grid;
        foreach ($inner->cells as $cell) {
            $corners = array_map(static fn (Spot $spot): Spot => $spot->moved($group->placement), [
                new Spot($inner->columnLine($cell->column), $inner->rowLine($cell->row)),
                new Spot($inner->columnLine($cell->lastColumn() + 1), $inner->rowLine($cell->lastRow() + 1)),
            ]);
            $placed = array_map(static fn (Spot $spot): Spot => new Spot($left->plus($spot->x->times($width)), $top->plus($spot->y->times($height))), $corners);
            $isFirst = static fn (Fraction $a, Fraction $b): bool => $a->compareTo($b) < 0;
            $boxes[] = [
                $cell->lying($group->placement->around($cell->placement)),
                new Spot($isFirst($placed[0]->x, $placed[1]->x) ? $placed[0]->x : $placed[1]->x, $isFirst($placed[0]->y, $placed[1]->y) ? $placed[0]->y : $placed[1]->y),
                new Spot($isFirst($placed[0]->x, $placed[1]->x) ? $placed[1]->x : $placed[0]->x, $isFirst($placed[0]->y, $placed[1]->y) ? $placed[1]->y : $placed[0]->y),
            ];
        }
        $lines = static function (array $shares): array {
            $byText = [];
            foreach ($shares as $share) {
                $byText[$share->toText()] = $share;
            }
            usort($byText, static fn (Fraction $a, Fraction $b): int => $a->compareTo($b));

            return $byText;
        };
        $across = $lines(array_merge(...array_map(static fn (array $box): array => [$box[1]->x, $box[2]->x], $boxes), ...[array_map($grid->columnLine(...), range(1, count($grid->columns) + 1))]));
        $down = $lines(array_merge(...array_map(static fn (array $box): array => [$box[1]->y, $box[2]->y], $boxes), ...[array_map($grid->rowLine(...), range(1, count($grid->rows) + 1))]));
        $number = static fn (array $all, Fraction $share): int => (int) array_key_first(array_filter($all, static fn (Fraction $line): bool => $line->equals($share))) + 1;
        $cells = array_map(static fn (array $box): Cell => $box[0]->at(
            $number($down, $box[1]->y),
            $number($across, $box[1]->x),
            $number($down, $box[2]->y) - $number($down, $box[1]->y),
            $number($across, $box[2]->x) - $number($across, $box[1]->x),
        ), $boxes);

        return $wall->withGrid(Grid::of(self::widths($across, $grid->columns), self::widths($down, $grid->rows), $cells));
    }

    /**
     * @param list<Fraction>           $lines shares of the whole
     * @param non-empty-list<Fraction> $as    relative widths as they were; those that stay keep theirs
     *
     * @return non-empty-list<Fraction>
     */
    private static function widths(array $lines, array $as): array
    {
        $sum = OpenGrid::sum($as);
        $widths = [];
        foreach (array_slice($lines, 1) as $i => $line) {
            $widths[] = $line->minus($lines[$i])->times($sum);
        }

        return $widths === [] ? $as : $widths;
    }

    /**
     * The rectangle round the places, wide enough that no cell lies in it only in part.
     *
     * @param non-empty-list<array{int, int}> $places
     */
    private static function wholeCells(Grid $grid, array $places): Area
    {
        $area = Area::round($places);
        if (! $area->isIn(count($grid->rows), count($grid->columns))) {
            throw LayoutNotPossible::outside($area, count($grid->rows), count($grid->columns));
        }
        do {
            $before = $area;
            foreach ($grid->cells as $cell) {
                if (Area::ofCell($cell)->overlaps($area)) {
                    $area = Area::round([[$area->row, $area->column], [$area->row + $area->rowSpan - 1, $area->column + $area->columnSpan - 1], [$cell->row, $cell->column], [$cell->lastRow(), $cell->lastColumn()]]);
                }
            }
        } while (! $area->equals($before));

        return $area;
    }
}
