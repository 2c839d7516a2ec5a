<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\SeamWords;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TurnedUnit;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Units that look the same after a turn, and piles that are pressed in two ways: what is planned, told and locked of them. */
final class TurnedUnitsTest extends TestCase
{
    /** The second of two quarter-square triangles that look the same upside down is turned, and then nests. */
    private const ROWS = ['hAB qABAB90', 'qABAB90 qAABB'];

    public function test_a_turned_unit_is_told_where_the_block_is_laid_out(): void
    {
        $plan = self::plan();
        self::assertEquals([[1, 1, 180]], array_map(static fn (TurnedUnit $unit): array => [$unit->unitClass, $unit->member, $unit->turn?->value], $plan->turnedUnits));
        self::assertSame(0, $plan->count(Nesting::Stacked));

        $words = (new SeamWords($plan))->turnWords();
        self::assertSame('Turn the one at row 2, column 1 by 180 degrees, clockwise: they look the same, and their seams then nest.', $words);
        foreach ([PlanSteps::of($plan), WorkSteps::of($plan, new CutQuestion())] as $steps) {
            $layOut = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::LayOut));
            self::assertCount(1, $layOut);
            self::assertStringEndsWith($words, $layOut[0]->text);
        }
    }

    public function test_a_unit_within_a_small_grid_is_turned_before_that_is_sewn_and_not_spoken_of_again(): void
    {
        $file = Blocks::file('pA pB', 'pB pA');
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1', '1'], 'cells' => Blocks::file(...self::ROWS)['cells']];
        $plan = (new PressingPlanner(Blocks::construction($file)))->best(new PressQuestion(PressStyle::Nest));
        self::assertNotSame([], array_filter($plan->turnedUnits, static fn (TurnedUnit $unit): bool => $unit->turn !== null));
        $steps = WorkSteps::of($plan, new CutQuestion());
        $told = array_keys(array_filter($steps, static fn (Step $step): bool => str_contains($step->text, 'they look the same, and their seams then nest')));

        self::assertCount(1, $told);
        self::assertStringContainsString(' of it by 180 degrees, clockwise, before you sew', $steps[$told[0]]->text);
        self::assertSame(StepKind::Join, $steps[$told[0]]->do);
        $layOut = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::LayOut))[0];
        self::assertStringNotContainsString('Turn', $layOut->text);
    }

    public function test_only_what_lies_on_the_second_pile_is_told_of_it(): void
    {
        $plan = (new PressingPlanner(Blocks::sewn('hAB hAB90 qABAB', 'pA hAB180 qABAB90')))->best(new PressQuestion(PressStyle::Nest));
        [$half, $quarter] = $plan->construction->classes;
        $plan = $plan->found([new TurnedUnit(0, 1, null, 1), new TurnedUnit(1, 0, Turn::Half), new TurnedUnit(1, 1, null, 1)], null, false);
        $round = array_values(array_filter($plan->construction->joins, static fn (Join $join): bool => $join->tie !== null));
        $words = new SeamWords($plan);

        self::assertStringStartsWith(' Lay those for row 1 column 2 on a second pile and press it ', $words->secondPileWords($half, $round));
        self::assertStringStartsWith(' Lay those for row 2 column 3 on a second pile and press it ', $words->secondPileWords($quarter, $round));
        self::assertSame('', (new SeamWords($plan->found([new TurnedUnit(1, 0, Turn::Half)], null, false)))->secondPileWords($half, $round));
        self::assertSame('', (new SeamWords($plan->found([new TurnedUnit(1, 0, Turn::Half)], null, false)))->secondPileWords($quarter, $round));
    }

    public function test_nothing_is_said_where_nothing_is_turned(): void
    {
        self::assertSame('', (new SeamWords((new PressingPlanner(Blocks::sewn('pA pB', 'pB pA')))->best(new PressQuestion(PressStyle::Nest))))->turnWords());
    }

    public function test_a_lock_on_a_seam_of_a_unit_that_may_be_turned_holds_as_it_lies_in_the_block(): void
    {
        $planner = new PressingPlanner(Blocks::sewn(...self::ROWS));
        $seams = array_values(array_filter($planner->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === 1 && $join->tie->member === 1));
        foreach ($seams as $seam) {
            foreach ([PressDirection::Left, PressDirection::Right] as $direction) {
                $plan = $planner->best(new PressQuestion(PressStyle::Nest, [new Lock($seam->id, $direction)]));
                self::assertSame([$direction], array_values(array_unique($plan->pressing->of($seam), SORT_REGULAR)));
                self::assertTrue($plan->proved);
            }
        }
    }

    public function test_a_lock_against_the_style_holds_there_too(): void
    {
        $planner = new PressingPlanner(Blocks::sewn(...self::ROWS));
        $seam = array_values(array_filter($planner->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === 1 && $join->tie->member === 1))[0];
        $plan = $planner->best(new PressQuestion(PressStyle::Nest, [new Lock($seam->id, PressDirection::Open)]));

        self::assertSame([PressDirection::Open], $plan->pressing->of($seam));
    }

    public function test_of_two_piles_each_can_be_locked_its_own_way_and_one_pile_cannot(): void
    {
        $planner = new PressingPlanner(Blocks::sewn('hAB pA', 'pA hAB'));
        $seams = array_values(array_filter($planner->construction->joins, static fn (Join $join): bool => $join->tie !== null));
        $locks = [new Lock($seams[0]->id, PressDirection::Left), new Lock($seams[1]->id, PressDirection::Right)];
        $two = $planner->best((new PressQuestion(PressStyle::Nest, $locks))->withTwoPiles(0));

        self::assertSame([[PressDirection::Left], [PressDirection::Right]], array_map(static fn (Join $join): array => $two->pressing->of($join), $seams));
        self::assertEquals([new TurnedUnit(0, 1, null, 1)], $two->turnedUnits);
        $press = array_values(array_filter(PlanSteps::of($two), static fn (Step $step): bool => $step->do === StepKind::Press))[0];
        self::assertStringContainsString('Lay those for row 2 column 2 on a second pile and press it toward', $press->text);

        $this->expectException(LockNotPossible::class);
        $planner->best(new PressQuestion(PressStyle::Nest, $locks));
    }

    private static function plan(): PressingPlan
    {
        return (new PressingPlanner(Blocks::sewn(...self::ROWS)))->best(new PressQuestion(PressStyle::Nest));
    }
}
