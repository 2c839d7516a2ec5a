<?php

declare(strict_types=1);

namespace App\Work;

use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Pressing\PressingPlan;

/** The steps of a block and how far they are done. */
final readonly class Work
{
    /** @param list<Step> $steps */
    public function __construct(
        public PressingPlan $plan,
        public array $steps,
        public WorkProgress $progress,
        public int $blocks,
    ) {}

    /** @throws WorkNotPossible */
    public function step(string $key): Step
    {
        foreach ($this->steps as $step) {
            if ($step->key() === $key) {
                return $step;
            }
        }
        throw WorkNotPossible::noSuchStep();
    }

    public function with(WorkProgress $progress): self
    {
        return new self($this->plan, $this->steps, $progress, $this->blocks);
    }

    public function stepsDone(): int
    {
        return count(array_filter($this->steps, $this->progress->isDone(...)));
    }

    /** The join that makes a part, by the part's patches. */
    public function joinOf(int ...$patches): ?int
    {
        sort($patches);
        foreach ($this->plan->construction->joins as $join) {
            $ids = $join->patchIds();
            sort($ids);
            if ($ids === $patches) {
                return $join->id;
            }
        }

        return null;
    }
}
