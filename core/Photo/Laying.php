<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;

/**
 * Where the units of a block lie on the table, in the block's unit from the outermost raw corner: each with its allowances,
 * and so far apart that a block whose rows are sewn, or which is sewn whole, lies closer.
 */
final readonly class Laying
{
    public float $width;

    public float $height;

    /** @var list<array{unit: PlacedUnit, left: float, top: float, width: float, height: float}> finished boxes */
    public array $units;

    public float $allowance;

    /**
     * @param array{float, float} $apart between raw edges of units beside each other and of units below each other; minus two allowances where they are sewn
     */
    public function __construct(Face $face, public array $apart)
    {
        $block = $face->block;
        $this->allowance = $block->seamAllowance->in($block->unit)->toFloat();
        $steps = $face->lattice->steps;
        $units = [];
        [$right, $bottom] = [0.0, 0.0];
        foreach ($face->whole->parts as $unit) {
            if (! $unit instanceof PlacedUnit) {
                continue;
            }
            [$left, $top, $far, $low] = [INF, INF, 0.0, 0.0];
            foreach ($unit->outline->points as $point) {
                [$left, $top, $far, $low] = [min($left, $point->x / $steps), min($top, $point->y / $steps), max($far, $point->x / $steps), max($low, $point->y / $steps)];
            }
            // Every column before it has two allowances and a gap more than finished.
            $more = static fn (int $before, float $gap, float $allowance): float => $allowance + $before * (2 * $allowance + $gap);
            [$x, $y] = [$left + $more($unit->cell->column - 1, $apart[0], $this->allowance), $top + $more($unit->cell->row - 1, $apart[1], $this->allowance)];
            // One that takes up several cells lies in the middle of their place.
            [$spareX, $spareY] = [($unit->cell->columnSpan - 1) * (2 * $this->allowance + $apart[0]), ($unit->cell->rowSpan - 1) * (2 * $this->allowance + $apart[1])];
            $units[] = ['unit' => $unit, 'left' => $x + $spareX / 2, 'top' => $y + $spareY / 2, 'width' => $far - $left, 'height' => $low - $top];
            [$right, $bottom] = [max($right, $x + $spareX + $far - $left), max($bottom, $y + $spareY + $low - $top)];
        }
        $this->units = $units;
        [$this->width, $this->height] = [$right + $this->allowance, $bottom + $this->allowance];
    }
}
