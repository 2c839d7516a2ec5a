<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Branch and bound over a cover: a set of variables without which no factor holds two others. Once the cover is
 * decided, every other variable is decided by itself.
 *
 * A block of rows that nest is such a problem: its long joins (and unit classes) cover its columns of short ones.
 *
 * @internal
 */
final class CoverSearch
{
    /** Nodes between two looks at the clock. */
    private const PATIENCE = 16;

    /** Random starts of the search for a good plan before the tree is searched. */
    private const STARTS = 40;

    /** @var list<int> */
    private array $cover = [];

    /** @var list<int> */
    private array $others = [];

    /** @var array<int, list<array{int, list<list<int>>, list<list<int>>, list<int>}>> see compile() */
    private array $updates = [];

    /** @var array{list<int>, int, int} */
    private array $best;

    private int $nodes = 0;

    private bool $isStopped = false;

    /**
     * @param list<int>        $domains
     * @param list<Factor>     $factors
     * @param \Closure(): bool $timeIsUp
     */
    private function __construct(
        private readonly array $domains,
        private readonly array $factors,
        private readonly \Closure $timeIsUp,
    ) {}

    /**
     * @param list<int>        $domains
     * @param list<Factor>     $factors
     * @param \Closure(): bool $timeIsUp
     *
     * @param array{int, int}|null $toBeat the weight of a plan that is known
     *
     * @return Optimum|null null when the problem has no small cover; without values where nothing better is found than
     *                      what is known
     */
    public static function best(array $domains, array $factors, \Closure $timeIsUp, int $largestCover, ?array $toBeat = null): ?Optimum
    {
        $search = new self($domains, $factors, $timeIsUp);
        $search->findCover();
        if (count($search->cover) > $largestCover) {
            return null;
        }
        $search->best = $search->goodStart();
        if ($toBeat !== null && [$search->best[1], $search->best[2]] >= $toBeat) {
            $search->best = [[], ...$toBeat];
        }
        [$boundHigh, $boundLow] = $search->searchTree();

        return $search->isStopped
            ? new Optimum($search->best[0], $boundHigh, $boundLow, false)
            : new Optimum($search->best[0], $search->best[1], $search->best[2], true);
    }

    /** Takes the variable with most neighbours into the cover until no two others are neighbours. */
    private function findCover(): void
    {
        $neighbours = array_fill(0, count($this->domains), []);
        foreach ($this->factors as $factor) {
            foreach ($factor->scope as $a) {
                foreach ($factor->scope as $b) {
                    if ($a !== $b) {
                        $neighbours[$a][$b] = true;
                    }
                }
            }
        }
        while (true) {
            $degrees = array_map(count(...), $neighbours);
            $most = array_keys($degrees, max([0, ...$degrees]), true)[0] ?? null;
            if ($most === null || $degrees[$most] === 0) {
                break;
            }
            $this->cover[] = $most;
            foreach (array_keys($neighbours[$most]) as $neighbour) {
                unset($neighbours[$neighbour][$most]);
            }
            $neighbours[$most] = [];
        }
        $this->others = array_values(array_diff(array_keys($this->domains), $this->cover));
    }

    /**
     * The best of several descents from random starts.
     *
     * @return array{list<int>, int, int}
     */
    private function goodStart(): array
    {
        $random = new Randomizer(new Mt19937(1));
        $best = $this->descended(array_fill(0, count($this->domains), 0));
        for ($start = 1; $start < self::STARTS && ! ($this->timeIsUp)(); ++$start) {
            $found = $this->descended(array_map(static fn (int $size): int => $random->getInt(0, $size - 1), $this->domains));
            if ([$found[1], $found[2]] < [$best[1], $best[2]]) {
                $best = $found;
            }
        }

        return $best;
    }

    /**
     * @param list<int> $values
     *
     * @return array{list<int>, int, int}
     */
    private function descended(array $values): array
    {
        $values = Descent::from($this->domains, $this->factors, $values, $this->timeIsUp);

        return [$values, ...Descent::weigh($this->factors, $values, $this->domains)];
    }

