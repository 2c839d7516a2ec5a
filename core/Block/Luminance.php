<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** How much light a colour gives back, as WCAG 2.2 defines relative luminance and contrast ratio. */
final class Luminance
{
    private const WEIGHTS = [0.2126, 0.7152, 0.0722];

    /** @param string $color "#fff" or "#3b5b7a"; the result runs from 0, black, to 1, white */
    public static function of(string $color): float
    {
        $digits = substr($color, 1);
        $pairs = strlen($digits) === 3 ? array_map(static fn (string $digit): string => $digit.$digit, str_split($digits)) : str_split($digits, 2);
        $luminance = 0.0;
        foreach ($pairs as $i => $pair) {
            $share = (int) hexdec($pair) / 255;
            $luminance += self::WEIGHTS[$i] * ($share <= 0.04045 ? $share / 12.92 : (($share + 0.055) / 1.055) ** 2.4);
        }

        return $luminance;
    }

    /** From 1, no difference, to 21, black beside white. */
    public static function contrast(string $a, string $b): float
    {
        $lights = [self::of($a), self::of($b)];

        return (max($lights) + 0.05) / (min($lights) + 0.05);
    }
}
