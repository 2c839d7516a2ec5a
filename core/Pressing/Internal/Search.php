<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Solves a model exactly where it can; else gives its best plan with a bound.
 *
 * @internal
 */
final class Search
{
    /** Table sizes to try one after the other: the first that is exact ends the search. */
    private const SMALL_TABLE = 256;

    private const MIDDLE_TABLE = 8_192;

    private const LARGE_TABLE = 65_536;

    private const LARGEST_TABLE = 524_288;

    /** Looks at the clock in the first go with clusters: what they prove at all they mostly prove at once. */
    private const FIRST_GO = 500;

    /** So many entries of all tables together are made in a second or two, and held in 150 MB. */
    private const MOST_ENTRIES = 4_194_304;

    /** Beyond so many variables in a cover, branching rarely gets anywhere. */
    private const LARGEST_COVER = 60;

    /**
     * @param list<int>                      $domains
     * @param list<Factor>                   $factors
     * @param \Closure(): bool               $timeIsUp
     * @param int|null                       $firstUnit the weight of one of the figure that counts first, where that figure is the nesting
     * @param Optimum|null                   $known     what an earlier search found
     * @param (\Closure(Optimum): void)|null $onBetter  told of everything better that is found on the way
     */
    public static function best(array $domains, array $factors, \Closure $timeIsUp, ?int $firstUnit, ?Optimum $known = null, ?\Closure $onBetter = null): Optimum
    {
        if ($firstUnit === null) {
            return self::search($domains, $factors, $timeIsUp, $known, $onBetter ?? static fn (): null => null, self::LARGEST_TABLE);
        }
        $contraction = Contraction::of($domains, $factors, $firstUnit);
        $expanded = static fn (Optimum $found): Optimum => new Optimum($contraction->expanded($found->values), $found->boundHigh, $found->boundLow, $found->exact);
        $from = $known === null ? null : new Optimum($contraction->contracted($known->values), $known->boundHigh, $known->boundLow, $known->exact);

        return $expanded(self::search($contraction->domains(), $contraction->factors(), $timeIsUp, $from, static fn (Optimum $better) => $onBetter === null ? null : $onBetter($expanded($better)), self::LARGEST_TABLE));
    }

    /**
     * The same where a few variables are shared by all that is otherwise only near to near.
     *
     * @param list<int>                    $domains
     * @param list<Factor>                 $factors
     * @param array<int, mixed>            $shared    by variable
     * @param \Closure(): bool             $timeIsUp
     * @param int|null                     $firstUnit as above
     * @param \Closure(): (list<int>|null) $start     values to go on from, asked for where the search is long
     */
    public static function sharing(array $domains, array $factors, array $shared, \Closure $timeIsUp, ?int $firstUnit, \Closure $start): Optimum
    {
        $contraction = Contraction::of($domains, $factors, $firstUnit ?? Weight::FORBIDDEN);
        [$domains, $factors] = [$contraction->domains(), $contraction->factors()];
        $found = self::eliminated($domains, $factors, self::SMALL_TABLE, static fn (): bool => false)
            ?? throw new \LogicException('A round without a clock gives a plan.');
        $exactly = static fn (int $size): ?Optimum => (new Elimination($domains, $factors))->solve($size, $timeIsUp, true);
        $from = static function () use ($start, $contraction): ?array {
            $values = $start();

            return $values === null ? null : $contraction->contracted($values);
        };
        $rounds = [
            static fn (): ?Optimum => $exactly(self::MIDDLE_TABLE),
            static fn (Optimum $best): Optimum => SharedSearch::best($domains, $factors, $contraction->standing($shared), $best->values, $from, $timeIsUp),
            static fn (): ?Optimum => $exactly(self::LARGE_TABLE),
            static fn (Optimum $best): Optimum => self::search($domains, $factors, $timeIsUp, $best, static fn (): null => null, self::LARGE_TABLE),
        ];
        $found = self::inRounds($rounds, $found, $domains, $factors, $timeIsUp, static fn (): null => null);

        return new Optimum($contraction->expanded($found->values), $found->boundHigh, $found->boundLow, $found->exact);
    }

