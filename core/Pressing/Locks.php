<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
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
            fn (Lock $lock): bool => $this->pileOf($lock->join) !== $this->pileOf($join),
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
        $piles = array_flip(array_map(fn (Lock $lock): string => $this->pileOf($lock->join), $this->all));

        return array_values(array_map(
            static fn (Join $join): int => $join->id,
            array_filter($this->construction->joins, static fn (Join $join): bool => isset($piles[$join->pile()])),
        ));
    }

    private function pileOf(int $join): string
    {
        return ($this->construction->joins[$join] ?? null)?->pile() ?? 'join '.$join;
    }
}
