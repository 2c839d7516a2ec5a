<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Assembly\OwnPair;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class OwnOrderTest extends TestCase
{
    public function test_any_order_told_as_pairs_of_cells_sews_the_same_block(): void
    {
        for ($seed = 1; $seed <= 12; ++$seed) {
            $face = Face::of(BlockFile::read(Blocks::generated($seed, 4, 3)));
            foreach ([Order::Rows, Order::Columns, Order::Quarters, Order::Around, Order::Best] as $order) {
                $regular = Construction::of($face, $order);
                $own = Construction::of($face, OwnOrder::of('Mine', self::pairs($face, $regular->root, true)));

                self::assertSame(SeamPlaces::of($regular)->whole(), SeamPlaces::of($own)->whole(), "seed $seed, {$order->value}");
                self::assertCount(count($regular->classes), $own->classes);
                self::assertFalse($own->order->runsThroughCells());
                self::assertSame(count($own->joins) - count(array_filter($own->joins, static fn (Join $join): bool => $join->tie !== null)), array_sum(array_map(static fn (Strand $strand): int => count($strand->joins), $own->strands)));
            }
        }
    }

    public function test_an_order_through_cells_is_told_by_patches(): void
    {
        $face = Face::of(Blocks::of('pA hAB90 hBA', 'hAB90 pB hAB90', 'hAB hAB90 pC'));
        $regular = Construction::of($face, Order::Diagonal);
        $own = Construction::of($face, OwnOrder::of('Slanting', self::pairs($face, $regular->root, false)));

        self::assertTrue($own->order->runsThroughCells());
        self::assertSame(SeamPlaces::of($regular)->whole(), SeamPlaces::of($own)->whole());
        self::assertSame([], $own->classes);
    }

    public function test_rows_stay_strands_and_twos_of_twos_do_not(): void
    {
        $face = Face::of(Blocks::of('pA pB pA pB'));
        $along = Construction::of($face, OwnOrder::of('Along', [[['1,1', '1,2'], '1,3'], '1,4']));
        $twos = Construction::of($face, OwnOrder::of('Twos', [['1,1', '1,2'], ['1,3', '1,4']]));

        self::assertSame([3], array_map(static fn (Strand $strand): int => count($strand->joins), $along->strands));
        self::assertSame([1, 1, 1], array_map(static fn (Strand $strand): int => count($strand->joins), $twos->strands));
    }

    public function test_a_unit_may_be_sewn_in_an_order_of_its_own_and_its_likes_with_it(): void
    {
        $face = Face::of(Blocks::of('dABBBB dABBBB90', 'dABBBB180 dABBBB'));
        // The corners one after the other round the square; as usual opposite ones come first.
        $round = static fn (string $cell, int ...$corners): array => array_reduce($corners, static fn (array|string $sewn, int $corner): array => [$sewn, "$cell#$corner"], "$cell#1");
        $cells = static fn (array $unit11, array $unit12, array $unit21, array $unit22): array => [[$unit11, $unit12], [$unit21, $unit22]];

        $alike = Construction::of($face, OwnOrder::of('Round', $cells($round('1,1', 2, 3, 4, 5), $round('1,2', 3, 4, 5, 2), $round('2,1', 4, 5, 2, 3), $round('2,2', 2, 3, 4, 5))));
        self::assertCount(1, $alike->classes, 'turned as the unit is turned it is the same');
        $first = array_map(static fn (Join $join): array => $join->patchIds(), array_slice($alike->joins, 0, 4));
        self::assertSame([[0, 1], [0, 1, 2], [0, 1, 2, 3], [0, 1, 2, 3, 4]], $first);

        $apart = Construction::of($face, OwnOrder::of('Two ways', $cells($round('1,1', 2, 3, 4, 5), $round('1,2', 3, 4, 5, 2), $round('2,1', 4, 2, 5, 3), $round('2,2', 2, 4, 3, 5))));
        self::assertSame([2, 2], array_map(static fn ($class): int => count($class->members), $apart->classes));
    }

    public function test_a_block_of_one_unit_is_sewn_from_its_patches_in_her_order(): void
    {
        $face = Face::of(Blocks::of('dABBBB'));
        $round = Construction::of($face, OwnOrder::of('Round', [[[['1,1#1', '1,1#2'], '1,1#3'], '1,1#4'], '1,1#5']));
        self::assertSame([[0, 1], [0, 1, 2], [0, 1, 2, 3], [0, 1, 2, 3, 4]], array_map(static fn (Join $join): array => $join->patchIds(), $round->joins));
        self::assertCount(1, $round->classes);
    }

    /** @return array<string, array{mixed, string}> */
    public static function wrong(): array
    {
        return [
            'no list' => [7, 'two parts at a time'],
            'three at once' => [['1,1', '1,2', '2,1'], 'two parts at a time'],
            'no place' => [['1,1', 'left'], '"left" is neither a cell nor a patch'],
            'a cell outside' => [[['1,1', '1,2'], ['2,1', '3,3']], 'sews "3,3", which is not in the block'],
            'a patch outside' => [[[['1,1#1', '1,1#3'], '1,2'], ['2,1', '2,2']], 'sews "1,1#3"'],
            'a cell left out' => [[['1,1', '1,2'], '2,1'], 'leaves out "2,2"'],
            'a patch left out' => [[['1,1#1', '1,2'], ['2,1', '2,2']], 'leaves out "1,1#2"'],
            'a cell twice' => [[['1,1', '1,1'], ['2,1', '2,2']], 'sews "1,1" twice'],
            'a cell and its patch' => [[[['1,1', '1,1#1'], '1,2'], ['2,1', '2,2']], 'sews "1,1" twice'],
            'across a corner' => [[['1,1', '2,2'], ['1,2', '2,1']], 'No one straight seam joins 1,1 and 2,2'],
            'round a corner' => [[[['1,1', '1,2'], '2,1'], '2,2'], 'No one straight seam joins 1,1 1,2 and 2,1'],
        ];
    }

    #[DataProvider('wrong')]
    public function test_an_order_that_cannot_be_sewn_is_refused(mixed $sew, string $expected): void
    {
        $this->expectException(OrderNotPossible::class);
        $this->expectExceptionMessage($expected);
        Construction::of(Face::of(Blocks::of('hAB pA', 'pB hAB')), OwnOrder::of('Mine', $sew));
    }

    public function test_pairs_of_pairs_go_as_deep_as_a_block_has_cells(): void
    {
        $nested = static function (int $pairs, bool $isFirst): array {
            $sew = ['1,1', '1,2'];
            for ($i = 1; $i < $pairs; ++$i) {
                $sew = $isFirst ? [$sew, '1,1'] : ['1,1', $sew];
            }

            return $sew;
        };
        foreach ([true, false] as $isFirst) {
            self::assertInstanceOf(OwnPair::class, OwnPair::read($nested(4097, $isFirst)));
            try {
                OwnPair::read($nested(4098, $isFirst));
                self::fail('Too deep.');
            } catch (OrderNotPossible $problem) {
                self::assertStringContainsString('two parts at a time', $problem->getMessage());
            }
        }
    }

    public function test_of_many_cells_that_do_not_meet_the_first_four_are_named(): void
    {
        $four = [[['1,1', '1,2'], '1,3'], '1,4'];
        foreach ([['1,1 1,2 1,3 1,4 and 2,1.', [[$four, '2,1'], [['2,2', '2,3'], [['1,5', '2,4'], '2,5']]]], ['1,1 1,2 1,3 1,4 ... and 2,1.', [[[$four, '1,5'], '2,1'], [['2,2', '2,3'], ['2,4', '2,5']]]]] as [$words, $sew]) {
            try {
                Construction::of(Face::of(Blocks::of('pA pB pA pB pA', 'pB pA pB pA pB')), OwnOrder::of('Mine', $sew));
                self::fail('It was sewn.');
            } catch (OrderNotPossible $problem) {
                self::assertStringContainsString("joins $words", $problem->getMessage());
            }
        }
    }

    public function test_orders_have_short_names_of_their_own(): void
    {
        $one = OwnOrder::of('Mine', ['1,1', '1,2'])->key();
        self::assertMatchesRegularExpression('~^own-[0-9a-f]{12}$~D', $one);
        self::assertSame($one, OwnOrder::of('Another name', ['1,1', '1,2'])->key());
        self::assertNotSame($one, OwnOrder::of('Mine', ['1,2', '1,1'])->key());
        self::assertSame(['row', 'column', 'half', 'part', 'slanting row', 'strip', 'part'], array_map(static fn (Order $order): string => $order->stripName(1), Order::cases()));
        self::assertSame(['part'], array_values(array_unique(array_map(static fn (Order $order): string => $order->stripName(2), Order::cases()))));
    }

    /** Parts of two cells that are sewn to each other before either cell is whole run through them. */
    public function test_patches_of_two_cells_sewn_first_run_through_the_cells(): void
    {
        $runs = static fn (mixed $sew): bool => OwnOrder::of('Mine', $sew)->runsThroughCells();

        self::assertFalse($runs([['1,1#1', '1,1#2'], ['1,2#1', '1,2#2']]));
        self::assertFalse($runs([['1,1#1', '1,1#2'], '1,2']));
        self::assertTrue($runs([['1,1#2', '1,2'], '1,1#1']));
        self::assertTrue($runs([['1,2', '1,1#1'], '1,1#2']));
        self::assertTrue($runs([['1,1#1', ['1,1#2', '1,2#1']], '1,2#2']));
        self::assertTrue($runs([['1,2', '1,3'], [['1,1#1', '1,4'], '1,1#2']]));
    }

    public function test_a_unit_named_whole_is_sewn_of_its_patches_where_others_run_through_their_cells(): void
    {
        $face = Face::of(Blocks::of('hAB pA', 'qABAB pB'));
        $through = OwnOrder::of('Through', [[['1,1#2', '1,2'], '1,1#1'], ['2,1', '2,2']]);
        $sewn = Construction::of($face, $through);

        self::assertSame(range(0, 7), $sewn->root->patchIds());
        self::assertCount(7, $sewn->joins);
        self::assertSame([], $sewn->classes, 'patches are sewn, no units');
        $made = array_map(static fn (Join $join): array => $join->patchIds(), $sewn->joins);
        self::assertContains([1, 2], $made);
        self::assertContains([0, 1, 2], $made);
        self::assertContains([3, 4, 5, 6], $made, 'the quarters become one before the plain square');
    }

    /** @return array<string, array{mixed, string}> */
    public static function wrongWithin(): array
    {
        return [
            'patches of a small grid' => [[['1,1#1', '1,1#2'], '1,2'], 'The small grid at "1,1" is sewn as one'],
            'patches that only touch' => [['1,1', [['1,2#1', '1,2#3'], ['1,2#2', '1,2#4']]], 'No one straight seam joins 1,2#1 and 1,2#3'],
            'patches round a corner' => [['1,1', [[['1,2#1', '1,2#2'], '1,2#3'], '1,2#4']], 'No one straight seam joins 1,2#1 1,2#2 and 1,2#3'],
            'a patch twice' => [['1,1', [['1,2#1', '1,2#1'], ['1,2#3', '1,2#4']]], 'sews "1,2#1" twice'],
            'a fifth patch' => [['1,1', [['1,2#1', '1,2#2'], ['1,2#3', '1,2#5']]], 'sews "1,2#5", which is not in the block'],
        ];
    }

    #[DataProvider('wrongWithin')]
    public function test_an_order_within_a_unit_that_cannot_be_sewn_is_refused(mixed $sew, string $expected): void
    {
        $file = Blocks::file('pA qABAB');
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => [['row' => 1, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['A']], ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['B']]]];
        $this->expectException(OrderNotPossible::class);
        $this->expectExceptionMessage($expected);
        Construction::of(Face::of(BlockFile::read($file)), OwnOrder::of('Mine', $sew));
    }

    public function test_names_may_be_as_long_as_a_line(): void
    {
        self::assertSame(str_repeat('x', 120), OwnOrder::of(str_repeat('x', 120), ['1,1', '1,2'])->words());
        $this->expectException(OrderNotPossible::class);
        OwnOrder::of(str_repeat('x', 121), ['1,1', '1,2']);
    }

    public function test_a_name_is_needed(): void
    {
        $this->expectException(OrderNotPossible::class);
        OwnOrder::of(' ', ['1,1', '1,2']);
    }

    /** @return array<mixed>|string */
    private static function pairs(Face $face, Assembly $part, bool $asCells): array|string
    {
        if ($part instanceof Join && ($part->tie === null || ! $asCells)) {
            return [self::pairs($face, $part->left, $asCells), self::pairs($face, $part->right, $asCells)];
        }
        foreach ($face->whole->parts as $unit) {
            $patches = array_map(static fn ($patch): int => $patch->id, $unit instanceof PlacedUnit ? $unit->patches() : [$unit]);
            $number = array_search($part->patchIds()[0], $patches, true);
            if ($number !== false && $unit instanceof PlacedUnit) {
                return $unit->cell->row.','.$unit->cell->column.($asCells || count($patches) === 1 ? '' : '#'.($number + 1));
            }
        }

        throw new \LogicException('Every patch lies in a cell.');
    }
}
