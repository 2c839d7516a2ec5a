<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\GooseWings;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LumpCure;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class LumpCureTest extends TestCase
{
    public function test_a_cure_that_opens_more_seams_asks_for_more_and_no_other_does(): void
    {
        $construction = Blocks::sewn('hAB hAB90', 'hAB270 hAB180');
        $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest));
        $cures = LumpCure::at($construction, $plan->pressing, $plan->junctions[0]);
        $opened = array_values(array_filter($cures, static fn (LumpCure $cure): bool => ! $cure->isFurl && $cure->twoPiles === null));

        self::assertSame([false, true], [$opened[0]->asksForMoreThan($opened[1]), $opened[1]->asksForMoreThan($opened[0])]);
        self::assertFalse($opened[1]->asksForMoreThan($opened[1]));
        foreach ($cures as $cure) {
            if ($cure->isFurl || $cure->twoPiles !== null) {
                self::assertSame([false, false], [$cure->asksForMoreThan($opened[0]), $opened[1]->asksForMoreThan($cure)]);
            }
        }
    }

    public function test_what_is_tried_is_at_the_crossing_and_comes_out_as_it_says(): void
    {
        for ($seed = 1; $seed <= 5; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 3));
            $planner = new PressingPlanner($construction);
            $plan = $planner->best(new PressQuestion(PressStyle::Nest));
            foreach ($plan->junctions as $i => $junction) {
                $opened = [];
                foreach (LumpCure::at($construction, $plan->pressing, $junction) as $cure) {
                    foreach ($cure->locks as $lock) {
                        self::assertTrue($construction->joins[$lock->join]->seam->contains($junction->at));
                        self::assertSame($cure->isFurl, $lock->furls());
                        if ($cure->isFurl) {
                            $join = $construction->joins[$lock->join];
                            $before = $plan->pressing->of($join);
                            $there = array_search(true, array_map(static fn ($match): bool => $match->at->equals($junction->at), $join->matchPoints()), true);
                            $flipped = static fn (int $from, int $to): array => array_map(static fn (PressDirection $one, int $segment): PressDirection => $segment >= $from && $segment <= $to ? $one->swapped() : $one, $before, array_keys($before));
                            self::assertContains($lock->directions, [$flipped(0, (int) $there), $flipped((int) $there + 1, count($before) - 1)], 'it changes sides there and nowhere else');
                        }
                    }
                    if ($cure->isFurl) {
                        self::assertSame($cure->locks[0]->directions, $planner->best(new PressQuestion(PressStyle::Nest, $cure->locks))->pressing->of($construction->joins[$cure->locks[0]->join]));
                    } elseif ($cure->twoPiles === null) {
                        $opened[] = count($cure->locks);
                        $then = $planner->bestThenFlipped(new PressQuestion(PressStyle::Nest, $cure->locks));
                        if (count($cure->locks) === max($opened) && count($opened) > 1) {
                            self::assertLessThanOrEqual($plan->peaks()[$i] + 2, $then->peaks()[$i]);
                        }
                    } else {
                        self::assertGreaterThan(1, count($construction->classes[$cure->twoPiles]->members));
                    }
                }
                self::assertSame($opened, array_values(array_unique($opened)), 'nothing is tried twice');
                self::assertNotContains(2, array_slice($opened, 0, -1), 'one, then three, then all');
            }
        }
    }

    /** The seam between two rows of three is crossed twice, and may be furled at either place. */
    public function test_a_furl_is_tried_at_every_crossing_of_a_seam(): void
    {
        $construction = Blocks::sewn('pA pB pA', 'pB pA pB');
        $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest));
        $turns = array_map(static fn (Junction $junction): array => array_map(
            static fn (LumpCure $cure): int => count(array_unique(array_slice($cure->locks[0]->directions, 0, 2), SORT_REGULAR)),
            array_values(array_filter(LumpCure::at($construction, $plan->pressing, $junction), static fn (LumpCure $cure): bool => $cure->isFurl)),
        ), $plan->junctions);
        self::assertSame([[2], [1]], $turns, 'one way at each of them, as the seams that meet there lie');
    }

    public function test_all_seams_at_a_crossing_opened_lie_as_deep_as_patches_meet(): void
    {
        $construction = Blocks::sewn('hAB90 hAB180', 'hAB hAB270');
        $planner = new PressingPlanner($construction);
        $plan = $planner->best(new PressQuestion(PressStyle::Nest));
        $cures = array_values(array_filter(LumpCure::at($construction, $plan->pressing, $plan->junctions[0]), static fn (LumpCure $cure): bool => ! $cure->isFurl && $cure->twoPiles === null));
        $all = end($cures);
        self::assertInstanceOf(LumpCure::class, $all);
        self::assertSame([8], array_map(static fn ($junction): int => count($junction->patchIds), $plan->junctions));
        // One seam of the pile stands for all.
        self::assertCount(4, $all->locks);
        self::assertLessThan($plan->peaks()[0], $planner->best(new PressQuestion(PressStyle::Nest, $all->locks))->peaks()[0]);
    }

    public function test_a_class_is_not_split_twice_nor_where_it_does_not_meet(): void
    {
        $construction = Blocks::sewn('hAB90 hAB180 pA', 'hAB hAB270 pA', 'pA pA hAC');
        $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest));
        $split = static fn (int $junction, array $already): array => array_values(array_filter(array_map(static fn (LumpCure $cure): ?int => $cure->twoPiles, LumpCure::at($construction, $plan->pressing, $plan->junctions[$junction], $already)), static fn (?int $class): bool => $class !== null));

        self::assertSame([0], $split(0, []));
        self::assertSame([], $split(0, [0]));
        foreach ($plan->junctions as $i => $junction) {
            $meets = array_filter($construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === 0 && $join->seam->contains($junction->at)) !== [];
            self::assertSame($meets ? [0] : [], $split($i, []), 'one unit alone has no second pile');
        }
    }

    public function test_the_wings_of_a_drawn_goose_are_wings_too(): void
    {
        $patch = static fn (string $fabric, string $points): array => ['fabric' => $fabric, 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', $points))];
        $file = ['finished' => ['width' => '8', 'height' => '2']] + Blocks::file('pA pB');
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [$patch('A', '0,1 1/2,0 1,1'), $patch('B', '0,0 1/2,0 0,1'), $patch('C', '1/2,0 1,0 1,1')]];
        $construction = Blocks::construction($file);
        $planner = new PressingPlanner($construction);
        foreach ([[PressDirection::Left, PressDirection::Left], [PressDirection::Left, PressDirection::Right], [PressDirection::Open, PressDirection::Left], [PressDirection::Open, PressDirection::Open]] as [$first, $second]) {
            $plan = $planner->best(new PressQuestion(PressStyle::Mixed, [new Lock(0, $first), new Lock(1, $second)]));
            $wing = array_map(static fn (int $id): bool => $plan->pressing->of($construction->joins[$id])[0] === (count($construction->joins[$id]->left->patchIds()) === 1 && $construction->joins[$id]->left->outline()->areaDoubled() < $construction->joins[$id]->right->outline()->areaDoubled() ? PressDirection::Left : PressDirection::Right), [0, 1]);
            $isAlike = ($first === PressDirection::Open) === ($second === PressDirection::Open) && ($first === PressDirection::Open || $wing[0] === $wing[1]);
            self::assertCount($isAlike ? 0 : 1, GooseWings::pressedTwoWays($plan), $first->value.' '.$second->value);
        }
    }

    public function test_wings_pressed_two_ways_are_told_and_pressed_alike_where_asked(): void
    {
        $construction = Blocks::sewn('hAB tABB', 'pB tABB180');
        $planner = new PressingPlanner($construction);
        $seams = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->tie?->member === 0 && $join->tie->unitClass === 1));
        $wing = array_map(static fn (Join $join): PressDirection => count($join->left->patchIds()) === 1 && $join->left->outline()->areaDoubled() < $join->right->outline()->areaDoubled() ? PressDirection::Left : PressDirection::Right, $seams);
        $twoWays = $planner->best(new PressQuestion(PressStyle::Nest, [new Lock($seams[0]->id, $wing[0]), new Lock($seams[1]->id, $wing[1]->swapped())]));
        $found = GooseWings::pressedTwoWays($twoWays);

        self::assertCount(1, $found);
        foreach (['both toward the wings' => $wing, 'both toward the goose' => array_map(static fn (PressDirection $way): PressDirection => $way->swapped(), $wing), 'both open' => [PressDirection::Open, PressDirection::Open]] as $words => $ways) {
            $plan = $planner->best(new PressQuestion(PressStyle::Nest, $found[0]->alike()[$words]));
            self::assertSame($ways, array_map(static fn (Join $join): PressDirection => $plan->pressing->of($join)[0], $seams));
            self::assertSame([], GooseWings::pressedTwoWays($plan));
        }
    }
}
