<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Making\Way;

/**
 * Units that are made together: a class, or a class and its mirror twin when one batch gives both hands.
 *
 * @internal
 */
final readonly class Pile
{
    /**
     * @param non-empty-list<UnitClass> $classes
     * @param list<list<Join>>          $rounds  joins of all members, by how often the unit goes to the machine before
     * @param Way|null                  $way     null where nothing is known of how the unit is made
     * @param int                       $batches of the way, for all blocks
     * @param array<int, int>           $first   how many members of each class come out of the first batch; all, where nothing is left to sew after it
     * @param int                       $level   how deep units lie within units: those of lower levels are made before
     */
    public function __construct(
        public array $classes,
        public array $rounds,
        public ?Way $way,
        public int $batches,
        public array $first,
        public int $level,
        public int $blocks,
    ) {}

    /** Several units come out of one batch, and are cut from each other after they are sewn. */
    public function isBatch(): bool
    {
        return $this->way !== null && $this->way->yields() > 1 && ! $this->way->isByChoice;
    }

    /** Its pieces are sewn in the shape of its patches, so that ears of slanting edges matter to the next seam. */
    public function isCutToShape(): bool
    {
        return ! $this->isBatch() && $this->way?->key !== 'flipped';
    }

    public function hasTrial(): bool
    {
        return $this->rest() > 0;
    }

    /** Members of this block that are made after the first ones were measured. */
    public function rest(): int
    {
        return $this->size() - array_sum($this->first);
    }

    /** Members in one block. */
    public function size(): int
    {
        return array_sum(array_map(static fn (UnitClass $class): int => count($class->members), $this->classes));
    }

    /** @return list<Join> of one round: of the members made first, or of the others */
    public function joins(int $round, bool $isFirst): array
    {
        return array_values(array_filter(
            $this->rounds[$round] ?? [],
            fn (Join $join): bool => $join->tie !== null && ($join->tie->member < $this->first[$join->tie->unitClass]) === $isFirst,
        ));
    }

    /**
     * How often the motion is done, over all blocks.
     *
     * @param list<Join> $joins of a round
     */
    public function times(array $joins, bool $isFirst): int
    {
        if ($this->isBatch()) {
            return match (true) {
                ! $this->hasTrial() => $this->batches,
                $isFirst => 1,
                default => $this->batches - 1,
            };
        }
        $inABlock = count($joins);
        if ($this->hasTrial()) {
            $units = max(1, $isFirst ? array_sum($this->first) : $this->rest());
            $perUnit = intdiv($inABlock, $units);

            return $isFirst ? $inABlock : $perUnit * ($this->blocks * $this->size() - array_sum($this->first));
        }

        return $this->blocks * $inABlock;
    }
}
