<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * Whether a convex outline can be laid on a piece of cloth after some turn and shift, not turned over. Sides of the outline
 * are laid along sides of the cloth, one after the other; where it fits at all it fits so.
 */
final class Fit
{
    /**
     * @param list<array{float, float}> $outline
     * @param list<array{float, float}> $cloth
     */
    public static function fits(array $outline, array $cloth, float $slack = 1e-6): bool
    {
        [$outline, $cloth] = [self::oriented($outline), self::oriented($cloth)];
        foreach (self::directions($outline) as $own) {
            foreach (self::directions($cloth) as $other) {
                if (self::liesWithin(self::turned($outline, $other - $own), $cloth, $slack)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The least cloth a patch needs: its outline with every side moved out by the allowance, corners cut straight across.
     *
     * @param list<array{float, float}> $patch
     *
     * @return list<array{float, float}>
     */
    public static function needed(array $patch, float $allowance): array
    {
        $patch = self::oriented($patch);
        $out = [];
        foreach ($patch as $i => [$x, $y]) {
            [$nextX, $nextY] = $patch[($i + 1) % count($patch)];
            $length = hypot($nextX - $x, $nextY - $y);
            [$nx, $ny] = [($nextY - $y) / $length * $allowance, -($nextX - $x) / $length * $allowance];
            array_push($out, [$x + $nx, $y + $ny], [$nextX + $nx, $nextY + $ny]);
        }

        return $out;
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return list<array{float, float}>
     */
    public static function mirrored(array $corners): array
    {
        return array_map(static fn (array $corner): array => [-$corner[0], $corner[1]], $corners);
    }

    /** @param list<array{float, float}> $corners */
    public static function area(array $corners): float
    {
        $sum = 0.0;
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % count($corners)];
            $sum += $x * $nextY - $y * $nextX;
        }

        return $sum / 2;
    }

    /**
     * For every side of the cloth, how far the outline may go that way; then whether one shift obeys all of them.
     *
     * @param list<array{float, float}> $outline
     * @param list<array{float, float}> $cloth
     */
    private static function liesWithin(array $outline, array $cloth, float $slack): bool
    {
        $region = [[-1e3, -1e3], [1e3, -1e3], [1e3, 1e3], [-1e3, 1e3]];
        foreach ($cloth as $i => [$x, $y]) {
            [$nextX, $nextY] = $cloth[($i + 1) % count($cloth)];
            $length = hypot($nextX - $x, $nextY - $y);
            [$nx, $ny] = [($nextY - $y) / $length, -($nextX - $x) / $length];
            $most = $nx * $x + $ny * $y + $slack - max(array_map(static fn (array $corner): float => $nx * $corner[0] + $ny * $corner[1], $outline) ?: [0.0]);
            $region = self::clipped($region, $nx, $ny, $most);
        }

        return $region !== [];
    }

    /**
     * @param list<array{float, float}> $region
     *
     * @return list<array{float, float}>
     */
    private static function clipped(array $region, float $nx, float $ny, float $most): array
    {
        $kept = [];
        foreach ($region as $i => $from) {
            $to = $region[($i + 1) % count($region)];
            [$here, $there] = [$nx * $from[0] + $ny * $from[1] - $most, $nx * $to[0] + $ny * $to[1] - $most];
            if ($here <= 0) {
                $kept[] = $from;
            }
            if ($here * $there < 0) {
                $share = $here / ($here - $there);
                $kept[] = [$from[0] + $share * ($to[0] - $from[0]), $from[1] + $share * ($to[1] - $from[1])];
            }
        }

        return $kept;
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return list<float>
     */
    private static function directions(array $corners): array
    {
        return array_map(static fn (array $corner, int $i): float => atan2($corners[($i + 1) % count($corners)][1] - $corner[1], $corners[($i + 1) % count($corners)][0] - $corner[0]), $corners, array_keys($corners));
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return list<array{float, float}>
     */
    private static function turned(array $corners, float $angle): array
    {
        return array_map(static fn (array $corner): array => [$corner[0] * cos($angle) - $corner[1] * sin($angle), $corner[0] * sin($angle) + $corner[1] * cos($angle)], $corners);
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return list<array{float, float}>
     */
    private static function oriented(array $corners): array
    {
        return self::area($corners) > 0 ? $corners : array_reverse($corners);
    }
}
