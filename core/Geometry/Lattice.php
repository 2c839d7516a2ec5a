<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Measure\NumberOutOfReach;

/** The whole-number grid on which every corner of a block lies: so many steps to one inch (or millimetre). */
final readonly class Lattice
{
    /** Keeps every product of two coordinate differences far inside a 64-bit integer. */
    private const LARGEST_COORDINATE = 1 << 29;

    private function __construct(
        public int $steps,
        public LengthUnit $unit,
    ) {}

    /**
     * The coarsest lattice on which all these coordinates are whole.
     *
     * @param iterable<Fraction> $coordinates in $unit
     *
     * @throws NumberOutOfReach
     */
    public static function through(iterable $coordinates, LengthUnit $unit): self
    {
        $steps = 1;
        $largest = 0.0;
        foreach ($coordinates as $coordinate) {
            $steps = Fraction::leastCommonMultiple($steps, $coordinate->denominator);
            $largest = max($largest, abs($coordinate->toFloat()));
        }
        if ($largest * $steps > self::LARGEST_COORDINATE) {
            throw NumberOutOfReach::inArithmetic();
        }

        return new self($steps, $unit);
    }

    public function point(Fraction $x, Fraction $y): Point
    {
        return new Point($this->toSteps($x), $this->toSteps($y));
    }

    /** How many of the lattice's unit of length these steps are, exactly. */
    public function toLengthNumber(int $steps): Fraction
    {
        return Fraction::of($steps, $this->steps);
    }

    /** @return array{string, string} exact, as the open formats write points */
    public function toText(Point $point): array
    {
        return [$this->toLengthNumber($point->x)->toText(), $this->toLengthNumber($point->y)->toText()];
    }

    /** A length in lattice steps, for drawing and for the layers of cloth, which are sampled. */
    public function toFloatSteps(Length $length): float
    {
        return $length->in($this->unit)->toFloat() * $this->steps;
    }

    private function toSteps(Fraction $coordinate): int
    {
        return $coordinate->numerator * intdiv($this->steps, $coordinate->denominator);
    }
}
