<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Branch and bound with strong bounds: variables that have a say nearly everywhere are tried value by value, the others
 * are put into clusters, messages between the clusters raise the bound, and a cover of the clusters is searched.
 *
 * A block of units that nest is rows against columns, with the pile of the units over all of them: this proves plans
 * of several hundred units in a second.
 *
 * @internal
 */
final class ClusterSearch
{
    /** Cases tried one by one. */
    private const MOST_CASES = 16;

    /** A variable in this share of the factors over three and more is tried value by value. */
    private const NEARLY_EVERYWHERE = 0.6;

    /** More clusters than this in a cover are not searched; their bound is taken. */
    private const LARGEST_COVER = 40;

    /**
     * @param list<int>       $left    variables that the case leaves open
     * @param array<int, int> $case    value of each of the others
     * @param array{int, int} $base    weight of the factors it decides
     * @param list<Factor>    $factors over the clusters, as the messages left them
     * @param int             $scale   how many times too large their high weights are
     */
    private function __construct(
        private readonly array $left,
        private readonly array $case,
        private readonly array $base,
        private readonly Clusters $clusters,
        private readonly array $factors,
        private readonly int $scale,
    ) {}

    /**
     * @param list<int>        $domains
     * @param list<Factor>     $factors   one for each scope
     * @param array{int, int}  $toBeat    the weight of a plan that is known
     * @param \Closure(): bool $timeIsUp
     * @param int              $mostLooks at the clock in each case, after which it is given up
     *
     * @return Optimum|null without values where nothing better than what is known was found; null where the problem does
     *                      not lend itself to it
     */
    public static function best(array $domains, array $factors, array $toBeat, \Closure $timeIsUp, int $mostLooks = PHP_INT_MAX): ?Optimum
    {
        $values = [];
        [$bound, $isExact] = [[PHP_INT_MAX, PHP_INT_MAX], true];
        $cases = self::cases($domains, $factors);
        $left = array_values(array_diff(array_keys($domains), array_keys($cases[0])));
        $clusters = null;
        foreach ($cases as $case) {
            [$base, $rest] = self::decided(Factor::fixed($domains, $factors, $case, array_flip($left)));
            // Every case leaves the same scopes: what belongs together does in all of them.
            $clusters ??= Clusters::of(array_map(static fn (int $variable): int => $domains[$variable], $left), $rest);
            if ($clusters === null) {
                return null;
            }
            $search = new self($left, $case, $base, $clusters, ...Messages::passed($clusters->domains, $clusters->merged($rest), $timeIsUp));
            $found = $search->searched($toBeat, self::within($timeIsUp, $mostLooks));
            if ($found === null) {
                return null;
            }
            if ($found->values !== []) {
                $values = $found->values;
                $toBeat = Descent::weigh($factors, $values, $domains);
            }
            $bound = min($bound, [$found->boundHigh, $found->boundLow]);
            $isExact = $isExact && $found->exact;
        }

        return $isExact ? new Optimum($values, $toBeat[0], $toBeat[1], true) : new Optimum($values, $bound[0], $bound[1], false);
    }

    /**
     * @param list<Factor> $factors
     *
     * @return array{array{int, int}, list<Factor>} what those that leave nothing open weigh, and the others
     */
    private static function decided(array $factors): array
    {
        $base = [0, 0];
        foreach ($factors as $i => $factor) {
            if ($factor->scope === []) {
                $base = [$base[0] + $factor->high[0], $base[1] + $factor->low[0]];
                unset($factors[$i]);
            }
        }

        return [$base, array_values($factors)];
    }

    /**
     * @param array{int, int}  $toBeat
     * @param \Closure(): bool $timeIsUp
     */
    private function searched(array $toBeat, \Closure $timeIsUp): ?Optimum
    {
        if ($this->base[0] >= Weight::FORBIDDEN) {
            return new Optimum([], PHP_INT_MAX, PHP_INT_MAX, true);
        }
        $known = $toBeat[0] >= Weight::FORBIDDEN ? null : [($toBeat[0] - $this->base[0]) * $this->scale, $toBeat[1] - $this->base[1]];
        $found = CoverSearch::best($this->clusters->domains, $this->factors, $timeIsUp, self::LARGEST_COVER, $known);
        if ($found === null) {
            return null;
        }
        if ($found->boundHigh >= Weight::FORBIDDEN) {
            return new Optimum([], PHP_INT_MAX, PHP_INT_MAX, true);
        }
        $values = [];
        if ($found->values !== []) {
            $values = $this->case + array_combine($this->left, $this->clusters->expanded($found->values));
            ksort($values);
        }
        // All real weights are whole: what is above a whole one is the next.
        $high = intdiv($found->boundHigh + $this->scale - 1, $this->scale);

        return new Optimum(array_values($values), $this->base[0] + $high, $this->base[1], $found->exact);
    }

    /**
     * @param \Closure(): bool $timeIsUp
     *
     * @return \Closure(): bool true too after so many looks
     */
    private static function within(\Closure $timeIsUp, int $looks): \Closure
    {
        return static function () use ($timeIsUp, &$looks): bool {
            return --$looks < 0 || $timeIsUp();
        };
    }

    /**
     * Every combination of the variables that have a say nearly everywhere, of as many of them as make few.
     *
     * @param list<int>    $domains
     * @param list<Factor> $factors
     *
     * @return non-empty-list<array<int, int>> value by variable
     */
    private static function cases(array $domains, array $factors): array
    {
        $cases = [[]];
        while (true) {
            $rest = array_map(static fn (Factor $factor): array => array_diff($factor->scope, array_keys($cases[0])), $factors);
            $scopes = array_filter($rest, static fn (array $scope): bool => count($scope) > 2);
            $counts = array_count_values(array_merge(...$scopes));
            arsort($counts);
            $hub = array_key_first($counts);
            if ($hub === null || $counts[$hub] < self::NEARLY_EVERYWHERE * count($scopes) || count($cases) * $domains[$hub] > self::MOST_CASES) {
                return $cases;
            }
            $cases = array_merge(...array_map(static fn (array $case): array => array_map(static fn (int $value): array => $case + [$hub => $value], range(0, $domains[$hub] - 1)), $cases));
        }
    }
}
