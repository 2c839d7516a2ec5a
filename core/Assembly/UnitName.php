<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\ConvexPolygon;

/** What a unit is called, the same on every screen and in every step: the quilter's name, a known shape's, else its kind's. */
final class UnitName
{
    public static function of(PlacedUnit $unit, bool $isSeveral): string
    {
        return $unit->cell->label ?? self::ofShape($unit, $isSeveral);
    }

    /** The same for a class: a name that any of its units was given is the name of all. */
    public static function ofClass(UnitClass $class, bool $isSeveral): string
    {
        return self::given($class) ?? self::ofShape($class->members[0], $isSeveral);
    }

    /**
     * What tells classes apart that are called the same: their label; '' for one that is called so alone.
     *
     * @param list<UnitClass> $classes
     *
     * @return list<string> by class
     */
    public static function tags(array $classes): array
    {
        $names = array_map(static fn (UnitClass $class): string => self::ofClass($class, true), $classes);
        $shared = array_count_values($names);

        return array_map(static fn (UnitClass $class, string $name): string => $shared[$name] === 1 ? '' : $class->label(), $classes, $names);
    }

    /** @return string|null the quilter's own; null where she gave none */
    public static function given(UnitClass $class): ?string
    {
        foreach ($class->members as $member) {
            if ($member->cell->label !== null) {
                return $member->cell->label;
            }
        }

        return null;
    }

    private static function ofShape(PlacedUnit $placed, bool $isSeveral): string
    {
        $unit = $placed->cell->unit;
        $known = null;
        if ($unit instanceof PatchesUnit || $unit instanceof GridUnit) {
            $known = KnownShape::of(array_map(static fn (Patch $patch): ConvexPolygon => $patch->outline, $placed->patches()))?->kind;
        }
        if ($known === KnownShape::FOUR_PATCH) {
            return $isSeveral ? 'four-patches' : 'four-patch';
        }
        $pattern = $known === null ? null : UnitPatterns::all()[$known];

        return $isSeveral ? ($pattern->plural ?? $unit->plural()) : ($pattern->name ?? $unit->name());
    }
}
