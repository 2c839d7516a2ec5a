<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Layout\Axis;
use KeenSeam\Core\Layout\Cloths;
use KeenSeam\Core\Layout\Difference;
use KeenSeam\Core\Layout\GridWords;
use KeenSeam\Core\Layout\Grouping;
use KeenSeam\Core\Layout\HandCount;
use KeenSeam\Core\Layout\Internal\CellPictures;
use KeenSeam\Core\Layout\LayoutNotPossible;
use KeenSeam\Core\Layout\LayoutWords;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Start;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Layout\TrayUnit;
use KeenSeam\Core\Layout\Wall;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Small things done and said at the wall, each on a layout that is read at a glance. */
final class WallByHandTest extends TestCase
{
    public function test_odd_ones_are_turned_back_and_of_two_that_disagree_one_is(): void
    {
        // Each turned on from the last: the third lies as the first does.
        $wall = Wall::of(Blocks::of('hAB90 hAB180', 'hAB hAB90'));
        $odd = OddOnesOut::of(Face::of($wall->block))->odd;
        self::assertSame([[2, 2]], array_map(static fn ($one): array => [$one->cell->row, $one->cell->column], $odd));
        $mended = $wall->mended([[2, 2], [1, 1]]);
        self::assertSame([], OddOnesOut::of(Face::of($mended->block))->odd);
        self::assertSame(Turn::ThreeQuarters, $mended->block->grid->cellAt(2, 2)?->placement->turn);
        self::assertSame(Turn::Quarter, $mended->block->grid->cellAt(1, 1)?->placement->turn);
        self::assertEquals($wall->block, $wall->mended([[1, 1], [1, 2]])->block, 'none of these is odd');
        $two = Wall::of(Blocks::of('hAB hAB90', 'pA pB'));
        self::assertEquals(Wall::of(Blocks::of('hAB180 hAB90', 'pA pB'))->block->grid->cells[0]->placement, $two->lying([[1, 1]], new Placement(Turn::Half))->block->grid->cells[0]->placement);
    }

    public function test_names_sizes_and_allowances_are_changed_alone(): void
    {
        $wall = Wall::of(Blocks::of('hAB pC'));
        $changed = $wall->named('Ebb')->withAllowance(Length::parse('3/8'))->resized(Length::parse('8'), Length::parse('4'))->labelled([[1, 1]], 'Bollard')->block;

        self::assertSame(['Ebb', '3/8', '8', '4'], [$changed->name, $changed->seamAllowance->toText(), $changed->finishedWidth->toText(), $changed->finishedHeight->toText()]);
        self::assertSame(['Bollard', null], [$changed->grid->cells[0]->label, $changed->grid->cells[1]->label]);
        self::assertEquals($wall->block->grid->cells[0]->unit, $changed->grid->cells[0]->unit);
        self::assertNull($wall->labelled([[1, 1]], 'Bollard')->labelled([[1, 1]], null)->block->grid->cells[0]->label);
    }

    public function test_cells_become_one_small_grid_only_when_they_are_several(): void
    {
        $two = Wall::of(Blocks::of('hAB hAC', 'pA pB'));
        self::assertSame(2, count(Grouping::grouped($two, [[1, 1], [1, 2]])->block->grid->cells[0]->unit->grid->cells ?? []));
        $this->expectException(LayoutNotPossible::class);
        Grouping::grouped($two, [[1, 1]]);
    }

    public function test_a_start_of_one_cell_is_written_as_one_row_and_one_column(): void
    {
        $block = Grouping::asOneCell(Wall::of(Blocks::of('hAB hAC', 'pA pB')))->block;
        $file = BlockFileWriter::write($block);
        self::assertSame([['1'], ['1'], 1], [$file['columns'], $file['rows'], count($file['cells'])]);
        $grid = TrayUnit::unit('grid', $block->fabrics['A'], $block->fabrics['B'], $block->fabrics['C'], Length::parse('2'), LengthUnit::Inch);
        self::assertSame(['1', '1'], array_map(static fn (Fraction $width): string => $width->toText(), $grid->grid->columns ?? []));
    }

