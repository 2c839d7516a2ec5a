<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Corner;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Area;
use KeenSeam\Core\Layout\Axis;
use KeenSeam\Core\Layout\Difference;
use KeenSeam\Core\Layout\LayoutNotPossible;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Start;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Layout\TooClose;
use KeenSeam\Core\Layout\TrayUnit;
use KeenSeam\Core\Layout\Wall;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class WallTest extends TestCase
{
    public function test_a_block_written_and_read_again_is_the_same(): void
    {
        for ($seed = 0; $seed < 10; ++$seed) {
            $block = BlockFile::read(Blocks::generated($seed, 3, 2));
            self::assertEquals($block, BlockFile::read(BlockFileWriter::write($block)));
        }
        foreach (glob(dirname(__DIR__, 3).'/database/demo/*.keenseam.json') ?: [] as $file) {
            $block = BlockFile::read((array) json_decode((string) file_get_contents($file), true));
            self::assertEquals($block, BlockFile::read((array) json_decode((string) json_encode(BlockFileWriter::write($block)), true)), $file);
        }
        $odd = Blocks::file('pA pA pA');
        $odd['cells'] = [
            ['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'label' => 'lamp', 'mirrored' => true, 'fabrics' => ['A'], 'corners' => ['br' => ['fabric' => 'B', 'size' => '7/8']]],
            ['row' => 1, 'column' => 2, 'column_span' => 2, 'unit' => 'patches', 'turn' => 180, 'patches' => [['fabric' => 'A', 'points' => [['0', '0'], ['1/3', '0'], ['1/3', '1'], ['0', '1']]], ['fabric' => 'B', 'points' => [['1/3', '0'], ['1', '0'], ['1', '1'], ['1/3', '1']]]]],
        ];
        self::assertEquals(self::plainly(BlockFile::read($odd)), self::plainly(BlockFile::read(BlockFileWriter::write(BlockFile::read($odd)))));
    }

    public function test_units_are_turned_mirrored_and_swapped_as_they_are_seen(): void
    {
        $wall = self::wall('hAB hAB90', 'gABCm pC');

        self::assertSame(['hAB90 hAB90', 'gABCm pC'], self::told($wall->moved([[1, 1]], new Placement(Turn::Quarter))));
        // Flipped left to right as it lies there: a quarter turn becomes three of the mirrored unit.
        self::assertSame(['hAB hAB270m', 'gABC pC'], self::told($wall->moved([[1, 2], [2, 1]], new Placement(Turn::None, true))));
        self::assertSame(['hBA hAB90', 'gBCAm pC'], self::told($wall->withFabricsSwapped([[1, 1], [2, 1]])));
        self::assertSame(['hAB hAB90', 'pC pC'], self::told($wall->cleared([[2, 1]])));
        self::assertSame(['pC hAB', 'gABCm pC'], self::told($wall->carried([[1, 1]], 0, 1)));
        self::assertSame(['pC hAB90', 'hAB pC'], self::told($wall->carried([[1, 1]], 1, 0)));
        self::assertSame(['gABCm hAB90', 'pC pC'], self::told($wall->carried([[2, 1]], -1, 0)));
    }

    public function test_one_patch_is_painted(): void
    {
        $wall = self::wall('hAB qABAB', 'pC pC');

        self::assertSame(['hAB qABCB', 'pC pC'], self::told($wall->painted(4, 'C')));
        self::assertProblem('There is no patch 8 in this block.', static fn () => $wall->painted(8, 'C'));
        self::assertProblem('There is no fabric "Q" in this block. Choose one that is there.', static fn () => $wall->painted(0, 'Q'));
        self::assertProblem('There is no fabric "abcdefghijklmnopqrst" in this block. Choose one that is there.', static fn () => $wall->painted(0, 'abcdefghijklmnopqrstuv'));
    }

    public function test_a_unit_is_placed_over_several_places_and_what_it_half_covers_becomes_plain(): void
    {
        $wall = self::wall('hAB hAB pC', 'hAB hAB pC');
        $spread = $wall->placed('flying-geese', [[1, 1], [1, 2]], true, 'B');
        self::assertSame([1, 2], [$spread->grid()->cells[0]->rowSpan, $spread->grid()->cells[0]->columnSpan]);
        self::assertCount(5, $spread->grid()->cells);

        $again = $spread->placed('plain', [[1, 2], [1, 3]], true, 'A');
        self::assertSame(['plain', 'plain'], [$again->grid()->cells[0]->unit->kind(), $again->grid()->cells[1]->unit->kind()]);
        self::assertProblem('Row 2, column 3 with 2 by 1 places reaches past the grid of 2 rows and 3 columns.', static fn () => $wall->placed('plain', [[2, 3], [3, 3]], true, 'A'));
        self::assertSame([], array_diff(array_keys(UnitPatterns::all()), array_column(TrayUnit::all(), 'kind')), 'every kind can be placed');
        foreach (TrayUnit::all() as $kind) {
            $placed = $wall->placed($kind->kind, [[1, 1]], false, 'B');
            self::assertSame($kind->kind, $placed->grid()->cells[0]->unit->kind());
            self::assertNotEmpty(Face::of($placed->block)->patches);
        }
    }

    public function test_columns_and_rows_come_and_go_while_the_rest_keeps_its_size(): void
    {
        $wall = self::wall('hAB hBC', 'pC pA');
        $wider = $wall->withLine(Axis::Columns, 2, Length::ofInches(3));
        self::assertSame(['hAB pC hBC', 'pC pC pA'], self::told($wider));
        self::assertSame(['7', '4'], self::finished($wider));
        self::assertSame(['1', '3/2', '1'], array_map(static fn (Fraction $width): string => str_replace('1 1/2', '3/2', $width->toText()), $wider->grid()->columns));

        $lower = $wider->withoutLine(Axis::Rows, 1)->withLineOf(Axis::Columns, 2, Length::ofInches(1));
        self::assertSame([['pC pC pA'], ['5', '2']], [self::told($lower), self::finished($lower)]);
        self::assertProblem('This is the only row. A layout keeps at least one.', static fn () => $lower->withoutLine(Axis::Rows, 1));
        self::assertProblem('There is no column 4. They are numbered from 1 to 3.', static fn () => $lower->withoutLine(Axis::Columns, 4));
    }

    public function test_a_unit_that_spans_grows_and_shrinks_with_its_columns(): void
    {
        $wall = self::wall('pA pA pA')->placed('flying-geese', [[1, 1], [1, 2]], true, 'B');
        $span = static fn (Wall $wall): int => $wall->grid()->cells[0]->columnSpan;

        self::assertSame([3, 1, 2], [$span($wall->withLine(Axis::Columns, 2)), $span($wall->withoutLine(Axis::Columns, 1)), $span($wall->withLine(Axis::Columns, 3))]);
    }

    public function test_small_grids_are_edited_in_their_own_frame(): void
    {
        $outer = self::wall('pA pA', 'pA pA')->placed('grid', [[1, 2]], false, 'B');
        $inner = Wall::of($outer->block, [[1, 2]]);
        self::assertSame([2.0, 2.0, 1], [$inner->open()->asBlock()->finishedWidth->inches->toFloat(), $inner->open()->asBlock()->finishedHeight->inches->toFloat(), $inner->open()->firstPatch()]);

        $changed = $inner->placed('half-square-triangle', [[2, 2]], false, 'C')->withLine(Axis::Columns, 1);
        self::assertSame(['4', '4'], self::finished($changed));
        self::assertSame(3, count($changed->grid()->columns));
        self::assertSame('half-square-triangle', $changed->grid()->cells[5]->unit->kind());
        self::assertProblem('Row 1, column 1 holds no small grid to open.', static fn () => Wall::of($outer->block, [[1, 1]]));
    }

    /** @return array<string, array{Symmetry}> */
    public static function symmetries(): array
    {
        return array_column(array_map(static fn (Symmetry $one): array => [$one->value, [$one]], array_filter(Symmetry::cases(), static fn (Symmetry $one): bool => count($one->moves()) > 1)), 1, 0);
    }

    #[DataProvider('symmetries')]
    public function test_copies_that_follow_make_the_layout_symmetric(Symmetry $symmetry): void
    {
        $wall = self::wall('pA pA pA pA', 'pA pA pA pA', 'pA pA pA pA', 'pA pA pA pA');
        foreach ([[1, 2], [2, 1]] as $place) {
            $wall = $wall->placed('split-quarter-square-triangle', [$place], false, 'B')->followedFrom($wall, $symmetry);
            $wall = $wall->moved([$place], new Placement(Turn::Quarter))->followedFrom($wall, $symmetry);
        }

        self::assertSame([], OddOnesOut::of(Face::of($wall->block))->odd);
        foreach ($symmetry->moves() as $move) {
            self::assertTrue(self::isSameAfter($wall->block, $move));
        }
    }

    public function test_copies_need_rows_and_columns_that_match(): void
    {
        $file = Blocks::file('pA pA', 'pA pA');
        $file['columns'] = ['1', '2'];
        $wall = Wall::of(BlockFile::read($file));

        self::assertProblem('Make their widths match, or switch the copies off.', static fn () => $wall->placed('plain', [[1, 1]], false, 'B')->followedFrom($wall, Symmetry::MirrorVertical));
        // Wide, narrow across and narrow, wide down: turned by a quarter they match one way round only.
        foreach ([[['2', '1'], ['2', '1'], Symmetry::QuarterTurn], [['1', '2', '1'], ['1', '1', '2'], Symmetry::QuarterTurn], [['1', '1', '2'], ['1', '1', '2'], Symmetry::HalfTurn]] as [$columns, $rows, $symmetry]) {
            $uneven = Wall::of(BlockFile::read(['columns' => $columns, 'rows' => $rows] + Blocks::file(...array_fill(0, count($rows), implode(' ', array_fill(0, count($columns), 'pA'))))));
            self::assertProblem('Make their widths match, or switch the copies off.', static fn () => $uneven->placed('plain', [[1, 1]], false, 'B')->followedFrom($uneven, $symmetry));
        }
        $even = Wall::of(BlockFile::read(['columns' => ['1', '2', '1'], 'rows' => ['1', '2', '1']] + Blocks::file('pA pA pA', 'pA pA pA', 'pA pA pA')));
        $cells = BlockFileWriter::write($even->placed('plain', [[1, 1]], false, 'B')->followedFrom($even, Symmetry::QuarterTurn)->block)['cells'];
        self::assertCount(4, array_filter($cells, static fn (array $cell): bool => $cell['fabrics'] === ['B']));
    }

    public function test_flipped_corners_are_added_sized_and_taken_away_where_they_are_seen(): void
    {
        $wall = self::wall('pA pA')->placed('flipped-corners', [[1, 1]], false, 'B')->moved([[1, 1]], new Placement(Turn::Quarter, true));
        self::assertSame(['br' => 'B 1'], self::flipped($wall));

        $more = $wall->withCorner([[1, 1]], Corner::BottomLeft, Length::ofInches(1, 2), 'C');
        self::assertSame(['br' => 'B 1', 'bl' => 'C 1/2'], self::flipped($more));
        self::assertSame(['bl' => 'C 1/2'], self::flipped($more->withCorner([[1, 1]], Corner::BottomRight, null, 'B')));
        self::assertSame(['br' => 'B 1 1/2'], self::flipped($wall->withCorner([[1, 1]], Corner::BottomRight, Length::ofInches(3, 2), 'B')));
        self::assertProblem('This is the only flipped corner.', static fn () => $wall->withCorner([[1, 1]], Corner::BottomRight, null, 'B'));
    }

    public function test_fabrics_are_changed_in_all_their_patches_and_not_lost_while_used(): void
    {
        $wall = self::wall('hAB pC');
        $renamed = $wall->withFabric(new Fabric('B', 'Night blue', '#101830', FabricValue::Dark));
        self::assertSame('Night blue', $renamed->grid()->cells[0]->unit instanceof PatternUnit ? $renamed->grid()->cells[0]->unit->fabrics[1]->name : null);

        self::assertProblem('"Harbour ink" is used in this block. Say which fabric takes its place.', static fn () => $wall->withoutFabric('B', null));
        self::assertSame(['hAC pC'], self::told($wall->withoutFabric('B', 'C')));
        self::assertCount(3, $wall->withFabric(new Fabric('D', 'Spare', '#101830', FabricValue::Dark))->withoutFabric('D', null)->block->fabrics);
    }

    public function test_sizes_between_the_marks_are_told_with_the_nearest_that_are_not(): void
    {
        $sizes = FriendlySizes::of(Face::of(Wall::of(Blocks::of('pA pA pA'))->resized(Length::ofInches(10), Length::ofInches(10))->block));
        self::assertSame(['3 1/3'], array_map(static fn (Length $side): string => $side->toText(), $sizes->awkward));
        // Every third is a whole number of eighths: 27 and 26 of them... and the height follows in proportion.
        foreach ($sizes->nearest as [$width, $height]) {
            self::assertTrue($width->inches->times(Fraction::of(8, 3))->isWhole());
            self::assertTrue($height->equals($width));
        }
        self::assertLessThan(10, $sizes->nearest[0][0]->inches->toFloat());
        self::assertGreaterThan(10, $sizes->nearest[1][0]->inches->toFloat());
        self::assertSame([], FriendlySizes::of(Face::of(Blocks::of('hAB pA')))->awkward);
    }

    public function test_differences_from_the_picture_are_said_in_words(): void
    {
        $picture = self::wall('hAB hAB', 'gABC pC');
        $now = $picture->moved([[1, 1]], new Placement(Turn::Half))->moved([[2, 1]], new Placement(Turn::None, true))->painted(2, 'C')->placed('plain', [[2, 2]], false, 'A');
        $told = array_map(static fn (Difference $one): string => ($one->cell === null ? '' : "{$one->cell->row}.{$one->cell->column} ").$one->text, Difference::between($picture->block, $now->block));

        self::assertSame(['1.1 turned half round', '1.2 in other fabrics', '2.1 the other hand: mirrored', '2.2 in other fabrics'], $told);
        self::assertSame([], Difference::between($picture->block, $picture->moved([[2, 2]], new Placement(Turn::Quarter))->block), 'a turned plain patch looks the same');
        self::assertSame('The picture has 2 rows and 2 columns, the wall has 2 and 3.', Difference::between($picture->block, $picture->withLine(Axis::Columns, 1)->block)[0]->text);
    }

    public function test_fabrics_too_close_in_value_name_the_units(): void
    {
        $file = Blocks::file('hAB hAC pA');
        $file['fabrics'][2] = ['key' => 'C', 'name' => 'Fog', 'color' => '#ddd6c8', 'value' => 'light'];
        $found = TooClose::allOn(Face::of(BlockFile::read($file)));

        self::assertCount(1, $found);
        self::assertSame(['Sailcloth', 'Fog', 2], [$found[0]->one->name, $found[0]->other->name, $found[0]->units[0]->cell->column]);

        $pairs = static fn (array $fabrics, string $unit = 'qACBC'): array => array_map(static fn (TooClose $one): string => $one->one->key.$one->other->key, TooClose::allOn(Face::of(BlockFile::read(array_replace_recursive(Blocks::file($unit), ['fabrics' => $fabrics])))));
        $alike = [['color' => '#807f7e', 'value' => 'medium'], ['color' => '#828180', 'value' => 'medium'], ['color' => '#7e7d7c', 'value' => 'medium']];
        self::assertSame([['AC', 'BC'], ['AB', 'AC']], [$pairs($alike), $pairs($alike, 'qABAC')], 'each pair by itself');
        self::assertSame([], $pairs([['color' => '#ffffff', 'value' => 'medium'], ['color' => '#b0b0b0', 'value' => 'medium'], ['color' => '#505050', 'value' => 'medium']]), 'of one value, but they can be told apart');
        self::assertSame([], $pairs([['color' => '#807f7e', 'value' => 'light'], ['color' => '#828180', 'value' => 'medium'], ['color' => '#7e7d7c', 'value' => 'dark']]), 'she calls them light, medium and dark');
    }

    public function test_every_start_gives_a_block(): void
    {
        $lines = [Fraction::of(1), Fraction::of(2), Fraction::of(1)];
        foreach (Start::cases() as $start) {
            $block = $start->block('New', LengthUnit::Millimetre, Length::of(Fraction::of(300), LengthUnit::Millimetre), Length::of(Fraction::of(300), LengthUnit::Millimetre), Length::of(Fraction::of(6), LengthUnit::Millimetre), $lines, $lines);
            self::assertEquals($block, BlockFile::read(BlockFileWriter::write($block)), $start->value);
            self::assertCount(9, $block->grid->cells);
        }
    }

    public function test_an_area_lies_in_a_grid_with_all_its_places(): void
    {
        foreach ([1, 2, 3] as $row) {
            foreach ([1, 2, 3, 4] as $column) {
                foreach ([1, 2] as $rowSpan) {
                    foreach ([1, 3] as $columnSpan) {
                        $area = new Area($row, $column, $rowSpan, $columnSpan);
                        $isIn = array_filter($area->places(), static fn (array $place): bool => $place[0] > 3 || $place[1] > 4) === [];
                        self::assertSame($isIn, $area->isIn(3, 4));
                    }
                }
            }
        }
        self::assertFalse((new Area(0, 1))->isIn(3, 4) || (new Area(1, 0))->isIn(3, 4) || (new Area(1, 1, 0))->isIn(3, 4) || (new Area(1, 1, 1, 0))->isIn(3, 4));
    }

    private static function wall(string ...$rows): Wall
    {
        return Wall::of(Blocks::of(...$rows));
    }

    /** @return array<string, string> fabric and finished leg by the corner of the first cell they are seen in, clockwise */
    private static function flipped(Wall $wall): array
    {
        $face = Face::of($wall->block);
        $steps = 2 * $face->lattice->steps;
        $found = [];
        foreach (['tl' => [0, 0], 'tr' => [$steps, 0], 'br' => [$steps, $steps], 'bl' => [0, $steps]] as $name => [$x, $y]) {
            $corner = new Point($x, $y);
            foreach ($face->whole->parts[0]->patches() as $patch) {
                if (count($patch->outline->points) === 3 && $patch->outline->touches($corner)) {
                    $legs = array_map(static fn ($point): int => abs($point->x - $corner->x), $patch->outline->points);
                    $found[$name] = $patch->fabric->key.' '.Fraction::of(max($legs), $face->lattice->steps)->toText();
                }
            }
        }

        return $found;
    }

    /** Where in its file a flipped corner stood is no part of the block. */
    private static function plainly(Block $block): string
    {
        return (string) preg_replace('~"/cells/[^"]*"~', '', serialize($block));
    }

    /** @return list<string> as Blocks::of() reads them */
    private static function told(Wall $wall): array
    {
        $letters = ['plain' => 'p', 'half-square-triangle' => 'h', 'quarter-square-triangle' => 'q', 'flying-geese' => 'g'];
        $rows = [];
        foreach ($wall->grid()->cells as $cell) {
            $fabrics = $cell->unit instanceof PatternUnit ? implode('', array_map(static fn (Fabric $fabric): string => $fabric->key, $cell->unit->fabrics)) : '';
            $rows[$cell->row][] = $letters[$cell->unit->kind()].$fabrics.($cell->placement->turn->value ?: '').($cell->placement->mirrored ? 'm' : '');
        }

        return array_values(array_map(static fn (array $row): string => implode(' ', $row), $rows));
    }

    /** @return list<string> */
    private static function finished(Wall $wall): array
    {
        return [$wall->block->finishedWidth->toText(), $wall->block->finishedHeight->toText()];
    }

    private static function isSameAfter(Block $block, Placement $move): bool
    {
        $patches = static fn (Block $one): array => array_map(static fn ($patch): string => $patch->fabric->key.' '.self::sorted($patch->outline->seenFrom($patch->outline->points[0])->key(), $patch), Face::of($one)->patches);
        $whole = new Block($block->name, $block->unit, $block->finishedWidth, $block->finishedHeight, $block->seamAllowance, $block->fabrics, \KeenSeam\Core\Block\Grid::of(
            [Fraction::of(1)],
            [Fraction::of(1)],
            [new Cell(1, 1, 1, 1, new \KeenSeam\Core\Block\GridUnit($block->grid), $move)],
        ));
        [$before, $after] = [$patches($block), $patches($whole)];
        sort($before);
        sort($after);

        return $before === $after;
    }

    /** A patch's corners in an order that does not depend on which was given first. */
    private static function sorted(string $key, \KeenSeam\Core\Block\Patch $patch): string
    {
        $corners = array_map(static fn ($point): string => $point->key(), $patch->outline->points);
        sort($corners);

        return implode(' ', $corners);
    }

    private static function assertProblem(string $words, \Closure $do): void
    {
        try {
            $do();
        } catch (LayoutNotPossible|KeenSeamProblem $problem) {
            self::assertStringContainsString($words, $problem->getMessage());

            return;
        }
        self::fail('Nothing was refused.');
    }

    public function test_a_corner_keeps_its_fabric_when_it_is_sized_and_the_last_one_can_move(): void
    {
        $wall = self::wall('pA pA')->placed('flipped-corners', [[1, 1]], false, 'B')->moved([[1, 1]], new Placement(Turn::Quarter));
        $here = self::legs($wall);
        self::assertCount(1, $here);
        $corner = Corner::TopRight;
        $sized = $wall->withCorner([[1, 1]], $corner, Length::ofInches(1, 2), 'A');
        self::assertSame(['tr' => 'B 1/2'], self::legs($sized));
        $moved = $sized->withCornerMoved([[1, 1]], $corner, Corner::BottomLeft);
        self::assertSame(['bl' => 'B 1/2'], self::legs($moved));
        $two = $moved->withCorner([[1, 1]], Corner::TopLeft, Length::ofInches(1, 4), 'A')->withCornerMoved([[1, 1]], Corner::TopLeft, Corner::BottomLeft);
        self::assertEqualsCanonicalizing(['bl' => 'A 1/4', 'tl' => 'B 1/2'], self::legs($two), 'two change places');
        self::assertEquals($two->block, $two->withCornerMoved([[1, 1]], Corner::TopRight, Corner::BottomRight)->block, 'nothing is flipped there');
        self::assertEquals($wall->block, $wall->withCornerMoved([[1, 2]], Corner::TopRight, Corner::BottomRight)->block, 'another kind');
    }

    public function test_a_star_begins_with_points_on_every_side_and_a_plain_middle(): void
    {
        $kinds = static function (string $columns, string $rows): string {
            $lines = static fn (string $text): array => array_map(static fn (string $one): Fraction => Fraction::of((int) $one), explode(' ', $text));
            $block = Start::Star->block('x', LengthUnit::Inch, Length::ofInches(12), Length::ofInches(12), Length::ofInches(1, 4), $lines($columns), $lines($rows));
            $short = ['plain' => '.', 'half-square-triangle' => 'h', 'flying-geese' => 'g'];

            return implode('', array_map(static fn (Cell $cell): string => $short[$cell->unit->kind()].($cell->unit->kind() === 'plain' ? '' : (string) intdiv($cell->placement->turn->value, 90)), $block->grid->cells));
        };
        self::assertSame('.g2.g1.g3.g0.', $kinds('1 2 1', '1 2 1'));
        self::assertSame('.h1h0.h3..h2h0..h1.h2h3.', $kinds('1 1 1 1', '1 1 1 1'));
        self::assertSame('....', $kinds('1 1', '1 1'));
        // However it is divided, it looks the same from every side.
        foreach (['1 2 1', '1 1 1 1', '1 1 2 1 1', '1 1 1 1 1 1'] as $lines) {
            $shares = array_map(static fn (string $one): Fraction => Fraction::of((int) $one), explode(' ', $lines));
            $face = Face::of(Start::Star->block('x', LengthUnit::Inch, Length::ofInches(12), Length::ofInches(12), Length::ofInches(1, 4), $shares, $shares, false));
            self::assertSame([Symmetry::Full, []], [OddOnesOut::of($face)->symmetry, OddOnesOut::of($face)->odd], $lines);
        }
    }

    /** @return array<string, string> fabric and finished leg by the corner of the first cell as it is seen */
    private static function legs(Wall $wall): array
    {
        $cell = $wall->grid()->cells[0];
        $legs = [];
        foreach ($cell->unit instanceof FlippedCornersUnit ? $cell->unit->corners : [] as $corner) {
            $legs[$corner->corner->moved($cell->placement)->value] = $corner->fabric->key.' '.$corner->finishedLeg->toText(LengthUnit::Inch);
        }

        return $legs;
    }

    public function test_equal_small_grids_are_one_design_unless_one_is_set_apart(): void
    {
        $file = Blocks::file('pA pA pB', 'pA pB pB');
        $plain = static fn (int $column, string $fabric): array => ['row' => 1, 'column' => $column, 'unit' => 'plain', 'fabrics' => [$fabric]];
        foreach ([0 => 0, 2 => 90, 4 => 0] as $i => $turn) {
            $file['cells'][$i] = ['row' => intdiv($i, 3) + 1, 'column' => $i % 3 + 1, 'unit' => 'grid', 'turn' => $turn, 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => [$plain(1, 'A'), $plain(2, $i === 4 ? 'A' : 'B')]];
        }
        $block = BlockFile::read($file);
        $kinds = static fn (Wall $wall): array => array_map(static fn (int $i): array => array_map(static fn (Cell $cell): string => $cell->unit->kind(), $wall->block->grid->cells[$i]->unit instanceof GridUnit ? $wall->block->grid->cells[$i]->unit->grid->cells : []), [0, 2, 4]);
        $both = Wall::of($block, [[1, 1]]);
        self::assertSame([2, 1, 0], [$both->open()->alike(), Wall::of($block, [[2, 2]])->open()->alike(), Wall::of($block)->open()->alike()]);
        $placed = ['half-square-triangle', 'plain'];
        self::assertSame([$placed, $placed, ['plain', 'plain']], $kinds($both->placed('half-square-triangle', [[1, 1]], false, 'B')));
        self::assertSame([['plain', 'plain'], $placed, ['plain', 'plain']], $kinds(Wall::of($block, [[1, 3]], true)->placed('half-square-triangle', [[1, 1]], false, 'B')));
        // Painting, too.
        $fabrics = static fn (Wall $wall): string => implode('', array_map(static fn ($patch): string => $patch->fabric->key, Face::of($wall->block)->patches));
        self::assertSame('CBACBAAAB', $fabrics(Wall::of($block, [[1, 1]])->withFabric(new Fabric('C', 'C', '#112233', FabricValue::Dark))->painted(0, 'C')));
        self::assertSame('CBAABAAAB', $fabrics(Wall::of($block, [[1, 1]], true)->withFabric(new Fabric('C', 'C', '#112233', FabricValue::Dark))->painted(0, 'C')));
    }
}
