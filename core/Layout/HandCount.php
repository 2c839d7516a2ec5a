<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\PlacedUnit;

/** How many units of a handed class are left ones and how many right ones: mirror images that no turn makes equal. */
final readonly class HandCount
{
    /**
     * @param string           $label of the class that comes first on the face, as plans number them: U1, U2, ...
     * @param list<PlacedUnit> $left
     * @param list<PlacedUnit> $right
     */
    private function __construct(
        public string $label,
        public string $kind,
        public string $plural,
        public array $left,
        public array $right,
    ) {}

    /** @return list<self> handed classes only; a class and its mirror twin together, those inside nested grids too */
    public static function allOn(Face $face): array
    {
        $classes = $pairs = $known = [];
        foreach (self::units($face->whole) as $unit) {
            [$class, $key, $mirrored, $isLeft] = $known[ClassKinship::asPlaced($unit)] ??= [ClassKinship::classKey($unit), ClassKinship::handKey($unit, false), ClassKinship::handKey($unit, true), self::isLeft($unit)];
            $label = $classes[$class] ??= 'U'.(count($classes) + 1);
            if ($isLeft !== null) {
                $pair = min($key, $mirrored);
                $pairs[$pair] ??= ['label' => $label, 'first' => $unit, 'left' => [], 'right' => []];
                $pairs[$pair][$isLeft ? 'left' : 'right'][] = $unit;
            }
        }

        return array_values(array_map(static fn (array $pair): self => new self(
            $pair['label'],
            $pair['first']->cell->unit->kind(),
            UnitName::of($pair['first'], true),
            $pair['left'],
            $pair['right'],
        ), $pairs));
    }

    /**
     * @param list<self> $counts
     *
     * @return string|null left or right; null for a unit that has no hand
     */
    public static function handOf(array $counts, PlacedUnit $unit): ?string
    {
        foreach ($counts as $count) {
            foreach (['left' => $count->left, 'right' => $count->right] as $hand => $units) {
                if (in_array($unit, $units, true)) {
                    return $hand;
                }
            }
        }

        return null;
    }

    /**
     * Which twin is called left is a matter of spelling, but the same wherever the two turn up. It goes by the seams; where
     * those have no hand, by which fabric is lighter and which darker, so that a unit keeps its name in other fabrics. A
     * drawn unit whose seams have none is not of a hand, whichever fabric is where.
     *
     * @return bool|null null for a unit that has no hand
     */
    private static function isLeft(PlacedUnit $unit): ?bool
    {
        if (ClassKinship::handKey($unit, false) === ClassKinship::handKey($unit, true)) {
            return null;
        }
        $way = static fn (\Closure $fabric): int => ClassKinship::handKeyBy($unit, false, $fabric) <=> ClassKinship::handKeyBy($unit, true, $fabric);
        $bySeams = $way(static fn (Fabric $fabric): string => '');
        if ($bySeams !== 0) {
            return $bySeams === -1;
        }

        return $unit->cell->unit instanceof PatchesUnit ? null : $way(static fn (Fabric $fabric): string => $fabric->value->rank().$fabric->key) === -1;
    }

    /** @return list<PlacedUnit> units with seams, smaller ones before those they are sewn into, as plans number their classes */
    private static function units(PlacedUnit $whole): array
    {
        $units = [];
        foreach ($whole->parts as $part) {
            if ($part instanceof PlacedUnit) {
                array_push($units, ...self::units($part));
                if (count($part->parts) > 1) {
                    $units[] = $part;
                }
            }
        }

        return $units;
    }
}
