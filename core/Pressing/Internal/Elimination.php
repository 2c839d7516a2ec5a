<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * The smallest sum of factors by eliminating one variable after the other (bucket elimination: R. Dechter,
 * "Bucket elimination: a unifying framework for reasoning", Artificial Intelligence 113, 1999). Where a table would
 * grow too large, a variable's factors are eliminated in groups (mini-buckets: Dechter and Rish, Journal of the ACM
 * 50, 2003): the result is then a lower bound, and the values read off are good but not proved best.
 *
 * Ties go to the lower value of the variable eliminated last, then of the one before it, and so on, so the same
 * factors always give the same answer.
 *
 * @internal
 */
final class Elimination
{
    /** @var array<int, array<int, mixed>> neighbours of each variable still there, by variable */
    private array $neighbours = [];

    /** @var array<int, array<int, Factor>> factors that have the variable in their scope */
    private array $factorsOf = [];

    /** @var array<int, float> size of the table that eliminating each variable would make, as far as it is known */
    private array $sizes = [];

    /** @var array<string, Factor> tables that were made, by the name of what they were made of */
    private array $made = [];

    private int $nextFactor = 0;

    private int $boundHigh = 0;

    private int $boundLow = 0;

    /**
     * @param list<int>    $domains number of values of each variable
     * @param list<Factor> $factors
     */
    public function __construct(private readonly array $domains, array $factors)
    {
        foreach (array_keys($domains) as $variable) {
            $this->neighbours[$variable] = [];
            $this->factorsOf[$variable] = [];
        }
        foreach ($factors as $factor) {
            $this->add($factor);
        }
    }

    /**
     * @param int              $largestTable entries of the largest table to build
     * @param \Closure(): bool $timeIsUp     asked between eliminations
     * @param bool             $onlyExact    whether nothing else is of use: then it ends where a table would grow too large
     *
     * @return Optimum|null null when it ended before
     */
    public function solve(int $largestTable, \Closure $timeIsUp, bool $onlyExact = false): ?Optimum
    {
        $buckets = [];
        $exact = true;
        while ($this->neighbours !== []) {
            if ($timeIsUp() || ($onlyExact && ! $exact)) {
                return null;
            }
            $buckets[] = $bucket = $this->eliminated($this->cheapest($this->neighbours), $largestTable);
            $exact = $exact && count($bucket[2]) <= 1;
        }

        return new Optimum($this->valuesFrom(array_reverse($buckets)), $this->boundHigh, $this->boundLow, $exact);
    }

    /**
     * Eliminates everything, some variables after all others, and keeps what is needed to go back: with the variables after
     * one of these decided, no values of the rest cost less than the factors and messages say that are then decided.
     *
     * @param array<int, mixed> $last         by variable
     * @param int               $largestTable entries of the largest table to build
     *
     * @return array{list<array{int, list<Factor>, list<Factor>}>, array{int, int}} each of the last with its factors and the messages made of them, in the order of elimination; and the bound
     */
    public function bucketsOf(array $last, int $largestTable): array
    {
        $buckets = [];
        while ($this->neighbours !== []) {
            $first = array_diff_key($this->neighbours, $last);
            $bucket = $this->eliminated($this->cheapest($first === [] ? $this->neighbours : $first), $largestTable);
            if ($first === []) {
                $buckets[] = $bucket;
            }
        }

        return [$buckets, [$this->boundHigh, $this->boundLow]];
    }

    /** @return array{int, list<Factor>, list<Factor>} the variable, its factors, and what is put in their place */
    private function eliminated(int $variable, int $largestTable): array
    {
        $factors = array_values($this->factorsOf[$variable]);
        $groups = $this->groups($variable, $factors, $largestTable);
        $this->forget($variable);
        $messages = array_map(fn (array $group): Factor => $this->minimised($variable, $group), $groups);
        array_walk($messages, $this->add(...));

        return [$variable, $factors, $messages];
    }

    /**
     * @param list<array{int, list<Factor>, list<Factor>}> $buckets variables with their factors, last eliminated first
     *
     * @return list<int>
     */
    private function valuesFrom(array $buckets): array
    {
        $values = [];
        foreach ($buckets as [$variable, $factors]) {
            $weights = [];
            foreach (range(0, $this->domains[$variable] - 1) as $value) {
                $values[$variable] = $value;
                $weights[] = Descent::weigh($factors, $values, $this->domains);
            }
            [$values[$variable]] = array_keys($weights, min($weights), true);
        }
        ksort($values);

        return array_values($values);
    }

    /**
     * Puts the factors into as few groups as the table size allows; a group's table spans all its variables but the one
     * that is eliminated.
     *
     * @param list<Factor> $factors
     *
     * @return list<list<Factor>>
     */
    private function groups(int $variable, array $factors, int $largestTable): array
    {
        usort($factors, static fn (Factor $a, Factor $b): int => count($b->scope) <=> count($a->scope));
        $groups = [];
        $scopes = [];
        foreach ($factors as $factor) {
            $scope = $factor->besides($variable);
            $chosen = count($groups);
            foreach ($scopes as $i => $taken) {
                if ($this->tableSize(array_keys($taken + $scope)) <= $largestTable) {
                    $chosen = $i;
                    break;
                }
            }
            $groups[$chosen][] = $factor;
            $scopes[$chosen] = ($scopes[$chosen] ?? []) + $scope;
        }

        return array_values($groups);
    }

