<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\LengthUnit;

/** Prints measured amounts: whole 64ths as a fraction, anything else in decimals with six places. */
final class Amount
{
    private const PARTS = 64;

    /** Below half of the last decimal that is printed nothing is told apart. */
    private const NOISE = 5e-7;

    /** As a quilter reads it: to 1/32 in or half a millimetre, marked when it was rounded. */
    public static function rounded(float $amount, LengthUnit $unit): string
    {
        $marks = $unit === LengthUnit::Inch ? 32 : 2;
        $rounded = Fraction::of((int) round(abs($amount) * $marks), $marks);
        $text = ($amount < 0 && $rounded->isPositive() ? '-' : '').$rounded->toText();

        return abs(abs($amount) - $rounded->toFloat()) < self::NOISE ? $text : Grain::ROUNDED.$text;
    }

    public static function text(float $amount): string
    {
        $parts = round($amount * self::PARTS);
        if (abs($amount - $parts / self::PARTS) < self::NOISE) {
            return Fraction::of((int) $parts, self::PARTS)->toText();
        }

        return number_format($amount, 6, '.', '');
    }
}
