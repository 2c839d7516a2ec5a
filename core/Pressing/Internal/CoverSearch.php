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

    private CoverTables $tables;

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
        private readonly Cover $cover,
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
        $cover = Cover::of($domains, $factors);
        if (count($cover->variables) > $largestCover) {
            return null;
        }
        $search = new self($domains, $factors, $cover, $timeIsUp);
        $search->best = $search->goodStart();
        if ($toBeat !== null && [$search->best[1], $search->best[2]] >= $toBeat) {
            $search->best = [[], ...$toBeat];
        }
        [$boundHigh, $boundLow] = $search->searchTree();

        return $search->isStopped
            ? new Optimum($search->best[0], $boundHigh, $boundLow, false)
            : new Optimum($search->best[0], $search->best[1], $search->best[2], true);
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
        $this->tables = new CoverTables($this->cover, $this->domains, $this->factors);
        $bound = $this->bound($this->tables->sums, $this->tables->base);
        $this->branch(0, [], $this->tables->sums, $this->tables->base);

        return $bound;
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
        if ($depth === count($this->cover->variables)) {
            $this->takeLeaf($decided, $sums, $base);

            return;
        }
        $children = [];
        for ($value = 0; $value < $this->domains[$this->cover->variables[$depth]]; ++$value) {
            $childSums = $sums;
            $childBase = $base;
            $childDecided = [...$decided, $value];
            foreach ($this->tables->updates[$depth] ?? [] as [$place, $high, $low, $before]) {
                $index = 0;
                foreach ($before as $earlier) {
                    $index = $index * $this->domains[$this->cover->variables[$earlier]] + $decided[$earlier];
                }
                $size = $place === null ? 1 : count($sums[$place][0]);
                $from = $index * $size;
                $to = ($index * $this->domains[$this->cover->variables[$depth]] + $value) * $size;
                [$highs, $lows] = $place === null ? [[$childBase[0]], [$childBase[1]]] : $childSums[$place];
                for ($v = 0; $v < $size; ++$v) {
                    $highs[$v] += $high[1][$to + $v] - $high[0][$from + $v];
                    $lows[$v] += $low[1][$to + $v] - $low[0][$from + $v];
                }
                if ($place === null) {
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
        $values = array_combine($this->cover->variables, $decided);
        foreach ($this->cover->others as $place => $other) {
            [$highs, $lows] = $sums[$place];
            $weights = array_map(static fn (int $high, int $low): array => [$high, $low], $highs, $lows);
            asort($weights);
            $values[$other] = (int) array_key_first($weights);
        }
        ksort($values);
        $this->best = [array_values($values), $high, $low];
    }
}
