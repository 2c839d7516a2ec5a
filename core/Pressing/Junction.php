<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Whereabouts;
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
        $near = new Whereabouts(array_map(static fn (Patch $patch): Box => $patch->outline->box(), $face->patches));
        $junctions = [];
        foreach (self::cornersInside($face) as $corner) {
            $touching = array_values(array_filter(
                array_map(static fn (int $number): Patch => $face->patches[$number], $near->at($corner->x, $corner->y)),
                static fn (Patch $patch): bool => $patch->outline->touches($corner),
            ));
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
}
