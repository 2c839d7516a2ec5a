<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TooMuchToWeigh;

/**
 * A cost packed into two whole numbers that can be added and compared fast, in a style's order of figures.
 *
 * High: the figures up to the layers, these in the lowest 24 bits, 16 for the one above, the rest for the first. Low:
 * folded ends, then shadow, then furls, each with as many bits as the block can need; where its seams are so long that all
 * of them in shadow would not fit, shadow is told in larger steps than millionths.
 *
 * @internal
 */
final readonly class Weight
{
    /** A combination that must not be. So large that no sum of real costs reaches it, so small that 16 of them fit. */
    public const FORBIDDEN = 1 << 58;

    /** High and low of such a combination. */
    public const NEVER = [self::FORBIDDEN, 0];

    /** One of the figure before the layers: of the mismatches, where nesting counts first. */
    public const SECOND = 1 << 24;

    private const WIDTH = 1 << 16;

    private const LOW_BITS = 61;

    private const MILLIONTH = 1000;

    /** @param non-empty-list<Figure> $high the figures up to the layers, the last first */
    private function __construct(
        private array $high,
        private int $shadow,
        private int $folded,
        private int $shadowStep,
        private PressStyle $style,
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

        $figures = $style->school()->figures();
        $layers = (int) array_search(Figure::PeakSquared, $figures, true);

        return new self(array_reverse(array_slice($figures, 0, $layers + 1)), 1 << $shadow, 1 << (self::LOW_BITS - self::bits($ends)), $step, $style);
    }

    public function high(Cost $cost): int
    {
        [$high, $unit] = [0, 1];
        foreach ($this->high as $i => $figure) {
            $high += $figure->of($cost) * $unit;
            $unit *= $i === 0 ? self::SECOND : self::WIDTH;
        }

        return $high;
    }

    public function low(Cost $cost): int
    {
        return $cost->folded * $this->folded + intdiv($cost->shadowSteps + intdiv($this->shadowStep, 2), $this->shadowStep) * $this->shadow + $cost->furls;
    }

    /** What no plan costs less than, as far as the search got: never more than the plan that it found, although shadow is rounded here. */
    public function bound(Optimum $found, Cost $cost): Cost
    {
        $bound = $found->exact ? $cost : $this->toCost($found->boundHigh, $found->boundLow);

        return $bound->compareTo($cost, $this->style) > 0 ? $cost : $bound;
    }

    public function toCost(int $high, int $low): Cost
    {
        $figures = [];
        $last = count($this->high) - 1;
        foreach ($this->high as $i => $figure) {
            $width = $i === 0 ? self::SECOND : self::WIDTH;
            $figures[$figure->value] = $i === $last ? $high : $high % $width;
            $high = intdiv($high, $width);
        }

        return new Cost(
            mismatch: $figures[Figure::Mismatch->value] ?? 0,
            peakSquared: $figures[Figure::PeakSquared->value] ?? 0,
            folded: intdiv($low, $this->folded),
            shadowSteps: intdiv($low % $this->folded, $this->shadow) * $this->shadowStep,
            furls: $low % $this->shadow,
            overLump: $figures[Figure::OverLump->value] ?? 0,
            unlocked: $figures[Figure::Unlocked->value] ?? 0,
        );
    }

    /**
     * @param Cost $most every factor at its dearest, added up
     *
     * @throws TooMuchToWeigh when a figure of such a plan could run into the next
     */
    public function mustHold(Cost $most): void
    {
        $last = count($this->high) - 1;
        foreach ($this->high as $i => $figure) {
            if ($i < $last && $figure->of($most) >= ($i === 0 ? self::SECOND : self::WIDTH)) {
                throw TooMuchToWeigh::block();
            }
        }
        if ($this->high($most) >= intdiv(self::FORBIDDEN, 2)) {
            throw TooMuchToWeigh::block();
        }
    }

    private static function bits(int $most): int
    {
        return strlen(decbin($most));
    }
}
