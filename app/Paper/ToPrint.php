<?php

declare(strict_types=1);

namespace App\Paper;

use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Top;

/** A block or a top to be printed; each part is worked out when a sheet wants it, once. */
final class ToPrint
{
    private ?CuttingPlan $cutting = null;

    private ?PressingPlan $plan = null;

    private ?TopPlan $topPlan = null;

    /**
     * @param \Closure(): CuttingPlan            $makeCutting
     * @param \Closure(): (PressingPlan|TopPlan) $makePlan
     * @param \Closure(PressingPlan): Drift      $makeDrift
     * @param \Closure(PressingPlan): list<Step> $makeSteps
     * @param Top|null                           $asPlaced    a top, before its plan turned blocks; null for a block
     */
    public function __construct(
        public readonly string $name,
        private readonly \Closure $makeCutting,
        private readonly \Closure $makePlan,
        private readonly \Closure $makeDrift,
        private readonly \Closure $makeSteps,
        public readonly ?Tolerance $tolerance = null,
        public readonly ?Top $asPlaced = null,
    ) {}

    public function cutting(): CuttingPlan
    {
        return $this->cutting ??= ($this->makeCutting)();
    }

    public function plan(): PressingPlan
    {
        if ($this->plan === null) {
            $made = ($this->makePlan)();
            [$this->plan, $this->topPlan] = $made instanceof TopPlan ? [$made->plan, $made] : [$made, null];
        }

        return $this->plan;
    }

    /** null for a block. */
    public function topPlan(): ?TopPlan
    {
        $this->plan();

        return $this->topPlan;
    }

    public function drift(): Drift
    {
        return ($this->makeDrift)($this->plan());
    }

    /** @return list<Step> */
    public function steps(): array
    {
        return ($this->makeSteps)($this->plan());
    }
}
