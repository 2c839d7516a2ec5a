<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Guide\Standing;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class StandingTest extends TestCase
{
    private Construction $construction;

    private PressingPlanner $planner;

    private PressingPlan $best;

    protected function setUp(): void
    {
        $this->construction = Blocks::sewn('pA pB', 'pB pA');
        $this->planner = new PressingPlanner($this->construction);
        $this->best = $this->planner->best(new PressQuestion(PressStyle::Nest));
    }

    public function test_what_is_proved_is_said_and_no_more(): void
    {
        self::assertSame('Proved: in this school no plan nests better or lies flatter.', $this->words($this->best));
        $bound = static fn (Cost $lacking): Cost => new Cost(mismatch: $lacking->mismatch, peakSquared: $lacking->peakSquared, folded: $lacking->folded, shadowSteps: $lacking->shadowSteps, furls: $lacking->furls);
        $cost = $this->best->cost;
        $unproved = fn (Cost $least): string => $this->words($this->best->found([], $bound($least), false), $this->best->found([], $bound($least), false));
        self::assertSame('The best plan found so far. It nests as well as any; its lumps are within 2.1 % of the flattest there can be.', $unproved(new Cost($cost->mismatch, $cost->peakSquared - 1)));
        self::assertSame('The best plan found so far. It nests as well and lies as flat as any; only how the seam ends fold may be bettered.', $unproved(new Cost($cost->mismatch, $cost->peakSquared, $cost->folded - 1)));
        $half = $this->best->priced(new Cost(peakSquared: 1000))->found([], new Cost(peakSquared: 500), false);
        self::assertSame('The best plan found so far. It nests as well as any; its lumps are within 50 % of the flattest there can be.', $this->words($half, $half));
        $stacked = $this->planner->best(new PressQuestion(PressStyle::Nest, [new Lock(0, PressDirection::Left), new Lock(1, $this->sameWay())]));
        self::assertSame(2, $stacked->cost->mismatch);
        $worse = $stacked->found([], new Cost(), false);
        self::assertSame('The best plan found so far. At most 1 crossing more could be made to nest.', $this->words($worse, $worse));
    }

    public function test_locks_are_judged_beside_the_best_plan_without_them(): void
    {
        $locks = [new Lock(0, PressDirection::Left), new Lock(1, $this->sameWay())];
        $follows = $this->planner->best(new PressQuestion(PressStyle::Nest, $locks));
        self::assertStringStartsWith('Proved: with these seams as they are, no plan nests better or lies flatter. Beside the best plan without them: 1 more ridge on ridge, 1 place thicker', $this->words($follows));
        $stays = $this->planner->bestThenFlipped(new PressQuestion(PressStyle::Nest, $locks));
        self::assertFalse($stays->proved, 'a seam laid over the best plan proves nothing');
        self::assertStringStartsWith('Your seams are laid over the plan, the others stay. Beside the best plan without them: 1 more ridge on ridge', $this->words($stays));
        // Of one cloth there is no shadow: the other way round is as good.
        $plain = new PressingPlanner(Blocks::sewn('pA pA', 'pA pA'));
        $free = $plain->best(new PressQuestion(PressStyle::Nest));
        $turned = $plain->best(new PressQuestion(PressStyle::Nest, [new Lock(0, $free->pressing->directions[0][0]->swapped())]));
        self::assertSame('Proved: with these seams as they are, no plan nests better or lies flatter. They cost nothing: it is as good as the best plan without them.', $this->words($turned, $free));
        $hurried = $follows->found([], $this->best->cost, false);
        self::assertStringStartsWith('With these seams as they are, the best found so far. Beside the best plan found so far without them: ', $this->words($hurried, $this->best->found([], new Cost(), false)));
    }

    public function test_a_lock_may_do_what_the_school_does_not(): void
    {
        $open = $this->planner->best(new PressQuestion(PressStyle::Nest, [new Lock(0, PressDirection::Open), new Lock(1, PressDirection::Open), new Lock(2, PressDirection::Open)]));
        self::assertStringContainsString('It is better than the best plan of this school: ', $this->words($open));
    }

    /** The direction that makes the second row lie as the first. */
    private function sameWay(): PressDirection
    {
        $first = $this->construction->joins[0];
        $second = $this->construction->joins[1];

        return $first->leftSide === $second->leftSide ? PressDirection::Left : PressDirection::Right;
    }

    private function words(PressingPlan $plan, ?PressingPlan $free = null): string
    {
        return Standing::words($plan, $free ?? $this->best, PressStyle::Nest);
    }
}