    /** @return array{int, int} the bound at the root */
    private function searchTree(): array
    {
        $places = array_flip($this->others);
        $sums = [];
        foreach ($this->others as $place => $other) {
            $sums[$place] = [array_fill(0, $this->domains[$other], 0), array_fill(0, $this->domains[$other], 0)];
        }
        $base = [0, 0];
        foreach ($this->factors as $factor) {
            $this->compile($factor, $places, $sums, $base);
        }
        $bound = $this->bound($sums, $base);
        $this->branch(0, [], $sums, $base);

        return $bound;
    }

    /**
     * Prepares a factor: for every number of decided cover variables of its scope, the least weights over the undecided.
     *
     * @param array<int, int>                                     $places of the variables outside the cover
     * @param array<int, array{array<int, int>, array<int, int>}> $sums
     * @param array{int, int}                                     $base
     */
    private function compile(Factor $factor, array $places, array &$sums, array &$base): void
    {
        $depths = array_flip($this->cover);
        $inside = array_values(array_filter($factor->scope, static fn (int $variable): bool => isset($depths[$variable])));
        usort($inside, static fn (int $a, int $b): int => $depths[$a] <=> $depths[$b]);
        $outside = array_values(array_diff($factor->scope, $inside));
        $other = $outside[0] ?? null;
        $size = $other === null ? 1 : $this->domains[$other];
        // Tables by number of decided variables, from all of them down to none.
        $tables = [count($inside) => $this->ordered($factor, $inside, $other)];
        for ($decided = count($inside) - 1; $decided >= 0; --$decided) {
            $tables[$decided] = $this->minimised($tables[$decided + 1], $this->domains[$inside[$decided]], $size);
        }
        $place = $other === null ? -1 : $places[$other];
        for ($value = 0; $value < $size; ++$value) {
            if ($place < 0) {
                $base = [$base[0] + $tables[0][0][$value], $base[1] + $tables[0][1][$value]];
            } else {
                [$highs, $lows] = $sums[$place];
                $highs[$value] += $tables[0][0][$value];
                $lows[$value] += $tables[0][1][$value];
                $sums[$place] = [$highs, $lows];
            }
        }
        foreach ($inside as $i => $variable) {
            $this->updates[$depths[$variable]][] = [
                $place,
                [$tables[$i][0], $tables[$i + 1][0]],
                [$tables[$i][1], $tables[$i + 1][1]],
                array_map(static fn (int $decided): int => $depths[$decided], array_slice($inside, 0, $i)),
            ];
        }
    }

    /**
     * @param list<int> $inside
     *
     * @return array{list<int>, list<int>} the factor's weights, cover variables first, the other variable counting fastest
     */
    private function ordered(Factor $factor, array $inside, ?int $other): array
    {
        $scope = $other === null ? $inside : [...$inside, $other];
        $highs = $lows = [];
        for ($entry = 0, $count = count($factor->high); $entry < $count; ++$entry) {
            $values = [];
            $rest = $entry;
            foreach (array_reverse($scope) as $variable) {
                $values[$variable] = $rest % $this->domains[$variable];
                $rest = intdiv($rest, $this->domains[$variable]);
            }
            $index = $factor->index($values, $this->domains);
            $highs[] = $factor->high[$index];
            $lows[] = $factor->low[$index];
        }

        return [$highs, $lows];
    }

    /**
     * @param array{list<int>, list<int>} $table
     *
     * @return array{list<int>, list<int>} the last cover variable minimised out
     */
    private function minimised(array $table, int $domain, int $size): array
    {
        $highs = $lows = [];
        $groups = intdiv(count($table[0]), $domain * $size);
        for ($group = 0; $group < $groups; ++$group) {
            for ($value = 0; $value < $size; ++$value) {
                $best = [PHP_INT_MAX, PHP_INT_MAX];
                for ($choice = 0; $choice < $domain; ++$choice) {
                    $at = ($group * $domain + $choice) * $size + $value;
                    $best = min($best, [$table[0][$at], $table[1][$at]]);
                }
                $highs[] = $best[0];
                $lows[] = $best[1];
            }
        }

        return [$highs, $lows];
    }