    /**
     * @param list<int>                $domains
     * @param list<Factor>             $factors
     * @param \Closure(): bool         $timeIsUp
     * @param Optimum|null             $known
     * @param \Closure(Optimum): mixed $onBetter
     */
    private static function search(array $domains, array $factors, \Closure $timeIsUp, ?Optimum $known, \Closure $onBetter, int $largestTable): Optimum
    {
        // The first, small round always runs to its end, so that there is a plan however short the time.
        $best = self::eliminated($domains, $factors, self::SMALL_TABLE, static fn (): bool => false)
            ?? throw new \LogicException('A round without a clock gives a plan.');
        $best = $best->exact || $known === null ? $best : self::better($known, $best, $domains, $factors);
        $onBetter($best);
        $tables = static fn (int $size): \Closure => static fn (): ?Optimum => self::eliminated($domains, $factors, $size, $timeIsUp);
        $clusters = static fn (int $mostLooks): \Closure => static fn (Optimum $best): ?Optimum => ClusterSearch::best($domains, $factors, Descent::weigh($factors, $best->values, $domains), $timeIsUp, $mostLooks);
        // As large as memory allows for all tables together.
        $largest = min($largestTable, intdiv(self::MOST_ENTRIES, 1 + count($domains)));
        $smaller = array_filter([self::MIDDLE_TABLE, self::LARGE_TABLE], static fn (int $size): bool => $size < $largest);
        $rounds = [
            $clusters(self::FIRST_GO),
            ...array_map($tables, $smaller),
            $clusters(PHP_INT_MAX),
            static fn (Optimum $best): ?Optimum => CoverSearch::best($domains, $factors, $timeIsUp, self::LARGEST_COVER, Descent::weigh($factors, $best->values, $domains)),
            $tables($largest),
        ];

        return self::inRounds($rounds, $best, $domains, $factors, $timeIsUp, $onBetter);
    }

    /**
     * One after the other, until it is proved or the time is up.
     *
     * @param list<\Closure(Optimum): (Optimum|null)> $rounds   that begin with the best so far
     * @param list<int>                               $domains
     * @param list<Factor>                            $factors
     * @param \Closure(): bool                        $timeIsUp
     * @param \Closure(Optimum): mixed                $onBetter
     */
    private static function inRounds(array $rounds, Optimum $best, array $domains, array $factors, \Closure $timeIsUp, \Closure $onBetter): Optimum
    {
        foreach ($rounds as $round) {
            if ($best->exact || $timeIsUp()) {
                break;
            }
            $found = $round($best);
            if ($found !== null) {
                $best = self::better($best, $found, $domains, $factors);
                $onBetter($best);
            }
        }

        return $best;
    }

    /**
     * @param list<int>        $domains
     * @param list<Factor>     $factors
     * @param \Closure(): bool $timeIsUp
     */
    private static function eliminated(array $domains, array $factors, int $tableSize, \Closure $timeIsUp): ?Optimum
    {
        $found = (new Elimination($domains, $factors))->solve($tableSize, $timeIsUp);
        if ($found === null || $found->exact) {
            return $found;
        }

        $values = Descent::from($domains, $factors, $found->values, $timeIsUp);

        return new Optimum($values, $found->boundHigh, $found->boundLow, Descent::weigh($factors, $values, $domains) === [$found->boundHigh, $found->boundLow]);
    }

    /**
     * The better values of the two with the higher bound of the two.
     *
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    private static function better(Optimum $a, Optimum $b, array $domains, array $factors): Optimum
    {
        $isKept = $b->values === [] || Descent::weigh($factors, $a->values, $domains) <= Descent::weigh($factors, $b->values, $domains);
        $values = $isKept ? $a->values : $b->values;
        $bound = max([$a->boundHigh, $a->boundLow], [$b->boundHigh, $b->boundLow]);

        return new Optimum($values, $bound[0], $bound[1], $b->exact || Descent::weigh($factors, $values, $domains) === $bound);
    }
}
