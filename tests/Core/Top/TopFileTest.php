<?php

declare(strict_types=1);

namespace Tests\Core\Top;

use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\TopFile;
use KeenSeam\Core\Top\TopPlace;
use KeenSeam\Core\Top\TurnsAllowed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

final class TopFileTest extends TestCase
{
    public function test_places_that_are_left_out_hold_the_first_block(): void
    {
        $top = TopFile::read(Tops::file(['columns' => 3, 'places' => [
            ['row' => 2, 'column' => 3, 'block' => 'two', 'turn' => 90, 'mirrored' => true],
            ['row' => 1, 'column' => 2, 'fabric' => 'C'],
        ], 'piles' => ['two' => 2]], Tops::PINWHEEL, ['pA', 'pB']));

        self::assertSame(['one', 'C', 'one', 'one', 'one', 'two'], array_map(static fn (TopPlace $place): string => $place->holds->key, $top->places));
        self::assertSame([Turn::Quarter, true], [$top->places[5]->placement->turn, $top->places[5]->placement->mirrored]);
        self::assertSame([TurnsAllowed::SameFace, 1, 2], [$top->turns, $top->pilesOf($top->designs['one']), $top->pilesOf($top->designs['two'])]);
        self::assertSame([18.0, 12.0], $top->hangingSize());
    }

