<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\Turn;
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
            $corner = $join->outline()->turned($turns)->corner();
            $parts = array_map(static function (Assembly $part) use ($turns, $corner): string {
                $leaves = self::leaves($part, $turns, $corner);
                sort($leaves);

                return implode(' | ', $leaves);
            }, $join->children());
            sort($parts);

            return implode(' + ', $parts);
        }, Turn::QUARTERS));
    }

    /** @return list<string> */
    private static function leaves(Assembly $assembly, int $turns, Point $corner): array
    {
        return $assembly instanceof Piece
            ? [$assembly->patch->fabric->key.': '.$assembly->patch->outline->turned($turns)->seenFrom($corner)->key()]
            : array_merge(...array_map(static fn (Assembly $part): array => self::leaves($part, $turns, $corner), $assembly->children()));
    }
}
