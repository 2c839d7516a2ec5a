<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Guide\HandMend;
use KeenSeam\Core\Guide\MendedHands;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Guide\WrongHand;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** A pile that came out as its own mirror image: that the least work is named first, and that exactly that is due again. */
final class WrongHandTest extends TestCase
{
    public function test_the_ways_to_mend_a_unit_are_those_that_its_shape_allows(): void
    {
        self::assertSame(['turn'], self::ways('hAB pA'), 'a half-square triangle has no hands');
        self::assertSame(['turn'], self::ways('gABB pA'), 'a goose with like skies has none either');
        self::assertSame(['remake'], self::ways('gABC pA'), 'in a square cell the skies are slender, each of one hand');
        self::assertSame(['seams', 'remake'], self::ways('dABACC pA'), 'its corners change places');
        self::assertSame(['seams', 'remake'], self::ways('sABC pA'));
        self::assertSame(['swap', 'seams', 'remake'], self::ways('sABC sABC0m', twinsToGo: 1), 'the block needs the other hand too');
        self::assertSame(['seams', 'remake'], self::ways('sABC sABC0m', twinsToGo: 0), 'those are all made');
        self::assertSame(['turn'], self::ways('tABB pA'));
        self::assertSame(['press'], self::ways('qABAB pA'), 'its face is its own mirror image, its seams are not');
    }

    public function test_no_way_asks_for_cloth_to_be_turned_over(): void
    {
        // The sides of a triangle in a square are slender: each is of one hand only.
        self::assertSame(['remake'], self::ways('tABC pA'));
    }

    public function test_the_seams_to_take_out_leave_only_parts_that_are_their_own_mirror_image(): void
    {
        [$mend] = self::mends('sABC pA', 3, 0);
        self::assertSame([0, 1], $mend->joins);
        self::assertSame('Take 2 seams out of each, turn what comes off and sew it on the other way round: 6 seams.', $mend->words);
        self::assertSame('Take 2 seams out of it, turn what comes off and sew it on the other way round: 2 seams.', self::mends('sABC pA', 1, 0)[0]->words);
        self::assertSame('Turn it until it lies as in the picture: half-square triangles have no left and right hand.', self::mends('hAB pA', 1, 0)[0]->words);
        self::assertSame('Put them on the pile of the split quarter-square triangles (U2), which they are, and make 2 more of these instead: as many units as before.', self::mends('sABC sABC0m', 2, 2)[0]->words);
        self::assertSame('Cut and sew 1 new, and keep this one for another block.', self::mends('tABC pA', 1, 0)[0]->words);
    }

    public function test_exactly_what_is_done_again_is_due_again(): void
    {
        [$plan, $steps] = self::work('sABC sABC90', 'pA sABC180');
        $class = $plan->construction->classes[0];
        $all = self::unitsDone($plan, $steps);
        self::assertSame([0, 1, 2], $all->loose($plan->construction, $class));
        foreach (WrongHand::mends($plan->construction, $class, 2, 0) as $mend) {
            $after = (new MendedHands($all, $plan->construction, $steps, 4))->after($class, $mend);
            $due = [];
            foreach ($steps as $step) {
                $left = $after->left($step);
                if ($step->unitClass !== null && $left > 0) {
                    $due[$step->do->value] = ($due[$step->do->value] ?? 0) + $left;
                }
            }
            self::assertSame($mend->how === HandMend::Seams ? ['join' => 4, 'press' => 4, 'square-up' => 2] : ['join' => 4, 'cut-apart' => 2, 'press' => 4, 'square-up' => 2], $due, $mend->how->value);
            self::assertSame(array_intersect_key($all->pressed, array_flip([4, 5])), $after->elsewhere, 'how the others lie is kept');
        }
    }

    public function test_other_units_and_what_is_only_turned_stay_as_they_are(): void
    {
        [$plan, $steps] = self::work('sABC sABC90 hAB', 'hAB qABAB sABC180');
        $all = self::unitsDone($plan, $steps);
        $mended = static fn (int $class, int $count): WorkProgress => (new MendedHands($all, $plan->construction, $steps, 4))->after($plan->construction->classes[$class], WrongHand::mends($plan->construction, $plan->construction->classes[$class], $count, 0)[0]);
        $labels = static fn (WorkProgress $after): array => array_values(array_unique(array_map(static fn (Step $step): string => $step->unitClass.' '.$step->do->value, array_filter($steps, static fn (Step $step): bool => $step->unitClass !== null && $after->left($step) > 0))));
        [$split, $half, $quarter] = [0, 1, 2];

        self::assertSame($all, $mended($half, 3), 'half-square triangles are only turned');
        self::assertSame(['U1 join', 'U1 press', 'U1 square-up'], $labels($mended($split, 5)));
        // Its seams lie as in a mirror: only the iron is wanted, for as many as there are.
        $pressed = $mended($quarter, 3);
        self::assertSame(['U3 press'], $labels($pressed));
        self::assertSame($all->sewn, $pressed->sewn);
        self::assertSame([3], array_values(array_unique(array_filter(array_map($pressed->left(...), array_filter($steps, static fn (Step $step): bool => $step->unitClass === 'U3'))))));
        // Of every single one nothing lies elsewhere any more; of some of them it still does.
        self::assertSame([], $mended($split, 12)->elsewhere);
        self::assertNotSame([], $mended($split, 11)->elsewhere);
        self::assertNotSame([], $mended($split, 4)->elsewhere);
    }

