<?php

declare(strict_types=1);

namespace Tests\Core\Top;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\Laying;
use KeenSeam\Core\Top\PartRole;
use KeenSeam\Core\Top\TopFile;
use KeenSeam\Core\Top\TopFileWriter;
use KeenSeam\Core\Top\TopNotPossible;
use KeenSeam\Core\Top\TopPart;
use KeenSeam\Core\Top\TopPlace;
use KeenSeam\Core\Top\TopStart;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;
use Tests\Support\Tops;

final class TopTest extends TestCase
{
    public function test_a_top_written_and_read_again_is_the_same(): void
    {
        for ($seed = 0; $seed < 12; ++$seed) {
            $more = [
                'piles' => $seed % 3 === 0 ? ['one' => 2] : [],
                'turns' => ['fixed', 'same-face', 'any'][$seed % 3],
                'borders' => $seed % 2 === 0 ? [['width' => '2', 'fabric' => 'A'], ['width' => '1', 'fabric' => 'B', 'corners' => 'squares', 'square' => 'C']] : [],
            ];
            $top = TopFile::read($more + Tops::generated($seed));
            $written = (array) json_decode((string) json_encode(TopFileWriter::write($top)), true);
            self::assertEquals($top, TopFile::read($written), "top $seed");
            self::assertSame($top->piles === [], ! isset($written['piles']));
        }
    }

    public function test_a_top_begins_with_fabrics_that_are_one_or_have_keys_of_their_own(): void
    {
        $first = BlockFile::read(Blocks::file('hAB pC'));
        $file = Blocks::file('hAB pC');
        $file['name'] = 'Other';
        $file['fabrics'][1] = ['key' => 'B', 'name' => 'Brick', 'color' => '#aa3322', 'value' => 'medium'];
        $start = TopStart::of([[$first, 'rows'], [BlockFile::read($file), 'columns'], [$first, 'rows']]);

        self::assertSame(['A' => 'Sailcloth', 'B' => 'Harbour ink', 'C' => 'Sea glass', 'B2' => 'Brick'], array_map(static fn (Fabric $fabric): string => $fabric->name, $start['fabrics']));
        self::assertSame(['Test block' => 'rows', 'Other' => 'columns', 'Test block 2' => 'rows'], array_map(static fn (Design $design): string => $design->order, $start['designs']));
        $shown = static fn (Design $design): array => array_map(static fn (Patch $patch): string => $patch->fabric->key, Face::of($design->block)->patches);
        self::assertSame([['A', 'B', 'C'], ['A', 'B2', 'C']], [$shown($start['designs']['Test block']), $shown($start['designs']['Other'])]);
    }

    public function test_blocks_of_one_shape_are_taken_in_the_size_of_the_first(): void
    {
        $sized = static fn (string $width, string $height, string $allowance = '1/4'): Block => BlockFile::read(['finished' => ['width' => $width, 'height' => $height], 'seam_allowance' => $allowance, 'name' => "$width by $height"] + Blocks::file('hAB pC'));
        $start = TopStart::of([[$sized('12', '6'), 'rows'], [$sized('16', '8'), 'rows']]);
        self::assertSame(['12', '6'], array_map(static fn ($side): string => $side->toText(), [$start['designs']['16 by 8']->block->finishedWidth, $start['designs']['16 by 8']->block->finishedHeight]));

        foreach ([[$sized('12', '12'), 'Block "12 by 6" finishes 12 by 6 in and block "12 by 12" 12 by 12 in.'], [$sized('12', '6', '3/8'), '"12 by 6" and "12 by 6" are not drawn in one unit with one seam allowance.']] as [$other, $sentence]) {
            try {
                TopStart::of([[$sized('12', '6'), 'rows'], [$other, 'rows']]);
                self::fail('It was taken.');
            } catch (TopNotPossible $problem) {
                self::assertStringStartsWith($sentence, $problem->getMessage());
            }
        }
    }

    public function test_a_corner_keeps_how_every_place_lies_and_the_far_rim_with_it(): void
    {
        foreach ([[3, 4, 2], [4, 3, 3], [5, 5, 3], [2, 5, 4]] as [$rows, $columns, $lines]) {
            $top = TopFile::read(Tops::file(['rows' => $rows, 'columns' => $columns, 'setting' => 'on-point', 'sides' => ['blocks' => true]], Tops::PINWHEEL));
            $number = 0;
            $top = $top->withPlaces(array_map(static function (TopPlace $place) use (&$number): TopPlace {
                return new TopPlace($place->rowDoubled, $place->columnDoubled, $place->holds, new Placement(Turn::ofQuarters($number % 4), $number++ % 8 > 3));
            }, $top->places));
            $corner = $top->corner($lines);
            self::assertNotNull($corner);
            foreach ($corner->places as $place) {
                // What is past the last row or column of the corner is past the last of the whole.
                $row = $place->rowDoubled === 2 * $corner->rows + 1 ? 2 * $rows + 1 : $place->rowDoubled;
                $column = $place->columnDoubled === 2 * $corner->columns + 1 ? 2 * $columns + 1 : $place->columnDoubled;
                self::assertEquals($top->placeOf("$row,$column")?->placement, $place->placement, "$rows x $columns, $lines: {$place->key()}");
            }
        }
    }

