<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** The grid of a block that is open on the wall: the block's own, or a small grid in one of its cells, in its own frame. */
final readonly class OpenGrid
{
    /** @param list<array{int, int}> $path row and column of each small grid that was opened, from the outside in */
    private function __construct(
        private Block $block,
        private array $path,
        public Grid $grid,
        private Length $width,
        private Length $height,
    ) {}

    /**
     * @param list<array{int, int}> $path
     *
     * @throws LayoutNotPossible when the path leads to no grid
     */
    public static function of(Block $block, array $path): self
    {
        [$width, $height, $grid] = [$block->finishedWidth->inches, $block->finishedHeight->inches, $block->grid];
        foreach ($path as [$row, $column]) {
            $cell = $grid->cellAt($row, $column);
            if ($cell === null || ! $cell->unit instanceof GridUnit) {
                throw LayoutNotPossible::noGridThere($row, $column);
            }
            $width = $width->times($grid->columnLine($cell->lastColumn() + 1)->minus($grid->columnLine($cell->column)));
            $height = $height->times($grid->rowLine($cell->lastRow() + 1)->minus($grid->rowLine($cell->row)));
            [$width, $height] = $cell->placement->turn->swapsSides() ? [$height, $width] : [$width, $height];
            $grid = $cell->unit->grid;
        }

        return new self($block, $path, $grid, Length::of($width, LengthUnit::Inch), Length::of($height, LengthUnit::Inch));
    }

    public function isWhole(): bool
    {
        return $this->path === [];
    }

    /** As a block of its own: the block itself, or the small grid at its finished size. */
    public function asBlock(): Block
    {
        return $this->isWhole() ? $this->block : $this->block->with(width: $this->width, height: $this->height, grid: $this->grid);
    }

    /**
     * The block with another grid in the place of the open one.
     *
     * @param bool $isAlone whether the small grids that are equal to it stay as they are; else they are one design
     */
    public function replaced(Grid $open, bool $isAlone = false): Block
    {
        if ($this->isWhole() || $isAlone) {
            return $this->block->with(grid: self::putBack($this->block->grid, $this->path, $open));
        }

        return $this->block->with(grid: self::everywhere($this->block->grid, serialize($this->grid), new GridUnit($open)));
    }

    /** How many small grids of the block are equal to the open one, itself included; 0 where the block itself is open. */
    public function alike(): int
    {
        $count = 0;
        if (! $this->isWhole()) {
            self::everywhere($this->block->grid, serialize($this->grid), new GridUnit($this->grid), static function () use (&$count): void {
                ++$count;
            });
        }

        return $count;
    }

    /** The number on the block's face of the first patch here; the others follow it. */
    public function firstPatch(): int
    {
        [$first, $grid] = [0, $this->block->grid];
        foreach ($this->path as [$row, $column]) {
            foreach ($grid->cells as $cell) {
                if ($cell->covers($row, $column)) {
                    $grid = $cell->unit instanceof GridUnit ? $cell->unit->grid : $grid;
                    break;
                }
                Cloths::inFabrics($cell->unit, static function (Fabric $fabric) use (&$first): Fabric {
                    ++$first;

                    return $fabric;
                });
            }
        }

        return $first;
    }

    /** How large it is when finished, in its own frame. */
    public function size(Axis $axis): Length
    {
        return $axis === Axis::Columns ? $this->width : $this->height;
    }

    /** What share of its relative widths a finished width is. */
    public function share(Axis $axis, Length $width): Fraction
    {
        return $width->inches->times(self::sum($axis->widths($this->grid)))->dividedBy($this->size($axis)->inches);
    }

    /** The finished length of the area's shorter side. */
    public function shorterSide(Area $area): Length
    {
        [$rows, $columns] = [count($this->grid->rows), count($this->grid->columns)];
        if (! $area->isIn($rows, $columns)) {
            throw LayoutNotPossible::outside($area, $rows, $columns);
        }
        $width = $this->width->inches->times($this->grid->columnLine($area->column + $area->columnSpan)->minus($this->grid->columnLine($area->column)));
        $height = $this->height->inches->times($this->grid->rowLine($area->row + $area->rowSpan)->minus($this->grid->rowLine($area->row)));

        return Length::of($width->compareTo($height) < 0 ? $width : $height, LengthUnit::Inch);
    }

    /** @param non-empty-list<Fraction> $widths */
    public static function sum(array $widths): Fraction
    {
        return array_reduce($widths, static fn (Fraction $sum, Fraction $width): Fraction => $sum->plus($width), Fraction::zero());
    }

    /**
     * @param string                  $old the grid that is replaced, as a value: equal ones are equal whichever cell they were read from
     * @param (\Closure(): void)|null $met called for each
     */
    private static function everywhere(Grid $grid, string $old, GridUnit $new, ?\Closure $met = null): Grid
    {
        return $grid->withCells(static function (Cell $cell) use ($old, $new, $met): Cell {
            if (! $cell->unit instanceof GridUnit) {
                return $cell;
            }
            if (serialize($cell->unit->grid) === $old) {
                $met?->__invoke();

                return $cell->holding($new);
            }

            return $cell->holding(new GridUnit(self::everywhere($cell->unit->grid, $old, $new, $met)));
        });
    }

    /** @param list<array{int, int}> $path */
    private static function putBack(Grid $outer, array $path, Grid $open): Grid
    {
        if ($path === []) {
            return $open;
        }
        [[$row, $column], $rest] = [$path[0], array_slice($path, 1)];

        return $outer->withCells(static fn (Cell $cell): Cell => $cell->covers($row, $column) && $cell->unit instanceof GridUnit
            ? $cell->holding(new GridUnit(self::putBack($cell->unit->grid, $rest, $open)))
            : $cell);
    }
}
