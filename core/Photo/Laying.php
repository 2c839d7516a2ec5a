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

    /** @var array{list<float>, list<float>} how far from the upper left raw corner each column, and each row, is moved past its finished place */
    private array $moved;

    /**
     * @param array{float|list<float>, float|list<float>} $apart between raw edges of units beside each other and of units below each other, one
     *                                                           for all or one for every line between two; minus two allowances where they are sewn
     */
    public function __construct(Face $face, public array $apart)
    {
        $block = $face->block;
        $this->allowance = $block->seamAllowance->in($block->unit)->toFloat();
        $steps = $face->lattice->steps;
        $this->moved = [$this->lines(count($block->grid->columns), $apart[0]), $this->lines(count($block->grid->rows), $apart[1])];
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
            $cell = $unit->cell;
            [$x, $y] = [$left + $this->moved[0][$cell->column - 1], $top + $this->moved[1][$cell->row - 1]];
            // One that takes up several cells lies in the middle of their place.
            [$spareX, $spareY] = [$this->moved[0][$cell->lastColumn() - 1] - $this->moved[0][$cell->column - 1], $this->moved[1][$cell->lastRow() - 1] - $this->moved[1][$cell->row - 1]];
            $units[] = ['unit' => $unit, 'left' => $x + $spareX / 2, 'top' => $y + $spareY / 2, 'width' => $far - $left, 'height' => $low - $top];
            [$right, $bottom] = [max($right, $x + $spareX + $far - $left), max($bottom, $y + $spareY + $low - $top)];
        }
        $this->units = $units;
        [$this->width, $this->height] = [$right + $this->allowance, $bottom + $this->allowance];
    }

    /**
     * @param float|list<float> $apart
     *
     * @return list<float>
     */
    private function lines(int $count, float|array $apart): array
    {
        $moved = [$this->allowance];
        for ($line = 1; $line < $count; ++$line) {
            $moved[] = $moved[$line - 1] + 2 * $this->allowance + (is_array($apart) ? $apart[$line - 1] ?? 0.0 : $apart);
        }

        return $moved;
    }
}
