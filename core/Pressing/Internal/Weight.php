<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TooMuchToWeigh;

/**
 * A cost packed into two whole numbers that can be added and compared fast, in a style's order of figures.
 *
 * High: over the lump from bit 40 and unlocked from bit 24, or mismatch from bit 24; peaks squared below. Low: folded
 * ends, then shadow, then furls, each with as many bits as the block can need; where its seams are so long that all of
 * them in shadow would not fit, shadow is told in larger steps than millionths.
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

    private const LOW_BITS = 61;

    private const MILLIONTH = 1000;

    private function __construct(
        private PressStyle $style,
        private int $shadow,
        private int $folded,
        private int $shadowStep,
    ) {}

    public static function of(Construction $construction, PressStyle $style): self
    {
        $furls = $ends = 0;
        $length = 0.0;
        foreach ($construction->joins as $join) {
            $furls += count($join->matchPoints());
            $ends += array_sum(array_map(static fn (Meeting $meeting): int => 2 * ($meeting->seamsOfLeft + $meeting->seamsOfRight), $join->meetings));
            $length += $join->seam->length() / $construction->face->lattice->steps;
        }
        $shadow = self::bits($furls);
        $left = self::LOW_BITS - $shadow - self::bits($ends);
        $step = self::MILLIONTH;
        // Every stretch of a seam may be rounded up by one step.
        while ($length * Cost::SHADOW_STEPS / $step + count($construction->joins) + $furls >= 2 ** $left) {
            $step *= 10;
        }

        return new self($style, 1 << $shadow, 1 << (self::LOW_BITS - self::bits($ends)), $step);
    }

    public function high(Cost $cost): int
    {
        return $cost->peakSquared + ($this->style->goesByTheLump()
            ? $cost->overLump * self::FIRST + $cost->unlocked * self::SECOND
            : $cost->mismatch * self::SECOND);
    }

    public function low(Cost $cost): int
    {
        return $cost->folded * $this->folded + intdiv($cost->shadowSteps + intdiv($this->shadowStep, 2), $this->shadowStep) * $this->shadow + $cost->furls;
    }

    public function toCost(int $high, int $low): Cost
    {
        return new Cost(
            mismatch: $this->style->goesByTheLump() ? 0 : intdiv($high, self::SECOND),
            peakSquared: $high % self::SECOND,
            folded: intdiv($low, $this->folded),
            shadowSteps: intdiv($low % $this->folded, $this->shadow) * $this->shadowStep,
            furls: $low % $this->shadow,
            overLump: $this->style->goesByTheLump() ? intdiv($high, self::FIRST) : 0,
            unlocked: $this->style->goesByTheLump() ? intdiv($high % self::FIRST, self::SECOND) : 0,
        );
    }

    /**
     * @param Cost $most every factor at its dearest, added up
     *
     * @throws TooMuchToWeigh when a figure of such a plan could run into the next
     */
    public function mustHold(Cost $most): void
    {
        $first = $this->style->goesByTheLump() ? $most->overLump * self::FIRST : $most->mismatch * self::SECOND;
        if ($most->peakSquared >= self::SECOND || ($this->style->goesByTheLump() && $most->unlocked >= intdiv(self::FIRST, self::SECOND)) || $first >= intdiv(self::FORBIDDEN, 2)) {
            throw TooMuchToWeigh::block();
        }
    }

    private static function bits(int $most): int
    {
        return strlen(decbin($most));
    }
}
