<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Patch;

/** The work once a pile of the wrong hand is to be mended: what is done to its units again is due again, and only so often. */
final readonly class MendedHands
{
    /** @param list<Step> $steps of the work */
    public function __construct(
        private WorkProgress $progress,
        private Construction $construction,
        private array $steps,
        private int $blocks,
    ) {}

    /** @param UnitClass|null $twin of which so many are made already, where they are put on its pile */
    public function after(UnitClass $class, WrongHand $mend, ?UnitClass $twin = null): WorkProgress
    {
        if ($mend->how === HandMend::Turn) {
            return $this->progress;
        }
        $members = array_slice($this->progress->loose($this->construction, $class), -(int) ceil($mend->count / $this->blocks));
        $isAnew = $mend->how === HandMend::Swap || $mend->how === HandMend::Remake;
        $opened = [];
        foreach ($this->construction->joins as $join) {
            if ($join->tie?->unitClass === $class->index && in_array($join->tie->member, $members, true) && ($isAnew || $mend->how === HandMend::Press || in_array($join->tie->join, $mend->joins, true))) {
                $opened[] = $join->id;
            }
        }
        $patches = array_map(static fn (int $member): array => array_map(static fn (Patch $patch): int => $patch->id, $class->members[$member]->patches()), $members);
        $again = $this->dueAgain($opened, $patches, $mend, count($class->members) * $this->blocks);
        $reached = $mend->how === HandMend::Press ? [] : $opened;
        $mended = new WorkProgress(
            array_values(array_diff($this->progress->sewn, $reached)),
            array_diff_key($this->progress->pressed, array_flip($opened)),
            array_values(array_diff($this->progress->done, array_keys($again))),
            $again + $this->progress->due,
            array_diff_key($this->progress->counted, $again),
            ($mend->count < count($members) * $this->blocks || count($members) < count($class->members) ? array_intersect_key($this->progress->pressed, array_flip($opened)) : []) + $this->progress->elsewhere,
        );

        return $twin === null || $mend->how !== HandMend::Swap ? $mended : (new self($mended, $this->construction, $this->steps, $this->blocks))->madeAlready($twin, $mend->count);
    }

    /**
     * @param list<int>       $opened
     * @param list<list<int>> $patches of each unit that is mended
     *
     * @return array<string, int> by key of a step: how often it is to be done
     */
    private function dueAgain(array $opened, array $patches, WrongHand $mend, int $units): array
    {
        $isAnew = $mend->how === HandMend::Swap || $mend->how === HandMend::Remake;
        $due = [];
        foreach ($this->steps as $step) {
            $ofUnits = array_filter($patches, static fn (array $unit): bool => array_intersect($unit, $step->patchIds) !== []);
            if ($step->unitClass === null || $ofUnits === []) {
                continue;
            }
            $times = match ($step->do) {
                // Single seams are sewn one by one, a batch only where the units are made anew.
                StepKind::Join => match (true) {
                    $isAnew => (int) ceil($step->times * $mend->count / max($units, $mend->count)),
                    $mend->how === HandMend::Seams => $mend->count * intdiv(count(array_intersect($step->joins, $opened)) + count($ofUnits) - 1, count($ofUnits)),
                    default => 0,
                },
                StepKind::Press => array_intersect($step->joins, $opened) === [] ? 0 : $mend->count,
                StepKind::Mark, StepKind::CutApart => $isAnew ? (int) ceil($step->times * $mend->count / max($units, $mend->count)) : 0,
                StepKind::SquareUp => $mend->how === HandMend::Press ? 0 : $mend->count,
                default => 0,
            };
            if ($times > 0) {
                $due[$step->key()] = min($step->times, $this->progress->left($step) + $times);
            }
        }

        return $due;
    }

    /** Units that were not meant to be of this class and are. */
    private function madeAlready(UnitClass $class, int $count): WorkProgress
    {
        $whole = array_slice(array_keys($class->members), 0, intdiv($count, $this->blocks));
        $sewn = [];
        foreach ($this->construction->joins as $join) {
            if ($join->tie?->unitClass === $class->index && in_array($join->tie->member, $whole, true)) {
                $sewn[] = $join->id;
            }
        }
        $due = $this->progress->due;
        $units = count($class->members) * $this->blocks;
        foreach ($this->steps as $step) {
            $isOfClass = array_filter($step->joins, fn (int $id): bool => $this->construction->joins[$id]->tie?->unitClass === $class->index) !== [];
            if ($step->do === StepKind::Join && $isOfClass && ! $this->progress->isDone($step)) {
                $due[$step->key()] = max(1, $this->progress->left($step) - intdiv($step->times * $count, $units));
            }
        }

        return new WorkProgress(array_values(array_unique([...$this->progress->sewn, ...$sewn])), $this->progress->pressed, $this->progress->done, $due, $this->progress->counted, $this->progress->elsewhere);
    }
}
