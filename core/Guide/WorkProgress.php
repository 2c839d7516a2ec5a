<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;

/** How far a block has come: which joins are sewn and how they were pressed, and what else is done. */
final readonly class WorkProgress
{
    /** @var array<int, int> joins that are sewn, as keys */
    private array $isSewn;

    /**
     * @param list<int>                                  $sewn      ids of joins
     * @param array<int, non-empty-list<PressDirection>> $pressed   by join, as they really lie
     * @param list<string>                               $done      keys of other steps
     * @param array<string, int>                         $due       by key of a step that was opened again: how often it is to be done, instead of how often it says
     * @param array<string, int>                         $counted   by key of a step: how many of its times were counted
     * @param array<int, non-empty-list<PressDirection>> $elsewhere by join that was opened in some of several blocks: how it lies in the others
     */
    public function __construct(
        public array $sewn = [],
        public array $pressed = [],
        public array $done = [],
        public array $due = [],
        public array $counted = [],
        public array $elsewhere = [],
    ) {
        $this->isSewn = array_flip($sewn);
    }

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
        $ready = $step->do === StepKind::Press ? $this->pressed : $this->isSewn;

        return array_values(array_filter($step->joins, static fn (int $join): bool => ! isset($ready[$join])));
    }

    /** How often a step is still to be done. */
    public function left(Step $step): int
    {
        return $this->isDone($step) ? 0 : max(0, ($this->due[$step->key()] ?? $step->times) - $this->counted($step));
    }

    public function counted(Step $step): int
    {
        return $this->counted[$step->key()] ?? 0;
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
            StepKind::Join => $this->but(sewn: array_values(array_unique([...$this->sewn, ...$step->joins]))),
            StepKind::Press => $this->but(
                pressed: $this->pressed + array_intersect_key($plan->directions, array_flip($step->joins)),
                elsewhere: array_diff_key($this->elsewhere, array_flip($step->joins)),
            ),
            default => $this->but(done: array_values(array_unique([...$this->done, $step->key()]))),
        };
    }

    /**
     * One more of the times that a step is done; with the last of them the step itself.
     *
     * @param Pressing $plan as for with()
     */
    public function withOneMore(Step $step, Pressing $plan): self
    {
        if ($this->isDone($step)) {
            return $this;
        }
        $counted = $this->but(counted: [$step->key() => $this->counted($step) + 1] + $this->counted);

        return $counted->left($step) === 0 ? $counted->with($step, $plan) : $counted;
    }

    /**
     * As it was before the last key: one time less where times were counted, else the step not done.
     *
     * @param list<int>|null $joins those that the step did when it was done last; all of its joins when left out
     */
    public function without(Step $step, ?array $joins = null): self
    {
        $joins ??= $step->joins;
        $counted = $this->counted($step);
        $isCountedOut = $counted > 0 && $counted >= ($this->due[$step->key()] ?? $step->times);
        $before = ! $this->isDone($step) || $isCountedOut ? $this->but(counted: array_filter([$step->key() => max(0, $counted - 1)] + $this->counted)) : $this;

        return match ($step->do) {
            StepKind::Join => $before->but(sewn: array_values(array_diff($this->sewn, $this->isDone($step) ? $joins : []))),
            StepKind::Press => $before->but(pressed: array_diff_key($this->pressed, array_flip($this->isDone($step) ? $joins : []))),
            default => $before->but(done: array_values(array_diff($this->done, [$step->key()]))),
        };
    }

    /**
     * @param list<int>|null                                  $sewn
     * @param array<int, non-empty-list<PressDirection>>|null $pressed
     * @param list<string>|null                               $done
     * @param array<string, int>|null                         $due
     * @param array<string, int>|null                         $counted
     * @param array<int, non-empty-list<PressDirection>>|null $elsewhere
     */
    private function but(?array $sewn = null, ?array $pressed = null, ?array $done = null, ?array $due = null, ?array $counted = null, ?array $elsewhere = null): self
    {
        return new self($sewn ?? $this->sewn, $pressed ?? $this->pressed, $done ?? $this->done, $due ?? $this->due, $counted ?? $this->counted, $elsewhere ?? $this->elsewhere);
    }

    /**
     * The seams of a step that were still to be pressed lie otherwise than planned: that is so now.
     *
     * @param Pressing $plan as it was to be
     */
    public function pressedOtherwise(Step $step, Pressing $plan): self
    {
        $pressed = $this->pressed;
        $open = $this->open($step);
        foreach ($open === [] ? $step->joins : $open as $join) {
            $pressed[$join] = array_map(static fn (PressDirection $direction): PressDirection => $direction === PressDirection::Open ? PressDirection::Left : $direction->swapped(), $pressed[$join] ?? $plan->directions[$join]);
        }

        return $this->but(pressed: $pressed, elsewhere: array_diff_key($this->elsewhere, array_flip($step->joins)));
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
        [$due, $counted] = [$this->due, $this->counted];
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
                $due[$step->key()] = min($step->times, $this->left($step) + $times * $blocks);
                unset($counted[$step->key()]);
            }
        }

        return new self(
            array_values(array_diff($this->sewn, $opened)),
            array_diff_key($this->pressed, array_flip($opened)),
            array_values(array_diff($this->done, $again)),
            $due,
            $counted,
            ($blocks < $ofBlocks ? array_intersect_key($this->pressed, array_flip($opened)) : []) + $this->elsewhere,
        );
    }

    /**
     * One less of what was counted of a step that is not done yet: those pieces are opened again.
     *
     * @param int $pieces at most as many as were counted
     */
    public function uncounted(Step $step, int $pieces): self
    {
        return $this->but(counted: array_filter([$step->key() => max(0, $this->counted($step) - $pieces)] + $this->counted));
    }

    /** @return array<int, true> ids of the patches in what is sewn of units to each other: how those lie is settled */
    public function settled(Construction $construction): array
    {
        $settled = [];
        foreach ($construction->joins as $join) {
            if ($join->tie === null && isset($this->isSewn[$join->id])) {
                $settled += array_fill_keys($join->patchIds(), true);
            }
        }

        return $settled;
    }

    /** How many units of a class, in one block, are not begun. */
    public function notBegun(Construction $construction, UnitClass $class): int
    {
        $begun = [];
        foreach ($construction->joins as $join) {
            if ($join->tie?->unitClass === $class->index && isset($this->isSewn[$join->id])) {
                $begun[$join->tie->member] = true;
            }
        }

        return count($class->members) - count($begun);
    }

    /** @return list<string> labels of the classes of which no unit is left to sew */
    public function finishedClasses(Construction $construction): array
    {
        $open = [];
        foreach ($construction->joins as $join) {
            if ($join->tie !== null && ! isset($this->isSewn[$join->id])) {
                $open[$join->tie->unitClass] = true;
            }
        }

        return array_values(array_map(static fn (UnitClass $class): string => $class->label(), array_diff_key($construction->classes, $open)));
    }

    /**
     * Units of a class that are sewn and not yet sewn to anything.
     *
     * @return list<int> numbers within the class
     */
    public function loose(Construction $construction, UnitClass $class): array
    {
        $isOpen = $isTaken = [];
        $memberOf = [];
        foreach ($class->members as $number => $member) {
            foreach ($member->patches() as $patch) {
                $memberOf[$patch->id] = $number;
            }
        }
        foreach ($construction->joins as $join) {
            $isSewn = isset($this->isSewn[$join->id]);
            if ($join->tie?->unitClass === $class->index && ! $isSewn) {
                $isOpen[$join->tie->member] = true;
            } elseif ($join->tie?->unitClass !== $class->index && $isSewn) {
                $isTaken += array_fill_keys(array_intersect_key($memberOf, array_flip($join->patchIds())), true);
            }
        }

        return array_values(array_diff(array_keys($class->members), array_keys($isOpen), array_keys($isTaken)));
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
            $pile = $join->pile();
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
