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

    public function holding(Unit $unit): self
    {
        return new self($this->row, $this->column, $this->rowSpan, $this->columnSpan, $unit, $this->placement, $this->label);
    }

    public function lying(Placement $placement): self
    {
        return new self($this->row, $this->column, $this->rowSpan, $this->columnSpan, $this->unit, $placement, $this->label);
    }

    public function at(int $row, int $column, int $rowSpan, int $columnSpan): self
    {
        return new self($row, $column, $rowSpan, $columnSpan, $this->unit, $this->placement, $this->label);
    }

    public function covers(int $row, int $column): bool
    {
        return $this->row <= $row && $row <= $this->lastRow() && $this->column <= $column && $column <= $this->lastColumn();
    }

    public function lastRow(): int
    {
        return $this->row + $this->rowSpan - 1;
    }

    public function lastColumn(): int
    {
        return $this->column + $this->columnSpan - 1;
    }
}
