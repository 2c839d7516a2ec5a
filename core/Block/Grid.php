<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** Columns and rows with their relative widths, every place filled by exactly one cell. */
final readonly class Grid
{
    /** @var list<Fraction> shares of the whole width, from the left edge to the right one */
    private array $columnLines;

    /** @var list<Fraction> shares of the whole height */
    private array $rowLines;

    /**
     * @param non-empty-list<Fraction> $columns relative widths
     * @param non-empty-list<Fraction> $rows    relative heights
     * @param list<Cell>               $cells   in reading order
     */
    private function __construct(
        public array $columns,
        public array $rows,
        public array $cells,
    ) {
        $this->columnLines = self::lines($columns);
        $this->rowLines = self::lines($rows);
    }

    /**
     * @param non-empty-list<Fraction> $columns
     * @param non-empty-list<Fraction> $rows
     * @param list<Cell>               $cells
     *
     * @throws BlockNotPossible when a place is empty, taken twice or outside the grid; $where is the pointer to "cells"
     */
    public static function of(array $columns, array $rows, array $cells, string $where = '/cells'): self
    {
        $taken = [];
        foreach ($cells as $i => $cell) {
            if ($cell->lastRow() > count($rows) || $cell->lastColumn() > count($columns)) {
                throw BlockNotPossible::cellOutside($cell, count($rows), count($columns), $where.'/'.$i);
            }
            for ($row = $cell->row; $row <= $cell->lastRow(); ++$row) {
                for ($column = $cell->column; $column <= $cell->lastColumn(); ++$column) {
                    if (isset($taken[$row][$column])) {
                        throw BlockNotPossible::placeTakenTwice($row, $column, $where.'/'.$i);
                    }
                    $taken[$row][$column] = true;
                }
            }
        }
        self::ensureFull($taken, count($rows), count($columns), $where);
        usort($cells, static fn (Cell $a, Cell $b): int => [$a->row, $a->column] <=> [$b->row, $b->column]);

        return new self($columns, $rows, $cells);
    }

    /** @param \Closure(Cell): Cell $change of what fills a cell; the cell stays where it is */
    public function withCells(\Closure $change): self
    {
        return new self($this->columns, $this->rows, array_map($change, $this->cells));
    }

    /** The same grid for a block of another size: sizes that are lengths of their own grow with it. */
    public function scaled(Fraction $scale, LengthUnit $unit): self
    {
        return $this->withCells(static fn (Cell $cell): Cell => match (true) {
            $cell->unit instanceof GridUnit => $cell->holding(new GridUnit($cell->unit->grid->scaled($scale, $unit))),
            $cell->unit instanceof FlippedCornersUnit => $cell->holding($cell->unit->scaled($scale)),
            default => $cell,
        });
    }

    public function cellAt(int $row, int $column): ?Cell
    {
        foreach ($this->cells as $cell) {
            if ($cell->covers($row, $column)) {
                return $cell;
            }
        }

        return null;
    }

    /** Where the line before column $column lies, as a fraction of the whole width; 1 is the left edge. */
    public function columnLine(int $column): Fraction
    {
        return $this->columnLines[$column - 1];
    }

    /** Where the line above row $row lies, as a fraction of the whole height; 1 is the upper edge. */
    public function rowLine(int $row): Fraction
    {
        return $this->rowLines[$row - 1];
    }

    /** @param array<int, array<int, true>> $taken */
    private static function ensureFull(array $taken, int $rows, int $columns, string $where): void
    {
        for ($row = 1; $row <= $rows; ++$row) {
            for ($column = 1; $column <= $columns; ++$column) {
                if (! isset($taken[$row][$column])) {
                    throw BlockNotPossible::placeEmpty($row, $column, $where);
                }
            }
        }
    }

    /**
     * @param list<Fraction> $widths
     *
     * @return list<Fraction> where every line lies, the first and the last edge included
     */
    private static function lines(array $widths): array
    {
        $lines = [Fraction::zero()];
        foreach ($widths as $i => $width) {
            $lines[] = $lines[$i]->plus($width);
        }
        $whole = $lines[count($widths)];

        return array_map(static fn (Fraction $line): Fraction => $line->dividedBy($whole), $lines);
    }
}
