<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top\Internal;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;

/**
 * The edge of a top in its frame, exactly: on point it runs through the middles of the places at the rim, at 45 degrees
 * to the frame.
 *
 * @internal
 */
final readonly class Edge
{
    /** @param list<array{int, int, Fraction}> $sides factors of x and y and what their sum is at most */
    private function __construct(private array $sides) {}

    public static function of(Top $top): self
    {
        if ($top->setting === Setting::Straight) {
            return new self([]);
        }
        $pitch = $top->placeWidth()->plus($top->sashWidth());
        $float = $top->sides?->float->in($top->unit) ?? Fraction::zero();
        $near = $float->minus($pitch);
        $far = static fn (int $lines): Fraction => $pitch->times(Fraction::of(2 * $lines + 1))->plus($float);

        return new self([[-1, -1, $near], [1, 1, $far($top->rows)], [-1, 1, $near], [1, -1, $far($top->columns)]]);
    }

    /** Whether all of a rectangle lies within. */
    public function holds(Fraction $left, Fraction $top, Fraction $right, Fraction $bottom): bool
    {
        foreach ([[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]] as [$x, $y]) {
            foreach ($this->sides as $side) {
                if (self::past($side, $x, $y)->isPositive()) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * What lies within of a convex outline.
     *
     * @param list<array{Fraction, Fraction}> $outline
     *
     * @return list<array{Fraction, Fraction}> fewer than three corners when nothing does
     */
    public function cut(array $outline): array
    {
        foreach ($this->sides as $side) {
            $kept = [];
            foreach ($outline as $i => [$x, $y]) {
                [$nextX, $nextY] = $outline[($i + 1) % count($outline)];
                $here = self::past($side, $x, $y);
                $there = self::past($side, $nextX, $nextY);
                if (! $here->isPositive()) {
                    $kept[] = [$x, $y];
                }
                if ($here->times($there)->compareTo(Fraction::zero()) < 0) {
                    $share = $here->dividedBy($here->minus($there));
                    $kept[] = [$x->plus($nextX->minus($x)->times($share)), $y->plus($nextY->minus($y)->times($share))];
                }
            }
            $outline = $kept;
        }

        return self::hasArea($outline) ? $outline : [];
    }

    /**
     * By how much a point is outside of a side; not positive within.
     *
     * @param array{int, int, Fraction} $side
     */
    private static function past(array $side, Fraction $x, Fraction $y): Fraction
    {
        return $x->times(Fraction::of($side[0]))->plus($y->times(Fraction::of($side[1])))->minus($side[2]);
    }

    /** @param list<array{Fraction, Fraction}> $outline */
    private static function hasArea(array $outline): bool
    {
        $twice = Fraction::zero();
        foreach ($outline as $i => [$x, $y]) {
            [$nextX, $nextY] = $outline[($i + 1) % count($outline)];
            $twice = $twice->plus($x->times($nextY))->minus($y->times($nextX));
        }

        return $twice->numerator !== 0;
    }
}
