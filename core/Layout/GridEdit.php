<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Measure\Fraction;

/** Changes to a grid, each giving a new grid. Places that fall empty are filled with a plain unit. */
final readonly class GridEdit
{
    public function __construct(
        public Grid $grid,
        private Unit $filler,
    ) {}

    /**
     * Lays the cells over what is there; what they cover in part keeps no unit.
     *
     * @param list<Cell> $cells that don't overlap one another
     *
     * @throws LayoutNotPossible when a cell reaches past the grid
     */
    public function laid(array $cells): self
    {
        [$rows, $columns] = [count($this->grid->rows), count($this->grid->columns)];
        $areas = array_map(Area::ofCell(...), $cells);
        foreach ($areas as $area) {
            if (! $area->isIn($rows, $columns)) {
                throw LayoutNotPossible::outside($area, $rows, $columns);
            }
        }
        $kept = array_filter($this->grid->cells, static fn (Cell $cell): bool => array_filter($areas, Area::ofCell($cell)->overlaps(...)) === []);

        return $this->filled($this->grid->columns, $this->grid->rows, [...array_values($kept), ...$cells]);
    }

    /**
     * Changes the cells that cover the places, each once.
     *
     * @param list<array{int, int}> $places row and column
     * @param \Closure(Cell): Cell  $change of what fills the cell
     */
    public function changed(array $places, \Closure $change): self
    {
        $isMeant = static function (Cell $cell) use ($places): bool {
            foreach ($places as [$row, $column]) {
                if ($cell->covers($row, $column)) {
                    return true;
                }
            }

            return false;
        };

        return new self($this->grid->withCells(static fn (Cell $cell): Cell => $isMeant($cell) ? $change($cell) : $cell), $this->filler);
    }

    /** A new column or row before the one with the number; cells that span there grow over it. */
    public function withLine(Axis $axis, int $before, Fraction $width): self
    {
        $widths = $axis->widths($this->grid);
        if ($before < 1 || $before > count($widths) + 1) {
            throw LayoutNotPossible::noSuchLine($axis, $before, count($widths));
        }
        array_splice($widths, $before - 1, 0, [$width]);

        return $this->withWidths($axis, $widths, array_map(static function (Cell $cell) use ($axis, $before): Cell {
            [$first, $last] = self::extent($cell, $axis);

            return match (true) {
                $first >= $before => self::stretched($cell, $axis, $first + 1, $last + 1),
                $last >= $before => self::stretched($cell, $axis, $first, $last + 1),
                default => $cell,
            };
        }, $this->grid->cells));
    }

    /** @throws LayoutNotPossible when it is the last one */
    public function withoutLine(Axis $axis, int $number): self
    {
        $widths = $axis->widths($this->grid);
        $this->ensureLine($axis, $number);
        if (count($widths) === 1) {
            throw LayoutNotPossible::lastLine($axis);
        }
        array_splice($widths, $number - 1, 1);
        $kept = array_filter($this->grid->cells, static fn (Cell $cell): bool => self::extent($cell, $axis) !== [$number, $number]);

        return $this->withWidths($axis, $widths, array_values(array_map(static function (Cell $cell) use ($axis, $number): Cell {
            [$first, $last] = self::extent($cell, $axis);

            return self::stretched($cell, $axis, $first > $number ? $first - 1 : $first, $last >= $number ? $last - 1 : $last);
        }, $kept)));
    }

    /** @param Fraction $width as the grid's other widths are relative */
    public function withLineOf(Axis $axis, int $number, Fraction $width): self
    {
        $this->ensureLine($axis, $number);
        $widths = $axis->widths($this->grid);
        $widths[$number - 1] = $width;

        return $this->withWidths($axis, array_values($widths), $this->grid->cells);
    }

    private function ensureLine(Axis $axis, int $number): void
    {
        $count = count($axis->widths($this->grid));
        if ($number < 1 || $number > $count) {
            throw LayoutNotPossible::noSuchLine($axis, $number, $count);
        }
    }

    /**
     * @param list<Fraction> $widths
     * @param list<Cell>     $cells
     */
    private function withWidths(Axis $axis, array $widths, array $cells): self
    {
        if ($widths === []) {
            throw new \LogicException('A grid keeps a line.');
        }

        return $axis === Axis::Columns ? $this->filled($widths, $this->grid->rows, $cells) : $this->filled($this->grid->columns, $widths, $cells);
    }

    /**
     * @param non-empty-list<Fraction> $columns
     * @param non-empty-list<Fraction> $rows
     * @param list<Cell>               $cells
     */
    private function filled(array $columns, array $rows, array $cells): self
    {
        $taken = [];
        foreach ($cells as $cell) {
            foreach (Area::ofCell($cell)->places() as [$row, $column]) {
                $taken[$row][$column] = true;
            }
        }
        foreach ((new Area(1, 1, count($rows), count($columns)))->places() as [$row, $column]) {
            if (! isset($taken[$row][$column])) {
                $cells[] = new Cell($row, $column, 1, 1, $this->filler);
            }
        }

        return new self(Grid::of($columns, $rows, $cells), $this->filler);
    }

    /** @return array{int, int} first and last line the cell covers */
    private static function extent(Cell $cell, Axis $axis): array
    {
        return $axis === Axis::Columns ? [$cell->column, $cell->lastColumn()] : [$cell->row, $cell->lastRow()];
    }

    private static function stretched(Cell $cell, Axis $axis, int $first, int $last): Cell
    {
        return $axis === Axis::Columns
            ? $cell->at($cell->row, $first, $cell->rowSpan, $last - $first + 1)
            : $cell->at($first, $cell->column, $last - $first + 1, $cell->columnSpan);
    }
}
