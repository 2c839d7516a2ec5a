<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Leftovers;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class LeftoversTest extends TestCase
{
    public function test_spare_ones_are_counted_with_all_that_come_out(): void
    {
        $plan = self::plan('two-at-a-time', 'hAB hAB hAB pA');
        self::assertSame([['text' => '4 come out: 1 spare.', 'wants' => 'care']], Leftovers::of($plan->units[0]));
        self::assertSame('1 spare', Leftovers::inShort($plan->units[0], true));
        self::assertSame(['Left over: 1 half-square triangle (U1).'], Leftovers::ofAll($plan));
    }

    public function test_what_the_other_places_take_is_no_wrong_hand(): void
    {
        $plan = CuttingPlan::of(Blocks::sewn('sABC sABC90', 'sABC180 sABCm'), new CutQuestion(ways: ['U1' => 'crossed']));
        // Three parts of a batch, one of each hand from each; one place takes the other hand.
        self::assertSame([3, 1, 3, 2], [$plan->units[0]->unit->need, $plan->units[0]->unit->mirrored, $plan->units[0]->parts, $plan->units[0]->wrongHand()]);
    }

    public function test_nothing_over_says_nothing(): void
    {
        $plan = self::plan('two-at-a-time', 'hAB hAB pA');
        self::assertSame([[], '', []], [Leftovers::of($plan->units[0]), Leftovers::inShort($plan->units[0], true), Leftovers::ofAll($plan)]);
    }

    public function test_bias_edges_and_a_hand_that_never_comes_are_told_beside_a_way(): void
    {
        $made = self::plan('four-at-a-time', 'hAB hAB hAB hAB')->units[0];
        self::assertSame(['bias edges', 'never gives the hand that is needed'], [Leftovers::inShort($made, true), Leftovers::inShort($made, false)]);
    }

    public function test_one_is_spoken_of_as_one(): void
    {
        // One crossed batch gives two pairs; one of them is crossed, and gives one of each hand.
        $hand = self::plan('crossed', 'sABC');
        self::assertSame(['1 comes out in the wrong hand and is of no use in this block.', '1 pair half made and not needed.'], array_column(Leftovers::of($hand->units[0]), 'text'));
        self::assertSame(['work', 'care'], array_column(Leftovers::of($hand->units[0]), 'wants'));
        self::assertSame(['Left over: 1 split quarter-square triangle (U1).', '1 pair of U1 half made and not needed.'], Leftovers::ofAll($hand));
        self::assertSame('1 of the wrong hand over, 1 half made over', Leftovers::inShort($hand->units[0], true));
        self::assertSame('1 is built the other way: it looks the same, and its seams lie otherwise.', Leftovers::of(self::plan('crossed', 'sABA')->units[0])[0]['text']);
        self::assertSame('1 built the other way over, 1 half made over', Leftovers::inShort(self::plan('crossed', 'sABA')->units[0], true));
        self::assertSame(['2 come out: 1 spare.', '2 pairs half made and not needed.'], array_column(Leftovers::of(self::plan('crossed', 'qABCB')->units[0]), 'text'));
        self::assertSame(['2 pairs of U1 half made and not needed.'], Leftovers::ofAll(self::plan('crossed', 'qABCB qABCB')));
    }

    public function test_the_waste_of_flipped_corners_gives_small_units(): void
    {
        self::assertSame(['From the waste of U1, if it is sewn before it is cut off: 4 small half-square triangles, all squared up to 3/4.'], Leftovers::ofAll(self::plan('flipped', 'dABBBB')));
        $file = Blocks::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '1']]]];
        self::assertSame(['From the waste of U1, if it is sewn before it is cut off: 1 small half-square triangle, to be squared up to 3/4.'], Leftovers::ofAll(CuttingPlan::of(Blocks::construction($file), new CutQuestion())));
    }

    public function test_units_of_the_other_hand_are_of_no_use_and_those_of_the_other_build_lie_otherwise(): void
    {
        // Three fabrics: the crossed pairs come out half in each hand.
        $hands = self::plan('crossed', 'sABC sABC90 sABC180 sABC270')->units[0];
        self::assertSame([['text' => '4 come out in the wrong hand and are of no use in this block.', 'wants' => 'work']], Leftovers::of($hands));
        self::assertSame('4 of the wrong hand over', Leftovers::inShort($hands, true));
        // In two fabrics they look the same and are only built the other way.
        $alike = self::plan('crossed', 'sABA sABA90 sABA180 sABA270')->units[0];
        self::assertSame([['text' => '4 are built the other way: they look the same, and their seams lie otherwise.', 'wants' => 'work']], Leftovers::of($alike));
        self::assertSame('4 built the other way over', Leftovers::inShort($alike, true));
        self::assertSame([], Leftovers::of(self::plan('crossed', 'sABA sABA90 sABA180 sABA270', BuildChoice::AsTheyCome)->units[0]));
    }

    private static function plan(string $way, string $row, BuildChoice $build = BuildChoice::Alike): CuttingPlan
    {
        return CuttingPlan::of(Blocks::construction(Blocks::file($row)), new CutQuestion(ways: ['U1' => $way], builds: ['U1' => $build]));
    }
}
