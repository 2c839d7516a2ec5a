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

    /** @var list<Factor> */
    private array $factors = [];

    /** @var array<string, array{list<int>, list<int>, Cost}> high and low weights and the dearest cost, by what they are the weights of */
    private array $known = [];

    /** @var array<string, int> short names of the kinds of factors */
    private array $kindNumbers = [];

    /** @var list<string> of each variable, equal where the values are */
    private array $kinds = [];

    /** All factors at their dearest. */
    private Cost $dearest;

    /** Pricing a known plan needs the variables only; the costs are worked out when somebody searches. */
    private bool $isWeighed = false;

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
        $this->dearest = new Cost();
        $this->weight = Weight::of($construction, $question->style);
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
        if (! $this->isWeighed) {
            $this->kinds = array_map(static fn (array $values): string => implode(',', array_map(static fn (PressDirection|MemberChoice $value): string => $value instanceof PressDirection ? $value->value : 'choice', $values)), $this->variables->values);
            $this->weighSeams();
            $this->weighJunctions();
            $this->weighLocks();
            $this->weight->mustHold($this->dearest);
            $this->isWeighed = true;
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
        $sources = array_map(fn (array $slot): SlotSource => $this->variables->source($slot[0], $slot[1]), $slots);
        $scope = array_values(array_unique(array_merge(...array_map(static fn (SlotSource $source): array => $source->variables(), $sources))));
        sort($scope);
        $name = $kind === '' ? '' : $kind.$this->nameOf($sources, $scope);
        [$highs, $lows, $dearest] = $this->known[$name] ?? $this->priced($sources, $scope, $price);
        if ($kind !== '') {
            $this->known[$name] = [$highs, $lows, $dearest];
        }
        $this->dearest = $this->dearest->plus($dearest);
        $this->factors[] = new Factor($scope, $highs, $lows, $kind === '' ? '' : (string) ($this->kindNumbers[$name] ??= count($this->kindNumbers) + 1));
    }

    /**
     * The same for slots that read their directions in the same way from variables with the same values.
     *
     * @param list<SlotSource> $sources
     * @param list<int>        $scope
     */
    private function nameOf(array $sources, array $scope): string
    {
        $places = array_flip($scope);
        $name = '';
        foreach ($sources as $source) {
            $name .= ' '.$source->nameBy($places);
        }
        foreach ($scope as $variable) {
            $name .= '|'.$this->kinds[$variable];
        }

        return $name;
    }

    /**
     * @param list<SlotSource>                            $sources
     * @param list<int>                                   $scope
     * @param \Closure(list<PressDirection>): (Cost|null) $price
     *
     * @return array{list<int>, list<int>, Cost}
     */
    private function priced(array $sources, array $scope, \Closure $price): array
    {
        $values = $this->variables->values;
        $highs = $lows = [];
        $dearest = new Cost();
        foreach ($this->combinations($scope) as $chosen) {
            $cost = $price(array_map(static fn (SlotSource $source): PressDirection => $source->direction($values, $chosen), $sources));
            $highs[] = $cost === null ? Weight::FORBIDDEN : $this->weight->high($cost);
            $lows[] = $cost === null ? 0 : $this->weight->low($cost);
            $dearest = $cost === null ? $dearest : $dearest->most($cost);
        }

        return [$highs, $lows, $dearest];
    }

    /**
     * @param list<int> $scope
     *
     * @return iterable<array<int, int>> every choice of values, by variable; the first counts slowest
     */
    private function combinations(array $scope): iterable
    {
        $chosen = array_fill_keys($scope, 0);
        while (true) {
            yield $chosen;
            for ($i = count($scope) - 1; $i >= 0; --$i) {
                if (++$chosen[$scope[$i]] < count($this->variables->values[$scope[$i]])) {
                    break;
                }
                $chosen[$scope[$i]] = 0;
            }
            if ($i < 0) {
                return;
            }
        }
    }
}
