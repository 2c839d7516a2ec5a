<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\UnitShape;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\ConvexPolygon;

/** How unit classes are akin: mirror twins, and units that show the same picture with other seams. */
final class ClassKinship
{
    /**
     * @param list<UnitClass> $classes
     *
     * @return array<int, int> the class of its mirror image, by class; left out where there is none or it is itself
     */
    public static function twins(array $classes): array
    {
        $keys = array_map(static fn (UnitClass $class): string => self::handKey($class->members[0], false), $classes);
        $twins = [];
        foreach ($classes as $class) {
            $twin = array_search(self::handKey($class->members[0], true), $keys, true);
            if ($twin !== false && $twin !== $class->index) {
                $twins[$class->index] = (int) $twin;
            }
        }

        return $twins;
    }

    /**
     * @param list<UnitClass> $classes
     *
     * @return array<int, list<int>> classes that look the same after some turn though they are sewn otherwise, by class
     */
    public static function lookAlikes(array $classes): array
    {
        $alike = [];
        foreach ($classes as $a) {
            foreach ($classes as $b) {
                if ($a->index < $b->index && self::showTheSame($a->members[0], $b->members[0])) {
                    $alike[$a->index][] = $b->index;
                    $alike[$b->index][] = $a->index;
                }
            }
        }

        return $alike;
    }

    /** The same for units that lie alike: the same class at the same turn. */
    public static function asPlaced(PlacedUnit $unit): string
    {
        return UnitShape::whole(UnitShape::parts($unit, 0));
    }

    /** The same for units that are one class: equal up to a turn, fabrics and seams included. */
    public static function classKey(PlacedUnit $unit): string
    {
        return min(array_map(static fn (int $turns): string => UnitShape::whole(UnitShape::parts($unit, $turns)), Turn::QUARTERS));
    }

    /** The same for units whose patches are equal up to a turn, or whose mirror image's are. */
    public static function handKey(PlacedUnit $unit, bool $mirrored): string
    {
        return self::handKeyOf($unit->patches(), $unit->outline, $mirrored);
    }

    /**
     * Like handKey(), with something else standing for each fabric.
     *
     * @param \Closure(Fabric): string $fabric
     */
    public static function handKeyBy(PlacedUnit $unit, bool $mirrored, \Closure $fabric): string
    {
        return min(array_map(
            static fn (int $turns): string => UnitShape::whole(UnitShape::ofPatches($unit->patches(), $unit->outline, $turns, $mirrored, $fabric)),
            Turn::QUARTERS,
        ));
    }

    /**
     * The same for any part of a block.
     *
     * @param list<Patch> $patches
     */
    public static function handKeyOf(array $patches, ConvexPolygon $outline, bool $mirrored): string
    {
        return min(array_map(
            static fn (int $turns): string => UnitShape::whole(UnitShape::ofPatches($patches, $outline, $turns, $mirrored)),
            Turn::QUARTERS,
        ));
    }

    private static function showTheSame(PlacedUnit $a, PlacedUnit $b): bool
    {
        foreach (Turn::QUARTERS as $turns) {
            $here = self::atOrigin($a, 0);
            $there = self::atOrigin($b, $turns);
            if ($here[0] === $there[0] && self::haveTheSameColours($here[1], $there[1])) {
                return true;
            }
        }

        return false;
    }

    /** @return array{string, list<array{string, ConvexPolygon}>} outline, and fabric and outline of each patch */
    private static function atOrigin(PlacedUnit $unit, int $turns): array
    {
        $corner = $unit->outline->turned($turns)->corner();

        return [
            $unit->outline->turned($turns)->seenFrom($corner)->key(),
            array_map(static fn (Patch $patch): array => [$patch->fabric->key, $patch->outline->turned($turns)->seenFrom($corner)], $unit->patches()),
        ];
    }

    /**
     * @param list<array{string, ConvexPolygon}> $a
     * @param list<array{string, ConvexPolygon}> $b
     */
    private static function haveTheSameColours(array $a, array $b): bool
    {
        foreach ($a as [$fabricA, $outlineA]) {
            foreach ($b as [$fabricB, $outlineB]) {
                if ($fabricA !== $fabricB && $outlineA->overlaps($outlineB)) {
                    return false;
                }
            }
        }

        return true;
    }
}