    public function test_three_of_four_settle_how_the_fourth_lies(): void
    {
        // Four corners of a pinwheel.
        $odd = static fn (string ...$rows): array => array_map(static fn ($one): string => $one->cell->row.','.$one->cell->column, OddOnesOut::of(Face::of(Blocks::of(...$rows)))->odd);
        self::assertSame(['2,2'], $odd('hAB hAB90', 'hAB270 hAB90'));
        self::assertSame([], $odd('hAB hAB90', 'hAB hAB90'), 'a repeat of another kind');
    }

    public function test_the_last_fabric_stays(): void
    {
        $file = Blocks::file('pA');
        $file['fabrics'] = [$file['fabrics'][0]];
        $this->expectException(LayoutNotPossible::class);
        $this->expectExceptionMessage('This is the only fabric.');
        Wall::of(BlockFile::read($file))->withoutFabric('A', null);
    }

    public function test_a_unit_takes_three_fabrics_by_how_dark_its_own_are(): void
    {
        $block = Blocks::of('sABC dBAAAC hAB pC');
        [$figure, $ground, $second] = [new Fabric('F', 'Figure', '#000000', FabricValue::Dark), new Fabric('G', 'Ground', '#ffffff', FabricValue::Light), new Fabric('S', 'Second', '#888888', FabricValue::Medium)];
        $told = array_map(static function (int $cell) use ($block, $figure, $ground, $second): string {
            $keys = '';
            Cloths::inFabrics(Cloths::inRoles($block->grid->cells[$cell]->unit, $figure, $ground, $second), static function (Fabric $fabric) use (&$keys): Fabric {
                $keys .= $fabric->key;

                return $fabric;
            });

            return $keys;
        }, [0, 1, 2, 3]);

        // A is light, B dark, C between; a single fabric is the figure.
        self::assertSame(['GFS', 'FGGGS', 'GF', 'F'], $told);
    }

    public function test_the_ground_is_the_plain_cloth_there_is_most_of(): void
    {
        $cloths = static fn (array $file): array => array_map(static fn (Fabric $fabric): string => $fabric->key, [(new Cloths($block = BlockFile::read($file)))->background(), (new Cloths($block))->figure()]);
        // One long plain patch counts for the places it takes.
        $spans = Blocks::file('pC pB pA', 'pC pB pA');
        $spans['cells'] = [['row' => 1, 'column' => 1, 'row_span' => 2, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['C']], ['row' => 1, 'column' => 3, 'unit' => 'plain', 'fabrics' => ['A']], ['row' => 2, 'column' => 3, 'unit' => 'plain', 'fabrics' => ['A']]];

        self::assertSame(['C', 'B'], $cloths($spans));
        self::assertSame(['B', 'B'], $cloths(Blocks::file('pB hAB pB', 'pA hBA pC')));
        self::assertSame(['A', 'B'], $cloths(Blocks::file('hBC hAB')), 'without any the lightest');
        $three = static fn (string $figure): array => array_map(static fn (Fabric $fabric): string => $fabric->key, (new Cloths(Blocks::of('pA hAB')))->three($figure));
        self::assertSame([['A', 'B', 'C'], ['B', 'A', 'C'], ['C', 'A', 'B']], [$three('A'), $three('B'), $three('C')]);
        $two = Blocks::file('pA hAB');
        $two['fabrics'] = array_slice($two['fabrics'], 0, 2);
        self::assertSame(['B', 'A', 'B'], array_map(static fn (Fabric $fabric): string => $fabric->key, (new Cloths(BlockFile::read($two)))->three('B')));
        $one = Blocks::file('pA');
        $one['fabrics'] = array_slice($one['fabrics'], 0, 1);
        self::assertSame(['A', 'A', 'A'], array_map(static fn (Fabric $fabric): string => $fabric->key, (new Cloths(BlockFile::read($one)))->three('A')));
    }

