<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Making\KnownUnit;

/**
 * The joins of a class, of all its members, by how often each unit goes to the machine before.
 *
 * Seams that do not touch, like those of two opposite corners or of strips side by side, need no iron between them and
 * are one trip. A known unit within a drawn one is squared up before anything is sewn to it.
 *
 * @internal
 */
final class UnitRounds
{
    /** @return list<non-empty-list<Join>> */
    public static function of(Construction $construction, UnitClass $class): array
    {
        $rounds = $roundOf = $isSquaredUp = [];
        $isDrawn = $class->members[0]->cell->unit instanceof PatchesUnit;
        // Joins are listed so that each one's parts are complete before it.
        foreach ($construction->joins as $join) {
            if ($join->tie?->unitClass === $class->index) {
                $round = 0;
                foreach (self::within($join, $join) as $inner) {
                    $round = (int) max($round, $roundOf[$inner->id] + ($isSquaredUp[$inner->id] || self::touch($inner->seam, $join->seam) ? 1 : 0));
                }
                $roundOf[$join->id] = $round;
                $isSquaredUp[$join->id] = $isDrawn && KnownUnit::of($join) !== null;
                $rounds[$round][] = $join;
            }
        }
        ksort($rounds);

        return array_values($rounds);
    }

    /** @return list<Join> of the same unit that lie below a part */
    private static function within(Assembly $part, Join $of): array
    {
        $found = [];
        foreach ($part->children() as $child) {
            if ($child instanceof Join && $child->tie?->unitClass === $of->tie?->unitClass && $child->tie?->member === $of->tie?->member) {
                array_push($found, $child, ...self::within($child, $of));
            }
        }

        return $found;
    }

    private static function touch(Segment $a, Segment $b): bool
    {
        return $a->contains($b->from) || $a->contains($b->to) || $b->contains($a->from) || $b->contains($a->to);
    }
}
