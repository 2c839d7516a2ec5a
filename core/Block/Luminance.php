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
        return self::ofChannels(self::channels($color));
    }

    /** @param array{float, float, float} $channels red, green and blue, 0 to 255 */
    public static function ofChannels(array $channels): float
    {
        $luminance = 0.0;
        foreach ($channels as $i => $channel) {
            $share = $channel / 255;
            $luminance += self::WEIGHTS[$i] * ($share <= 0.04045 ? $share / 12.92 : (($share + 0.055) / 1.055) ** 2.4);
        }

        return $luminance;
    }

    /** @return array{int, int, int} red, green and blue, 0 to 255 */
    public static function channels(string $color): array
    {
        $hex = substr($color, 1);
        $full = strlen($hex) === 3 ? $hex[0].$hex[0].$hex[1].$hex[1].$hex[2].$hex[2] : $hex;

        return [(int) hexdec(substr($full, 0, 2)), (int) hexdec(substr($full, 2, 2)), (int) hexdec(substr($full, 4, 2))];
    }

    /** From 1, no difference, to 21, black beside white. */
    public static function contrast(string $a, string $b): float
    {
        $lights = [self::of($a), self::of($b)];

        return (max($lights) + 0.05) / (min($lights) + 0.05);
    }
}
