<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;

/** How a block lies in its place: flipped left to right or not, then turned. */
final class Laying
{
    /**
     * Where a point of a block's own face comes to lie, from the upper left corner of its place.
     *
     * @param int $scale steps of the place to one step of the face
     *
     * @return \Closure(Point): Point
     */
    public static function of(Face $face, Placement $placement, int $scale): \Closure
    {
        [$width, $height] = array_map(static fn (int $side): int => $side * $scale, $face->outline()->size());

        return static function (Point $point) use ($placement, $scale, $width, $height): Point {
            [$x, $y] = [$point->x * $scale, $point->y * $scale];
            $x = $placement->mirrored ? $width - $x : $x;

            return match ($placement->turn) {
                Turn::None => new Point($x, $y),
                Turn::Quarter => new Point($height - $y, $x),
                Turn::Half => new Point($width - $x, $height - $y),
                Turn::ThreeQuarters => new Point($y, $width - $x),
            };
        };
    }

    /** Whether a segment of the face is read from its former end, once it lies so. */
    public static function reverses(Segment $segment, Placement $placement): bool
    {
        $direction = $segment->direction();
        $direction = $placement->mirrored ? new Point(-$direction->x, $direction->y) : $direction;
        for ($i = 0; $i < $placement->turn->quarters(); ++$i) {
            $direction = $direction->quarterTurned();
        }

        return [$direction->y, $direction->x] < [0, 0];
    }
}
