<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\MatchReport;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\TurnedUnit;

/** A plan as it is kept: without the construction, which is kept by itself. */
final readonly class KeptPlan
{
    /**
     * @param list<MatchReport> $matches
     * @param list<MatchReport> $ends
     * @param list<Junction>    $junctions
     * @param list<list<int>>   $plies
     * @param list<TurnedUnit>  $turnedUnits
     */
    private function __construct(
        private Pressing $pressing,
        private array $matches,
        private array $ends,
        private array $junctions,
        private array $plies,
        private Cost $cost,
        private array $turnedUnits,
        private ?Cost $bound,
        public bool $proved,
    ) {}

    public static function of(PressingPlan $plan): self
    {
        return new self($plan->pressing, $plan->matches, $plan->ends, $plan->junctions, $plan->plies, $plan->cost, $plan->turnedUnits, $plan->bound, $plan->proved);
    }

    public function on(Construction $construction): PressingPlan
    {
        return new PressingPlan($construction, $this->pressing, $this->matches, $this->ends, $this->junctions, $this->plies, $this->cost, $this->turnedUnits, $this->bound, $this->proved);
    }
}