    public function test_a_swap_makes_as_many_more_of_the_one_as_fewer_of_the_other(): void
    {
        $plan = (new PressingPlanner(Blocks::sewn('sABC sABC sABC', 'sABC0m sABC0m sABC0m')))->best(new PressQuestion(PressStyle::Nest));
        $steps = WorkSteps::of($plan, new CutQuestion(4, ways: ['U1' => 'from-triangles']));
        [$own, $twin] = $plan->construction->classes;
        $ofOwn = new WorkProgress(sewn: array_values(array_map(static fn (Join $join): int => $join->id, array_filter($plan->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === $own->index))));
        $left = static fn (WorkProgress $progress, string $label): int => array_sum(array_map($progress->left(...), array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Join && $step->unitClass === $label)));
        $after = (new MendedHands($ofOwn, $plan->construction, $steps, 4))->after($own, WrongHand::mends($plan->construction, $own, 6, 12)[0], $twin);

        // Two seams a unit, twelve of each hand; each pile begins with one.
        self::assertSame([0, 24], [$left($ofOwn, $own->label()), $left($ofOwn, $twin->label())]);
        self::assertSame([12, 12], [$left($after, $own->label()), $left($after, $twin->label())], 'six more, six fewer');
        self::assertCount(2, array_filter($plan->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === $twin->index && in_array($join->id, $after->sewn, true)), 'one in each of the four blocks is whole, the others are counted');
    }

    public function test_units_put_on_the_pile_of_the_other_hand_are_not_made_again_there(): void
    {
        [$plan, $steps] = self::work('sABC sABC0m', 'sABC sABC0m');
        [$own, $twin] = $plan->construction->classes;
        $sewn = array_map(static fn (Join $join): int => $join->id, array_values(array_filter($plan->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === 0)));
        $mend = WrongHand::mends($plan->construction, $own, 1, 2)[0];
        self::assertSame(HandMend::Swap, $mend->how);
        $after = (new MendedHands(new WorkProgress(sewn: $sewn), $plan->construction, $steps, 1))->after($own, $mend, $twin);
        $ofTwin = array_filter($plan->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === 1 && in_array($join->id, $after->sewn, true));

        self::assertCount(1, array_unique(array_map(static fn (Join $join): int => $join->tie->member ?? -1, $ofTwin)), 'one of the other hand is made');
        self::assertSame([0], $after->loose($plan->construction, $own), 'and one of these is made anew');
    }

    public function test_what_is_sewn_in_is_no_longer_loose(): void
    {
        [$plan, $steps] = self::work('sABC sABC90', 'pA sABC180');
        $all = self::unitsDone($plan, $steps);
        $row = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Join && $step->unitClass === null))[0];

        self::assertSame([2], $all->with($row, $plan->pressing)->loose($plan->construction, $plan->construction->classes[0]));
    }

    /** @return list<string> */
    private static function ways(string $row, int $twinsToGo = 0): array
    {
        return array_map(static fn (WrongHand $mend): string => $mend->how->value, self::mends($row, 1, $twinsToGo));
    }

    /** @return non-empty-list<WrongHand> */
    private static function mends(string $row, int $count, int $twinsToGo): array
    {
        $construction = Blocks::sewn($row);

        return WrongHand::mends($construction, $construction->classes[0], $count, $twinsToGo);
    }

    /** @return array{PressingPlan, list<Step>} for four blocks */
    private static function work(string ...$rows): array
    {
        $plan = (new PressingPlanner(Blocks::sewn(...$rows)))->best(new PressQuestion(PressStyle::Nest));

        return [$plan, WorkSteps::of($plan, new CutQuestion(4))];
    }

    /** @param list<Step> $steps */
    private static function unitsDone(PressingPlan $plan, array $steps): WorkProgress
    {
        $progress = new WorkProgress();
        foreach ($steps as $step) {
            if ($step->do === StepKind::LayOut) {
                break;
            }
            $progress = $progress->with($step, $plan->pressing);
        }

        return $progress;
    }
}
