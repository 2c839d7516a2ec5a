<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Pressing\Internal\ClusterSearch;
use KeenSeam\Core\Pressing\Internal\CoverSearch;
use KeenSeam\Core\Pressing\Internal\Descent;
use KeenSeam\Core\Pressing\Internal\Factor;
use KeenSeam\Core\Pressing\Internal\Optimum;
use KeenSeam\Core\Pressing\Internal\Search;
use KeenSeam\Core\Pressing\Internal\SharedSearch;
use KeenSeam\Core\Pressing\Internal\Weight;
use KeenSeam\Core\Pressing\PlanMemory;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlanner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;
use Tests\Support\Tops;

/**
 * How much work each search is: counted by how often it looks at the clock, which is the same on every machine, however
 * busy. What needs fewer looks than here is an improvement: write the new number down. What needs more is slower.
 */
final class PatienceTest extends TestCase
{
    /** @return iterable<string, array{\Closure(list<int>, list<Factor>, \Closure(): bool): ?Optimum, int, int}> the search, rows and columns, and its looks */
    public static function searches(): iterable
    {
        $all = [PHP_INT_MAX, PHP_INT_MAX];
        $everyOther = static fn (array $domains): array => array_filter(array_map(static fn (int $variable): bool => $variable % 2 === 0, array_keys($domains)));
        $clusters = static fn (array $domains, array $factors, \Closure $timeIsUp): ?Optimum => ClusterSearch::best($domains, $factors, $all, $timeIsUp);
        $cover = static fn (array $domains, array $factors, \Closure $timeIsUp): ?Optimum => CoverSearch::best($domains, $factors, $timeIsUp, 60);
        $sharing = static fn (array $domains, array $factors, \Closure $timeIsUp): Optimum => Search::sharing($domains, $factors, $everyOther($domains), $timeIsUp, Weight::SECOND, static fn (): null => null);
        $shared = static fn (array $domains, array $factors, \Closure $timeIsUp): Optimum => SharedSearch::best($domains, $factors, $everyOther($domains), array_fill(0, count($domains), 0), static fn (): null => null, $timeIsUp);
        foreach (['clusters' => [$clusters, 324, 339], 'cover' => [$cover, 177, 736]] as $name => [$go, $small, $large]) {
            yield "$name, 12 rows" => [$go, 12, $small];
            yield "$name, 16 rows" => [$go, 16, $large];
        }
        yield 'sharing, 12 rows' => [$sharing, 12, 26];
        yield 'shared, 8 rows' => [$shared, 8, 2048];
    }

    /** @param \Closure(list<int>, list<Factor>, \Closure(): bool): ?Optimum $search */
    #[DataProvider('searches')]
    public function test_rows_against_columns_are_proved_in_no_more_looks(\Closure $search, int $size, int $most): void
    {
        [$domains, $factors] = Factors::rowsAgainstColumns(new Randomizer(new Mt19937(1)), $size, $size);
        $looks = new Looks(20_000);
        $found = $search($domains, $factors, $looks->timeIsUp(...));

        self::assertTrue($found?->exact);
        self::assertLessThanOrEqual($most, $looks->taken);
        self::assertSame([$found->boundHigh, $found->boundLow], Descent::weigh($factors, $found->values, $domains));
    }

    /** Variables that have a say nearly everywhere are tried value by value, as many of them as make few cases. */
    public function test_piles_over_all_take_just_so_many_looks(): void
    {
        foreach ([521 => [10, 10, 6], 1697 => [5, 10, 10, 10, 10, 10]] as $expected => $shape) {
            [$domains, $factors] = Factors::underPiles(new Randomizer(new Mt19937(1)), ...$shape);
            $looks = new Looks(3000);
            $found = ClusterSearch::best($domains, $factors, [PHP_INT_MAX, PHP_INT_MAX], $looks->timeIsUp(...));
            self::assertTrue($found?->exact);
            self::assertSame($expected, $looks->taken, 'fewer are better: then write them down');
        }
    }

