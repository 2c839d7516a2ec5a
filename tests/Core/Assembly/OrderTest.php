<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class OrderTest extends TestCase
{
    /** @return array<string, array{Order, string}> */
    public static function orders(): array
    {
        return [
            'rows' => [Order::Rows, '(((0 1) 2) ((3 4) 5))'],
            'columns' => [Order::Columns, '(((0 3) (1 4)) (2 5))'],
            'halves of halves' => [Order::Quarters, '((0 (1 2)) (3 (4 5)))'],
            'round a centre' => [Order::Around, '(((1 2) (4 5)) (0 3))'],
        ];
    }

    public function test_twos_are_sewn_in_pairs_and_pairs_of_pairs(): void
    {
        $tree = static fn (string ...$rows): string => self::printed(Construction::of(Face::of(Blocks::of(...$rows)), Order::Twos)->root);

        self::assertSame('((((0 1) (2 3)) 4) (((5 6) (7 8)) 9))', $tree('pA pB pC pB pA', 'pB pC pA pC pB'));
        self::assertSame('(((0 1) (2 3)) (4 5))', $tree('pA pB', 'pB pC', 'pC pA'));
        self::assertSame('((0 1) 2)', $tree('pA pB pC'));
    }

    /** Round the centre: the strip above it first, then clockwise; what was put on last is the left side. */
    public function test_a_centre_grows_clockwise(): void
    {
        $tree = static fn (array $file): string => self::printed(Construction::of(Face::of(BlockFile::read($file)), Order::Around)->root);

        self::assertSame('((((4 1) (2 5)) (7 8)) ((0 3) 6))', $tree(Blocks::file('pA pB pC', 'pB pC pA', 'pC pA pB')));
        self::assertSame('((1 2) 0)', $tree(Blocks::file('pA pB pC')));
        self::assertSame('((1 0) 2)', $tree(Blocks::file('pA', 'pB', 'pC')));
        // Two high sides and a middle in two: the sides are strips of one cell.
        $high = Blocks::file('pA pB pC', 'pA pC pC');
        $high['cells'] = [['row' => 1, 'column' => 1, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']], $high['cells'][1], ['row' => 1, 'column' => 3, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['C']], $high['cells'][4]];
        self::assertSame('(((3 1) 2) 0)', $tree($high));
    }

    public function test_every_order_is_offered_by_a_name_of_its_own(): void
    {
        $words = array_map(static fn (Order $order): string => $order->words(), Order::cases());
        self::assertSame($words, array_unique($words));
        self::assertSame([Order::Diagonal], array_values(array_filter(Order::cases(), static fn (Order $order): bool => $order->runsThroughCells())));
        self::assertSame('by-rows', 'by-'.Order::Rows->key());
    }

    #[DataProvider('orders')]
    public function test_a_grid_is_taken_apart(Order $order, string $tree): void
    {
        $construction = Construction::of(Face::of(Blocks::of('pA pB pC', 'pB pC pA')), $order);

        self::assertSame($tree, self::printed($construction->root));
    }

    public function test_every_order_sews_generated_blocks_whole(): void
    {
        for ($seed = 0; $seed < 8; ++$seed) {
            $face = Face::of(\KeenSeam\Core\Block\BlockFile::read(Blocks::generated($seed, 3, 3)));
            foreach ([Order::Rows, Order::Columns, Order::Quarters, Order::Twos, Order::Around, Order::Best] as $order) {
                $construction = Construction::of($face, $order);
                self::assertSame(range(0, count($face->patches) - 1), $construction->root->patchIds());
                self::assertCount(count($face->patches) - 1, $construction->joins);
            }
        }
    }

    public function test_the_best_order_is_never_behind_another_one(): void
    {
        for ($seed = 0; $seed < 8; ++$seed) {
            $face = Face::of(\KeenSeam\Core\Block\BlockFile::read(Blocks::generated($seed, 3, 3)));
            $figures = static function (Order $order) use ($face): array {
                $report = OrderReport::of(Construction::of($face, $order));

                return [$report->matchPoints, $report->biasJoins, $report->joinsToLearn];
            };
            foreach ([Order::Rows, Order::Columns, Order::Quarters, Order::Around] as $order) {
                self::assertLessThanOrEqual($figures($order), $figures(Order::Best));
            }
        }
    }

    public function test_slanting_rows_follow_the_diagonals_of_the_patches(): void
    {
        $construction = Construction::of(Face::of(Blocks::of('hAB hBC', 'hBC hCA')), Order::Diagonal);
        $last = $construction->joins[count($construction->joins) - 1];

        self::assertSame([-1, 1], [$last->seam->direction()->reduced()->x, $last->seam->direction()->reduced()->y]);
        self::assertSame(range(0, 7), $construction->root->patchIds());
        self::assertCount(7, $construction->joins);
    }

    public function test_without_a_diagonal_there_are_no_slanting_rows(): void
    {
        $this->expectException(OrderNotPossible::class);
        Construction::of(Face::of(Blocks::of('pA pB', 'pB pA')), Order::Diagonal);
    }

    public function test_the_figures_of_a_four_patch_of_triangles(): void
    {
        $report = OrderReport::of(Blocks::sewn('hAB hAB90', 'hAB270 hAB180'));

        self::assertSame(
            [7, 1, 4, '4 in', 3, 3],
            [$report->joins, $report->matchPoints, $report->biasJoins, $report->longestJoin, $report->chainBatches, $report->presses],
        );
        self::assertSame(3, $report->joinsToLearn, 'the unit, the row and the block: the second row is the first one turned');
        self::assertSame([1, 1, 1, 1, 2, 2, 3], $report->batchOf);
    }

    public function test_a_slanting_join_is_measured_to_the_ruler_and_marked(): void
    {
        self::assertSame('≈2 13/16 in', OrderReport::of(Blocks::sewn('hAB'))->longestJoin);
    }

    public function test_mirror_twins_and_look_alikes_are_known(): void
    {
        $classes = Blocks::sewn('sABC sABCm hBA', 'qAABB hAB pA')->classes;
        $labels = array_map(static fn ($class): string => $class->members[0]->cell->unit->kind(), $classes);

        self::assertSame(['split-quarter-square-triangle', 'split-quarter-square-triangle', 'half-square-triangle', 'quarter-square-triangle'], $labels);
        self::assertSame([0 => 1, 1 => 0], ClassKinship::twins($classes));
        self::assertSame([2 => [3], 3 => [2]], ClassKinship::lookAlikes($classes));
    }

    private static function printed(Assembly $assembly): string
    {
        return $assembly instanceof Piece
            ? (string) $assembly->patch->id
            : '('.implode(' ', array_map(self::printed(...), $assembly->children())).')';
    }
}
