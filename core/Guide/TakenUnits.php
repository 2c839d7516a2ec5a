<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;

/** Which units a seam takes in: those that it sews to something, or the one that it lies in. */
final class TakenUnits
{
    /**
     * @param list<int> $joins ids
     *
     * @return list<PlacedUnit> each once, in the order of the block
     */
    public static function by(Construction $construction, array $joins): array
    {
        $within = [];
        $parts = [];
        foreach ($joins as $id) {
            $join = $construction->joins[$id];
            if ($join->tie !== null) {
                $within[] = $construction->classes[$join->tie->unitClass]->members[$join->tie->member];
            } else {
                array_push($parts, ...array_map(static fn (Assembly $part): array => self::sorted($part->patchIds()), $join->children()));
            }
        }
        foreach ($construction->face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && in_array(self::sorted(array_map(static fn (Patch $patch): int => $patch->id, $unit->patches())), $parts, true)) {
                $within[] = $unit;
            }
        }
        $taken = [];
        foreach ($within as $unit) {
            $taken[$unit->patches()[0]->id] = $unit;
        }
        ksort($taken);

        return array_values($taken);
    }

    /**
     * "flying geese" where all are of one kind, else "units".
     *
     * @param list<PlacedUnit> $units
     */
    public static function named(array $units): string
    {
        $names = array_unique(array_map(static fn (PlacedUnit $unit): string => UnitName::of($unit, true), $units));

        return count($names) === 1 ? array_values($names)[0] : 'units';
    }

    /**
     * @param list<int> $ids
     *
     * @return list<int>
     */
    private static function sorted(array $ids): array
    {
        sort($ids);

        return $ids;
    }
}
