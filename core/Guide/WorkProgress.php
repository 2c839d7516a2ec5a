<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;

/** How far a block has come: which joins are sewn and how they were pressed, and what else is done. */
final readonly class WorkProgress
{
    /**
     * @param list<int>                                  $sewn      ids of joins
     * @param array<int, non-empty-list<PressDirection>> $pressed   by join, as they really lie
     * @param list<string>                               $done      keys of other steps
     * @param array<string, int>                         $left      by key of a step: how often it is still to be done, where that is not how often it says; 0 once it was counted out
     * @param array<int, non-empty-list<PressDirection>> $elsewhere by join that was opened in some of several blocks: how it lies in the others
     */
    public function __construct(
        public array $sewn = [],
        public array $pressed = [],
        public array $done = [],
        public array $left = [],
        public array $elsewhere = [],
    ) {}

    public function isDone(Step $step): bool
    {
        return match ($step->do) {
            StepKind::Join, StepKind::Press => $this->open($step) === [],
            default => in_array($step->key(), $this->done, true),
        };
    }

    /** @return list<int> joins of the step that are still to be sewn or pressed */
    public function open(Step $step): array
    {
        $ready = $step->do === StepKind::Press ? array_keys($this->pressed) : $this->sewn;

        return array_values(array_diff($step->joins, $ready));
    }

    /** How often a step is still to be done. */
    public function left(Step $step): int
    {
        return $this->isDone($step) ? 0 : $this->left[$step->key()] ?? $step->times;
    }

    /**
     * The step to do next.
     *
     * @param list<Step> $steps
     */
    public function next(array $steps): ?int
    {
        foreach ($steps as $i => $step) {
            if (! $this->isDone($step)) {
                return $i;
            }
        }

        return null;
    }

    /** @param Pressing $plan how the seams are pressed, if the step presses some */
    public function with(Step $step, Pressing $plan): self
    {
        $left = array_diff_key($this->left, [$step->key() => 0]);

        return match ($step->do) {
            StepKind::Join => new self(array_values(array_unique([...$this->sewn, ...$step->joins])), $this->pressed, $this->done, $left, $this->elsewhere),
            StepKind::Press => new self($this->sewn, $this->pressed + array_intersect_key($plan->directions, array_flip($step->joins)), $this->done, $left, array_diff_key($this->elsewhere, array_flip($step->joins))),
            default => new self($this->sewn, $this->pressed, array_values(array_unique([...$this->done, $step->key()])), $left, $this->elsewhere),
        };
    }

    /**
     * One more of the times a step is done; with the last of them the step itself.
     *
     * @param Pressing $plan as for with()
     */
    public function counted(Step $step, Pressing $plan): self
    {
        $left = max(0, $this->left($step) - 1);

        return ($left === 0 ? $this->with($step, $plan) : $this)->withLeft($step, $left);
    }

    /**
     * As it was before the last key.
     *
     * @param list<int>|null $joins those that the step did when it was done last; all of its joins when left out
     * @param int|null       $left  how often it was to be done before; one time more than now when left out
     */
    public function without(Step $step, ?array $joins = null, ?int $left = null): self
    {
        $joins ??= $step->joins;
        $left ??= min($step->times, ($this->left[$step->key()] ?? $step->times) + 1);
        $undone = match (true) {
            ! $this->isDone($step) => $this,
            $step->do === StepKind::Join => new self(array_values(array_diff($this->sewn, $joins)), $this->pressed, $this->done, $this->left, $this->elsewhere),
            $step->do === StepKind::Press => new self($this->sewn, array_diff_key($this->pressed, array_flip($joins)), $this->done, $this->left, $this->elsewhere),
            default => new self($this->sewn, $this->pressed, array_values(array_diff($this->done, [$step->key()])), $this->left, $this->elsewhere),
        };

        return $undone->withLeft($step, $left);
    }

    private function withLeft(Step $step, int $left): self
    {
        $others = array_diff_key($this->left, [$step->key() => 0]);

        return new self($this->sewn, $this->pressed, $this->done, $left === $step->times ? $others : [$step->key() => $left] + $others, $this->elsewhere);
    }

    /**
     * The seams of a step were pressed otherwise than planned: that is so now.
     *
     * @param Pressing $plan as it was to be
     */
    public function pressedOtherwise(Step $step, Pressing $plan): self
    {
        $pressed = $this->pressed;
        foreach ($step->joins as $join) {
            $pressed[$join] = array_map(static fn (PressDirection $direction): PressDirection => $direction === PressDirection::Open ? PressDirection::Left : $direction->swapped(), $pressed[$join] ?? $plan->directions[$join]);
        }

        return new self($this->sewn, $pressed, $this->done, array_diff_key($this->left, [$step->key() => 0]), array_diff_key($this->elsewhere, array_flip($step->joins)));
    }

    /**
     * What has to be opened to get at a join: the join itself and every sewn one that holds it.
     *
     * @return list<int> the outermost first; none when the join is not sewn
     */
    public function toUnpick(Construction $construction, int $join): array
    {
        if (! in_array($join, $this->sewn, true)) {
            return [];
        }
        $patches = $construction->joins[$join]->patchIds();
        $holding = array_filter(
            $construction->joins,
            fn (Join $other): bool => in_array($other->id, $this->sewn, true) && array_diff($patches, $other->patchIds()) === [],
        );

        return array_reverse(array_keys($holding));
    }

    /**
     * With a join opened again, and everything that rests on it.
     *
     * @param list<Step> $steps
     * @param int        $blocks   in how many blocks
     * @param int        $ofBlocks that are made
     */
    public function unpicked(Construction $construction, int $join, array $steps, int $blocks = 1, int $ofBlocks = 1): self
    {
        $opened = $this->toUnpick($construction, $join);
        if ($opened === []) {
            return $this;
        }
        $patches = $construction->joins[$join]->patchIds();
        $holds = static fn (array $set): bool => array_diff($patches, $set) === [];
        $again = [];
        $left = array_diff_key($this->left, array_flip($this->done));
        foreach ($steps as $step) {
            $isLookedAt = in_array($step->do, [StepKind::Check, StepKind::Measure, StepKind::SquareUp], true);
            $sets = array_filter($step->sets, $holds);
            if ($isLookedAt && ($sets !== [] || array_intersect($step->made, $opened) !== [])) {
                $again[] = $step->key();
            }
            $times = match (true) {
                $step->do === StepKind::Join, $step->do === StepKind::Press => count(array_intersect($step->joins, $opened)),
                default => max(1, count($sets)),
            };
            if (in_array($step->key(), $again, true) || array_intersect($step->joins, $opened) !== []) {
                // What was still to be done of it stays so.
                $left[$step->key()] = min($step->times, $this->left($step) + $times * $blocks);
            }
        }

        return new self(
            array_values(array_diff($this->sewn, $opened)),
            array_diff_key($this->pressed, array_flip($opened)),
            array_values(array_diff($this->done, $again)),
            $left,
            ($blocks < $ofBlocks ? array_intersect_key($this->pressed, array_flip($opened)) : []) + $this->elsewhere,
        );
    }

    /**
     * What is pressed already, as locks for whoever plans the rest; one for each pile that is pressed alike.
     *
     * A seam that changes its direction on its way is no whole lock and is left to the plan.
     *
     * @param list<int> $twoPiles classes that are pressed in two piles, and so are not alike
     *
     * @return list<Lock>
     */
    public function facts(Construction $construction, array $twoPiles = []): array
    {
        $lies = $this->pressed + $this->elsewhere;
        $locks = [];
        foreach ($construction->joins as $join) {
            $directions = $lies[$join->id] ?? null;
            $pile = $join->tie === null ? 'join '.$join->id : 'class '.$join->tie->unitClass.' '.$join->tie->join;
            $isWhole = $directions !== null && count(array_unique($directions, SORT_REGULAR)) === 1;
            if ($isWhole && ! isset($locks[$pile]) && ! in_array($join->tie?->unitClass, $twoPiles, true)) {
                $locks[$pile] = new Lock($join->id, $directions[0]);
            }
        }

        return array_values($locks);
    }

    /** Whether a plan presses what is pressed already as it really lies. */
    public function agreesWith(Pressing $plan): bool
    {
        foreach ($this->pressed + $this->elsewhere as $join => $directions) {
            if (($plan->directions[$join] ?? $directions) !== $directions) {
                return false;
            }
        }

        return true;
    }
}