    public function test_what_is_shared_asks_once_for_a_better_start_when_it_is_long_and_gains_with_every_look(): void
    {
        [$domains, $factors] = Factors::rowsAgainstColumns(new Randomizer(new Mt19937(1)), 8, 8);
        $shared = array_filter(array_map(static fn (int $variable): bool => $variable % 2 === 0, array_keys($domains)));
        $asked = [];
        $looks = new Looks();
        $start = static function () use (&$asked, $looks): null {
            $asked[] = $looks->taken;

            return null;
        };
        SharedSearch::best($domains, $factors, $shared, array_fill(0, count($domains), 0), $start, $looks->timeIsUp(...));
        self::assertSame([[1077], 2048], [$asked, $looks->taken], 'fewer are better: then write them down');
        // In tables too small to prove anything by themselves.
        $looks = new Looks();
        $found = SharedSearch::best($domains, $factors, $shared, array_fill(0, count($domains), 0), static fn (): null => null, $looks->timeIsUp(...), [2]);
        self::assertSame(2117, $looks->taken, 'so often it looks, and then it is given up');
        self::assertGreaterThanOrEqual([3536, 80], [$found->boundHigh, $found->boundLow]);
    }

    /** @return iterable<string, array{int, int, int, array<int, list<int>>}> seed, units a side, looks until it is proved, and what it costs after so many */
    public static function blocks(): iterable
    {
        yield 'block 20' => [20, 5, 154, [10 => [0, 3139, 56, 59327344818, 0]]];
        yield 'block 4' => [4, 6, 0, []];
    }

    /** @param array<int, list<int>> $costs */
    #[DataProvider('blocks')]
    public function test_a_block_is_planned_in_no_more_looks_and_no_worse_in_a_hurry(int $seed, int $units, int $most, array $costs): void
    {
        $construction = Blocks::construction(Blocks::generated($seed, $units, $units));
        $looks = new Looks(400);
        $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest), $looks->timeIsUp(...));
        self::assertTrue($plan->proved);
        self::assertLessThanOrEqual($most, $looks->taken);
        foreach ($costs as $after => $cost) {
            $hurried = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest), (new Looks($after))->timeIsUp(...));
            self::assertLessThanOrEqual($cost, array_values($hurried->cost->figures(PressStyle::Nest)));
        }
    }

    public function test_what_was_proved_before_is_not_searched_again(): void
    {
        $memory = new class () implements PlanMemory
        {
            /** @var array<string, array<array-key, mixed>> */
            public array $kept = [];

            public function recall(string $name): ?array
            {
                return $this->kept[$name] ?? null;
            }

            public function keep(string $name, array $found): void
            {
                $this->kept[$name] = $found;
            }
        };
        $construction = Blocks::construction(Blocks::generated(20, 5, 5));
        $question = new PressQuestion(PressStyle::Nest);
        $looks = new Looks(400);
        $first = (new PressingPlanner($construction, $memory))->best($question, $looks->timeIsUp(...));
        self::assertGreaterThan(0, $looks->taken);
        self::assertCount(1, $memory->kept);
        $looks = new Looks(400);
        $again = (new PressingPlanner($construction, $memory))->best($question, $looks->timeIsUp(...));
        self::assertSame(0, $looks->taken);
        self::assertEquals([$first->pressing, $first->cost, true], [$again->pressing, $again->cost, $again->proved]);
        // What was kept of another block is not taken for this one.
        $other = Blocks::construction(Blocks::generated(4, 3, 3));
        $plan = (new PressingPlanner($other, $memory))->best($question);
        self::assertEquals((new PressingPlanner($other))->best($question)->cost, $plan->cost);
    }

    /** @return iterable<string, array{array<string, mixed>, int, list<int>}> looks until it is proved, and what it costs after 30 */
    public static function tops(): iterable
    {
        yield 'six by six pinwheels' => [Tops::file(['rows' => 6, 'columns' => 6], Tops::PINWHEEL), 114, [2, 16705, 241, 0, 0]];
        yield 'four by five pinwheels' => [Tops::file(['rows' => 4, 'columns' => 5], Tops::PINWHEEL), 0, [0, 8543, 125, 0, 0]];
    }

    /**
     * @param array<string, mixed> $file
     * @param list<int>            $cost
     */
    #[DataProvider('tops')]
    public function test_a_top_is_planned_in_no_more_looks_and_no_worse_in_a_hurry(array $file, int $most, array $cost): void
    {
        $question = new PressQuestion(PressStyle::Nest);
        $looks = new Looks(400);
        $plan = (new TopPlanner(Tops::sewn($file)))->best($question, $looks->timeIsUp(...))->plan;
        self::assertTrue($plan->proved);
        self::assertLessThanOrEqual($most, $looks->taken);
        $hurried = (new TopPlanner(Tops::sewn($file)))->best($question, (new Looks(30))->timeIsUp(...))->plan;
        self::assertLessThanOrEqual($cost, array_values($hurried->cost->figures(PressStyle::Nest)));
    }
}
