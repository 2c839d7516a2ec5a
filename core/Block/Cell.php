<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** One place of a grid and what fills it; rows and columns count from 1. */
final readonly class Cell
{
    public function __construct(
        public int $row,
        public int $column,
        public int $rowSpan,
        public int $columnSpan,
        public Unit $unit,
        public Placement $placement = new Placement(),
        public ?string $label = null,
    ) {}

    public function lastRow(): int
    {
        return $this->row + $this->rowSpan - 1;
    }

    public function lastColumn(): int
    {
        return $this->column + $this->columnSpan - 1;
    }
}
