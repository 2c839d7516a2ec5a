<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\Cost;

/**
 * A cost packed into two whole numbers that can be added and compared fast.
 *
 * High: mismatch from bit 40, peaks squared from bit 18, folded ends below. Low: shadow from bit 12, furls below.
 * Every figure stays inside its bits for the largest block that can be read (4096 cells).
 *
 * @internal
 */
final readonly class Weight
{
    /** A combination that must not be. So large that no sum of real costs reaches it, so small that 16 of them fit. */
    public const FORBIDDEN = 1 << 58;

    private const MISMATCH = 1 << 40;

    private const PEAK = 1 << 18;

    private const SHADOW = 1 << 12;

    public static function high(Cost $cost): int
    {
        return $cost->mismatch * self::MISMATCH + $cost->peakSquared * self::PEAK + $cost->folded;
    }

    public static function low(Cost $cost): int
    {
        return $cost->shadowSteps * self::SHADOW + $cost->furls;
    }

    public static function toCost(int $high, int $low): Cost
    {
        return new Cost(
            intdiv($high, self::MISMATCH),
            intdiv($high % self::MISMATCH, self::PEAK),
            $high % self::PEAK,
            intdiv($low, self::SHADOW),
            $low % self::SHADOW,
        );
    }
}