    /**
     * The variable whose elimination makes the smallest table; the first such one.
     *
     * @param array<int, array<int, mixed>> $among
     */
    private function cheapest(array $among): int
    {
        $best = null;
        $bestSize = INF;
        foreach ($among as $variable => $neighbours) {
            $size = $this->sizes[$variable] ??= $this->tableSize(array_keys($neighbours));
            if ($size < $bestSize) {
                [$best, $bestSize] = [$variable, $size];
            }
        }

        return $best ?? throw new \LogicException('There is a variable left.');
    }

    /** @param list<int> $scope */
    private function tableSize(array $scope): float
    {
        $size = 1.0;
        foreach ($scope as $variable) {
            $size *= $this->domains[$variable];
        }

        return $size;
    }

    /**
     * One factor in place of several, the variable minimised out.
     *
     * @param list<Factor> $used
     */
    private function minimised(int $variable, array $used): Factor
    {
        $scope = array_values(array_diff(array_unique(array_merge(...array_map(static fn (Factor $factor): array => $factor->scope, $used))), [$variable]));
        sort($scope);
        $kind = $this->kindOf($variable, $scope, $used);
        if (isset($this->made[$kind])) {
            return new Factor($scope, $this->made[$kind]->high, $this->made[$kind]->low, $this->made[$kind]->kind);
        }
        $sizes = array_map(fn (int $neighbour): int => $this->domains[$neighbour], $scope);
        $steps = array_map(fn (Factor $factor): array => $this->steps($factor, $scope), $used);
        $ownSteps = array_map(fn (Factor $factor): int => $this->steps($factor, [$variable])[0], $used);
        $offsets = array_fill(0, count($used), 0);
        $counter = array_fill(0, count($scope), 0);
        $highs = $lows = [];
        for ($left = (int) $this->tableSize($scope); $left > 0; --$left) {
            $bestHigh = PHP_INT_MAX;
            $bestLow = PHP_INT_MAX;
            for ($value = 0; $value < $this->domains[$variable]; ++$value) {
                $high = $low = 0;
                foreach ($used as $i => $factor) {
                    $at = $offsets[$i] + $value * $ownSteps[$i];
                    $high += $factor->high[$at];
                    $low += $factor->low[$at];
                }
                if ($high < $bestHigh || ($high === $bestHigh && $low < $bestLow)) {
                    [$bestHigh, $bestLow] = [$high, $low];
                }
            }
            $highs[] = min($bestHigh, Weight::FORBIDDEN);
            $lows[] = $bestLow;
            for ($i = count($scope) - 1; $i >= 0; --$i) {
                if (++$counter[$i] < $sizes[$i]) {
                    foreach ($offsets as $f => $offset) {
                        $offsets[$f] = $offset + $steps[$f][$i];
                    }
                    break;
                }
                $counter[$i] = 0;
                foreach ($offsets as $f => $offset) {
                    $offsets[$f] = $offset - ($sizes[$i] - 1) * $steps[$f][$i];
                }
            }
        }

        $made = new Factor($scope, $highs, $lows, $kind === '' ? '' : 'm'.count($this->made));
        if ($kind !== '') {
            $this->made[$kind] = $made;
        }

        return $made;
    }

    /**
     * A name for what is minimised out of what: where it is the same, so is the table.
     *
     * @param list<int>    $scope what is left
     * @param list<Factor> $used
     *
     * @return string empty when not known
     */
    private function kindOf(int $variable, array $scope, array $used): string
    {
        $places = array_flip([$variable, ...$scope]);
        $name = implode(',', array_map(fn (int $of): int => $this->domains[$of], array_keys($places)));
        foreach ($used as $factor) {
            if ($factor->kind === '') {
                return '';
            }
            $name .= ';'.$factor->kind;
            foreach ($factor->scope as $of) {
                $name .= ','.$places[$of];
            }
        }

        return $name;
    }

    /**
     * How far one step of each variable moves in the factor's table; 0 for one outside its scope.
     *
     * @param list<int> $variables
     *
     * @return list<int>
     */
    private function steps(Factor $factor, array $variables): array
    {
        $steps = [];
        $step = 1;
        foreach (array_reverse($factor->scope) as $variable) {
            $steps[$variable] = $step;
            $step *= $this->domains[$variable];
        }

        return array_map(static fn (int $variable): int => $steps[$variable] ?? 0, $variables);
    }

    private function add(Factor $factor): void
    {
        if ($factor->scope === []) {
            $this->boundHigh += $factor->high[0];
            $this->boundLow += $factor->low[0];

            return;
        }
        $id = $this->nextFactor++;
        foreach ($factor->scope as $variable) {
            $this->factorsOf[$variable][$id] = $factor;
            unset($this->sizes[$variable]);
            $this->neighbours[$variable] += $factor->besides($variable);
        }
    }

    private function forget(int $variable): void
    {
        foreach (array_keys($this->factorsOf[$variable]) as $id) {
            foreach (array_keys($this->neighbours[$variable]) as $neighbour) {
                unset($this->factorsOf[$neighbour][$id]);
            }
        }
        foreach (array_keys($this->neighbours[$variable]) as $neighbour) {
            unset($this->neighbours[$neighbour][$variable], $this->sizes[$neighbour]);
        }
        unset($this->neighbours[$variable], $this->factorsOf[$variable]);
    }
}
