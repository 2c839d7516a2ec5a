<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Measure\Fraction;

/** Prints measured amounts: whole 64ths as a fraction, anything else in decimals with six places. */
final class Amount
{
    private const PARTS = 64;

    /** Below half of the last decimal that is printed nothing is told apart. */
    private const NOISE = 5e-7;

    public static function text(float $amount): string
    {
        $parts = round($amount * self::PARTS);
        if (abs($amount - $parts / self::PARTS) < self::NOISE) {
            return Fraction::of((int) $parts, self::PARTS)->toText();
        }

        return number_format($amount, 6, '.', '');
    }
}
