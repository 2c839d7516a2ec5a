<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

final class WorkProgressTest extends TestCase
{
    public function test_steps_are_done_one_after_the_other_and_each_can_be_taken_back(): void
    {
        [$plan, $steps] = self::work();
        $progress = new WorkProgress();
        foreach ($steps as $i => $step) {
            self::assertSame($i, $progress->next($steps));
            $further = $progress->with($step, $plan->pressing);
            self::assertEquals($progress, $further->without($step));
            $progress = $further;
        }
        self::assertNull($progress->next($steps));
        self::assertCount(count($plan->construction->joins), $progress->sewn);
    }

    public function test_unpicking_a_seam_in_a_row_opens_the_seams_that_hold_it_and_what_was_looked_at(): void
    {
        [$plan, $steps] = self::work();
        $all = self::done($plan, $steps, count($steps));
        $inRow = $plan->construction->strands[0]->joins[0];

        self::assertSame([$plan->construction->strands[2]->joins[0], $inRow], $all->toUnpick($plan->construction, $inRow));
        $opened = $all->unpicked($plan->construction, $inRow, $steps);
        self::assertSame(
            ['join', 'press', 'measure', 'join', 'check', 'press', 'square-up', 'measure'],
            array_values(array_map(static fn (Step $step): string => $step->do->value, array_filter($steps, static fn (Step $step): bool => ! $opened->isDone($step)))),
        );
        self::assertSame([], $opened->toUnpick($plan->construction, $inRow), 'it is open already');
    }

