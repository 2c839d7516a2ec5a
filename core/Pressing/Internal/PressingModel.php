<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TurnedUnit;

/**
 * The pressing plan as variables and factors: one variable for the direction of every join that is free, one for
 * each join of a unit class, and one for the turn of every unit that looks and is built the same after turning.
 *
 * @internal
 */
final class PressingModel
{
    /** @var list<list<PressDirection|Turn>> values of each variable */
    private array $values = [];

    /** @var array<int, JoinSource> by join id */
    private array $sources = [];

    /** @var array<string, int> variable by the unit it turns */
    private array $turnVariables = [];

    /** @var list<Factor> */
    private array $factors = [];

    /** Pricing a known plan needs the variables only; the costs are worked out when somebody searches. */
    private bool $isWeighed = false;

    /**
     * @param list<Junction> $junctions
     * @param list<Lock>     $locks
     *
     * @throws LockNotPossible
     */
    public function __construct(
        private readonly Construction $construction,
        private readonly array $junctions,
        private readonly PressStyle $style,
        private readonly array $locks,
    ) {
        $this->makeVariables();
        $this->applyLocks();
    }

    /** @param \Closure(): bool $timeIsUp */
    public function solve(\Closure $timeIsUp): Optimum
    {
        if (! $this->isWeighed) {
            $this->weighSeams();
            $this->weighMatches();
            $this->weighJunctions();
            $this->isWeighed = true;
        }

        return Search::best(array_map(count(...), $this->values), $this->factors, $timeIsUp);
    }

    /**
     * The same values but for the one that decides over the locked join.
     *
     * @param list<int> $chosen value of each variable
     *
     * @return list<int>
     *
     * @throws LockNotPossible
     */
    public function flipped(array $chosen, Lock $lock): array
    {
        $source = $this->sources[$lock->join] ?? throw LockNotPossible::noSuchJoin($lock->join, count($this->construction->joins));
        [$variable, $swapped] = $source->decision($chosen);
        $value = array_search($swapped ? $lock->direction->swapped() : $lock->direction, $this->values[$variable], true);
        if ($value === false) {
            throw LockNotPossible::notInStyle($lock, $this->style);
        }

        return array_values(array_replace($chosen, [$variable => (int) $value]));
    }

    /**
     * @param list<int> $chosen value of each variable
     *
     * @return list<PressDirection> by join id
     */
    public function directions(array $chosen): array
    {
        return array_map(
            fn (Join $join): PressDirection => $this->sources[$join->id]->direction($this->values, $chosen),
            $this->construction->joins,
        );
    }

    /**
     * @param list<int> $chosen value of each variable
     *
     * @return list<TurnedUnit> the units to be turned so that they nest
     */
    public function turnedUnits(array $chosen): array
    {
        $turned = [];
        foreach ($this->turnVariables as $unit => $variable) {
            $turn = $this->values[$variable][$chosen[$variable]];
            if ($turn instanceof Turn && $turn !== Turn::None) {
                [$class, $member] = array_map(intval(...), explode(':', $unit));
                $turned[] = new TurnedUnit($class, $member, $turn);
            }
        }

        return $turned;
    }

    private function makeVariables(): void
    {
        $tied = [];
        foreach ($this->construction->joins as $join) {
            $tie = $join->tie;
            if ($tie === null) {
                $this->sources[$join->id] = JoinSource::free($this->variable($this->style->directions()));
                continue;
            }
            $tied[$tie->unitClass][$tie->join] ??= $this->variable($this->style->directions());
        }
        foreach ($this->construction->joins as $join) {
            if ($join->tie !== null) {
                $class = $this->construction->classes[$join->tie->unitClass];
                // One member's turn may stay as it is: turning all members together is only another name for the same.
                $turn = $class->turns !== [] && $join->tie->member > 0
                    ? ($this->turnVariables[$class->index.':'.$join->tie->member]
                        ??= $this->variable([Turn::None, ...array_map(static fn ($self) => $self->turn, $class->turns)]))
                    : null;
                $this->sources[$join->id] = JoinSource::tied($join->tie->join, $tied[$class->index], $turn, $class->turns);
            }
        }
    }

    /** @param list<PressDirection|Turn> $values */
    private function variable(array $values): int
    {
        $this->values[] = $values;

        return count($this->values) - 1;
    }

    private function applyLocks(): void
    {
        $byVariable = [];
        foreach ($this->locks as $lock) {
            $source = $this->sources[$lock->join] ?? throw LockNotPossible::noSuchJoin($lock->join, count($this->construction->joins));
            if (! in_array($lock->direction, $this->style->directions(), true)) {
                throw LockNotPossible::notInStyle($lock, $this->style);
            }
            $variable = $source->onlyVariable();
            if ($variable === null) {
                $this->addFactor([$lock->join], static fn (array $directions): ?Cost => $directions[0] === $lock->direction ? new Cost() : null);
                continue;
            }
            $earlier = $byVariable[$variable] ?? $lock;
            if ($earlier->direction !== $lock->direction) {
                throw LockNotPossible::contradicting([$earlier, $lock]);
            }
            $byVariable[$variable] = $lock;
            $this->values[$variable] = [$lock->direction];
        }
    }

    private function weighSeams(): void
    {
        foreach ($this->construction->joins as $join) {
            $this->addFactor([$join->id], fn (array $directions): Cost => SeamCosts::of($join, $directions[0], $this->construction->face->lattice));
        }
    }

    private function weighMatches(): void
    {
        foreach ($this->construction->joins as $join) {
            foreach ($join->matchPoints() as $match) {
                [$left, $right] = [$match->lastOfLeft, $match->lastOfRight];
                if ($left === null || $right === null) {
                    throw new \LogicException('At a match point seams of both sides end.');
                }
                $this->addFactor(
                    [$left->id, $right->id],
                    static fn (array $directions): Cost => new Cost(
                        mismatch: Nesting::where($join->seam, $match->at, $left, $directions[0], $right, $directions[1])->mismatch(),
                    ),
                );
            }
        }
    }

    private function weighJunctions(): void
    {
        $directions = $this->style->directions();
        $tables = new JunctionTables($this->construction, $directions, false);
        foreach ($this->junctions as $junction) {
            $table = $tables->of($junction);
            $this->addFactor(
                array_column($table->slots, 0),
                static fn (array $chosen): Cost => new Cost(peakSquared: $table->peak($chosen, $directions) ** 2),
            );
        }
    }

    /**
     * @param list<int>                                   $joins
     * @param \Closure(list<PressDirection>): (Cost|null) $price of the joins' directions; null forbids them
     */
    private function addFactor(array $joins, \Closure $price): void
    {
        $sources = array_map(fn (int $join): JoinSource => $this->sources[$join], $joins);
        $scope = array_values(array_unique(array_merge(...array_map(static fn (JoinSource $source): array => $source->variables(), $sources))));
        sort($scope);
        $highs = $lows = [];
        foreach ($this->combinations($scope) as $chosen) {
            $cost = $price(array_map(fn (JoinSource $source): PressDirection => $source->direction($this->values, $chosen), $sources));
            $highs[] = $cost === null ? Weight::FORBIDDEN : Weight::high($cost);
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
                if (++$chosen[$scope[$i]] < count($this->values[$scope[$i]])) {
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
