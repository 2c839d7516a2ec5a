<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Pressing\Internal\Furl;
use KeenSeam\Core\Pressing\Internal\JunctionTables;
use KeenSeam\Core\Pressing\Internal\Optimum;
use KeenSeam\Core\Pressing\Internal\PressingModel;
use KeenSeam\Core\Pressing\Internal\SeamCosts;
use KeenSeam\Core\Pressing\Internal\SeamVariables;
use KeenSeam\Core\Pressing\Internal\Weight;

/** Finds the pressing plan that costs least, and prices any plan. */
final class PressingPlanner
{
    /** @var list<Junction> */
    private readonly array $junctions;

    /** @var array<string, array{PressingModel, Optimum}> what was found, by question */
    private array $solved = [];

    /** @var array<int, JunctionTables> for joins pressed as wholes, and by segments */
    private array $tables = [];

    public function __construct(
        public readonly Construction $construction,
        private readonly ?PlanMemory $memory = null,
    ) {
        $this->junctions = Junction::allOn($construction->face);
    }

    /**
     * The plan that costs least while the locks hold. A plan that was found in a hurry before is bettered, never replaced
     * by a worse one.
     *
     * @param (\Closure(): bool)|null             $timeIsUp asked now and then; once true, the best plan so far is given with its gap
     * @param (\Closure(PressingPlan): void)|null $onBetter told of every better plan that is found on the way
     *
     * @throws LockNotPossible
     */
    public function best(PressQuestion $question, ?\Closure $timeIsUp = null, ?\Closure $onBetter = null): PressingPlan
    {
        [$model, $optimum] = $this->solved($question, $timeIsUp, $onBetter === null ? null : fn (PressingModel $model, Optimum $better) => $better->boundHigh >= Weight::FORBIDDEN ? null : $onBetter($this->found($model, $better, $question)));
        if ($optimum->boundHigh >= Weight::FORBIDDEN) {
            throw $this->reason($question);
        }

        return $this->found($model, $optimum, $question);
    }

    private function found(PressingModel $model, Optimum $optimum, PressQuestion $question): PressingPlan
    {
        $plan = $this->price($model->variables->pressing($optimum->values), $question);

        return $plan->found($model->variables->turnedUnits($optimum->values), $model->weight->bound($optimum, $plan->cost), $optimum->exact);
    }

    /**
     * The plan that costs least without locks, and then the quilter's seams changed in it: what she sees at once after
     * flipping a seam, before anything else follows. A seam of a unit changes in all units of its class.
     *
     * @param (\Closure(): bool)|null $timeIsUp
     *
     * @throws LockNotPossible
     */
    public function bestThenFlipped(PressQuestion $question, ?\Closure $timeIsUp = null): PressingPlan
    {
        // With the others as they lie some crossing could not turn.
        return $this->flipped($question, $timeIsUp) ?? $this->best($question, $timeIsUp);
    }

    /**
     * The same, where it can be so.
     *
     * @param (\Closure(): bool)|null $timeIsUp
     *
     * @return PressingPlan|null null where some crossing could not turn with the others as they lie
     *
     * @throws LockNotPossible
     */
    public function flipped(PressQuestion $question, ?\Closure $timeIsUp = null): ?PressingPlan
    {
        $free = $question->withoutLocks();
        // Over whatever plan is known, be it proved or not; it is searched for only where none is.
        [$model, $optimum] = $this->known($free) ?? $this->solved($free, $timeIsUp);
        $overrides = [];
        foreach ($question->locks as $lock) {
            $overrides = $model->variables->overriding($optimum->values, $lock) + $overrides;
        }
        $pressing = $model->variables->pressing($optimum->values, $overrides);
        if (! Furl::areWheels($this->construction, $pressing)) {
            return null;
        }

        return $this->price($pressing, $question)->found(
            $model->variables->turnedUnits($optimum->values),
            null,
            false,
        );
    }

    /** What any pressing costs, whoever chose it. */
    public function price(Pressing $pressing, PressQuestion $question): PressingPlan
    {
        $cost = new Cost();
        $matches = $ends = [];
        foreach ($this->construction->joins as $join) {
            $cost = $cost->plus(SeamCosts::ofJoin($join, $pressing->of($join), $this->construction->face->lattice));
            foreach ($join->matchPoints() as $meeting) {
                $matches[] = $this->report($join->id, $meeting, $pressing);
            }
            foreach ($join->endMeetings() as $meeting) {
                $ends[] = $this->report($join->id, $meeting, $pressing);
            }
        }
        $plan = new PressingPlan($this->construction, $pressing, $matches, $ends, $this->junctions, $this->plies($pressing), new Cost());
        foreach ($matches as $match) {
            $cost = $cost->plus(Cost::ofNesting($match->nesting));
        }
        foreach ($plan->peaks() as $peak) {
            $cost = $cost->plus(Cost::ofPeak($peak, $question->lump));
        }

        return $plan->priced($cost);
    }