    /** What hangs on a corner is mirrored left to right where its frame is mirrored across the diagonal from the upper left. */
    public function test_what_hangs_on_point_has_the_symmetry_that_is_seen(): void
    {
        $seen = static fn (bool $isOnPoint, string ...$rows): Symmetry => OddOnesOut::among(new CellPictures($face = Face::of(Blocks::of(...$rows))), $face, $isOnPoint)->symmetry;
        // Across the diagonal: what is right of it lies below it again; a dark corner at the lower right stays there.
        $diagonal = ['pA pB pC', 'pB hAB pA', 'pC pA pB'];
        $upright = ['pA pB pA', 'pC pA pC', 'pB pC pB'];

        self::assertSame(Symmetry::MirrorVertical, $seen(false, ...$upright));
        self::assertNotSame(Symmetry::MirrorVertical, $seen(false, ...$diagonal));
        // The frame hangs turned by 45 degrees clockwise: its diagonal from the upper left hangs upright.
        self::assertSame(Symmetry::MirrorVertical, $seen(true, ...$diagonal));
        self::assertSame(Symmetry::MirrorHorizontal, $seen(true, 'pC pB pA', 'pA hAB90 pB', 'pB pA pC'));
    }

    public function test_columns_and_rows_are_told_with_their_sizes(): void
    {
        $shares = static fn (int ...$widths): array => array_map(static fn (int $width): Fraction => Fraction::of($width), $widths);
        $words = static fn (Axis $axis, array $widths, string $whole): string => GridWords::of($axis, $widths, Length::parse($whole), LengthUnit::Inch);

        self::assertSame('4 columns of 3 in', $words(Axis::Columns, $shares(1, 1, 1, 1), '12'));
        self::assertSame('3 columns: 3, 6 and 3 in', $words(Axis::Columns, $shares(1, 2, 1), '12'));
        self::assertSame('2 rows: 2 2/3 and 5 1/3 in', $words(Axis::Rows, $shares(1, 2), '8'));
        self::assertSame('1 row of 8 in', $words(Axis::Rows, $shares(3), '8'));
    }

    public function test_units_are_told_left_from_right_or_have_no_hand(): void
    {
        $face = Face::of(Blocks::of('tABC tABC90m hAB'));
        $counts = HandCount::allOn($face);
        $hands = array_map(static fn ($unit): ?string => $unit instanceof \KeenSeam\Core\Block\PlacedUnit ? HandCount::handOf($counts, $unit) : '', $face->whole->parts);

        self::assertEqualsCanonicalizing(['left', 'right', null], $hands);
        self::assertNull($hands[2]);
    }

