<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressQuestion;

/**
 * The pressing plan as variables and factors: what each combination of a few decisions costs.
 *
 * @internal
 */
final class PressingModel
{
    public readonly SeamVariables $variables;

    /** @var list<Factor> */
    private array $factors = [];

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
    }

    /** @param \Closure(): bool $timeIsUp */
    public function solve(\Closure $timeIsUp): Optimum
    {
        return Search::best($this->domains(), $this->factors(), $timeIsUp, $this->question->style->goesByTheLump() ? null : Weight::SECOND);
    }

    /** @return list<int> number of values of each variable */
    public function domains(): array
    {
        return array_map(count(...), $this->variables->values);
    }

    /** @return list<Factor> */
    public function factors(): array
    {
        if (! $this->isWeighed) {
            $this->weighSeams();
            $this->weighJunctions();
            $this->weighLocks();
            $this->isWeighed = true;
        }

        return $this->factors;
    }

    private function weighSeams(): void
    {
        $lattice = $this->construction->face->lattice;
        foreach ($this->construction->joins as $join) {
            foreach ($this->variables->segments($join) as $segment) {
                $this->addFactor(
                    [[$join->id, $segment]],
                    fn (array $press): Cost => $this->question->style->allowsFurls()
                        ? SeamCosts::ofSegment($join, $segment, $press[0], $lattice)
                        : SeamCosts::ofJoin($join, array_fill(0, max(1, $join->segmentCount()), $press[0]), $lattice),
                );
            }
            foreach ($join->matchPoints() as $number => $match) {
                $this->weighMatch($join, $match, $number);
            }
        }
    }

    private function weighMatch(Join $join, Meeting $match, int $number): void
    {
        [$left, $right] = [$match->lastOfLeft, $match->lastOfRight];
        if ($left === null || $right === null) {
            throw new \LogicException('At a match point seams of both sides end.');
        }
        $meeting = [[$left->id, $left->segmentAt($match->at)], [$right->id, $right->segmentAt($match->at)]];
        $nesting = static fn (PressDirection $ofLeft, PressDirection $ofRight): Cost => Cost::ofNesting(
            Nesting::where($join->seam, $match->at, $left, $ofLeft, $right, $ofRight),
        );
        if (! $this->question->style->allowsFurls()) {
            $this->addFactor($meeting, static fn (array $press): Cost => $nesting($press[0], $press[1]));

            return;
        }
        $this->addFactor(
            [[$join->id, $number], [$join->id, $number + 1], ...$meeting],
            static function (array $press) use ($join, $match, $nesting): ?Cost {
                [$before, $after, $ofLeft, $ofRight] = $press;
                if ($before !== $after && ! Furl::isWheel($join, $match, $before, $after, $ofLeft, $ofRight)) {
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
            );
        }
    }

    private function weighLocks(): void
    {
        foreach ($this->variables->conditionalLocks as [$segment, $lock]) {
            $this->addFactor(
                [[$lock->join, $segment]],
                static fn (array $press): ?Cost => $press[0] === $lock->direction ? new Cost() : null,
            );
        }
    }

    /**
     * @param list<array{int, int}>                       $slots joins with their segments
     * @param \Closure(list<PressDirection>): (Cost|null) $price of the slots' directions; null forbids them
     */
    private function addFactor(array $slots, \Closure $price): void
    {
        $values = $this->variables->values;
        $sources = array_map(fn (array $slot): SlotSource => $this->variables->source($slot[0], $slot[1]), $slots);
        $scope = array_values(array_unique(array_merge(...array_map(static fn (SlotSource $source): array => $source->variables(), $sources))));
        sort($scope);
        $highs = $lows = [];
        foreach ($this->combinations($scope) as $chosen) {
            $cost = $price(array_map(static fn (SlotSource $source): PressDirection => $source->direction($values, $chosen), $sources));
            $highs[] = $cost === null ? Weight::FORBIDDEN : Weight::high($cost, $this->question->style);
            $lows[] = $cost === null ? 0 : Weight::low($cost);
        }
        $this->factors[] = new Factor($scope, $highs, $lows);
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
