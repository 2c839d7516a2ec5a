<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

final readonly class GridUnit implements Unit
{
    public const KIND = 'grid';

    public function __construct(public Grid $grid) {}

    public function kind(): string
    {
        return self::KIND;
    }

    /**
     * The same grid with another unit in every cell.
     *
     * @param \Closure(Unit): Unit $unit
     */
    public function withUnits(\Closure $unit): self
    {
        return new self($this->grid->withCells(static fn (Cell $cell): Cell => $cell->holding($unit($cell->unit))));
    }

    public function name(): string
    {
        return 'small grid';
    }

    public function plural(): string
    {
        return 'small grids';
    }
}
