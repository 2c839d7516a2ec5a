<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Pressing\Internal\Clusters;
use KeenSeam\Core\Pressing\Internal\ClusterSearch;
use KeenSeam\Core\Pressing\Internal\CoverSearch;
use KeenSeam\Core\Pressing\Internal\Descent;
use KeenSeam\Core\Pressing\Internal\Elimination;
use KeenSeam\Core\Pressing\Internal\Factor;
use KeenSeam\Core\Pressing\Internal\Messages;
use KeenSeam\Core\Pressing\Internal\Optimum;
use KeenSeam\Core\Pressing\Internal\Search;
use KeenSeam\Core\Pressing\Internal\SharedSearch;
use KeenSeam\Core\Pressing\Internal\Weight;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Every search beside the plainest one there is, trying all values, on problems made at random. */
final class SearchTest extends TestCase
{
    /** @return iterable<string, array{list<int>, list<Factor>}> */
    public static function problems(): iterable
    {
        for ($seed = 1; $seed <= 24; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            yield "anything $seed" => Factors::problem($random, array_map(static fn (): int => $random->getInt(1, 3), range(1, $random->getInt(2, 8))), 14);
        }
        for ($seed = 1; $seed <= 12; ++$seed) {
            yield "rows against columns $seed" => Factors::rowsAgainstColumns(new Randomizer(new Mt19937($seed)), 5, 5);
        }
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    #[DataProvider('problems')]
    public function test_every_search_finds_the_least_and_says_so(array $domains, array $factors): void
    {
        $least = self::leastByTrying($domains, $factors);
        $never = static fn (): bool => false;
        $exact = (new Elimination($domains, $factors))->solve(1 << 16, $never);
        $found = [
            'elimination' => $exact,
            'cover' => CoverSearch::best($domains, $factors, $never, 60),
            'clusters' => ClusterSearch::best($domains, $factors, [PHP_INT_MAX, PHP_INT_MAX], $never),
            'all together' => Search::best($domains, $factors, $never, null),
            'after contraction' => Search::best($domains, $factors, $never, Weight::SECOND),
            'some shared' => Search::sharing($domains, $factors, self::everyOther($domains), $never, Weight::SECOND, static fn (): null => null),
            'shared decided best first' => self::sharing($domains, $factors, $never, [1 << 16]),
            'shared in tables that grow' => self::sharing($domains, $factors, $never, [2, 1 << 16]),
            'none shared in one table' => SharedSearch::best($domains, $factors, [], self::zeros($domains), static fn (): null => null, $never, [1 << 16]),
            'none shared' => SharedSearch::best($domains, $factors, [], self::zeros($domains), static fn (): null => null, $never),
        ];
        foreach ($found as $name => $optimum) {
            self::assertNotNull($optimum, $name);
            self::assertTrue($optimum->exact, $name);
            self::assertSame($least, [$optimum->boundHigh, $optimum->boundLow], $name);
            self::assertSame($least, Descent::weigh($factors, $optimum->values, $domains), $name);
        }
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    #[DataProvider('problems')]
    public function test_what_is_put_in_place_of_a_variable_has_an_entry_for_every_case(array $domains, array $factors): void
    {
        [$buckets] = (new Elimination($domains, $factors))->bucketsOf(array_fill_keys(array_keys($domains), true), 1 << 10);
        self::assertSameSize($domains, $buckets);
        foreach ($buckets as [$variable, , $messages]) {
            foreach ($messages as $message) {
                $size = array_product(array_map(static fn (int $other): int => $domains[$other], $message->scope));
                self::assertNotContains($variable, $message->scope);
                self::assertSame([$size, $size], [count($message->high), count($message->low)]);
            }
        }
    }

    public function test_what_cannot_be_is_found_to_be_impossible(): void
    {
        $never = static fn (): bool => false;
        // Alike, alike, and the two ends unlike.
        $alike = [0, Weight::FORBIDDEN, Weight::FORBIDDEN, 0];
        $nought = [0, 0, 0, 0];
        $domains = [2, 2, 2];
        $factors = [new Factor([0, 1], $alike, $nought), new Factor([1, 2], $alike, $nought), new Factor([0, 2], [Weight::FORBIDDEN, 0, 0, Weight::FORBIDDEN], $nought)];
        foreach (['elimination' => (new Elimination($domains, $factors))->solve(1 << 8, $never), 'cover' => CoverSearch::best($domains, $factors, $never, 60), 'clusters' => ClusterSearch::best($domains, $factors, [PHP_INT_MAX, PHP_INT_MAX], $never), 'all together' => Search::best($domains, $factors, $never, null), 'some shared' => Search::sharing($domains, $factors, [0 => true], $never, Weight::SECOND, static fn (): null => null)] as $name => $found) {
            self::assertTrue($found?->exact, $name);
            self::assertGreaterThanOrEqual(Weight::FORBIDDEN, $found->boundHigh, $name);
        }
    }

    /** Where the first figure hardly tells the ways apart, the second decides, and the first plan at hand is not the best. */
    public function test_ties_are_broken_by_the_second_figure(): void
    {
        $never = static fn (): bool => false;
        for ($seed = 1; $seed <= 6; ++$seed) {
            [$domains, $factors] = Factors::rowsAgainstColumns(new Randomizer(new Mt19937($seed)), 8, 8, 0, 1);
            $plainly = (new Elimination($domains, $factors))->solve(1 << 12, $never);
            self::assertTrue($plainly?->exact);
            $calls = 0;
            // In a hurry at first: all that is found is then found in the tree.
            $atFirst = static function () use (&$calls): bool {
                return ++$calls < 3;
            };
            foreach (['cover' => CoverSearch::best($domains, $factors, $never, 60), 'cover from a poor start' => CoverSearch::best($domains, $factors, $atFirst, 60), 'clusters' => ClusterSearch::best($domains, $factors, [PHP_INT_MAX, PHP_INT_MAX], $never), 'all together' => Search::best($domains, $factors, $never, null)] as $name => $found) {
                self::assertTrue($found?->exact, $name);
                self::assertSame([$plainly->boundHigh, $plainly->boundLow], [$found->boundHigh, $found->boundLow], "$name, seed $seed");
                self::assertSame([$plainly->boundHigh, $plainly->boundLow], Descent::weigh($factors, $found->values, $domains), "$name, seed $seed");
            }
        }
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    #[DataProvider('problems')]
    public function test_what_stops_early_tells_a_true_bound_and_never_that_it_is_proved(array $domains, array $factors): void
    {
        $least = self::leastByTrying($domains, $factors);
        $always = static fn (): bool => true;
        $coarse = (new Elimination($domains, $factors))->solve(2, static fn (): bool => false) ?? self::fail('It ran to its end.');
        foreach (['coarse elimination' => $coarse, 'no time at all' => Search::best($domains, $factors, $always, null), 'clusters without time' => ClusterSearch::best($domains, $factors, [PHP_INT_MAX, PHP_INT_MAX], $always, 0)] as $name => $found) {
            self::assertNotNull($found, $name);
            self::assertLessThanOrEqual($least, [$found->boundHigh, $found->boundLow], $name);
            if ($found->exact) {
                self::assertSame($least, Descent::weigh($factors, $found->values, $domains), $name);
            }
        }
    }

    public function test_wherever_a_search_is_stopped_its_bound_is_true_and_its_plan_is_real(): void
    {
        for ($seed = 1; $seed <= 3; ++$seed) {
            [$domains, $factors] = $seed < 3 ? Factors::rowsAgainstColumns(new Randomizer(new Mt19937($seed)), 4 + $seed, 6) : Factors::problem(new Randomizer(new Mt19937($seed)), array_fill(0, 9, 3), 30);
            $exact = (new Elimination($domains, $factors))->solve(1 << 16, static fn (): bool => false);
            $least = Descent::weigh($factors, $exact->values ?? [], $domains);
            $start = Descent::from($domains, $factors, self::zeros($domains), static fn (): bool => false);
            $eachByItself = array_sum(array_map(static fn (Factor $factor): int => min($factor->high), $factors));
            $searches = [
                'all together' => static fn (\Closure $timeIsUp): Optimum => Search::best($domains, $factors, $timeIsUp, null),
                'some shared' => static fn (\Closure $timeIsUp): Optimum => Search::sharing($domains, $factors, self::everyOther($domains), $timeIsUp, null, static fn (): array => $start),
                'shared decided best first' => static fn (\Closure $timeIsUp): Optimum => self::sharing($domains, $factors, $timeIsUp, [2, 4, 1 << 10]),
                'clusters' => static fn (\Closure $timeIsUp): ?Optimum => ClusterSearch::best($domains, $factors, Descent::weigh($factors, $start, $domains), $timeIsUp),
                'cover' => static fn (\Closure $timeIsUp): ?Optimum => CoverSearch::best($domains, $factors, $timeIsUp, 60),
            ];
            foreach ($searches as $name => $search) {
                $all = new Looks();
                $search($all->timeIsUp(...));
                // At the first looks and at the last before it is done.
                foreach (array_unique([...range(0, 12), ...range(max(0, $all->taken - 16), $all->taken)]) as $most) {
                    $found = $search((new Looks($most))->timeIsUp(...)) ?? self::fail($name);
                    $bound = [$found->boundHigh, $found->boundLow];
                    self::assertLessThanOrEqual($least, $bound, "$name, seed $seed, stopped after $most looks");
                    self::assertGreaterThanOrEqual($eachByItself, $bound[0], "$name, seed $seed, stopped after $most looks");
                    $weight = Descent::weigh($factors, $found->values === [] ? $start : $found->values, $domains);
                    self::assertGreaterThanOrEqual($least, $weight, $name);
                    self::assertTrue(! $found->exact || $weight === $least, $name);
                }
            }
        }
    }

    /** A long strip: more variables than clusters are made of, in tables of a middle size. */
    public function test_what_is_long_and_narrow_is_eliminated_piece_by_piece(): void
    {
        $random = new Randomizer(new Mt19937(6));
        [$width, $count] = [9, 170];
        $domains = array_fill(0, $count, 2);
        $factors = [];
        for ($variable = 0; $variable < $count; ++$variable) {
            foreach ([...($variable % $width < $width - 1 ? [1] : []), $width] as $further) {
                $factors[] = $variable + $further < $count ? Factors::factor($random, [$variable, $variable + $further], $domains, 40, 90) : null;
            }
        }
        $factors = array_values(array_filter($factors));
        $looks = new Looks();
        $exact = Search::best($domains, $factors, $looks->timeIsUp(...), null);
        self::assertTrue($exact->exact);
        self::assertSame([$exact->boundHigh, $exact->boundLow], Descent::weigh($factors, $exact->values, $domains));
        self::assertLessThan($count + 10, $looks->taken, 'the first tables that are large enough are enough');
        $told = [];
        foreach ([3, $count - 5] as $most) {
            $found = Search::best($domains, $factors, (new Looks($most))->timeIsUp(...), null, null, static function (Optimum $better) use (&$told): void {
                $told[] = $better;
            });
            self::assertFalse($found->exact);
            self::assertLessThan([$exact->boundHigh, 0], [$found->boundHigh, $found->boundLow]);
            self::assertGreaterThan(0.8 * $exact->boundHigh, $found->boundHigh);
        }
        self::assertCount(2, $told, 'the quick round alone: where another ends without a result nothing is told');
    }

    /** Weights so large that they cannot be scaled up as others are. */
    public function test_nothing_runs_over_where_weights_are_large(): void
    {
        foreach ([40, 44, 46, 48, 50, 52] as $bits) {
            [$domains, $factors] = Factors::rowsAgainstColumns(new Randomizer(new Mt19937($bits)), 4, 4, 1 << $bits, 3 << $bits);
            $least = self::leastByTrying($domains, $factors);
            $found = ClusterSearch::best($domains, $factors, [PHP_INT_MAX, PHP_INT_MAX], static fn (): bool => false) ?? self::fail('It is small.');
            self::assertSame([true, $least], [$found->exact, Descent::weigh($factors, $found->values, $domains)]);
            [$shifted, $scale] = Messages::passed($domains, Factor::together($factors), static fn (): bool => false);
            self::assertSame([$least[0] * $scale, $least[1]], Descent::weigh($shifted, $found->values, $domains));
            self::assertLessThan(Weight::FORBIDDEN, $scale * array_sum(array_map(static fn (Factor $factor): int => max($factor->high), $factors)), 'all of them together stay below what must not be');
        }
    }

    public function test_a_cover_of_just_the_largest_size_is_searched(): void
    {
        [$domains, $factors] = Factors::rowsAgainstColumns(new Randomizer(new Mt19937(4)), 5, 6);
        $never = static fn (): bool => false;
        self::assertTrue(CoverSearch::best($domains, $factors, $never, 6)?->exact);
        self::assertNull(CoverSearch::best($domains, $factors, $never, 5));
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    #[DataProvider('problems')]
    public function test_what_is_shared_is_decided_with_a_true_bound_in_any_tables_and_time(array $domains, array $factors): void
    {
        $least = self::leastByTrying($domains, $factors);
        $start = Descent::from($domains, $factors, self::zeros($domains), static fn (): bool => true);
        foreach ([[2], [2, 4]] as $tables) {
            foreach ([0, 3, 20, PHP_INT_MAX] as $most) {
                $found = self::sharing($domains, $factors, (new Looks($most))->timeIsUp(...), $tables);
                $weight = Descent::weigh($factors, $found->values, $domains);
                self::assertLessThanOrEqual($least, [$found->boundHigh, $found->boundLow]);
                self::assertLessThanOrEqual(Descent::weigh($factors, $start, $domains), $weight, 'what it began with is not lost');
                self::assertSame($found->exact, $weight === [$found->boundHigh, $found->boundLow]);
            }
        }
    }

    public function test_only_with_many_shared_it_asks_for_a_start_at_once(): void
    {
        foreach ([20 => 0, 21 => 1] as $shared => $expected) {
            $domains = array_fill(0, 2 * $shared, 2);
            $factors = array_map(static fn (int $variable): Factor => new Factor([$variable, $variable + 1], [1, 0, 0, 1], [0, 0, 0, 0]), range(0, 2 * $shared - 2));
            $asked = 0;
            SharedSearch::best($domains, $factors, self::everyOther($domains), self::zeros($domains), static function () use (&$asked): null {
                ++$asked;

                return null;
            }, static fn (): bool => true);
            self::assertSame($expected, $asked, "$shared shared");
        }
    }

    public function test_with_many_shared_it_goes_on_from_the_start_it_is_given(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $domains = array_fill(0, 50, 2);
        $factors = array_map(static fn (int $variable): Factor => new Factor([$variable, $variable + 1], array_map(static fn (): int => $random->getInt(0, 9), range(1, 4)), [0, 0, 0, 0]), range(0, 48));
        $best = (new Elimination($domains, $factors))->solve(1 << 8, static fn (): bool => false) ?? self::fail('It ran to its end.');
        $asked = 0;
        $start = static function () use (&$asked, $best): array {
            ++$asked;

            return $best->values;
        };
        $found = SharedSearch::best($domains, $factors, self::everyOther($domains), self::zeros($domains), $start, static fn (): bool => true);
        self::assertSame([1, $best->values], [$asked, $found->values]);
        self::assertLessThanOrEqual([$best->boundHigh, $best->boundLow], [$found->boundHigh, $found->boundLow]);
        // A worse one is not taken; and none is as good as the first.
        foreach ([static fn (): array => self::zeros($domains), static fn (): ?array => null] as $other) {
            self::assertSame($best->values, SharedSearch::best($domains, $factors, self::everyOther($domains), $best->values, $other, static fn (): bool => true)->values);
        }
    }

    /**
     * @param list<int>           $domains
     * @param list<Factor>        $factors
     * @param \Closure(): bool    $timeIsUp
     * @param non-empty-list<int> $tables
     */
    private static function sharing(array $domains, array $factors, \Closure $timeIsUp, array $tables): Optimum
    {
        $start = Descent::from($domains, $factors, self::zeros($domains), static fn (): bool => true);

        return SharedSearch::best($domains, $factors, self::everyOther($domains), $start, static fn (): null => null, $timeIsUp, $tables);
    }

    /**
     * @param list<int> $domains
     *
     * @return array<int, true> by variable
     */
    private static function everyOther(array $domains): array
    {
        return array_filter(array_map(static fn (int $variable): bool => $variable % 2 === 0, array_keys($domains)));
    }

    /**
     * @param list<int> $domains
     *
     * @return list<int>
     */
    private static function zeros(array $domains): array
    {
        return array_fill(0, count($domains), 0);
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    #[DataProvider('problems')]
    public function test_nothing_better_than_the_best_is_found_and_what_is_known_is_never_lost(array $domains, array $factors): void
    {
        $never = static fn (): bool => false;
        $least = self::leastByTrying($domains, $factors);
        $beaten = ClusterSearch::best($domains, $factors, $least, $never);
        self::assertSame([[], true, $least], [$beaten?->values, $beaten?->exact, [$beaten?->boundHigh, $beaten?->boundLow]]);
        $known = (new Elimination($domains, $factors))->solve(1 << 16, $never) ?? self::fail('It ran to its end.');
        $hurried = Search::best($domains, $factors, static fn (): bool => true, null, new Optimum($known->values, $least[0], 0, false));
        self::assertSame($least, Descent::weigh($factors, $hurried->values, $domains), 'a search in a hurry keeps the plan it was given');
        $told = [];
        Search::best($domains, $factors, $never, null, null, static function (Optimum $better) use (&$told, $factors, $domains): void {
            $told[] = Descent::weigh($factors, $better->values, $domains);
        });
        $sorted = $told;
        rsort($sorted);
        self::assertSame([$sorted, $least], [$told, end($told)], 'each plan that is told is no worse than the one before');
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    #[DataProvider('problems')]
    public function test_clusters_and_messages_change_no_sum(array $domains, array $factors): void
    {
        $random = new Randomizer(new Mt19937(5));
        $clusters = Clusters::of($domains, $factors) ?? self::fail('It is small.');
        $merged = $clusters->merged($factors);
        [$shifted, $scale] = Messages::passed($clusters->domains, $merged, static fn (): bool => false);
        self::assertLessThanOrEqual(count($domains), count($clusters->domains));
        for ($try = 0; $try < 30; ++$try) {
            $values = array_map(static fn (int $size): int => $random->getInt(0, $size - 1), $clusters->domains);
            $real = Descent::weigh($factors, $clusters->expanded($values), $domains);
            self::assertSame(self::capped($real), self::capped(Descent::weigh($merged, $values, $clusters->domains)));
            [$high, $low] = Descent::weigh($shifted, $values, $clusters->domains);
            $real[0] >= Weight::FORBIDDEN ? self::assertGreaterThanOrEqual(Weight::FORBIDDEN, $high) : self::assertSame([$real[0] * $scale, $real[1]], [$high, $low]);
        }
        $naive = static fn (array $factors): int => array_sum(array_map(static fn (Factor $factor): int => min($factor->high), $factors));
        self::assertGreaterThanOrEqual($naive($merged) * $scale - count($factors), $naive($shifted), 'the bound grows, but for what is lost by dividing');
        self::assertLessThanOrEqual(self::leastByTrying($domains, $factors)[0] * $scale, $naive($shifted));
    }

    public function test_clusters_are_made_of_so_many_variables_and_no_more(): void
    {
        self::assertSame(160, count(Clusters::of(array_fill(0, 160, 2), [])->domains ?? []));
        self::assertNull(Clusters::of(array_fill(0, 161, 2), []));
        self::assertNull(Clusters::of([], []));
        // Tables of 2 to the power 14 entries are made, larger ones are not.
        $over = static fn (int $variables): ?Clusters => Clusters::of(array_fill(0, $variables, 2), [new Factor(range(0, $variables - 1), array_fill(0, 2 ** $variables, 1), array_fill(0, 2 ** $variables, 0))]);
        self::assertSame([true, false], [$over(14) !== null, $over(15) !== null]);
    }

    public function test_messages_prove_more_than_each_factor_by_itself_and_clusters_more_than_messages(): void
    {
        $never = static fn (): bool => false;
        $bound = static fn (array $factors): int => array_sum(array_map(static fn (Factor $factor): int => min($factor->high), $factors));
        $random = new Randomizer(new Mt19937(3));
        $domains = array_fill(0, 16, 2);
        $loose = $torn = [];
        for ($row = 0; $row < 8; ++$row) {
            for ($column = 8; $column < 16; ++$column) {
                $loose[] = Factors::factor($random, [$row, $column], $domains, 40, 90);
                // Here they are to be alike, there unlike: no crossing by itself sees that not all can have their way.
                $torn[] = new Factor([$row, $column], $random->getInt(0, 1) === 0 ? [49, 81, 64, 49] : [64, 49, 49, 81], [0, 0, 0, 0]);
            }
        }
        [$shifted, $scale] = Messages::passed($domains, $loose, $never);
        self::assertGreaterThan(1.1 * $bound($loose), $bound($shifted) / $scale);
        $clusters = Clusters::of($domains, $torn) ?? self::fail('It is small.');
        [$shifted, $scale] = Messages::passed($clusters->domains, $clusters->merged($torn), $never);
        self::assertGreaterThan(1.05 * $bound($torn), $bound($shifted) / $scale);
    }

    /** Without a look at the tree the bound is what the messages brought; and as all weights are whole, so is it. */
    public function test_clusters_tell_the_bound_of_their_messages(): void
    {
        $never = static fn (): bool => false;
        $random = new Randomizer(new Mt19937(3));
        [$domains, $torn] = [array_fill(0, 44, 2), [new Factor([0], [7, 11], [2, 1])]];
        for ($row = 0; $row < 22; ++$row) {
            for ($column = 22; $column < 44; ++$column) {
                $torn[] = Factors::factor($random, [$row, $column], $domains, 40, 90);
            }
        }
        $clusters = Clusters::of($domains, $torn) ?? self::fail('It is small.');
        [$shifted, $scale] = Messages::passed($clusters->domains, $clusters->merged($torn), $never);
        $whole = (int) ceil(array_sum(array_map(static fn (Factor $factor): int => min($factor->high), $shifted)) / $scale);
        $found = ClusterSearch::best($domains, $torn, [PHP_INT_MAX, PHP_INT_MAX], $never, 0);
        self::assertFalse($found?->exact);
        self::assertContains($found->boundHigh, [$whole, $whole + 1]);
        // Given so many looks it takes them, and no more.
        $taken = static function (int $most) use ($domains, $torn): int {
            $looks = new Looks();
            ClusterSearch::best($domains, $torn, [PHP_INT_MAX, PHP_INT_MAX], $looks->timeIsUp(...), $most);

            return $looks->taken;
        };
        self::assertSame([1, 2], [$taken(1) - $taken(0), $taken(3) - $taken(1)]);
        self::assertLessThanOrEqual(Descent::weigh($torn, $found->values, $domains), [$found->boundHigh, $found->boundLow]);
    }

    public function test_a_search_stops_when_its_time_is_up_and_says_that_nothing_is_proved(): void
    {
        // So many that trying them all would take years.
        [$domains, $factors] = Factors::rowsAgainstColumns(new Randomizer(new Mt19937(4)), 30, 30);
        $cover = CoverSearch::best($domains, $factors, (new Looks(60))->timeIsUp(...), 60) ?? self::fail('It has a cover.');
        self::assertFalse($cover->exact);
        self::assertLessThan(Descent::weigh($factors, $cover->values, $domains), [$cover->boundHigh, $cover->boundLow]);
        $all = Search::best($domains, $factors, (new Looks(60))->timeIsUp(...), null);
        self::assertFalse($all->exact);
        self::assertLessThan(Descent::weigh($factors, $all->values, $domains), [$all->boundHigh, $all->boundLow]);
        // Asked again in a hurry it gives back what was found before, and the bound of it.
        $again = Search::best($domains, $factors, static fn (): bool => true, null, $all);
        self::assertSame([Descent::weigh($factors, $all->values, $domains), [$all->boundHigh, $all->boundLow], false], [Descent::weigh($factors, $again->values, $domains), [$again->boundHigh, $again->boundLow], $again->exact]);
        self::assertNull(CoverSearch::best($domains, $factors, (new Looks(60))->timeIsUp(...), 5), 'a cover that is too large is not begun');
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     *
     * @return array{int, int}
     */
    private static function leastByTrying(array $domains, array $factors): array
    {
        $least = [PHP_INT_MAX, PHP_INT_MAX];
        for ($number = array_product($domains) - 1; $number >= 0; --$number) {
            [$values, $rest] = [[], $number];
            foreach ($domains as $size) {
                $values[] = $rest % $size;
                $rest = intdiv($rest, $size);
            }
            $least = min($least, Descent::weigh($factors, $values, $domains));
        }

        return $least;
    }

    /**
     * @param array{int|float, int} $weight
     *
     * @return array{int|float, int}
     */
    private static function capped(array $weight): array
    {
        return $weight[0] >= Weight::FORBIDDEN ? [Weight::FORBIDDEN, 0] : $weight;
    }
}
