<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Making\Recipes\StripSets;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\StageKind;
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

    /** Strips are sewn lengthwise and cut across, for all of them at once. */
    public function isFromStrips(): bool
    {
        return $this->way?->key === StripSets::KEY;
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

    /** @return list<Join> of one round: of what is made first, or of the rest */
    public function joins(int $round, bool $isFirst): array
    {
        return array_values(array_filter(
            $this->rounds[$round] ?? [],
            fn (Join $join): bool => $join->tie !== null && ($join->tie->member < $this->madeFirst($join->tie->unitClass, $round)) === $isFirst,
        ));
    }

    /**
     * How many pieces this is done to, over all blocks: pairs under the needle or the knife, units at the iron.
     *
     * @param list<Join> $joins of a round
     * @param StageKind  $stage read off the way where several units come out of a batch; else every seam is a piece
     */
    public function times(array $joins, int $round, bool $isFirst, StageKind $stage = StageKind::Sew): int
    {
        if ($this->isBatch() && $this->way !== null && $this->followsStages()) {
            $inABatch = $this->inABatch($stage, $stage === StageKind::Press ? $round + 1 : $round);
            // What is half made comes from whole squares; the units are finished part by part.
            $isWhole = $stage === StageKind::Press ? $round === 0 && count($this->rounds) > 1 : $round === 0;
            $all = $isWhole ? $this->way->batchesFor($this->batches) : $this->batches;
            $tried = $this->hasTrial() ? 1 : 0;

            return intdiv($inABatch * ($this->hasTrial() ? ($isFirst ? $tried : $all - $tried) : $all), $isWhole ? 1 : $this->way->parts);
        }
        $inABlock = count($joins);
        if ($this->hasTrial()) {
            $units = max(1, $isFirst ? array_sum($this->first) : $this->rest());
            $perUnit = intdiv($inABlock, $units);

            return $isFirst ? $inABlock : $perUnit * ($this->blocks * $this->size() - array_sum($this->first));
        }

        return $this->blocks * $inABlock;
    }

    /** Whether the rounds in which the seams are sewn are those of the way. */
    public function followsStages(): bool
    {
        return $this->way !== null && $this->way->rounds() === count($this->rounds);
    }

    /**
     * The stages of its way that a step does; none where the pieces are sewn in the shape of their patches.
     *
     * @return list<Stage>
     */
    public function stages(StageKind $do, int $round): array
    {
        if ($this->way === null || $this->isCutToShape()) {
            return [];
        }
        // Where corners share a trip one of them stands for the others.
        $ofWay = $this->followsStages() ? $round : intdiv($round * $this->way->rounds(), max(1, count($this->rounds)));

        return $this->way->stagesOf($do, $do === StageKind::Press ? $ofWay + 1 : $ofWay);
    }

    private function inABatch(StageKind $do, int $round): int
    {
        return array_sum(array_map(static fn (Stage $stage): int => $stage->count, $this->way?->stagesOf($do, $round) ?? []));
    }

    /** Members whose seams of a round are sewn with the first batch. */
    private function madeFirst(int $class, int $round): int
    {
        $isHalfMade = $this->hasTrial() && $this->isBatch() && $this->followsStages() && $round === 0 && count($this->rounds) > 1;

        return $isHalfMade && $this->way !== null ? $this->halfMadeFirst($this->way)[$class] : $this->first[$class];
    }

    /** @return array<int, int> by class: of the first round all that its squares give, but one where more squares are to follow */
    private function halfMadeFirst(Way $way): array
    {
        $made = [];
        foreach ($this->classes as $class) {
            $made[$class->index] = min(count($class->members), $this->first[$class->index] * $way->parts);
        }
        foreach ($way->batchesFor($this->batches) > 1 && array_sum($made) === $this->size() ? $this->first : [] as $class => $first) {
            if ($made[$class] > $first) {
                --$made[$class];
                break;
            }
        }

        return $made;
    }
}
