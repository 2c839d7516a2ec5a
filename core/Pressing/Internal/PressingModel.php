<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\TooMuchToWeigh;

/**
 * The pressing plan as variables and factors: what each combination of a few decisions costs.
 *
 * @internal
 */
final class PressingModel
{
    public readonly SeamVariables $variables;

    public readonly Weight $weight;

    private readonly PricedFactors $priced;

    /** @var list<Factor>|null pricing a known plan needs the variables only; the costs are worked out when somebody searches */
    private ?array $factors = null;

    /**
     * @param list<Junction> $junctions
     *
     * @throws LockNotPossible
     */
    public function __construct(
        private readonly Construction $construction,
        private readonly array $junctions,
        private readonly PressQuestion $question,
        private readonly JunctionTables $tables,
    ) {
        $this->variables = new SeamVariables($construction, $question);
        $this->weight = Weight::of($construction, $question->style);
        $this->priced = new PricedFactors($this->weight, $this->variables->values);
    }

    /**
     * @param \Closure(): bool               $timeIsUp
     * @param Optimum|null                   $known    what an earlier search found
     * @param (\Closure(Optimum): void)|null $onBetter told of everything better that is found on the way
     */
    public function solve(\Closure $timeIsUp, ?Optimum $known = null, ?\Closure $onBetter = null): Optimum
    {
        return Search::best($this->domains(), $this->factors(), $timeIsUp, $this->question->style->school()->figures()[0] === Figure::Mismatch ? Weight::SECOND : null, $known, $onBetter);
    }

    /** @return list<int> number of values of each variable */
    public function domains(): array
    {
        return array_map(count(...), $this->variables->values);
    }

    /**
     * @return list<Factor>
     *
     * @throws TooMuchToWeigh
     */
    public function factors(): array
    {
        if ($this->factors === null) {
            $this->weighSeams();
            $this->weighJunctions();
            $this->weighLocks();
            $this->factors = $this->priced->all();
        }

        return $this->factors;
    }

    private function weighSeams(): void
    {
        $lattice = $this->construction->face->lattice;
        foreach ($this->construction->joins as $join) {
            $isStretched = count($this->variables->segments($join)) > 1;
            foreach ($this->variables->segments($join) as $segment) {
                $this->addFactor(
                    [[$join->id, $segment]],
                    fn (array $press): Cost => $isStretched
                        ? SeamCosts::ofSegment($join, $segment, $press[0], $lattice)
                        : SeamCosts::ofJoin($join, array_fill(0, $join->segmentCount(), $press[0]), $lattice),
                );
            }
            foreach ($join->matchPoints() as $number => $match) {
                $this->weighMatch($join, $match, $number);
            }
        }
    }

    private function weighMatch(Join $join, Meeting $match, int $number): void
    {
        [$left, $right] = $match->ends();
        $meeting = [[$left->id, $left->segmentAt($match->at)], [$right->id, $right->segmentAt($match->at)]];
        $nesting = static fn (PressDirection $ofLeft, PressDirection $ofRight): Cost => Cost::ofNesting(
            Nesting::where($join->seam, $match->at, $left, $ofLeft, $right, $ofRight),
        );
        if (count($this->variables->segments($join)) === 1) {
            $this->addFactor($meeting, static fn (array $press): Cost => $nesting($press[0], $press[1]));

            return;
        }
        $mayFurl = $this->variables->mayFurl($join);
        $this->addFactor(
            [[$join->id, $number], [$join->id, $number + 1], ...$meeting],
            static function (array $press) use ($join, $match, $nesting, $mayFurl): ?Cost {
                [$before, $after, $ofLeft, $ofRight] = $press;
                if ($before !== $after && (! $mayFurl || ! Furl::isWheel($join, $match, $before, $after, $ofLeft, $ofRight))) {
                    return null;
                }

                return $nesting($ofLeft, $ofRight)->plus(SeamCosts::ofMatch($match, $before, $after));
            },
        );
    }

    private function weighJunctions(): void
    {
        foreach ($this->junctions as $junction) {
            $table = $this->tables->of($junction);
            $this->addFactor(
                $table->slots,
                fn (array $press): Cost => Cost::ofPeak($table->peak($press), $this->question->lump),
                'cloth '.$table->shape(),
            );
        }
    }

    private function weighLocks(): void
    {
        foreach ($this->variables->conditionalLocks as [$segment, $lock]) {
            $this->addFactor(
                [[$lock->join, $segment]],
                static fn (array $press): ?Cost => $press[0] === $lock->at($segment) ? new Cost() : null,
            );
        }
    }

    /**
     * @param list<array{int, int}>                       $slots joins with their segments
     * @param \Closure(list<PressDirection>): (Cost|null) $price of the slots' directions; null forbids them
     * @param string                                      $kind  the same for prices that are the same; empty when not known
     */
    private function addFactor(array $slots, \Closure $price, string $kind = ''): void
    {
        $values = $this->variables->values;
        $sources = array_map(fn (array $slot): SlotSource => $this->variables->source($slot[0], $slot[1]), $slots);
        $scope = array_values(array_unique(array_merge(...array_map(static fn (SlotSource $source): array => $source->variables(), $sources))));
        sort($scope);
        $places = array_flip($scope);
        $this->priced->add(
            $scope,
            static fn (array $chosen): ?Cost => $price(array_map(static fn (SlotSource $source): PressDirection => $source->direction($values, $chosen), $sources)),
            $kind === '' ? '' : $kind.implode('', array_map(static fn (SlotSource $source): string => ' '.$source->nameBy($places), $sources)),
        );
    }
}
