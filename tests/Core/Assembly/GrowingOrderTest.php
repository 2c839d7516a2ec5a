<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\GrowingOrder;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Assembly\OwnPair;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

final class GrowingOrderTest extends TestCase
{
    public function test_whatever_is_picked_ends_in_an_order_that_counts_the_same(): void
    {
        for ($seed = 1; $seed <= 12; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $face = Face::of(BlockFile::read(Blocks::generated($seed, 3, 3)));
            $growing = GrowingOrder::start($face);
            for ($tries = 0; ! $growing->isDone() && $tries < 400; ++$tries) {
                $count = count($growing->parts);
                try {
                    $growing = $growing->sewn($random->getInt(0, $count - 1), $random->getInt(0, $count - 1), $random->getInt(0, 1) === 1);
                } catch (OrderNotPossible) {
                    continue; // the two do not lie side by side
                }
                self::assertEquals(self::told($growing), self::told(GrowingOrder::of($face, self::told($growing))), 'told and read again it goes on from there');
                self::assertSame(self::figures($growing->report()), self::figures(GrowingOrder::of($face, self::told($growing))->report()));
            }
            if ($growing->isDone()) {
                $construction = Construction::of($face, OwnOrder::of('Picked', self::told($growing)[0]));
                self::assertSame(self::figures(OrderReport::of($construction)), self::figures($growing->report()));
            }
        }
    }

    public function test_likes_are_done_along_and_only_they(): void
    {
        $face = Face::of(Blocks::of('pA hAB pA hAB', 'hAB90 pA pB pB', 'pA hAB pA hAB180'));
        $start = GrowingOrder::start($face);
        self::assertCount(11, $start->sewn(0, 1, false)->parts);
        $along = $start->sewn(0, 1, true);
        // The first pair again in both rows and twice each; the turned-round one joins its square on the other side.
        self::assertSame([['1,1', '1,2'], ['1,3', '1,4'], ['3,1', '3,2']], array_values(array_filter(self::told($along), is_array(...))));
    }

    public function test_all_in_twos_is_pairs_then_pairs_of_pairs_then_the_rows(): void
    {
        $growing = GrowingOrder::start(Face::of(Blocks::of('pA pB pA pB', 'pB pA pB pA')));
        $counts = [];
        while (! $growing->isDone()) {
            $growing = $growing->inTwos();
            $counts[] = count($growing->parts);
        }
        self::assertSame([4, 2, 1], $counts);
        self::assertSame([[['1,1', '1,2'], ['1,3', '1,4']], [['2,1', '2,2'], ['2,3', '2,4']]], self::told($growing)[0]);
    }

    public function test_twos_go_from_left_to_right_whatever_was_sewn_first(): void
    {
        $columns = [['1,1', '2,1'], ['1,2', '2,2'], ['1,3', '2,3']];
        $rows = [['1,1', '1,2'], ['2,1', '2,2'], ['3,1', '3,2']];
        foreach ([[$columns, Blocks::of('pA pB pC', 'pB pC pA')], [$rows, Blocks::of('pA pB', 'pB pC', 'pC pA')]] as [$three, $block]) {
            foreach ([[0, 1, 2], [1, 0, 2], [2, 0, 1], [2, 1, 0], [1, 2, 0], [0, 2, 1]] as $order) {
                $apart = GrowingOrder::of(Face::of($block), array_map(static fn (int $part): array => $three[$part], $order));
                self::assertEqualsCanonicalizing([[$three[0], $three[1]], $three[2]], self::told($apart->inTwos()));
            }
        }
    }

    public function test_a_unit_is_taken_apart_with_its_likes(): void
    {
        $face = Face::of(Blocks::of('dABBBB pA', 'dABBBB90 hAB'));
        $opened = GrowingOrder::start($face)->opened(0, true);
        self::assertSame(['1,1#1', '1,1#2', '1,1#3', '1,1#4', '1,1#5', '1,2', '2,1#1', '2,1#2', '2,1#3', '2,1#4', '2,1#5', '2,2'], self::told($opened));
        self::assertSame(self::patches($opened), self::patches(GrowingOrder::of($face, self::told($opened))));
        self::assertCount(8, GrowingOrder::start($face)->opened(0, false)->parts);
        // One corner, and the same corners of both along: four that look the same after a turn.
        $sewn = $opened->sewn(0, 1, true);
        self::assertCount(10, $sewn->parts);

        $this->expectException(OrderNotPossible::class);
        $opened->opened(0, true);
    }

    public function test_a_small_grid_stays_one_and_a_plain_patch_does_not_open(): void
    {
        $file = Blocks::file('pA hAB', 'pA pB');
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => Blocks::file('pA pB')['cells']];
        $start = GrowingOrder::start(Face::of(BlockFile::read($file)));
        self::assertSame([false, true, false, false, false], array_map($start->opens(...), [0, 1, 2, 3, 9]));
    }

    public function test_parts_without_a_whole_edge_in_common_are_refused(): void
    {
        $start = GrowingOrder::start(Face::of(Blocks::of('pA pB', 'pB pA')));
        foreach ([[0, 3], [1, 1], [0, 9]] as [$a, $b]) {
            try {
                $start->sewn($a, $b, false);
                self::fail("$a to $b");
            } catch (OrderNotPossible $problem) {
                self::assertStringContainsString('No one straight seam joins', $problem->getMessage());
            }
        }
    }

    /** @return list<list<int>> */
    private static function patches(GrowingOrder $growing): array
    {
        return array_map(static fn (Assembly $part): array => $part->patchIds(), $growing->parts);
    }

    /** @return list<int|string|null> */
    private static function figures(OrderReport $report): array
    {
        return [$report->joins, $report->matchPoints, $report->biasJoins, $report->longestJoin, $report->joinsToLearn, $report->chainBatches, $report->presses];
    }

    /** @return list<mixed> */
    private static function told(GrowingOrder $growing): array
    {
        return array_map(static fn (OwnPair|string $sew): array|string => is_string($sew) ? $sew : $sew->toArray(), $growing->sew);
    }
}
