<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Pressing\TopPlanner;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;

/** What WorkedFile is to the file of a block, for that of a top. */
final class WorkedTop
{
    private ?TopConstruction $placed = null;

    private ?TopPlan $plan = null;

    /** @param \Closure(): bool $timeIsUp for the search */
    public function __construct(
        private readonly Top $top,
        private readonly TopOrder $order,
        private readonly PressAsked $press,
        private readonly \Closure $timeIsUp,
    ) {}

    /** Taken apart as its blocks are placed. */
    public function placed(): TopConstruction
    {
        return $this->placed ??= TopConstruction::of(TopFace::of($this->top), $this->order);
    }

    public function style(): PressStyle
    {
        return $this->press->style ?? PressStyle::Nest;
    }

    public function plan(): TopPlan
    {
        return $this->plan ??= (new TopPlanner($this->placed()))->best(
            new PressQuestion($this->style(), $this->locks(), $this->press->lump ?? PressQuestion::LUMP, equalParts: $this->press->equalParts),
            $this->timeIsUp,
        );
    }

    /**
     * @return list<Lock>
     *
     * @throws \KeenSeam\Core\KeenSeamProblem when a rule or a lock fits no seam
     */
    private function locks(): array
    {
        $construction = $this->placed()->construction;
        foreach ($this->press->locks as $lock) {
            $lock->joinIn($construction);
        }

        return $this->press->rules === [] ? $this->press->locks : (new Rules($construction))->locks($this->press->rules, new Locks($construction, $this->press->locks));
    }
}
