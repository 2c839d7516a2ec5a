<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\Length;

/** A place inside the block where three or more patches meet, one whose edge passes through it counted too. */
final readonly class Junction
{
    /** @param list<int> $patchIds */
    private function __construct(
        public Point $at,
        public array $patchIds,
    ) {}

    /** How far from the junction its plies are looked at. */
    public static function radius(): Length
    {
        return Length::ofInches(1, 16);
    }

    /** @return list<self> from top to bottom, left to right */
    public static function allOn(Face $face): array
    {
        $bucketSide = self::bucketSide($face);
        $buckets = [];
        foreach ($face->patches as $patch) {
            foreach (self::bucketsUnder($patch, $bucketSide) as $bucket) {
                $buckets[$bucket][] = $patch;
            }
        }
        $junctions = [];
        foreach (self::cornersInside($face) as $corner) {
            $near = $buckets[self::bucket($corner->x, $corner->y, $bucketSide)];
            $touching = array_values(array_filter($near, static fn (Patch $patch): bool => $patch->outline->touches($corner)));
            if (count($touching) >= 3) {
                $junctions[] = new self($corner, array_map(static fn (Patch $patch): int => $patch->id, $touching));
            }
        }
        usort($junctions, static fn (self $a, self $b): int => [$a->at->y, $a->at->x] <=> [$b->at->y, $b->at->x]);

        return $junctions;
    }

    /** @return array<string, Point> */
    private static function cornersInside(Face $face): array
    {
        $corners = [];
        foreach ($face->patches as $patch) {
            foreach ($patch->outline->points as $corner) {
                $corners[$corner->key()] ??= $corner;
            }
        }

        return array_filter($corners, static fn (Point $corner): bool => $face->outline()->containsInside($corner));
    }

    /** About the size of a patch, so that only a few patches share a bucket. */
    private static function bucketSide(Face $face): int
    {
        return max(1, (int) sqrt($face->outline()->areaDoubled() / 2 / count($face->patches)));
    }

    /** @return iterable<string> */
    private static function bucketsUnder(Patch $patch, int $side): iterable
    {
        $xs = array_map(static fn (Point $p): int => $p->x, $patch->outline->points);
        $ys = array_map(static fn (Point $p): int => $p->y, $patch->outline->points);
        for ($x = intdiv(min($xs), $side); $x <= intdiv(max($xs), $side); ++$x) {
            for ($y = intdiv(min($ys), $side); $y <= intdiv(max($ys), $side); ++$y) {
                yield $x.','.$y;
            }
        }
    }

    private static function bucket(int $x, int $y, int $side): string
    {
        return intdiv($x, $side).','.intdiv($y, $side);
    }
}
