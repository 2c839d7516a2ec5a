<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;

/**
 * What a placed unit looks like after quarter turns, moved to the origin: a text for each of its parts.
 *
 * Equal texts mean equal outlines, fabrics and inner seams, so units can be compared and their parts paired.
 *
 * @internal
 */
final class UnitShape
{
    /**
     * @return array<int, string> by the part's number
     */
    public static function parts(PlacedUnit $unit, int $quarterTurns): array
    {
        $origin = $unit->outline->corner();
        $corner = $unit->outline->seenFrom($origin)->turned($quarterTurns)->corner();

        return array_map(
            static fn (Patch|PlacedUnit $part): string => self::part($part, $origin, $quarterTurns, $corner),
            $unit->parts,
        );
    }

    /**
     * The unit's patches only, whatever smaller units they are sewn to first; flipped left to right before the turn if asked.
     *
     * @return list<string>
     */
    public static function patches(PlacedUnit $unit, int $quarterTurns, bool $mirrored): array
    {
        return self::ofPatches($unit->patches(), $unit->outline, $quarterTurns, $mirrored);
    }

    /**
     * @param list<Patch>                     $patches
     * @param (\Closure(Fabric): string)|null $fabric  what stands for a fabric; its key if not given
     *
     * @return list<string>
     */
    public static function ofPatches(array $patches, ConvexPolygon $outline, int $quarterTurns, bool $mirrored, ?\Closure $fabric = null): array
    {
        $lie = static fn (ConvexPolygon $outline): ConvexPolygon => ($mirrored ? $outline->mirrored() : $outline)->turned($quarterTurns);
        $corner = $lie($outline)->corner();

        return array_map(
            static fn (Patch $patch): string => ($fabric === null ? $patch->fabric->key : $fabric($patch->fabric)).': '.$lie($patch->outline)->seenFrom($corner)->key(),
            $patches,
        );
    }

    /** @param array<int, string> $parts */
    public static function whole(array $parts): string
    {
        sort($parts);

        return implode(' | ', $parts);
    }

    private static function part(Patch|PlacedUnit $part, Point $origin, int $quarterTurns, Point $corner): string
    {
        $outline = $part->outline->seenFrom($origin)->turned($quarterTurns)->seenFrom($corner)->key();
        if ($part instanceof Patch) {
            return $part->fabric->key.': '.$outline;
        }
        $inner = array_map(
            static fn (Patch|PlacedUnit $inner): string => self::part($inner, $origin, $quarterTurns, $corner),
            $part->parts,
        );

        return $outline.' { '.self::whole($inner).' }';
    }
}
