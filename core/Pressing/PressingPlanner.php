<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Pressing\Internal\Optimum;
use KeenSeam\Core\Pressing\Internal\PressingModel;
use KeenSeam\Core\Pressing\Internal\SeamCosts;
use KeenSeam\Core\Pressing\Internal\Weight;

/** Finds the pressing plan that costs least, and prices any plan. */
final class PressingPlanner
{
    /** @var list<Junction> */
    private readonly array $junctions;

    /** @var array<string, array{PressingModel, Optimum}> what was found without locks, by style */
    private array $withoutLocks = [];

    public function __construct(
        public readonly Construction $construction,
        private readonly ?PlanMemory $memory = null,
    ) {
        $this->junctions = Junction::allOn($construction->face);
    }

    /**
     * The plan that costs least while the locks hold.
     *
     * @param list<Lock>              $locks
     * @param (\Closure(): bool)|null $timeIsUp asked now and then; once true, the best plan so far is given with its gap
     *
     * @throws LockNotPossible
     */
    public function best(PressStyle $style, array $locks = [], ?\Closure $timeIsUp = null): PressingPlan
    {
        [$model, $optimum] = $locks === [] ? $this->withoutLocks($style, $timeIsUp) : $this->solved($style, $locks, $timeIsUp);
        if ($optimum->boundHigh >= Weight::FORBIDDEN) {
            throw LockNotPossible::contradicting($locks);
        }
        $plan = $this->price(Pressing::wholeJoins($this->construction, $model->directions($optimum->values)));

        return $plan->found($model->turnedUnits($optimum->values), Weight::toCost($optimum->boundHigh, $optimum->boundLow));
    }

    /**
     * The plan that costs least without locks, and then the quilter's seams changed in it: what she sees at once after
     * flipping a seam, before anything else follows. A seam of a unit changes in all units of its class.
     *
     * @param list<Lock>              $locks
     * @param (\Closure(): bool)|null $timeIsUp
     *
     * @throws LockNotPossible
     */
    public function bestThenFlipped(PressStyle $style, array $locks, ?\Closure $timeIsUp = null): PressingPlan
    {
        [$model, $optimum] = $this->withoutLocks($style, $timeIsUp);
        $values = array_reduce($locks, $model->flipped(...), $optimum->values);
        $plan = $this->price(Pressing::wholeJoins($this->construction, $model->directions($values)));

        return $plan->found($model->turnedUnits($values), null);
    }

    /** What any pressing costs, whoever chose it. */
    public function price(Pressing $pressing): PressingPlan
    {
        $cost = new Cost();
        $matches = $ends = [];
        foreach ($this->construction->joins as $join) {
            $cost = $cost->plus(SeamCosts::of($join, $pressing->of($join)[0], $this->construction->face->lattice));
            foreach ($join->matchPoints() as $meeting) {
                $matches[] = $this->report($join->id, $meeting, $pressing);
            }
            foreach ($join->endMeetings() as $meeting) {
                $ends[] = $this->report($join->id, $meeting, $pressing);
            }
        }
        $plan = new PressingPlan($this->construction, $pressing, $matches, $ends, $this->junctions, $this->plies($pressing), new Cost());
        foreach ($matches as $match) {
            $cost = $cost->plus(new Cost(mismatch: $match->nesting->mismatch()));
        }
        foreach ($plan->peaks() as $peak) {
            $cost = $cost->plus(new Cost(peakSquared: $peak ** 2));
        }

        return $plan->priced($cost);
    }

    /** The plan as the quilter wants it: her locks, and the other seams staying or following. */
    public function planned(PressStyle $style, Locks $locks, RestOfSeams $rest, ?\Closure $timeIsUp = null): PressingPlan
    {
        return match ($rest) {
            RestOfSeams::Follows => $this->best($style, $locks->all, $timeIsUp),
            RestOfSeams::Stays => $locks->all === [] ? $this->best($style, [], $timeIsUp) : $this->bestThenFlipped($style, $locks->all, $timeIsUp),
        };
    }

    /** @return array{PressingModel, Optimum} */
    private function withoutLocks(PressStyle $style, ?\Closure $timeIsUp): array
    {
        return $this->withoutLocks[$style->value] ??= $this->solved($style, [], $timeIsUp);
    }

    /**
     * @param list<Lock> $locks
     *
     * @return array{PressingModel, Optimum}
     */
    private function solved(PressStyle $style, array $locks, ?\Closure $timeIsUp): array
    {
        $model = new PressingModel($this->construction, $this->junctions, $style, $locks);
        $name = implode(' ', [$style->value, ...array_map(static fn (Lock $lock): string => $lock->toText(), $locks)]);
        $kept = $this->memory?->recall($name);
        $optimum = $kept === null ? null : Optimum::fromArray($kept);
        if ($optimum === null) {
            $optimum = $model->solve($timeIsUp ?? static fn (): bool => false);
            $this->memory?->keep($name, $optimum->toArray());
        }

        return [$model, $optimum];
    }

    private function report(int $join, Meeting $meeting, Pressing $pressing): MatchReport
    {
        [$left, $right] = [$meeting->lastOfLeft, $meeting->lastOfRight];
        if ($left === null || $right === null) {
            throw new \LogicException('Seams of both sides end at a meeting that is reported.');
        }

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
        $layers = new Layers($this->construction, $pressing);
        $radius = $this->construction->face->lattice->toFloatSteps(Junction::radius());

        return array_map(static fn (Junction $junction): array => $layers->around($junction->at, $radius), $this->junctions);
    }
}
