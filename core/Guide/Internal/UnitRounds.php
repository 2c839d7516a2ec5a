<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;

/**
 * The joins of a class, of all its members, by how often each unit goes to the machine before.
 *
 * @internal
 */
final class UnitRounds
{
    /** @return list<non-empty-list<Join>> */
    public static function of(Construction $construction, UnitClass $class): array
    {
        $rounds = [];
        foreach ($construction->joins as $join) {
            if ($join->tie?->unitClass === $class->index) {
                $rounds[self::round($join)][] = $join;
            }
        }
        ksort($rounds);

        return array_values($rounds);
    }

    /** How many joins of the same unit lie below this one, one inside the other. */
    private static function round(Join $join): int
    {
        $below = array_filter(
            $join->children(),
            static fn ($child): bool => $child instanceof Join
                && $child->tie?->unitClass === $join->tie?->unitClass && $child->tie?->member === $join->tie?->member,
        );

        return array_reduce($below, fn (int $round, Join $child): int => max($round, self::round($child) + 1), 0);
    }
}
