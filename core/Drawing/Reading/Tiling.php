<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Reading;

/** What is seen of shapes that lie on each other, in convex pieces. Coordinates are shares of the drawing, from 0 to 1. */
final class Tiling
{
    /** Shares of the drawing: pieces narrower or smaller are nothing but how exactly it was drawn. */
    private const NEAR = 1e-7;

    /**
     * @param list<array{list<array{float, float}>, string}> $shapes corners and colour, from the lowest
     *
     * @return list<SeenPiece>
     */
    public static function of(array $shapes): array
    {
        $seen = [];
        foreach ($shapes as [$corners, $colour]) {
            $convex = self::convex(self::tidied($corners));
            foreach ($convex as $piece) {
                $left = [];
                foreach ($seen as $below) {
                    $parts = self::without($below->corners, $piece);
                    foreach ($parts as $part) {
                        $left[] = new SeenPiece($part, $below->colour, $below->isRest || $parts !== [$below->corners]);
                    }
                }
                $seen = $left;
            }
            foreach ($convex as $piece) {
                $seen[] = new SeenPiece($piece, $colour, count($convex) > 1);
            }
        }

        return $seen;
    }

    /**
     * What of it lies to the right of the way from one place to the other, or on it.
     *
     * @param list<array{float, float}> $corners of a convex piece
     * @param array{float, float}       $from
     * @param array{float, float}       $to
     *
     * @return list<array{float, float}>
     */
    public static function clipped(array $corners, array $from, array $to): array
    {
        $kept = [];
        $side = static fn (array $place): float => ($to[0] - $from[0]) * ($place[1] - $from[1]) - ($to[1] - $from[1]) * ($place[0] - $from[0]);
        $long = hypot($to[0] - $from[0], $to[1] - $from[1]);
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % count($corners)];
            [$here, $there] = [$side($corner) / $long, $side($next) / $long];
            [$here, $there] = [abs($here) < self::NEAR ? 0.0 : $here, abs($there) < self::NEAR ? 0.0 : $there];
            if ($here >= 0) {
                $kept[] = $corner;
            }
            if ($here * $there < 0) {
                $share = $here / ($here - $there);
                $kept[] = [$corner[0] + $share * ($next[0] - $corner[0]), $corner[1] + $share * ($next[1] - $corner[1])];
            }
        }

        return self::areaOf($kept) > self::NEAR ? $kept : [];
    }

    /** @param list<array{float, float}> $corners clockwise gives a positive area */
    public static function areaOf(array $corners): float
    {
        $sum = 0.0;
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % count($corners)];
            $sum += $x * $nextY - $nextX * $y;
        }

        return $sum / 2;
    }

    /**
     * @param list<array{float, float}> $outline of any shape
     * @param array{float, float}       $place
     */
    public static function holds(array $outline, array $place): bool
    {
        $isIn = false;
        foreach ($outline as $i => [$x, $y]) {
            [$nextX, $nextY] = $outline[($i + 1) % count($outline)];
            if (($y > $place[1]) !== ($nextY > $place[1]) && $place[0] < ($nextX - $x) * ($place[1] - $y) / ($nextY - $y) + $x) {
                $isIn = ! $isIn;
            }
        }

        return $isIn;
    }

    /**
     * The two as one piece, where they share a side whole and what they make has no dent.
     *
     * @param list<array{float, float}> $one
     * @param list<array{float, float}> $other
     *
     * @return list<array{float, float}>|null
     */
    public static function joined(array $one, array $other): ?array
    {
        $isSame = static fn (array $a, array $b): bool => abs($a[0] - $b[0]) < 1e-6 && abs($a[1] - $b[1]) < 1e-6;
        foreach (array_keys($one) as $i) {
            foreach (array_keys($other) as $j) {
                if ($isSame($one[$i], $other[($j + 1) % count($other)]) && $isSame($one[($i + 1) % count($one)], $other[$j])) {
                    $round = [...array_slice($one, $i + 1), ...array_slice($one, 0, $i + 1)];
                    $beside = [...array_slice($other, $j + 1), ...array_slice($other, 0, $j + 1)];
                    $both = self::tidied([...$round, ...array_slice($beside, 1, -1)]);

                    return self::dent($both) === null ? $both : null;
                }
            }
        }

        return null;
    }

    /**
     * @param list<array{float, float}> $below
     * @param list<array{float, float}> $above both convex and clockwise
     *
     * @return list<list<array{float, float}>> what is seen of the lower one
     */
    private static function without(array $below, array $above): array
    {
        $parts = [];
        $rest = $below;
        foreach ($above as $i => $from) {
            $to = $above[($i + 1) % count($above)];
            $outside = self::clipped($rest, $to, $from);
            if ($outside !== []) {
                $parts[] = $outside;
            }
            $rest = self::clipped($rest, $from, $to);
            if ($rest === []) {
                return [$below]; // they do not lie on each other
            }
        }

        return $parts;
    }

    /**
     * Clockwise, no corner twice and none in line.
     *
     * @param list<array{float, float}> $corners
     *
     * @return list<array{float, float}>
     */
    private static function tidied(array $corners): array
    {
        if (self::areaOf($corners) < 0) {
            $corners = array_reverse($corners);
        }
        // Paths often end where they began.
        $corners = array_values(array_filter($corners, static function (array $corner, int $i) use ($corners): bool {
            $after = $corners[($i + 1) % count($corners)];

            return hypot($corner[0] - $after[0], $corner[1] - $after[1]) > self::NEAR;
        }, ARRAY_FILTER_USE_BOTH));
        do {
            $count = count($corners);
            $kept = [];
            foreach ($corners as $i => $corner) {
                $before = $corners[($i + $count - 1) % $count];
                $after = $corners[($i + 1) % $count];
                $bend = ($corner[0] - $before[0]) * ($after[1] - $corner[1]) - ($corner[1] - $before[1]) * ($after[0] - $corner[0]);
                $long = max(hypot($after[0] - $before[0], $after[1] - $before[1]), 1e-9);
                if (abs($bend) / $long > self::NEAR) {
                    $kept[] = $corner;
                }
            }
            $corners = $kept;
        } while (count($corners) < $count && count($corners) > 2);

        return count($corners) > 2 ? $corners : [];
    }

    /**
     * @param list<array{float, float}> $corners clockwise
     *
     * @return list<list<array{float, float}>> cut apart along straight lines from each dent on
     */
    private static function convex(array $corners): array
    {
        $dent = count($corners) < 3 ? null : self::dent($corners);
        if ($dent === null) {
            return count($corners) < 3 ? [] : [$corners];
        }
        $count = count($corners);
        [$at, $before] = [$corners[$dent], $corners[($dent + $count - 1) % $count]];
        [$dx, $dy] = [$at[0] - $before[0], $at[1] - $before[1]];
        $best = null;
        for ($k = 1; $k < $count - 1; ++$k) {
            $from = $corners[($dent + $k) % $count];
            $to = $corners[($dent + $k + 1) % $count];
            [$ex, $ey] = [$to[0] - $from[0], $to[1] - $from[1]];
            $cross = $dx * $ey - $dy * $ex;
            if (abs($cross) < 1e-15) {
                continue;
            }
            $along = (($from[0] - $at[0]) * $ey - ($from[1] - $at[1]) * $ex) / $cross;
            $share = (($from[0] - $at[0]) * $dy - ($from[1] - $at[1]) * $dx) / $cross;
            if ($along > 1e-9 && $share > -1e-9 && $share < 1 + 1e-9 && ($best === null || $along < $best[0])) {
                $best = [$along, $k, [$from[0] + $share * $ex, $from[1] + $share * $ey]];
            }
        }
        if ($best === null) {
            return []; // it crosses itself
        }
        [, $k, $hit] = $best;
        $one = $two = [];
        for ($i = 0; $i <= $k; ++$i) {
            $one[] = $corners[($dent + $i) % $count];
        }
        for ($i = $k + 1; $i <= $count; ++$i) {
            $two[] = $corners[($dent + $i) % $count];
        }

        return [...self::convex(self::tidied([...$one, $hit])), ...self::convex(self::tidied([$hit, ...$two]))];
    }

    /** @param list<array{float, float}> $corners the first corner that bends inward; null where none does */
    private static function dent(array $corners): ?int
    {
        $count = count($corners);
        foreach ($corners as $i => $corner) {
            $before = $corners[($i + $count - 1) % $count];
            $after = $corners[($i + 1) % $count];
            if (($corner[0] - $before[0]) * ($after[1] - $corner[1]) - ($corner[1] - $before[1]) * ($after[0] - $corner[0]) < -1e-12) {
                return $i;
            }
        }

        return null;
    }
}
