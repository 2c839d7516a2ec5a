<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Convex pieces of cloth cut along a line.
 *
 * @internal
 */
final class Clipping
{
    /** Anything thinner is rounding, not cloth. */
    private const THINNEST = 1e-9;

    /**
     * The part of a convex outline on which x·X + y·Y + c >= 0 (Sutherland and Hodgman, "Reentrant polygon
     * clipping", Communications of the ACM 17, 1974).
     *
     * @param list<array{float, float}> $corners
     *
     * @return list<array{float, float}> empty when nothing is left
     */
    public static function clipped(array $corners, float $x, float $y, float $c): array
    {
        $kept = [];
        $count = count($corners);
        $farthest = 0.0;
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % $count];
            $here = $x * $corner[0] + $y * $corner[1] + $c;
            $there = $x * $next[0] + $y * $next[1] + $c;
            $farthest = max($farthest, $here);
            if ($here >= 0) {
                $kept[] = $corner;
            }
            if (($here > 0 && $there < 0) || ($here < 0 && $there > 0)) {
                $share = $here / ($here - $there);
                $kept[] = [$corner[0] + $share * ($next[0] - $corner[0]), $corner[1] + $share * ($next[1] - $corner[1])];
            }
        }

        return $farthest > self::THINNEST ? $kept : [];
    }
}
