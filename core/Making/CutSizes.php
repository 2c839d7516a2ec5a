<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Measure\Surd;

/**
 * What a finished size grows by. With the seam allowance s a square corner takes s on each side, a corner of 45 degrees
 * s(1 + √2); so a half square grows by s(2 + √2), the long side of a quarter square by s(2 + 2√2).
 * Source: derived from the outlines; the reference tests move them out with a geometry library.
 */
final readonly class CutSizes
{
    /** Two allowances, for squares, rectangles and strips. */
    public Surd $straight;

    /** For squares cut once corner to corner. */
    public Surd $half;

    /** For squares cut twice corner to corner, and for those that are crossed. */
    public Surd $quarter;

    /** @param Fraction $allowance in the block's unit of length */
    public function __construct(
        public Fraction $allowance,
        public LengthUnit $unit,
    ) {
        $two = $allowance->times(Fraction::of(2));
        $this->straight = Surd::of($two);
        $this->half = new Surd($two, $allowance);
        $this->quarter = new Surd($two, $two);
    }

    /** A finished size with so many allowances on top: with 1/4 in, four make the inch that is squared up later. */
    public function with(Fraction $finished, int $allowances): Fraction
    {
        return $finished->plus($this->allowance->times(Fraction::of($allowances)));
    }

    /** A cut size on the ruler's marks, and so many halves of an allowance more. */
    public function raisedWith(Surd $size, int $halves): Fraction
    {
        return $size->raisedTo($this->marks())->plus($this->allowance->times(Fraction::of($halves, 2)));
    }

    /** Marks of the ruler in whose steps larger sizes are proposed. */
    public function marks(): int
    {
        return $this->unit === LengthUnit::Inch ? 8 : 1;
    }
}
