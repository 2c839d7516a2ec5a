<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Recipes\StripSets;

/**
 * Sorts the units of a block into piles that are made together.
 *
 * @internal
 */
final readonly class Piles
{
    /** @param CuttingPlan|null $cutting null where nothing is known of how units are made */
    public function __construct(
        private Construction $construction,
        private ?CuttingPlan $cutting,
        private int $blocks,
    ) {}

    /** @return list<Pile> */
    public function all(): array
    {
        $classes = $this->construction->classes;
        $twins = ClassKinship::twins($classes);
        $piles = [];
        $piled = [];
        foreach ($classes as $class) {
            if (isset($piled[$class->index])) {
                continue;
            }
            $made = $this->madeUnit($class);
            $together = [$class];
            $isFromStrips = $made?->way->key === StripSets::KEY;
            if ($made !== null && isset($twins[$class->index]) && ($isFromStrips || (! $made->way->isEitherHand && $made->way->other() > 0))) {
                $together[] = $classes[$twins[$class->index]];
            }
            $first = [];
            foreach ($together as $number => $one) {
                $piled[$one->index] = true;
                $inABatch = $made === null || $made->way->isByChoice ? 1 : intdiv($number === 0 ? $made->way->own : $made->way->other(), $made->way->parts);
                $first[$one->index] = $isFromStrips ? count($one->members) : min(count($one->members), max(1, $inABatch));
            }
            $rounds = [];
            foreach ($together as $one) {
                foreach (UnitRounds::of($this->construction, $one) as $number => $round) {
                    $rounds[$number] = [...$rounds[$number] ?? [], ...$round];
                }
            }
            $piles[] = new Pile($together, $isFromStrips ? self::stripsFirst($rounds) : array_values($rounds), $made?->way, $made->parts ?? 0, $first, self::level($class->members[0]), $this->blocks);
        }

        return $piles;
    }

    /**
     * All seams that strips are sewn with in one round, before those between the rows that are cut from them.
     *
     * @param array<int, list<Join>> $rounds
     *
     * @return list<non-empty-list<Join>>
     */
    private static function stripsFirst(array $rounds): array
    {
        $all = array_merge(...$rounds);
        $ofUnit = [];
        foreach ($all as $join) {
            $ofUnit[$join->tie?->unitClass.' '.$join->tie?->member][] = $join->seam->direction();
        }
        // The last seam of a unit lies between rows, unless the unit is a single one.
        $isStrip = static function (Join $join) use ($ofUnit): bool {
            $directions = $ofUnit[$join->tie?->unitClass.' '.$join->tie?->member];
            $crosses = static fn (Point $along): bool => $along->cross($directions[count($directions) - 1]) !== 0;

            return $crosses($join->seam->direction()) || array_filter($directions, $crosses) === [];
        };
        $between = array_map(static fn (array $round): array => array_values(array_filter($round, static fn (Join $join): bool => ! $isStrip($join))), $rounds);

        return array_values(array_filter([array_values(array_filter($all, $isStrip)), ...$between]));
    }

    private function madeUnit(UnitClass $class): ?MadeUnit
    {
        $key = ClassKinship::classKey($class->members[0]);
        $hand = ClassKinship::handKey($class->members[0], true);
        foreach ($this->cutting->units ?? [] as $made) {
            if ($made->unit->first !== null && ClassKinship::classKey($made->unit->first) === $key) {
                return $made;
            }
        }
        // A mirror twin is listed with the other hand.
        foreach ($this->cutting->units ?? [] as $made) {
            if ($made->unit->first !== null && ($made->unit->mirrored > 0 || $made->isAsTheyCome()) && ClassKinship::handKey($made->unit->first, false) === $hand) {
                return $made;
            }
        }

        return null;
    }

    /** How deep units lie within a unit. */
    private static function level(PlacedUnit $unit): int
    {
        $inner = array_map(static fn (Patch|PlacedUnit $part): int => $part instanceof Patch ? 0 : self::level($part) + 1, $unit->parts);

        return max([0, ...$inner]);
    }
}