    public function test_on_point_there_are_places_between_and_with_sides_of_blocks_at_the_rim(): void
    {
        $keys = static fn (array $sides): array => array_map(static fn (TopPlace $place): string => $place->key(), TopFile::read(Tops::file(['setting' => 'on-point', 'sides' => $sides, 'places' => [['row' => '1 1/2', 'column' => '1 1/2', 'fabric' => 'A']]], Tops::PINWHEEL))->places);

        self::assertSame(['2,2', '2,4', '3,3', '4,2', '4,4'], $keys(['fabric' => 'A']));
        self::assertSame(['1,1', '1,3', '1,5', '2,2', '2,4', '3,1', '3,3', '3,5', '4,2', '4,4', '5,1', '5,3', '5,5'], $keys(['blocks' => true]));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> fields, the sentence, and where it points */
    public static function mistakes(): iterable
    {
        $point = ['setting' => 'on-point', 'sides' => ['fabric' => 'A']];
        yield 'a block of another size' => [['blocks' => ['one' => self::block('6', '6'), 'two' => self::block('6', '5')]], 'Block "one" finishes 6 by 6 in and block "two" 6 by 5 in. All blocks of a top are of one size: change one of the two, or add a border to the smaller.', '/blocks/two/finished'];
        yield 'an oblong block on point' => [$point + ['blocks' => ['one' => self::block('6', '5')]], 'Block "one" finishes 6 by 5 in. On point only square blocks fit: use a square one, or set the top straight.', '/blocks/one/finished'];
        yield 'an oblong block a quarter turned' => [['blocks' => ['one' => self::block('6', '5')], 'places' => [['row' => 1, 'column' => 1, 'block' => 'one', 'turn' => 90]]], 'Block "one" finishes 6 by 5 in and does not fit its place after a quarter turn. Turn it by 0 or 180.', '/places/0/turn'];
        yield 'a place outside' => [['places' => [['row' => 1, 'column' => 3, 'block' => 'one']]], 'Row 1, column 3 is outside the top, which has rows 1 to 2 and columns 1 to 2. Move it or take it away.', '/places/0'];
        yield 'a rim place of plain sides' => [$point + ['places' => [['row' => '1/2', 'column' => '1 1/2', 'block' => 'one']]], 'Row 1/2, column 1 1/2 is outside the top, which has rows 1 to 2 and columns 1 to 2. Move it or take it away.', '/places/0'];
        yield 'a place filled twice' => [['places' => [['row' => 1, 'column' => 2, 'block' => 'one'], ['row' => 1, 'column' => 2, 'fabric' => 'A']]], 'Row 1, column 2 is filled twice. Keep one of the two.', '/places/1'];
        yield 'half a row set straight' => [['places' => [['row' => '1 1/2', 'column' => 1, 'block' => 'one']]], 'Rows and columns of a straight top are whole numbers from 1.', '/places/0/row'];
        yield 'a row that is none' => [$point + ['places' => [['row' => 'one', 'column' => 1, 'block' => 'one']]], '"one" is no row or column. Write it like "2" or "1 1/2".', '/places/0/row'];
        yield 'half a row and a whole column' => [$point + ['places' => [['row' => '1 1/2', 'column' => '1', 'block' => 'one']]], 'A place stands at a whole row and column, or between at a half row and a half column. Correct one of the two.', '/places/0/column'];
        yield 'no such block' => [['places' => [['row' => 1, 'column' => 1, 'block' => 'ten']]], 'There is no block "ten" in "blocks". Add it, or use one that is there.', '/places/0/block'];
        yield 'a block and a fabric' => [['places' => [['row' => 1, 'column' => 1, 'block' => 'one', 'fabric' => 'A']]], 'A place holds a block or a plain square of a fabric. Name one of the two.', '/places/0'];
        yield 'no block at all' => [['blocks' => []], 'There is no block in "blocks". Add at least one.', '/blocks'];
        yield 'piles of no block' => [['piles' => ['ten' => 2]], 'There is no block "ten" in "blocks". Add it, or use one that is there.', '/piles'];
        yield 'too many piles' => [['piles' => ['one' => 5]], 'A block is pressed in at most 4 piles. Use fewer.', '/piles/one'];
        yield 'too many rows' => [['rows' => 31], 'A top has at most 30 rows, and this one would have 31. Sew it in parts.', '/rows'];
        yield 'one place' => [['rows' => 1, 'columns' => 1], 'A top of one place is a block. Give it at least two places.', '/rows'];
        yield 'too many patches' => [['rows' => 30, 'columns' => 30, 'blocks' => ['one' => self::block('6', '6', 4)]], 'This top would have 14,400 patches; the most is 12,000. Use fewer places, or sew it in parts.', '/rows'];
        yield 'no sides on point' => [['setting' => 'on-point'], 'A top on point has triangles at its sides. Say in "sides" of which fabric, or that they are halves of blocks.', '/sides'];
        yield 'sides of nothing' => [['setting' => 'on-point', 'sides' => ['float' => '1']], 'The triangles at the sides are plain or halves of blocks. Give "fabric" or "blocks", one of the two.', '/sides'];
        yield 'halves of blocks cut larger' => [['setting' => 'on-point', 'sides' => ['blocks' => true, 'float' => '1']], 'Only plain triangles can be cut larger. Take "float" away, or make the sides plain.', '/sides/float'];
        yield 'a setting of its own' => [['setting' => 'round'], '"setting" is neither "straight" nor "on-point". Write one of the two.', '/setting'];
        yield 'no such fabric' => [['sashes' => ['width' => '1', 'fabric' => 'Z']], 'There is no fabric "Z". Add it to "fabrics", or use one that is there.', '/sashes/fabric'];
        yield 'sashes of no width' => [['sashes' => ['width' => '0', 'fabric' => 'A']], 'The width of the sashes is "0". Give it a length above zero.', '/sashes/width'];
        yield 'too many borders' => [['borders' => array_fill(0, 9, ['width' => '1', 'fabric' => 'A'])], 'A top has at most 8 borders. Use fewer.', '/borders'];
        yield 'corners of its own' => [['borders' => [['width' => '1', 'fabric' => 'A', 'corners' => 'mitred']]], 'The corners of a border are "butted" or "squares". Write one of the two.', '/borders/0/corners'];
        yield 'a block file' => [['format' => 'keen-seam/block'], 'This is not a Keen Seam top file. Choose a file whose "format" is "keen-seam/top".', '/format'];
        yield 'a later version' => [['version' => 2], 'This top file has another version. Save it again as version 1.', '/version'];
    }

    /** @param array<string, mixed> $over */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_told_in_one_sentence_with_its_place(array $over, string $sentence, string $where): void
    {
        try {
            TopFile::read(Tops::file($over, Tops::PINWHEEL));
            self::fail('It was taken.');
        } catch (KeenSeamProblem $problem) {
            self::assertSame([$sentence, $where], [$problem->getMessage(), $problem->where()]);
        }
    }

    public function test_borders_are_butted_or_have_squares_of_a_fabric(): void
    {
        $top = TopFile::read(Tops::file(['borders' => [['width' => '2', 'fabric' => 'A'], ['width' => '3', 'fabric' => 'B', 'corners' => 'squares'], ['width' => '3', 'fabric' => 'B', 'corners' => 'squares', 'square' => 'C']]], Tops::PINWHEEL));

        self::assertSame([null, 'B', 'C'], array_map(static fn ($border): ?string => $border->corners?->key, $top->borders));
        self::assertInstanceOf(Design::class, $top->places[0]->holds);
    }

    /** @return array<string, mixed> */
    private static function block(string $width, string $height, int $side = 1): array
    {
        $cells = [];
        for ($i = 0; $i < $side * $side; ++$i) {
            $cells[] = ['row' => intdiv($i, $side) + 1, 'column' => $i % $side + 1, 'unit' => 'plain', 'fabrics' => ['A']];
        }

        return ['finished' => ['width' => $width, 'height' => $height], 'columns' => array_fill(0, $side, '1'), 'rows' => array_fill(0, $side, '1'), 'cells' => $cells];
    }
}
