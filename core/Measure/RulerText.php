<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

/**
 * Numbers in a text as a ruler of that unit shows them: inches in halves of halves, millimetres in decimals. What no mark is
 * exactly is said to be about it.
 */
final class RulerText
{
    /** The finest mark of a quilter's ruler; finer ones are told where a miss is that small. */
    private const FINEST = 32;

    private const ON_RULER = [2, 4, 8, 16, 32, 64];

    public static function of(string $text, LengthUnit $unit): string
    {
        $inches = $unit === LengthUnit::Inch;
        $text = (string) preg_replace_callback('~\d+\.\d+~', static fn (array $part): string => $inches ? self::onMarks((float) $part[0]) : self::hundredths((float) $part[0]), $text);

        return (string) preg_replace_callback('~('.Grain::ROUNDED.'?)(?:(\d+) )?(\d+)/(\d+)~u', static function (array $part) use ($inches): string {
            if ((int) $part[4] === 0) {
                return $part[0];
            }
            $number = (float) $part[2] + (float) $part[3] / (float) $part[4];
            if ($inches) {
                return in_array((int) $part[4], self::ON_RULER, true) ? $part[0] : self::onMarks($number);
            }

            return ($part[1] !== '' || abs(round($number, 2) - $number) > 1e-9 ? Grain::ROUNDED : '').self::hundredths($number);
        }, $text);
    }

    private static function onMarks(float $number): string
    {
        $marks = $number * self::FINEST;

        return (abs($marks - round($marks)) > 1e-6 ? Grain::ROUNDED : '').Fraction::of((int) round($marks), self::FINEST)->toText();
    }

    private static function hundredths(float $number): string
    {
        return (string) round($number, 2);
    }
}
