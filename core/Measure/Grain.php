<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

/** The finest mark of the ruler in use; printing rounds to it and says so. */
enum Grain: string
{
    case Eighth = '1/8';
    case Sixteenth = '1/16';
    case ThirtySecond = '1/32';
    case HalfMillimetre = '0.5 mm';

    /** Put before a figure that was rounded to the grain. */
    public const ROUNDED = '≈';

    /** As a quilter reads it: "2 7/8", "≈4 1/4", "73 mm", "≈73.5 mm". */
    public function print(Length $length): string
    {
        return match ($this) {
            self::Eighth => $this->inSteps($length, 8),
            self::Sixteenth => $this->inSteps($length, 16),
            self::ThirtySecond => $this->inSteps($length, 32),
            self::HalfMillimetre => $this->inHalfMillimetres($length),
        };
    }

    private function inSteps(Length $length, int $steps): string
    {
        $rounded = self::nearest($length->inches, $steps);

        return self::mark($rounded, $length->inches).$rounded->toText();
    }

    private function inHalfMillimetres(Length $length): string
    {
        $exact = $length->in(LengthUnit::Millimetre);
        $rounded = self::nearest($exact, 2);
        $halves = $rounded->isWhole() ? '' : '.5';
        $sign = $rounded->numerator < 0 ? '-' : '';

        return self::mark($rounded, $exact).$sign.intdiv(abs($rounded->numerator), $rounded->denominator).$halves.' mm';
    }

    /** The multiple of 1/$steps nearest to the amount; halfway goes up. */
    private static function nearest(Fraction $amount, int $steps): Fraction
    {
        $doubled = $amount->times(Fraction::of(2 * $steps))->plus(Fraction::of(1));
        $divisor = 2 * $doubled->denominator;
        $remainder = (($doubled->numerator % $divisor) + $divisor) % $divisor; // floors below zero too

        return Fraction::of(intdiv($doubled->numerator - $remainder, $divisor), $steps);
    }

    private static function mark(Fraction $rounded, Fraction $exact): string
    {
        return $rounded->equals($exact) ? '' : self::ROUNDED;
    }
}