    public function test_what_differs_from_the_picture_is_named(): void
    {
        $told = static fn (Wall $picture, Wall $now): array => array_map(static fn (Difference $one): string => $one->text, Difference::between($picture->block, $now->block));
        $picture = Wall::of(Blocks::of('hAB gABC', 'pC sABC'));

        self::assertSame(['turned a quarter clockwise'], $told($picture, $picture->moved([[1, 1]], new Placement(Turn::Quarter))));
        self::assertSame(['turned a quarter anticlockwise'], $told($picture, $picture->moved([[1, 2]], new Placement(Turn::ThreeQuarters))));
        self::assertSame(['turned half round'], $told($picture, $picture->moved([[2, 2]], new Placement(Turn::Half))));
        self::assertSame(['a plain patch instead of a half-square triangle'], $told($picture, $picture->placed('plain', [[1, 1]], false, 'B')));
        self::assertSame(['Bollard instead of a half-square triangle'], $told($picture, $picture->placed('plain', [[1, 1]], false, 'B')->labelled([[1, 1]], 'Bollard')));
        self::assertSame(['covers other places than in the picture'], $told($picture, $picture->placed('plain', [[1, 1], [1, 2]], true, 'B')));
        $flipped = static fn (string $size): Wall => Wall::of(BlockFile::read(['cells' => [['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => $size]]]]] + Blocks::file('pA')));
        self::assertSame(['with other seams'], $told($flipped('1'), $flipped('1/2')));
    }

    public function test_each_choice_is_offered_in_words_of_its_own(): void
    {
        foreach ([array_map(static fn (Start $start): string => $start->words(), Start::cases()), array_map(static fn (Symmetry $symmetry): string => $symmetry->followWords(), Symmetry::cases()), array_map(static fn (Symmetry $symmetry): string => $symmetry->words(), Symmetry::cases())] as $words) {
            self::assertSame($words, array_unique($words));
        }
        self::assertSame(['', '1 unit looks right along its first seam even when it lies wrongly.', '2 units look right along their first seam even when they lie wrongly.'], array_map(LayoutWords::lookTwice(...), [0, 1, 2]));
    }

    /** Whatever moves a symmetry has, doing any two of them is one of them again. */
    public function test_moves_of_a_symmetry_are_a_whole(): void
    {
        $counts = [];
        foreach (Symmetry::cases() as $symmetry) {
            $moves = $symmetry->moves();
            $counts[$symmetry->value] = count($moves);
            self::assertEquals(new Placement(), $moves[0]);
            foreach ($moves as $one) {
                self::assertContainsEquals($one->inverse(), $moves, $symmetry->value);
                foreach ($moves as $other) {
                    self::assertContainsEquals($one->around($other), $moves, $symmetry->value);
                }
            }
        }
        self::assertSame(['quarter-turn' => 4, 'half-turn' => 2, 'mirror-vertical' => 2, 'mirror-horizontal' => 2, 'mirror-both' => 4, 'mirror-diagonals' => 4, 'full' => 8, 'repeat' => 1, 'none' => 1], $counts);
        self::assertTrue(Symmetry::Full->isMirroring() && Symmetry::MirrorBoth->isMirroring() && ! Symmetry::QuarterTurn->isMirroring() && ! Symmetry::Repeat->isMirroring());
    }

    /** Quarter turns of the triangles, a dot where there is none, row by row; of four by four. */
    public function test_starts_lay_their_triangles_as_they_are_called(): void
    {
        $lines = array_fill(0, 4, Fraction::of(1));
        $twelve = Length::parse('12');
        $told = static fn (Start $start): string => implode(' ', array_map(static fn (array $row): string => implode('', array_map(static fn (array $cell): string => $cell['unit'] === 'half-square-triangle' ? (string) intdiv($cell['turn'] ?? 0, 90) : '.', $row)), array_chunk(BlockFileWriter::write($start->block('New', LengthUnit::Inch, $twelve, $twelve, Length::parse('1/4'), $lines, $lines))['cells'], 4)));

        self::assertSame('.... .... .... ....', $told(Start::Blank));
        self::assertSame('0000 0000 0000 0000', $told(Start::OneWay));
        self::assertSame('0101 3232 0101 3232', $told(Start::Turning));
        self::assertSame('0011 0011 3322 3322', $told(Start::ToTheMiddle));
        self::assertSame('0.0. .0.0 0.0. .0.0', $told(Start::Alternating));
        $five = array_fill(0, 5, Fraction::of(1));
        $turns = array_map(static fn (Cell $cell): int => $cell->placement->turn->quarters(), Start::ToTheMiddle->block('New', LengthUnit::Inch, $twelve, $twelve, Length::parse('1/4'), $five, $five)->grid->cells);
        self::assertSame('00011 00011 00011 33322 33322', implode(' ', array_map(implode(...), array_chunk($turns, 5))), 'where the middle is a unit, it and those beside it go with the first');
        // On every side the ground points in between two dark tips, which lie away from that edge and apart.
        self::assertSame('.10. 3..2 0..1 .23.', $told(Start::Star));
        $two = [Fraction::of(1), Fraction::of(1)];
        foreach ([[$two, $five], [$five, $two], [$two, $two]] as [$columns, $rows]) {
            $kinds = array_map(static fn (Cell $cell): string => $cell->unit->kind(), Start::Star->block('New', LengthUnit::Inch, $twelve, $twelve, Length::parse('1/4'), $columns, $rows)->grid->cells);
            self::assertSame(['plain'], array_values(array_unique($kinds)), 'a star has a middle');
        }
    }
}
