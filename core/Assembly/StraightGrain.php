<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\PolygonShape;

/** Which way the weave runs in a patch, as it is cut: along its outer edge, so that no outer edge stretches. */
final class StraightGrain
{
    /**
     * @param ConvexPolygon $within outline of the unit it is a patch of
     *
     * @return Point a direction on the face; the other threads run across it
     */
    public static function of(Patch $patch, ConvexPolygon $within): Point
    {
        $outer = self::outerEdges($patch->outline, $within);
        $along = self::longestFirst($outer === [] ? $patch->outline->edges() : $outer);

        // Either of the legs of half a square.
        return $outer === [] && PolygonShape::of($patch->outline) === PolygonShape::RightIsosceles ? end($along) : reset($along);
    }

    /** @return list<array{Point, Point}> edges that lie on the unit's outline */
    private static function outerEdges(ConvexPolygon $patch, ConvexPolygon $within): array
    {
        return array_values(array_filter($patch->edges(), static function (array $edge) use ($within): bool {
            foreach ($within->edges() as [$c, $d]) {
                if ($d->minus($c)->cross($edge[0]->minus($c)) === 0 && $d->minus($c)->cross($edge[1]->minus($c)) === 0) {
                    return true;
                }
            }

            return false;
        }));
    }

    /**
     * @param non-empty-list<array{Point, Point}> $edges
     *
     * @return non-empty-list<Point> from end to end
     */
    private static function longestFirst(array $edges): array
    {
        $along = array_map(static fn (array $edge): Point => $edge[1]->minus($edge[0]), $edges);
        usort($along, static fn (Point $a, Point $b): int => $b->dot($b) <=> $a->dot($a));

        return $along;
    }
}