    /**
     * @param list<int>                                           $decided values of the cover so far
     * @param array<int, array{array<int, int>, array<int, int>}> $sums    by other variable: least high and low weight of each of its values
     * @param array{int, int}                                     $base    weight of factors inside the cover
     */
    private function branch(int $depth, array $decided, array $sums, array $base): void
    {
        if ($this->isStopped || (++$this->nodes % self::PATIENCE === 0 && ($this->timeIsUp)())) {
            $this->isStopped = true;

            return;
        }
        if ($depth === count($this->cover)) {
            $this->takeLeaf($decided, $sums, $base);

            return;
        }
        $children = [];
        for ($value = 0; $value < $this->domains[$this->cover[$depth]]; ++$value) {
            $childSums = $sums;
            $childBase = $base;
            $childDecided = [...$decided, $value];
            foreach ($this->updates[$depth] ?? [] as [$place, $high, $low, $before]) {
                $index = 0;
                foreach ($before as $earlier) {
                    $index = $index * $this->domains[$this->cover[$earlier]] + $decided[$earlier];
                }
                $size = $place < 0 ? 1 : count($sums[$place][0]);
                $from = $index * $size;
                $to = ($index * $this->domains[$this->cover[$depth]] + $value) * $size;
                [$highs, $lows] = $place < 0 ? [[$childBase[0]], [$childBase[1]]] : $childSums[$place];
                for ($v = 0; $v < $size; ++$v) {
                    $highs[$v] += $high[1][$to + $v] - $high[0][$from + $v];
                    $lows[$v] += $low[1][$to + $v] - $low[0][$from + $v];
                }
                if ($place < 0) {
                    $childBase = [$highs[0], $lows[0]];
                } else {
                    $childSums[$place] = [$highs, $lows];
                }
            }
            $children[] = [$this->bound($childSums, $childBase), $childDecided, $childSums, $childBase];
        }
        usort($children, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($children as [$bound, $childDecided, $childSums, $childBase]) {
            if ($bound < [$this->best[1], $this->best[2]]) {
                $this->branch($depth + 1, $childDecided, $childSums, $childBase);
            }
        }
    }

    /**
     * @param array<int, array{array<int, int>, array<int, int>}> $sums
     * @param array{int, int}                                     $base
     *
     * @return array{int, int}
     */
    private function bound(array $sums, array $base): array
    {
        [$high, $low] = $base;
        foreach ($sums as [$highs, $lows]) {
            $bestHigh = $highs[0];
            $bestLow = $lows[0];
            for ($v = 1, $size = count($highs); $v < $size; ++$v) {
                if ($highs[$v] < $bestHigh || ($highs[$v] === $bestHigh && $lows[$v] < $bestLow)) {
                    $bestHigh = $highs[$v];
                    $bestLow = $lows[$v];
                }
            }
            $high += $bestHigh;
            $low += $bestLow;
        }

        return [$high, $low];
    }

    /**
     * @param list<int>                                           $decided
     * @param array<int, array{array<int, int>, array<int, int>}> $sums
     * @param array{int, int}                                     $base
     */
    private function takeLeaf(array $decided, array $sums, array $base): void
    {
        [$high, $low] = $this->bound($sums, $base);
        if ([$high, $low] >= [$this->best[1], $this->best[2]]) {
            return;
        }
        $values = array_combine($this->cover, $decided);
        foreach ($this->others as $place => $other) {
            [$highs, $lows] = $sums[$place];
            $weights = array_map(static fn (int $high, int $low): array => [$high, $low], $highs, $lows);
            asort($weights);
            $values[$other] = (int) array_key_first($weights);
        }
        ksort($values);
        $this->best = [array_values($values), $high, $low];
    }
}
