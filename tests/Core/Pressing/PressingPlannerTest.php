<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\MatchReport;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class PressingPlannerTest extends TestCase
{
    public function test_inward_geese_are_pressed_out_in_out_and_into_the_centre(): void
    {
        $construction = Blocks::construction(Blocks::inwardGeese());
        $plan = (new PressingPlanner($construction))->best(self::nest());

        $rows = array_map(static fn (int $join): string => $plan->pressing->of($construction->joins[$join])[0]->value, range(8, 13));
        self::assertSame(['left', 'right', 'right', 'left', 'left', 'right'], $rows, 'rows 1 and 3 out, row 2 in');
        self::assertSame(PressDirection::Right, $plan->pressing->of($construction->joins[14])[0], 'the upper seam down, to the middle row');
        self::assertSame(PressDirection::Left, $plan->pressing->of($construction->joins[15])[0], 'the lower seam up, to the middle row');
        self::assertEquals(new Cost(0, 392, 4, 8_000_000_000, overLump: 0), $plan->cost);
        self::assertTrue($plan->proved);
    }

    /** @return array<string, array{list<string>}> */
    public static function smallBlocks(): array
    {
        return [
            'four half-squares turned about' => [['hAB hAB90', 'hAB270 hAB180']],
            'four half-squares in one direction' => [['hAB hAB', 'hAB hAB']],
            'two classes' => [['hAB hAC90', 'hAC hAB180']],
            'plain and pieced' => [['pA hAB pB', 'hAB90 pC hAB']],
            'crossed units that may be turned' => [['qABAB qABAB90 qBABA']],
            'crossed units beside plain ones' => [['qABAB pA', 'pB qABAB']],
            'geese of two skies' => [['tABC tACB180', 'pA pB']],
            'a square in a square' => [['dABBBB pA', 'pB pC']],
            'split units, both hands' => [['sABC sABCm', 'pA pC']],
            'all of one fabric' => [['hAA hAA90', 'hAA pA']],
        ];
    }

    /** @param list<string> $rows */
    #[DataProvider('smallBlocks')]
    public function test_the_best_plan_is_the_best_of_all_plans(array $rows): void
    {
        $construction = Blocks::sewn(...$rows);
        $planner = new PressingPlanner($construction);

        self::assertEquals(self::bestOfAll($construction, $planner), $planner->best(self::nest())->cost);
    }

    public function test_a_lock_is_kept_and_the_rest_is_best_around_it(): void
    {
        $construction = Blocks::sewn('hAB hAB90', 'hAB270 hAB180');
        $planner = new PressingPlanner($construction);
        foreach ($construction->joins as $join) {
            foreach ([PressDirection::Left, PressDirection::Right] as $direction) {
                $plan = $planner->best(self::nest([new Lock($join->id, $direction)]));

                self::assertSame($direction, $plan->pressing->of($join)[0]);
                self::assertEquals(self::bestOfAll($construction, $planner, [new Lock($join->id, $direction)]), $plan->cost);
            }
        }
    }

    public function test_flipping_one_seam_leaves_the_others_and_stacks_its_crossing(): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        $planner = new PressingPlanner($construction);
        $before = $planner->best(self::nest());
        $flipped = $before->pressing->of($construction->joins[0])[0]->swapped();
        $after = $planner->bestThenFlipped(self::nest([new Lock(0, $flipped)]));

        self::assertSame([Nesting::Nested], array_map(static fn (MatchReport $match): Nesting => $match->nesting, $before->matches));
        self::assertSame([Nesting::Stacked], array_map(static fn (MatchReport $match): Nesting => $match->nesting, $after->matches));
        self::assertSame($before->pressing->directions[1], $after->pressing->directions[1]);
        self::assertSame([7, 9], [$before->peaks()[0], $after->peaks()[0]]);
        self::assertSame([true, false, null], [$before->proved, $after->proved, $after->bound], 'laid over the old plan it is no longer the best that is proved');
    }

    public function test_a_unit_seam_flips_in_the_whole_pile(): void
    {
        $construction = Blocks::sewn('hAB hAB90', 'hAB270 hAB180');
        $planner = new PressingPlanner($construction);
        $flipped = $planner->best(self::nest())->pressing->directions[0][0]->swapped();
        $after = $planner->bestThenFlipped(self::nest([new Lock(2, $flipped)]));

        self::assertSame(array_fill(0, 4, [$flipped]), array_slice($after->pressing->directions, 0, 4));
        self::assertTrue((new Locks($construction, [new Lock(2, $flipped)]))->hold(0));
        self::assertSame([], (new Locks($construction, [new Lock(2, $flipped)]))->without(1)->all);
        foreach ([[], [new Lock(2, $flipped)], [new Lock(count($construction->joins) - 1, $flipped)], [new Lock(2, $flipped), new Lock(count($construction->joins) - 1, $flipped)]] as $all) {
            $locks = new Locks($construction, $all);
            self::assertSame(array_values(array_filter(array_keys($construction->joins), $locks->hold(...))), $locks->held());
        }
    }

    public function test_an_open_seam_never_locks(): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        $planner = new PressingPlanner($construction);
        $kind = static fn (PressDirection $upper, PressDirection $lower): Nesting => $planner->price(
            Pressing::wholeJoins($construction, [$upper, $lower, PressDirection::Left]),
            self::nest(),
        )->matches[0]->nesting;

        self::assertSame(Nesting::Flat, $kind(PressDirection::Open, PressDirection::Open));
        self::assertSame(Nesting::Lopsided, $kind(PressDirection::Open, PressDirection::Left));
        self::assertSame(Nesting::Lopsided, $kind(PressDirection::Right, PressDirection::Open));
        self::assertSame(Nesting::Stacked, $kind(PressDirection::Right, PressDirection::Right));
        self::assertSame(Nesting::Nested, $kind(PressDirection::Right, PressDirection::Left));
    }

    public function test_shadow_is_the_length_pressed_under_a_lighter_patch(): void
    {
        $construction = Blocks::sewn('pA pB');
        $planner = new PressingPlanner($construction);
        $shadow = static fn (PressDirection $direction): string => $planner->price(Pressing::wholeJoins($construction, [$direction]), self::nest())->cost->shadowText();

        self::assertSame(['2', '0', '0'], [$shadow(PressDirection::Left), $shadow(PressDirection::Right), $shadow(PressDirection::Open)]);
    }

    public function test_the_best_plan_of_a_mirrored_block_costs_the_same(): void
    {
        $cost = static fn (string ...$rows): Cost => (new PressingPlanner(Blocks::sewn(...$rows)))->best(self::nest())->cost;

        foreach ([['hAB hBC90', 'pC sABC180'], ['tABC90 pA', 'hAB270 tACB'], ['sABC sBCA90m', 'hAC pB']] as $rows) {
            self::assertEquals($cost(...$rows), $cost(...array_map(self::mirroredRow(...), $rows)));
        }
    }

    /** The row as seen in a mirror: cells from right to left, each turned the other way round and flipped. */
    private static function mirroredRow(string $row): string
    {
        return implode(' ', array_map(static function (string $word): string {
            preg_match('~^([a-z][A-C]+)(\d*)(m?)$~', $word, $part);

            return $part[1].((360 - (int) $part[2]) % 360).($part[3] === 'm' ? '' : 'm');
        }, array_reverse(explode(' ', $row))));
    }

    public function test_a_bad_lock_is_refused(): void
    {
        $planner = new PressingPlanner(Blocks::sewn('hAB hAB90', 'pA pB'));
        $refused = [
            'There is no join 99' => [new Lock(99, PressDirection::Left)],
            'contradict each other' => [new Lock(0, PressDirection::Left), new Lock(1, PressDirection::Right)],
        ];
        foreach ($refused as $words => $locks) {
            try {
                $planner->best(self::nest($locks));
                self::fail($words);
            } catch (LockNotPossible|JoinNotKnown $problem) {
                self::assertStringContainsString($words, $problem->getMessage());
            }
        }
    }

    public function test_without_time_there_is_still_a_plan_and_an_honest_bound(): void
    {
        foreach ([[20, 5], [27, 4], [33, 4]] as [$seed, $cells]) {
            $construction = Blocks::construction(Blocks::generated($seed, $cells, $cells));
            $planner = new PressingPlanner($construction);
            $hurried = $planner->best(self::nest([new Lock(count($construction->joins) - 1, PressDirection::Left)]), static fn (): bool => true);
            $best = $planner->best(self::nest([new Lock(count($construction->joins) - 1, PressDirection::Left)]));

            self::assertTrue($best->proved);
            self::assertNotNull($hurried->bound);
            self::assertSame($best->cost->figures(PressStyle::Nest), $best->bound?->figures(PressStyle::Nest));
            // The large one needs more than the first round; whatever is as good as its bound is proved.
            self::assertSame([$cells < 5, $hurried->proved], [$hurried->proved, $hurried->bound->compareTo($hurried->cost, PressStyle::Nest) === 0]);
            self::assertLessThanOrEqual(0, $hurried->bound->compareTo($hurried->cost, PressStyle::Nest), 'no plan is told to be better than it can be');
            $figures = $hurried->bound->figures(PressStyle::Nest);
            // Shadow is weighed in millionths.
            self::assertLessThanOrEqual(array_values($best->cost->figures(PressStyle::Nest)), array_values(array_replace($figures, ['shadow' => $figures['shadow'] - 1e6])));
            self::assertLessThanOrEqual(0, $best->cost->compareTo($hurried->cost, PressStyle::Nest));
        }
    }

    /** @param list<Lock> $locks */
    private static function nest(array $locks = []): PressQuestion
    {
        return new PressQuestion(PressStyle::Nest, $locks);
    }

    /**
     * Tries every direction of every pile, and every turn of every unit that may be turned.
     *
     * @param list<Lock> $locks
     */
    private static function bestOfAll(Construction $construction, PressingPlanner $planner, array $locks = []): Cost
    {
        $best = null;
        foreach (self::allDirections($construction) as $directions) {
            foreach ($locks as $lock) {
                if ($directions[$lock->join] !== $lock->at(0)) {
                    continue 2;
                }
            }
            $cost = $planner->price(Pressing::wholeJoins($construction, $directions), self::nest())->cost;
            $best = $best === null || $cost->compareTo($best, PressStyle::Nest) < 0 ? $cost : $best;
        }

        return $best ?? throw new \LogicException('There is a plan.');
    }

    /** @return iterable<list<PressDirection>> */
    private static function allDirections(Construction $construction): iterable
    {
        $free = array_values(array_filter($construction->joins, static fn ($join): bool => $join->tie === null));
        $piles = [];
        foreach ($construction->joins as $join) {
            if ($join->tie !== null) {
                $piles[$join->tie->unitClass.':'.$join->tie->join] = true;
            }
        }
        $members = [];
        foreach ($construction->classes as $class) {
            foreach (array_keys($class->turns === [] ? [] : $class->members) as $member) {
                $members[] = [$class, $member];
            }
        }
        $piles = array_keys($piles);
        $bits = count($free) + count($piles);
        $turnings = array_product(array_map(static fn (array $member): int => count($member[0]->turns) + 1, $members));
        for ($choice = 0; $choice < (1 << $bits); ++$choice) {
            $way = static fn (int $bit): PressDirection => ($choice >> $bit) & 1 ? PressDirection::Right : PressDirection::Left;
            for ($turning = 0; $turning < $turnings; ++$turning) {
                $turnOf = [];
                $rest = $turning;
                foreach ($members as [$class, $member]) {
                    $turnOf[$class->index][$member] = $rest % (count($class->turns) + 1);
                    $rest = intdiv($rest, count($class->turns) + 1);
                }
                $directions = [];
                foreach ($construction->joins as $join) {
                    if ($join->tie === null) {
                        $directions[] = $way((int) array_search($join, $free, true));
                        continue;
                    }
                    $turn = $turnOf[$join->tie->unitClass][$join->tie->member] ?? 0;
                    $origin = $turn === 0
                        ? ['join' => $join->tie->join, 'swapped' => false]
                        : $construction->classes[$join->tie->unitClass]->turns[$turn - 1]->origins[$join->tie->join];
                    $direction = $way(count($free) + (int) array_search($join->tie->unitClass.':'.$origin['join'], $piles, true));
                    $directions[] = $origin['swapped'] ? $direction->swapped() : $direction;
                }
                yield $directions;
            }
        }
    }
}