    public function test_one_unit_of_a_pile_is_opened_without_the_others(): void
    {
        [$plan, $steps] = self::work();
        $rest = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Join && count($step->joins) === 2))[1];
        $opened = self::done($plan, $steps, count($steps))->unpicked($plan->construction, $rest->joins[0], $steps);

        self::assertSame([$rest->joins[0]], $opened->open($rest));
        self::assertContains($rest->joins[1], $opened->sewn);
    }

    public function test_the_rest_is_planned_round_what_is_pressed_already(): void
    {
        [$plan, $steps] = self::work();
        $planner = new PressingPlanner($plan->construction);
        $press = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Press && $step->unitClass === null))[0];
        $before = self::done($plan, $steps, (int) array_search($press, $steps, true));
        self::assertTrue($before->agreesWith($plan->pressing));

        $otherwise = $before->pressedOtherwise($press, $plan->pressing);
        self::assertTrue($otherwise->isDone($press));
        self::assertFalse($otherwise->agreesWith($plan->pressing));
        $again = $planner->best((new PressQuestion(PressStyle::Nest))->withLocks($otherwise->facts($plan->construction)));
        self::assertTrue($otherwise->agreesWith($again->pressing));
        self::assertSame(0, $again->cost->figures(PressStyle::Nest)['stacked'] ?? 0, 'the other row is turned over so that the crossing nests');
    }

    public function test_an_open_seam_pressed_otherwise_goes_to_a_side(): void
    {
        [$plan, $steps] = self::work(PressStyle::Open);
        $press = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Press))[0];
        $otherwise = (new WorkProgress())->pressedOtherwise($press, $plan->pressing);

        self::assertEquals([new Lock($press->joins[0], PressDirection::Left)], $otherwise->facts($plan->construction));
        self::assertSame([], $otherwise->facts($plan->construction, [0]), 'a class in two piles is not pressed alike');
    }

    public function test_the_times_of_a_step_are_counted_down_and_back(): void
    {
        [$plan, $steps] = self::work();
        $chain = self::severalTimes($steps);
        $progress = self::done($plan, $steps, (int) array_search($chain, $steps, true));
        $counts = [$progress];
        for ($i = 1; $i <= $chain->times; ++$i) {
            self::assertFalse($progress->isDone($chain));
            $counts[] = $progress = $progress->withOneMore($chain, $plan->pressing);
            self::assertSame($chain->times - $i, $progress->left($chain));
        }
        self::assertTrue($progress->isDone($chain), 'the last one does the step');
        self::assertEquals($progress, $progress->withOneMore($chain, $plan->pressing));
        while (count($counts) > 1) {
            $before = array_pop($counts);
            self::assertEquals(end($counts), $before->without($chain));
        }
        $once = array_values(array_filter($steps, static fn (Step $step): bool => $step->times === 1))[0];
        $before = self::done($plan, $steps, (int) array_search($once, $steps, true));
        self::assertEquals($before, $before->withOneMore($once, $plan->pressing)->without($once));
        $first = $counts[0];
        self::assertSame([], array_diff_key($first->without($chain)->counted, $first->counted), 'nothing is left to take back');
    }

    public function test_the_rest_done_at_once_is_taken_back_at_once(): void
    {
        [$plan, $steps] = self::work();
        $chain = self::severalTimes($steps);
        $counted = self::done($plan, $steps, (int) array_search($chain, $steps, true))->withOneMore($chain, $plan->pressing);

        self::assertEquals($counted, $counted->with($chain, $plan->pressing)->without($chain));
    }

    public function test_what_is_opened_again_in_some_of_several_blocks_is_due_only_there(): void
    {
        [$plan, $steps] = self::work(blocks: 6);
        $all = self::done($plan, $steps, count($steps));
        $inRow = $plan->construction->strands[0]->joins[0];
        $opened = $all->unpicked($plan->construction, $inRow, $steps, 2, 6);
        $due = array_values(array_map(static fn (Step $step): array => [$step->do->value, $opened->left($step), $step->times], array_filter($steps, static fn (Step $step): bool => ! $opened->isDone($step))));

        self::assertSame([['join', 2, 6], ['press', 2, 6], ['measure', 2, 6], ['join', 2, 6], ['check', 2, 6], ['press', 2, 6], ['square-up', 2, 6], ['measure', 2, 6]], $due);
        self::assertEquals($all->pressed[$inRow], $opened->elsewhere[$inRow], 'in the other four it is pressed');
        self::assertEquals($all->facts($plan->construction), $opened->facts($plan->construction), 'so the plan may not turn it over');

        $again = $opened->unpicked($plan->construction, $inRow, $steps, 2, 6);
        self::assertEquals($opened, $again, 'it is open there already');
        $everywhere = $all->unpicked($plan->construction, $inRow, $steps, 6, 6);
        self::assertSame([], $everywhere->elsewhere);
        self::assertLessThan(count($all->facts($plan->construction)), count($everywhere->facts($plan->construction)));
    }

    public function test_a_step_that_is_due_again_is_taken_back_without_what_was_done_before(): void
    {
        [$plan, $steps] = self::work();
        $rest = self::severalTimes($steps);
        $opened = self::done($plan, $steps, count($steps))->unpicked($plan->construction, $rest->joins[0], $steps);
        self::assertSame(1, $opened->left($rest));
        $redone = $opened->with($rest, $plan->pressing);

        self::assertEquals($opened, $redone->without($rest, $opened->open($rest)));
    }

    public function test_only_what_was_still_to_be_pressed_lies_otherwise(): void
    {
        [$plan, $steps] = self::work();
        $press = self::severalTimes($steps);
        $opened = self::done($plan, $steps, count($steps))->unpicked($plan->construction, $press->joins[0], $steps);
        $sewn = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Join && in_array($press->joins[0], $step->joins, true)))[0];
        $otherwise = $opened->with($sewn, $plan->pressing)->pressedOtherwise($press, $plan->pressing);

        self::assertNotEquals($plan->pressing->directions[$press->joins[0]], $otherwise->pressed[$press->joins[0]]);
        self::assertEquals($plan->pressing->directions[$press->joins[1]], $otherwise->pressed[$press->joins[1]], 'the other unit was pressed before');
    }

    public function test_whatever_is_unpicked_leaves_a_block_that_can_be_finished_and_keeps_what_else_is_pressed(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $tried = 0;
        foreach (Order::cases() as $order) {
            for ($seed = 1; $seed <= 6; ++$seed) {
                try {
                    $plan = self::plan(Blocks::generated($seed, 3, 3), $order);
                } catch (SetInSeamNeeded|OrderNotPossible) {
                    continue;
                }
                ++$tried;
                $steps = WorkSteps::of($plan, new CutQuestion());
                self::assertCount(count($steps), array_unique(array_map(static fn (Step $step): string => $step->key(), $steps)), 'steps are told apart');
                $progress = self::done($plan, $steps, $random->getInt(1, count($steps)));
                $join = $random->getInt(0, count($plan->construction->joins) - 1);
                $opened = $progress->unpicked($plan->construction, $join, $steps);
                self::assertNotContains($join, $opened->sewn);
                foreach ($opened->pressed as $id => $directions) {
                    self::assertSame($plan->pressing->directions[$id], $directions);
                    self::assertContains($id, $opened->sewn, 'what is pressed is sewn');
                }
                foreach ($opened->sewn as $id) {
                    foreach ($plan->construction->joins[$id]->children() as $child) {
                        self::assertTrue(! $child instanceof \KeenSeam\Core\Assembly\Join || in_array($child->id, $opened->sewn, true), 'what is sewn is made of what is sewn');
                    }
                }
                $presses = count($steps) + 1;
                while (($next = $opened->next($steps)) !== null && --$presses > 0) {
                    $opened = $opened->with($steps[$next], $plan->pressing);
                }
                self::assertNull($opened->next($steps));
            }
        }
        self::assertGreaterThan(15, $tried);
    }

    /** @param list<Step> $steps */
    private static function severalTimes(array $steps): Step
    {
        return array_values(array_filter($steps, static fn (Step $step): bool => $step->joins !== [] && $step->times > 1))[0];
    }

    /** @param list<Step> $steps */
    private static function done(PressingPlan $plan, array $steps, int $count): WorkProgress
    {
        $progress = new WorkProgress();
        foreach (array_slice($steps, 0, $count) as $step) {
            $progress = $progress->with($step, $plan->pressing);
        }

        return $progress;
    }

    /** @return array{PressingPlan, list<Step>} */
    private static function work(PressStyle $style = PressStyle::Nest, int $blocks = 1): array
    {
        $plan = self::plan(Blocks::file('hAB90 hAB180', 'hAB hAB270'), Order::Rows, $style);

        return [$plan, WorkSteps::of($plan, new CutQuestion($blocks))];
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file, Order $order, PressStyle $style = PressStyle::Nest): PressingPlan
    {
        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), $order)))->best(new PressQuestion($style));
    }
}
