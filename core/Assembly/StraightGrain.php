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
        if ($outer !== []) {
            return self::longest($outer);
        }
        if (PolygonShape::of($patch->outline) !== PolygonShape::RightIsosceles) {
            return self::longest($patch->outline->edges());
        }
        $legs = $patch->outline->edges();
        usort($legs, static fn (array $a, array $b): int => $a[1]->minus($a[0])->dot($a[1]->minus($a[0])) <=> $b[1]->minus($b[0])->dot($b[1]->minus($b[0])));

        return $legs[0][1]->minus($legs[0][0]);
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

    /** @param list<array{Point, Point}> $edges */
    private static function longest(array $edges): Point
    {
        $longest = new Point(0, 0);
        foreach ($edges as [$a, $b]) {
            $longest = $b->minus($a)->dot($b->minus($a)) > $longest->dot($longest) ? $b->minus($a) : $longest;
        }

        return $longest;
    }
}
