<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\JoinNotKnown;

/** The seams a quilter decided herself; one word for each pile that is pressed alike. */
final readonly class Locks
{
    /** @param list<Lock> $all */
    public function __construct(
        private Construction $construction,
        public array $all,
    ) {}

    /** @throws JoinNotKnown */
    public function with(Lock $lock): self
    {
        return new self($this->construction, [...$this->without($lock->join)->all, $lock]);
    }

    /** @throws JoinNotKnown */
    public function without(int $join): self
    {
        JoinNotKnown::unlessIn($this->construction, $join);

        return new self($this->construction, array_values(array_filter(
            $this->all,
            fn (Lock $lock): bool => ! $this->isPressedWith($lock->join, $join),
        )));
    }

    public function none(): self
    {
        return new self($this->construction, []);
    }

    /** Whether a lock decides over the join, be it on another unit of its class. */
    public function hold(int $join): bool
    {
        return count($this->without($join)->all) < count($this->all);
    }

    /** @return list<int> all joins that a lock decides over, be it on another unit of their class */
    public function held(): array
    {
        $alone = $piles = [];
        foreach ($this->all as $lock) {
            $tie = $this->construction->joins[$lock->join]->tie ?? null;
            $tie === null ? $alone[$lock->join] = true : $piles[$tie->unitClass.' '.$tie->join] = true;
        }
        $held = [];
        foreach ($this->all === [] ? [] : $this->construction->joins as $join) {
            if (isset($alone[$join->id]) || ($join->tie !== null && isset($piles[$join->tie->unitClass.' '.$join->tie->join]))) {
                $held[] = $join->id;
            }
        }

        return $held;
    }

    private function isPressedWith(int $a, int $b): bool
    {
        [$tieA, $tieB] = [$this->construction->joins[$a]->tie ?? null, $this->construction->joins[$b]->tie ?? null];

        return $a === $b || ($tieA !== null && $tieB !== null && $tieA->unitClass === $tieB->unitClass && $tieA->join === $tieB->join);
    }
}
