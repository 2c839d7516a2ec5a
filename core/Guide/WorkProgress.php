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
     * @param list<int>                                  $sewn    ids of joins
     * @param array<int, non-empty-list<PressDirection>> $pressed by join, as they really lie
     * @param list<string>                               $done    keys of other steps
     */
    public function __construct(
        public array $sewn = [],
        public array $pressed = [],
        public array $done = [],
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
        return match ($step->do) {
            StepKind::Join => new self(array_values(array_unique([...$this->sewn, ...$step->joins])), $this->pressed, $this->done),
            StepKind::Press => new self($this->sewn, $this->pressed + array_intersect_key($plan->directions, array_flip($step->joins)), $this->done),
            default => new self($this->sewn, $this->pressed, array_values(array_unique([...$this->done, $step->key()]))),
        };
    }

    /** As it was before the step: a key pressed too early is taken back. */
    public function without(Step $step): self
    {
        return match ($step->do) {
            StepKind::Join => new self(array_values(array_diff($this->sewn, $step->joins)), $this->pressed, $this->done),
            StepKind::Press => new self($this->sewn, array_diff_key($this->pressed, array_flip($step->joins)), $this->done),
            default => new self($this->sewn, $this->pressed, array_values(array_diff($this->done, [$step->key()]))),
        };
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

        return new self($this->sewn, $pressed, $this->done);
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
     */
    public function unpicked(Construction $construction, int $join, array $steps): self
    {
        $opened = $this->toUnpick($construction, $join);
        if ($opened === []) {
            return $this;
        }
        $patches = $construction->joins[$join]->patchIds();
        $holds = static fn (array $set): bool => array_diff($patches, $set) === [];
        $again = [];
        foreach ($steps as $step) {
            $isLookedAt = in_array($step->do, [StepKind::Check, StepKind::Measure, StepKind::SquareUp], true);
            if ($isLookedAt && (array_filter($step->sets, $holds) !== [] || array_intersect($step->made, $opened) !== [])) {
                $again[] = $step->key();
            }
        }

        return new self(
            array_values(array_diff($this->sewn, $opened)),
            array_diff_key($this->pressed, array_flip($opened)),
            array_values(array_diff($this->done, $again)),
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
        $locks = [];
        foreach ($construction->joins as $join) {
            $directions = $this->pressed[$join->id] ?? null;
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
        foreach ($this->pressed as $join => $directions) {
            if (($plan->directions[$join] ?? $directions) !== $directions) {
                return false;
            }
        }

        return true;
    }
}
