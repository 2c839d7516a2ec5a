<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\HabitWarning;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class PressStyleTest extends TestCase
{
    public function test_a_furl_turns_a_four_patch_into_a_wheel_of_five_plies(): void
    {
        $plan = self::best(PressStyle::NestFurl, 'pA pB', 'pB pA');

        self::assertSame([5], $plan->peaks());
        self::assertSame(1, $plan->cost->furls);
        self::assertSame(1, $plan->count(Nesting::Nested));
        self::assertCount(2, array_unique(array_column($plan->pressing->directions[2], 'value')));
    }

    public function test_a_furl_never_turns_the_allowances_against_each_other(): void
    {
        for ($seed = 0; $seed < 6; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 2, 2));
            $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::NestFurl));
            foreach ($construction->joins as $join) {
                foreach ($join->matchPoints() as $i => $match) {
                    if ($plan->pressing->of($join)[$i] !== $plan->pressing->of($join)[$i + 1]) {
                        $there = array_values(array_filter($plan->matches, static fn ($report): bool => $report->join === $join->id && $report->at->equals($match->at)));
                        self::assertSame(Nesting::Nested, $there[0]->nesting, "seed $seed: a furl where the sides do not nest");
                    }
                }
            }
        }
    }

    public function test_open_presses_everything_open(): void
    {
        $plan = self::best(PressStyle::Open, 'hAB hAB90', 'pA pB');

        self::assertSame(['open'], array_values(array_unique(array_merge(...array_map(static fn (array $segments): array => array_column($segments, 'value'), $plan->pressing->directions)))));
        self::assertSame([0, '0'], [$plan->count(Nesting::Stacked), $plan->cost->shadowText()]);
    }

    public function test_dark_goes_under_the_darker_side_whatever_it_stacks(): void
    {
        // Light beside dark in both rows: both seams go to the right, ridge on ridge.
        $plan = self::best(PressStyle::Dark, 'pA pB', 'pA pB');

        self::assertSame([[PressDirection::Right], [PressDirection::Right]], array_slice($plan->pressing->directions, 0, 2));
        self::assertSame([1, '0'], [$plan->count(Nesting::Stacked), $plan->cost->shadowText()]);
        $warnings = HabitWarning::allIn($plan->construction);
        self::assertCount(1, $warnings);
        self::assertTrue($warnings[0]->runsStraightOn);
    }

    public function test_by_the_lump_nests_where_it_is_thin_and_opens_where_many_triangles_meet(): void
    {
        self::assertSame(1, self::best(PressStyle::Mixed, 'pA pB', 'pB pA')->count(Nesting::Nested));
        $wheel = ['hAB90 hAB180', 'hAB hAB270'];
        self::assertSame(0, self::best(PressStyle::Mixed, ...$wheel)->cost->overLump);
        self::assertGreaterThan(10, self::best(PressStyle::Nest, ...$wheel)->peaks()[0]);
    }

    public function test_a_lock_overrules_the_style(): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest, [new Lock(0, PressDirection::Open)]));

        self::assertSame([PressDirection::Open], $plan->pressing->directions[0]);
        self::assertSame(Nesting::Lopsided, $plan->matches[0]->nesting);
        self::assertTrue($plan->proved);
    }

    public function test_two_piles_are_never_worse_and_the_plan_names_the_units(): void
    {
        $named = 0;
        foreach ([['sABC sABC180', 'sABC90 sABC270'], ['hAB hAB90', 'hAB180 hAB270'], ['gABC gABC', 'gABC180 gABC180']] as $rows) {
            $planner = new PressingPlanner(Blocks::sewn(...$rows));
            $one = $planner->best(new PressQuestion(PressStyle::Nest));
            $two = $planner->best((new PressQuestion(PressStyle::Nest))->withTwoPiles(0));

            self::assertLessThanOrEqual($two->turnedUnits === [] ? 0 : -1, $two->cost->compareTo($one->cost, PressStyle::Nest), 'a second pile is made only where it betters something');
            self::assertTrue($two->proved);
            foreach ($two->turnedUnits as $unit) {
                self::assertSame([0, 1], [$unit->unitClass, $unit->pile]);
                ++$named;
            }
        }
        self::assertGreaterThan(1, $named);
    }

    public function test_a_block_turned_a_quarter_and_sewn_by_columns_costs_the_same(): void
    {
        $cost = static fn (Order $order, string ...$rows): Cost => (new PressingPlanner(Construction::of(Face::of(Blocks::of(...$rows)), $order)))->best(new PressQuestion(PressStyle::Nest))->cost;
        foreach ([['hAB hBC90', 'pC sABC180'], ['tABC90 pA', 'hAB270 tACB']] as $rows) {
            $turned = [];
            foreach ($rows as $row) {
                foreach (explode(' ', $row) as $c => $word) {
                    preg_match('~^([a-z][A-C]+)(\d*)$~', $word, $part);
                    $turned[$c] = [$part[1].((int) $part[2] + 90) % 360, ...($turned[$c] ?? [])];
                }
            }
            self::assertEquals($cost(Order::Rows, ...$rows), $cost(Order::Columns, ...array_map(static fn (array $row): string => implode(' ', $row), $turned)));
        }
    }

    public function test_a_large_block_is_solved_exactly_and_fast(): void
    {
        $file = Blocks::file(...array_fill(0, 8, 'hAB hAB90 hAB hAB180 hAB270 hAB hAB90 hAB'));
        $plan = (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));

        self::assertTrue($plan->proved);
        self::assertSame(49, $plan->count(Nesting::Nested));
    }

    private static function best(PressStyle $style, string ...$rows): PressingPlan
    {
        return (new PressingPlanner(Blocks::sewn(...$rows)))->best(new PressQuestion($style));
    }
}
