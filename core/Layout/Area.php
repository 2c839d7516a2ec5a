<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Cell;

/** A rectangle of places in a grid; rows and columns count from 1. */
final readonly class Area
{
    public function __construct(
        public int $row,
        public int $column,
        public int $rowSpan = 1,
        public int $columnSpan = 1,
    ) {}

    public static function ofCell(Cell $cell): self
    {
        return new self($cell->row, $cell->column, $cell->rowSpan, $cell->columnSpan);
    }

    /** @param non-empty-list<array{int, int}> $places row and column */
    public static function round(array $places): self
    {
        [$rows, $columns] = [array_column($places, 0), array_column($places, 1)];

        return new self(min($rows), min($columns), max($rows) - min($rows) + 1, max($columns) - min($columns) + 1);
    }

    /** @return list<array{int, int}> row and column of every place, in reading order */
    public function places(): array
    {
        $places = [];
        for ($row = $this->row; $row < $this->row + $this->rowSpan; ++$row) {
            for ($column = $this->column; $column < $this->column + $this->columnSpan; ++$column) {
                $places[] = [$row, $column];
            }
        }

        return $places;
    }

    public function equals(self $other): bool
    {
        return [$this->row, $this->column, $this->rowSpan, $this->columnSpan] === [$other->row, $other->column, $other->rowSpan, $other->columnSpan];
    }

    public function overlaps(self $other): bool
    {
        return $this->row < $other->row + $other->rowSpan && $other->row < $this->row + $this->rowSpan
            && $this->column < $other->column + $other->columnSpan && $other->column < $this->column + $this->columnSpan;
    }

    public function isIn(int $rows, int $columns): bool
    {
        return $this->row >= 1 && $this->column >= 1 && $this->rowSpan >= 1 && $this->columnSpan >= 1
            && $this->row + $this->rowSpan - 1 <= $rows && $this->column + $this->columnSpan - 1 <= $columns;
    }
}
