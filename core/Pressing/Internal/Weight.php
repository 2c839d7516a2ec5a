<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\PressStyle;

/**
 * A cost packed into two whole numbers that can be added and compared fast, in a style's order of figures.
 *
 * High: over the lump from bit 40 and unlocked from bit 24, or mismatch from bit 24; peaks squared below. Low: folded
 * ends from bit 46, shadow in millionths from bit 12, furls below. Every figure stays inside its bits for the largest
 * block that can be read (4096 cells).
 *
 * @internal
 */
final readonly class Weight
{
    /** A combination that must not be. So large that no sum of real costs reaches it, so small that 16 of them fit. */
    public const FORBIDDEN = 1 << 58;

    private const FIRST = 1 << 40;

    /** One mismatch, where nesting counts first. */
    public const SECOND = 1 << 24;

    private const FOLDED = 1 << 46;

    private const SHADOW = 1 << 12;

    private const BILLIONTHS = 1000;

    public static function high(Cost $cost, PressStyle $style): int
    {
        return $cost->peakSquared + ($style->goesByTheLump()
            ? $cost->overLump * self::FIRST + $cost->unlocked * self::SECOND
            : $cost->mismatch * self::SECOND);
    }

    public static function low(Cost $cost): int
    {
        return $cost->folded * self::FOLDED + intdiv($cost->shadowSteps + self::BILLIONTHS / 2, self::BILLIONTHS) * self::SHADOW + $cost->furls;
    }

    public static function toCost(int $high, int $low, PressStyle $style): Cost
    {
        return new Cost(
            mismatch: $style->goesByTheLump() ? 0 : intdiv($high, self::SECOND),
            peakSquared: $high % self::SECOND,
            folded: intdiv($low, self::FOLDED),
            shadowSteps: intdiv($low % self::FOLDED, self::SHADOW) * self::BILLIONTHS,
            furls: $low % self::SHADOW,
            overLump: $style->goesByTheLump() ? intdiv($high, self::FIRST) : 0,
            unlocked: $style->goesByTheLump() ? intdiv($high % self::FIRST, self::SECOND) : 0,
        );
    }
}
