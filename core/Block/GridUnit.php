<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

final readonly class GridUnit implements Unit
{
    public const KIND = 'grid';

    /** @param string $name what it is called, one of them; $plural several */
    public function __construct(
        public Grid $grid,
        private string $name = 'small grid',
        private string $plural = 'small grids',
    ) {}

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
        return new self($this->grid->withCells(static fn (Cell $cell): Cell => $cell->holding($unit($cell->unit))), $this->name, $this->plural);
    }

    public function name(): string
    {
        return $this->name;
    }

    public function plural(): string
    {
        return $this->plural;
    }
}
