<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;

/**
 * Whether a join may change its direction at a match point: the few stitches inside the allowance can be opened there
 * only if all four ridges then turn the same way round, like a wheel.
 *
 * @internal
 */
final class Furl
{
    public static function isWheel(
        Join $join,
        Meeting $match,
        PressDirection $before,
        PressDirection $after,
        PressDirection $pressOfLeft,
        PressDirection $pressOfRight,
    ): bool {
        [$left, $right] = $match->ends();

        return self::turns($join, $match->at, $before, $after, [$left, $pressOfLeft], [$right, $pressOfRight]);
    }

    /**
     * Whether all four ridges turn the same way round at a crossing of a join.
     *
     * @param array{Join, PressDirection} $left  the seam of the left part that ends there, and how it lies
     * @param array{Join, PressDirection} $right the same of the right part
     */
    public static function turns(Join $join, Point $at, PressDirection $before, PressDirection $after, array $left, array $right): bool
    {
        $senses = [
            -self::sense($join, $before),
            self::sense($join, $after),
            self::senseFrom($at, ...$left),
            self::senseFrom($at, ...$right),
        ];

        return count(array_unique($senses)) === 1 && $senses[0] !== 0;
    }

    /**
     * How the seams that end at a crossing have to lie, so that a join may change sides there.
     *
     * @param PressDirection $before of the join's stretch up to there; it lies on the other side beyond
     *
     * @return non-empty-array<int, PressDirection> by join
     */
    public static function needs(Meeting $match, Join $join, PressDirection $before): array
    {
        $wheel = self::wheel($join, $before);
        $needs = [];
        foreach ($match->ends() as $seam) {
            $sense = $seam->seam->from->equals($match->at) ? $wheel : -$wheel;
            $needs[$seam->id] = $seam->leftSide === $sense ? PressDirection::Left : PressDirection::Right;
        }

        return $needs;
    }

    /**
     * Which way the allowances turn at a crossing where the join changes sides: 1 when each lies clockwise of its seam, as
     * seen on the face from the crossing.
     */
    public static function wheel(Join $join, PressDirection $before): int
    {
        return -self::sense($join, $before);
    }

    /** Whether every change of sides in a pressing turns like a wheel. */
    public static function areWheels(Construction $construction, Pressing $pressing): bool
    {
        foreach ($construction->joins as $join) {
            $directions = $pressing->of($join);
            foreach (count($directions) > 1 ? $join->matchPoints() : [] as $number => $match) {
                [$left, $right] = $match->ends();
                if ($directions[$number] !== $directions[$number + 1]
                    && ! self::isWheel($join, $match, $directions[$number], $directions[$number + 1], $pressing->atEnd($left, $match->at), $pressing->atEnd($right, $match->at))) {
                    return false;
                }
            }
        }

        return true;
    }

    /** 1 when the allowances lie clockwise of the direction from start to end, -1 when not, 0 when open. */
    private static function sense(Join $join, PressDirection $press): int
    {
        return match ($press) {
            PressDirection::Left => $join->leftSide,
            PressDirection::Right => -$join->leftSide,
            PressDirection::Open => 0,
        };
    }

    /** The same, as one looks along the seam away from the place. */
    private static function senseFrom(Point $at, Join $seam, PressDirection $press): int
    {
        return self::sense($seam, $press) * ($seam->seam->from->equals($at) ? 1 : -1);
    }
}
