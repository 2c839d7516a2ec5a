<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\PressDirection;

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
        [$left, $right] = [$match->lastOfLeft, $match->lastOfRight];
        if ($left === null || $right === null) {
            return false;
        }
        $senses = [
            -self::sense($join, $before),
            self::sense($join, $after),
            self::senseFrom($match->at, $left, $pressOfLeft),
            self::senseFrom($match->at, $right, $pressOfRight),
        ];

        return count(array_unique($senses)) === 1 && $senses[0] !== 0;
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