    /** The plan as the quilter wants it: her locks, and the other seams staying or following. */
    public function planned(PressQuestion $question, RestOfSeams $rest, ?\Closure $timeIsUp = null): PressingPlan
    {
        return $rest === RestOfSeams::Follows || $question->locks === []
            ? $this->best($question, $timeIsUp)
            : $this->bestThenFlipped($question, $timeIsUp);
    }

    /**
     * @param (\Closure(PressingModel, Optimum): mixed)|null $onBetter
     *
     * @return array{PressingModel, Optimum}
     */
    private function solved(PressQuestion $question, ?\Closure $timeIsUp, ?\Closure $onBetter = null): array
    {
        $known = $this->solved[$question->name()] ?? null;
        if ($known !== null && $known[1]->exact) {
            return $known;
        }

        return $this->solved[$question->name()] = $this->solve($question, $timeIsUp ?? static fn (): bool => false, $onBetter);
    }

    /**
     * @param \Closure(): bool                               $timeIsUp
     * @param (\Closure(PressingModel, Optimum): mixed)|null $onBetter
     *
     * @return array{PressingModel, Optimum}
     */
    private function solve(PressQuestion $question, \Closure $timeIsUp, ?\Closure $onBetter): array
    {
        $model = new PressingModel($this->construction, $this->junctions, $question, $this->tables($question->allowsFurls()));
        $optimum = $this->remembered($model, $question);
        if ($optimum === null || ! $optimum->exact) {
            $optimum = $model->solve($timeIsUp, $optimum, $onBetter === null ? null : static function (Optimum $better) use ($model, $onBetter): void {
                $onBetter($model, $better);
            });
            $this->memory?->keep($question->name(), $optimum->toArray());
        }

        return [$model, $optimum];
    }

    /** @return array{PressingModel, Optimum}|null what was found before, without searching on */
    private function known(PressQuestion $question): ?array
    {
        if (isset($this->solved[$question->name()])) {
            return $this->solved[$question->name()];
        }
        $model = new PressingModel($this->construction, $this->junctions, $question, $this->tables($question->allowsFurls()));
        $optimum = $this->remembered($model, $question);

        return $optimum === null ? null : [$model, $optimum];
    }

    private function remembered(PressingModel $model, PressQuestion $question): ?Optimum
    {
        $kept = $this->memory?->recall($question->name());
        $optimum = $kept === null ? null : Optimum::fromArray($kept);

        return $optimum !== null && count($optimum->values) === count($model->domains()) ? $optimum : null;
    }

    /** Why no plan keeps all the locks: a change of sides that cannot be, or locks that contradict each other. */
    private function reason(PressQuestion $question): LockNotPossible
    {
        $variables = new SeamVariables($this->construction, $question);
        $first = null;
        foreach ($question->locks as $lock) {
            $join = $this->construction->joins[$lock->join];
            foreach ($lock->furls() ? $join->matchPoints() : [] as $number => $match) {
                if ($lock->at($number) === $lock->at($number + 1)) {
                    continue;
                }
                $noWheel = LockNotPossible::noWheel($this->construction, $lock->join, $match->at, $needs = Furl::needs($match, $join, $lock->at($number)));
                $first ??= $noWheel;
                if (! $variables->mayLie($needs, $match->at)) {
                    return $noWheel;
                }
            }
        }

        return $first ?? LockNotPossible::contradicting($question->locks);
    }

    private function report(int $join, Meeting $meeting, Pressing $pressing): MatchReport
    {
        [$left, $right] = $meeting->ends();

        return new MatchReport($join, $meeting->at, Nesting::where(
            $this->construction->joins[$join]->seam,
            $meeting->at,
            $left,
            $pressing->atEnd($left, $meeting->at),
            $right,
            $pressing->atEnd($right, $meeting->at),
        ));
    }

    /** @return list<list<int>> */
    private function plies(Pressing $pressing): array
    {
        $tables = $this->tables($pressing->hasFurls());

        return array_map(static function (Junction $junction) use ($tables, $pressing): array {
            $table = $tables->of($junction);

            return $table->plies(array_map(static fn (array $slot): PressDirection => $pressing->directions[$slot[0]][$slot[1]], $table->slots));
        }, $this->junctions);
    }

    private function tables(bool $perSegment): JunctionTables
    {
        return $this->tables[$perSegment ? 1 : 0] ??= new JunctionTables($this->construction, $perSegment);
    }
}
