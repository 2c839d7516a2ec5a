<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Measure\Fraction;

/** A sewn unit with the ruler on it: its raw size, and where the diagonal, the centre or the tip must lie. */
final readonly class SquaringUp
{
    /**
     * @param Fraction                                              $allowance as in the unit's own length; the finished unit lies so far inside the raw one
     * @param list<array{array{float, float}, array{float, float}}> $guides    lines of the ruler, in shares of the raw size
     * @param array{float, float}|null                              $tip       where a tip must lie, in shares of the raw size
     * @param bool                                                  $isFlush   whether its seams run on to the raw corners; else tips lie inside the raw edge
     */
    private function __construct(
        public Fraction $width,
        public Fraction $height,
        public Fraction $allowance,
        public array $guides,
        public ?array $tip,
        public string $words,
        public bool $isFlush,
    ) {}

    public static function of(UnitToMake $unit, Fraction $allowance): self
    {
        $two = $allowance->times(Fraction::of(2));
        [$width, $height] = [$unit->width->plus($two), $unit->height->plus($two)];
        $inset = $allowance->dividedBy($height)->toFloat();
        $falling = [[0.0, 0.0], [1.0, 1.0]];
        $rising = [[1.0, 0.0], [0.0, 1.0]];
        $upright = [[0.5, 0.0], [0.5, 1.0]];
        $level = [[0.0, 0.5], [1.0, 0.5]];
        [$guides, $tip, $words] = match ($unit->unit->kind()) {
            'half-square-triangle' => [[$rising], null, 'The ruler\'s 45 degree line on the seam.'],
            'split-quarter-square-triangle' => [[$rising, $upright, $level], [0.5, 0.5], 'The 45 degree line on the long seam, the short one starting at half both ways.'],
            'quarter-square-triangle' => [[$upright, $level], [0.5, 0.5], 'The centre at half the size both ways.'],
            'flying-geese', 'triangle-in-square' => [[$upright], [0.5, $inset], 'The tip half way along, one allowance below the raw edge.'],
            'square-in-square' => [[$upright, $level], null, 'Each tip half way along its edge, one allowance inside it.'],
            default => [$unit->unit instanceof FlippedCornersUnit ? [] : [$falling], null, 'All four sides straight.'],
        };

        return new self($width, $height, $allowance, $unit->unit->kind() === 'patches' || $unit->unit->kind() === 'grid' ? [] : $guides, $tip, $words, ! in_array($unit->unit->kind(), ['flying-geese', 'triangle-in-square', 'square-in-square'], true));
    }
}
