<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;

/** A way to press a whole block, with everything it costs. */
final readonly class PressingPlan
{
    /**
     * @param list<MatchReport> $matches     strictly inside the joins, by join and along it
     * @param list<MatchReport> $ends        the same at the ends of joins; they cost nothing
     * @param list<Junction>    $junctions
     * @param list<list<int>>   $plies       round each junction, as Layers::around() counts them
     * @param list<TurnedUnit>  $turnedUnits
     * @param Cost|null         $bound       no plan under the same locks costs less; null where nobody searched
     * @param bool              $proved      whether the plan reaches the bound
     */
    public function __construct(
        public Construction $construction,
        public Pressing $pressing,
        public array $matches,
        public array $ends,
        public array $junctions,
        public array $plies,
        public Cost $cost,
        public array $turnedUnits = [],
        public ?Cost $bound = null,
        public bool $proved = false,
    ) {}

    /** @return list<int> the most plies round each junction */
    public function peaks(): array
    {
        return array_map(static fn (array $plies): int => max([0, ...$plies]), $this->plies);
    }

    /**
     * The same plan with what the search adds to its price.
     *
     * @param list<TurnedUnit> $turnedUnits
     */
    public function found(array $turnedUnits, ?Cost $bound, bool $proved): self
    {
        return new self(
            $this->construction,
            $this->pressing,
            $this->matches,
            $this->ends,
            $this->junctions,
            $this->plies,
            $this->cost,
            $turnedUnits,
            $bound,
            $proved,
        );
    }

    public function priced(Cost $cost): self
    {
        return new self($this->construction, $this->pressing, $this->matches, $this->ends, $this->junctions, $this->plies, $cost);
    }

    public function count(Nesting $nesting): int
    {
        return count(array_filter($this->matches, static fn (MatchReport $match): bool => $match->nesting === $nesting));
    }
}
