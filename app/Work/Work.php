<?php

declare(strict_types=1);

namespace App\Work;

use App\Workings\Pedal;
use App\Workings\WorkingOut;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkProgress;

/** The steps of a block and how far they are done. */
final readonly class Work
{
    public function __construct(
        public WorkingOut $working,
        public Pedal $pedal,
        public WorkProgress $progress,
        public int $blocks,
    ) {}

    /** @throws WorkNotPossible */
    public function step(string $key): Step
    {
        foreach ($this->pedal->steps as $step) {
            // A key that waited in a browser since steps were told by numbers still finds its step.
            if ($step->key() === $key || $step->keyByNumbers() === $key) {
                return $step;
            }
        }
        throw WorkNotPossible::noSuchStep();
    }

    public function with(WorkProgress $progress): self
    {
        return new self($this->working, $this->pedal, $progress, $this->blocks);
    }

    public function stepsDone(): int
    {
        return count(array_filter($this->pedal->steps, $this->progress->isDone(...)));
    }

    /** The join that makes a part, by the part's patches. */
    public function joinOf(int ...$patches): ?int
    {
        sort($patches);
        foreach ($this->working->construction()->joins as $join) {
            if ($join->patchIds() === $patches) {
                return $join->id;
            }
        }

        return null;
    }
}
