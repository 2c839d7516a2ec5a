<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** How much of a fabric to ask for at the counter: the next eighth of a yard, or the next ten centimetres. */
final class FabricToBuy
{
    private const INCHES_IN_A_YARD = 36;

    private const EIGHTHS = 8;

    private const STEP_IN_MILLIMETRES = 100;

    private const STEPS_IN_A_METRE = 10;

    /** @param Fraction $length in inches or millimetres */
    public static function words(Fraction $length, LengthUnit $unit): string
    {
        if ($unit === LengthUnit::Millimetre) {
            $steps = self::up($length->dividedBy(Fraction::of(self::STEP_IN_MILLIMETRES)));

            return $steps < self::STEPS_IN_A_METRE ? sprintf('%d cm', 10 * $steps) : sprintf('%s m', $steps / self::STEPS_IN_A_METRE);
        }
        $eighths = self::up($length->times(Fraction::of(self::EIGHTHS, self::INCHES_IN_A_YARD)));

        return Fraction::of($eighths, self::EIGHTHS)->toText().' yd';
    }

    private static function up(Fraction $amount): int
    {
        return intdiv($amount->numerator + $amount->denominator - 1, $amount->denominator);
    }
}
