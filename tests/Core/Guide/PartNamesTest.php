<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\PartNames;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Words;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class PartNamesTest extends TestCase
{
    public function test_no_two_parts_of_a_block_are_called_the_same(): void
    {
        for ($seed = 1; $seed <= 10; ++$seed) {
            foreach (Order::cases() as $order) {
                try {
                    $construction = Construction::of(Face::of(BlockFile::read(Blocks::generated($seed, 2 + $seed % 3, 2 + $seed % 4))), $order);
                } catch (SetInSeamNeeded|OrderNotPossible) {
                    continue;
                }
                $names = new PartNames($construction);
                $called = array_map($names->ofStrand(...), array_filter($construction->strands, static fn (Strand $strand): bool => $strand->depth > 0));
                self::assertSame(array_values(array_unique($called)), array_values($called), "seed $seed, {$order->value}");
            }
        }
    }

    public function test_parts_are_called_by_where_they_lie(): void
    {
        $construction = Construction::of(Face::of(Blocks::of('hAB pA pB pA', 'pA hAB pA pB', 'pA pB pA pB', 'pB pA pB pA')), Order::Quarters);
        $names = new PartNames($construction);
        $called = array_map($names->ofStrand(...), $construction->strands);

        self::assertSame(['row 1, columns 1 and 2', 'row 2, columns 1 and 2', 'the upper left quarter'], array_slice($called, 0, 3));
        self::assertContains('the lower half', $called);
        self::assertSame('the block', end($called));
        self::assertSame('the half-square triangle at row 1, column 1', $names->of($construction->strands[0]->parts[0]));
        self::assertSame('the Sailcloth piece at row 1, column 2', $names->of($construction->strands[0]->parts[1]));
        self::assertSame(['Upper left quarter', 'Row 2'], [PartNames::title('the upper left quarter'), PartNames::title('row 2')]);
        $last = array_key_last($construction->joins);
        self::assertSame(['Both halves', 'the upper half', 'the lower half'], (static fn (SeamName $name): array => [$name->title, $name->left, $name->right])(SeamName::all($construction)[$last]));
    }

    /** A block of one row has no second one to sew to it; nor has one that a high cell parts upright. */
    public function test_what_lies_side_by_side_is_a_column_and_what_lies_below_a_row(): void
    {
        $names = static fn (Construction $construction): array => array_map(static fn (SeamName $name): string => "$name->right to $name->left", SeamName::all($construction));
        $sewn = static fn (Order $order, string ...$rows): Construction => Construction::of(Face::of(Blocks::of(...$rows)), $order);
        $high = Blocks::file('pA pB', 'pA pC');
        $high['cells'] = [['row' => 1, 'column' => 1, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']], $high['cells'][1], $high['cells'][3]];

        self::assertSame(['column 2 to column 1', 'column 3 to column 2'], $names($sewn(Order::Rows, 'pA pB pC')));
        self::assertSame(['column 2 to column 1'], $names($sewn(Order::Columns, 'pA pB')));
        self::assertSame(['row 2 to row 1', 'row 3 to row 2'], $names($sewn(Order::Columns, 'pA', 'pB', 'pC')));
        self::assertSame(['row 2 to row 1'], $names($sewn(Order::Rows, 'pA', 'pB')));
        self::assertContains('column 2 to column 1', $names(Blocks::construction($high)));
        self::assertContains('row 2 to row 1', $names($sewn(Order::Rows, 'pA pB', 'pB pA')));
        self::assertContains('column 2 to column 1', $names($sewn(Order::Columns, 'pA pB', 'pB pA')));
    }

    public function test_several_parts_are_named_together_by_their_lines(): void
    {
        $named = static function (ChosenOrder $order, array $from, string ...$rows): string {
            $construction = Construction::of(Face::of(Blocks::of(...$rows)), $order);

            return (new PartNames($construction))->ofAll(array_values(array_intersect_key($construction->strands, array_flip($from))));
        };
        $block = ['pA pB pA pB', 'pB pA pB pA', 'pA pB pA pB'];

        self::assertSame('columns 1 and 2 of row 1; and columns 3 and 4 of row 1', $named(Order::Twos, [0, 1], ...$block));
        self::assertSame('columns 1 and 2 of rows 1 to 3; and columns 3 and 4 of row 1', $named(Order::Twos, [0, 1, 3, 7], ...$block));
        self::assertSame('rows 1 and 3', $named(Order::Twos, [2, 9], ...$block));
        self::assertSame('row 2', $named(Order::Twos, [5], ...$block));
        self::assertSame('columns 1 and 2', $named(OwnOrder::of('upright', [['1,1', '2,1'], ['1,2', '2,2']]), [0, 1], 'pA pB', 'pC pA'));
        self::assertSame('the upper half and the lower half', $named(Order::Quarters, [6, 13], 'pA pB pA pB', 'pB pA pB pA', 'pA pB pA pB', 'pB pA pB pA'));
    }

    public function test_sides_of_a_seam_are_told_apart_by_what_only_one_of_them_holds(): void
    {
        $sides = static fn (string $cell): array => array_map(Words::sides(...), Blocks::sewn($cell)->joins);

        self::assertSame([['Sailcloth', 'Harbour ink']], $sides('hAB'));
        self::assertSame([['one side', 'the other side']], $sides('hAA'));
        // Along the last seam lies the same cloth on both sides; behind it on one side another.
        $behind = Blocks::file('pA');
        $strip = static fn (string $fabric, string $from, string $to): array => ['fabric' => $fabric, 'points' => [[$from, '0'], [$to, '0'], [$to, '1'], [$from, '1']]];
        $behind['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [$strip('A', '0', '1/4'), $strip('A', '1/4', '1/2'), $strip('B', '1/2', '1')]]];
        self::assertSame([['Sailcloth', 'Harbour ink'], ['the part without Harbour ink', 'the part with Harbour ink']], array_map(Words::sides(...), Blocks::construction($behind)->joins));
        // One fabric throughout: a third of the cell beside two thirds of it.
        $third = Blocks::file('pA');
        $third['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [['fabric' => 'A', 'points' => [['0', '0'], ['1/3', '0'], ['1/3', '1'], ['0', '1']]], ['fabric' => 'A', 'points' => [['1/3', '0'], ['1', '0'], ['1', '1'], ['1/3', '1']]]]]];
        $join = Blocks::construction($third)->joins[0];
        self::assertSame($join->left->outline()->areaDoubled() < $join->right->outline()->areaDoubled() ? ['the smaller part', 'the larger part'] : ['the larger part', 'the smaller part'], Words::sides($join));
        self::assertSame(['one side', 'the other side'], $sides('qABAB')[2], 'two halves that a half turn makes of each other');
        $single = $sides('sAAA')[1];
        sort($single);
        self::assertSame(['the part of 2 pieces', 'the single piece'], $single);
    }
}
