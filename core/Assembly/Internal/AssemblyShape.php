<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Geometry\Point;

/**
 * What a join sews to what, as a text that is equal for joins that differ only by a turn and their place.
 *
 * @internal
 */
final class AssemblyShape
{
    public static function key(Join $join): string
    {
        return min(array_map(static function (int $turns) use ($join): string {
            $origin = new Point(0, 0);
            $corner = $join->outline()->turnedAbout($origin, $turns)->corner();
            $parts = array_map(static function (Assembly $part) use ($origin, $turns, $corner): string {
                $leaves = self::leaves($part, $origin, $turns, $corner);
                sort($leaves);

                return implode(' | ', $leaves);
            }, $join->children());
            sort($parts);

            return implode(' + ', $parts);
        }, [0, 1, 2, 3]));
    }

    /** @return list<string> */
    private static function leaves(Assembly $assembly, Point $origin, int $turns, Point $corner): array
    {
        return $assembly instanceof Piece
            ? [$assembly->patch->fabric->key.': '.$assembly->patch->outline->turnedAbout($origin, $turns)->turnedAbout($corner, 0)->key()]
            : array_merge(...array_map(static fn (Assembly $part): array => self::leaves($part, $origin, $turns, $corner), $assembly->children()));
    }
}