    public function test_a_block_of_a_top_alone_is_a_top_of_one(): void
    {
        $top = TopFile::read(Tops::file(['rows' => 2, 'columns' => 3, 'sashes' => ['width' => '1', 'fabric' => 'C']], Tops::PINWHEEL));
        $alone = $top->alone($top->firstDesign(), new Placement(Turn::Quarter));
        self::assertSame([1, 1, null, [], ['2,2']], [$alone->rows, $alone->columns, $alone->sashes, $alone->borders, array_map(static fn (TopPlace $place): string => $place->key(), $alone->places)]);
        self::assertEquals([new Placement(Turn::Quarter)], array_map(static fn (TopPlace $place): Placement => $place->placement, $alone->places));
    }

    public function test_a_corner_of_a_top_has_its_first_rows_and_columns_and_the_rim(): void
    {
        $places = [];
        for ($row = 1; $row <= 4; ++$row) {
            $places[] = ['row' => $row, 'column' => $row, 'block' => 'one', 'turn' => 90 * ($row % 4)];
        }
        $straight = TopFile::read(Tops::file(['rows' => 4, 'columns' => 5, 'places' => $places], Tops::PINWHEEL));
        $corner = $straight->corner(3);
        self::assertNotNull($corner);
        self::assertSame([3, 3, 9], [$corner->rows, $corner->columns, count($corner->places)]);
        self::assertSame([90, 0, 0, 0, 180, 0, 0, 0, 270], array_map(static fn (TopPlace $place): int => $place->placement->turn->value, $corner->places));
        self::assertNull($straight->corner(5));
        self::assertSame([4, 4], [$straight->corner(4)?->rows, $straight->corner(4)?->columns], 'one way is enough to be more');
        self::assertSame([4, 2], [$straight->corner(2)?->columns === 2 ? 4 : 0, $straight->corner(2)?->rows]);

        $rim = TopFile::read(Tops::file(['rows' => 3, 'columns' => 4, 'setting' => 'on-point', 'sides' => ['blocks' => true]], Tops::PINWHEEL))->corner(2);
        $whole = TopFile::read(Tops::file(['setting' => 'on-point', 'sides' => ['blocks' => true]], Tops::PINWHEEL));
        self::assertNotNull($rim);
        $keys = array_map(static fn (TopPlace $place): string => $place->key(), $rim->places);
        sort($keys);
        $all = array_map(static fn (TopPlace $place): string => $place->key(), $whole->places);
        sort($all);
        self::assertSame($all, $keys);
    }

    public function test_sashes_run_between_and_round_and_have_cornerstones_or_run_through(): void
    {
        $roles = static function (array $sashes): array {
            $top = Tops::face(Tops::file(['columns' => 3, 'sashes' => ['width' => '1', 'fabric' => 'C'] + $sashes], ['pA']));
            $counts = array_count_values(array_map(static fn (TopPart $part): string => $part->role->value, $top->parts));
            ksort($counts);

            return $counts;
        };

        self::assertSame(['block' => 6, 'cornerstone' => 2, 'sash' => 7], $roles(['cornerstone' => 'B']));
        self::assertSame(['block' => 6, 'cornerstone' => 12, 'sash' => 17], $roles(['cornerstone' => 'B', 'outer' => true]));
        self::assertSame(['block' => 6, 'sash' => 5], $roles([]));
        self::assertSame(['block' => 6, 'sash' => 11], $roles(['outer' => true]));
    }

    public function test_only_whole_blocks_are_made_alike(): void
    {
        $top = Tops::face(Tops::file(['setting' => 'on-point', 'sides' => ['blocks' => true], 'places' => [['row' => 1, 'column' => 1, 'fabric' => 'B']]], Tops::PINWHEEL));
        $whole = array_filter($top->parts, static fn (TopPart $part): bool => $part->wholeDesign() !== null);

        self::assertCount(4, $whole);
        self::assertSame([PartRole::Block], array_values(array_unique(array_map(static fn (TopPart $part): PartRole => $part->role, $whole), SORT_REGULAR)));
        self::assertCount(5, $top->placesOnly()->whole->parts);
    }

    /** Read from its upper end; a level one from its left. */
    public function test_a_seam_is_read_from_its_former_end_once_its_block_is_laid_so(): void
    {
        $upright = Segment::between(new Point(2, 0), new Point(2, 4));
        $level = Segment::between(new Point(0, 2), new Point(4, 2));
        $slanting = Segment::between(new Point(0, 0), new Point(4, 4));
        $reversed = static fn (Segment $seam): array => array_map(static fn (Placement $placement): bool => Laying::reverses($seam, $placement), [
            new Placement(), new Placement(Turn::Quarter), new Placement(Turn::Half), new Placement(Turn::ThreeQuarters), new Placement(Turn::None, true), new Placement(Turn::Quarter, true),
        ]);

        self::assertSame([false, true, true, false, false, true], $reversed($upright));
        self::assertSame([false, false, true, true, true, true], $reversed($level));
        self::assertSame([false, false, true, true, false, true], $reversed($slanting));
    }
}
