<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\CellDrawing;
use KeenSeam\Core\Layout\Drawing;
use KeenSeam\Core\Layout\DrawingStart;
use KeenSeam\Core\Layout\Grouping;
use KeenSeam\Core\Layout\LayoutNotPossible;
use KeenSeam\Core\Layout\Spot;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Layout\Wall;
use KeenSeam\Core\Measure\Fraction;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

final class DrawingTest extends TestCase
{
    public function test_a_corner_unit_of_a_small_square_two_triangles_and_a_large_one_takes_three_cuts(): void
    {
        $drawing = self::whole()->cut(self::at('0', '1'), self::at('1', '0'), false)
            ->cut(self::at('1/2', '0'), self::at('1/2', '1/2'), false)
            ->cut(self::at('0', '1/2'), self::at('1/2', '1/2'), false);

        self::assertEqualsCanonicalizing([0.5, 0.25, 0.125, 0.125], self::areas($drawing));
    }

    public function test_the_part_further_up_and_to_the_left_comes_first_whichever_way_the_cut_was_drawn(): void
    {
        foreach ([[['1/3', '0'], ['1/3', '1']], [['0', '1/4'], ['1', '1/4']], [['0', '1/2'], ['1/2', '0']]] as [$from, $to]) {
            $ways = array_map(static fn (Drawing $drawing): array => array_map(static fn (array $patch): float => array_sum(array_map(static fn (Spot $spot): float => $spot->x->toFloat() + $spot->y->toFloat(), $patch[1])) / count($patch[1]), $drawing->patches), [
                self::whole()->cut(self::at(...$from), self::at(...$to), true),
                self::whole()->cut(self::at(...$to), self::at(...$from), true),
            ]);
            self::assertCount(2, $ways[0]);
            self::assertLessThan($ways[0][1], $ways[0][0]);
            self::assertSame($ways[0], $ways[1]);
        }
    }

    public function test_a_cut_crosses_what_it_meets_and_no_more(): void
    {
        $halves = self::whole()->cut(self::at('1/2', '0'), self::at('1/2', '1'), false);
        self::assertCount(3, $halves->cut(self::at('0', '1/2'), self::at('1/2', '1/2'), false)->patches);
        self::assertCount(4, $halves->cut(self::at('0', '1/2'), self::at('1', '1/2'), false)->patches);
        self::assertCount(4, $halves->cut(self::at('0', '1/2'), self::at('1/4', '1/2'), true)->patches, 'through everything');
        // The fabrics stay with what they are cut from.
        $two = $halves->painted(0, self::fabric('B'));
        self::assertSame(['B', 'B', 'A', 'A'], array_map(static fn (array $patch): string => $patch[0]->key, $two->cut(self::at('0', '1/3'), self::at('1', '1/3'), false)->patches));
    }

    /**
     * @param array{string, string} $from
     * @param array{string, string} $to
     */
    #[DataProvider('refused')]
    public function test_a_cut_that_no_seam_can_be_is_refused(array $from, array $to, string $words): void
    {
        $this->expectException(LayoutNotPossible::class);
        $this->expectExceptionMessage($words);
        self::whole()->cut(self::at('1/2', '0'), self::at('1/2', '1'), false)->cut(self::at(...$from), self::at(...$to), false);
    }

    /** @return iterable<string, array{array{string, string}, array{string, string}, string}> */
    public static function refused(): iterable
    {
        yield 'nowhere' => [['1/2', '0'], ['1/2', '0'], 'The cut ends where it begins.'];
        yield 'along the seam' => [['1/2', '0'], ['1/2', '1/2'], 'it runs along a seam or an edge.'];
        yield 'along the edge' => [['0', '0'], ['1', '0'], 'it runs along a seam or an edge.'];
        yield 'into a patch' => [['0', '0'], ['1/4', '1/2'], 'The cut ends inside a patch'];
        yield 'through one and into the next' => [['0', '1/2'], ['3/4', '1/2'], 'The cut ends inside a patch'];
        yield 'out of the cell' => [['0', '0'], ['3/2', '1/2'], 'The cut leaves the unit.'];
    }

    public function test_two_patches_are_sewn_back_only_where_the_whole_is_convex(): void
    {
        $cut = self::whole()->cut(self::at('1/2', '0'), self::at('1/2', '1'), false)->cut(self::at('0', '1/2'), self::at('1/2', '1/2'), false);
        $areas = static fn (int $a, int $b): array => self::areas($cut->sewnBack($a, $b));
        $left = array_keys(array_filter(self::areas($cut), static fn (float $area): bool => abs($area - 0.25) < 1e-9));
        self::assertEqualsCanonicalizing([0.5, 0.5], $areas($left[0], $left[1]));
        $right = array_values(array_diff([0, 1, 2], $left))[0];
        self::assertSame('These two patches have no whole seam in common: together they would have a corner that points in, and no straight seam goes round that.', self::problem(static fn () => $cut->sewnBack($left[0], $right)));
        // A goose and one of its wings are a square of a dent.
        $house = self::whole()->cut(self::at('0', '0'), self::at('1', '1'), false)->cut(self::at('1', '0'), self::at('1/2', '1/2'), false)->cut(self::at('0', '1'), self::at('1/2', '1/2'), false);
        self::assertEqualsCanonicalizing([0.5, 0.25, 0.25], self::areas($house->sewnBack(0, 1)));
        foreach ([[0, 0], [0, 9]] as [$a, $b]) {
            self::assertSame('Choose two of the 3 patches to sew back into one.', self::problem(static fn () => $cut->sewnBack($a, $b)));
        }
    }

    public function test_together_they_may_point_in(): void
    {
        // Below a roof that opens upwards, two halves of a house without a roof.
        $dart = self::whole()->cut(self::at('1/2', '0'), self::at('1/2', '1'), false)
            ->cut(self::at('0', '1/4'), self::at('1/2', '1/2'), false)
            ->cut(self::at('1', '1/4'), self::at('1/2', '1/2'), false);
        $words = [];
        foreach (array_keys($dart->patches) as $a) {
            foreach (array_keys($dart->patches) as $b) {
                if ($a < $b) {
                    $words[] = self::problem(static fn () => $dart->sewnBack($a, $b));
                }
            }
        }
        self::assertContains('', $words, 'the two above are a house');
        self::assertContains('These two patches together would have a corner that points in, and no straight seam goes round that. Leave them two.', $words);
    }

    public function test_any_cuts_leave_patches_that_fill_the_cell_and_any_cut_can_be_sewn_back(): void
    {
        for ($seed = 0; $seed < 60; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $drawing = self::whole();
            for ($i = 0; $i < 8; ++$i) {
                $marks = $drawing->marks();
                [$from, $to] = [$marks[$random->getInt(0, count($marks) - 1)], $marks[$random->getInt(0, count($marks) - 1)]];
                try {
                    $next = $drawing->cut($from, $to, $random->getInt(0, 1) === 1);
                    $unit = $next->unit(new Placement());
                } catch (KeenSeamProblem) {
                    continue;
                }
                self::assertEqualsWithDelta(1.0, array_sum(self::areas($next)), 1e-9, "seed $seed");
                // Convex and without gap or overlap, or it would be refused.
                self::assertCount(count($next->patches), $unit->pieces);
                if (count($next->patches) === count($drawing->patches) + 1) {
                    self::assertTrue(self::canBeUndone($drawing, $next), "seed $seed");
                }
                $drawing = $next;
            }
        }
    }

    public function test_a_drawn_unit_shows_the_same_however_it_lies(): void
    {
        $drawing = self::whole()->cut(self::at('0', '1'), self::at('1', '1/4'), false)->painted(0, self::fabric('B'))->cut(self::at('1/3', '0'), self::at('0', '1'), false)->painted(2, self::fabric('C'));
        $shown = static fn (Placement $lies): string => Picture::of(self::faceOf($drawing, $lies)->whole)->key;
        foreach (Symmetry::all() as $lies) {
            self::assertSame($shown(new Placement()), $shown($lies));
        }
    }

    public function test_a_cell_is_opened_cut_and_keeps_the_way_it_lies(): void
    {
        $wall = Wall::of(Blocks::of('gABC90 pA', 'pA pB'));
        $cut = CellDrawing::of($wall, 1, 1)->cut(self::at('0', '1/2'), self::at('1', '1/2'), false);
        $cell = $cut->grid()->cellAt(1, 1);
        self::assertSame(['patches', 4, Turn::None], [$cell?->unit->kind(), count(CellDrawing::of($cut, 1, 1)->drawing->patches), $cell?->placement->turn]);
        $turned = $cut->moved([[1, 1]], new Placement(Turn::Quarter, true));
        $again = CellDrawing::of($turned, 1, 1)->cut(self::at('1/4', '0'), self::at('1/4', '1'), true);
        self::assertEquals(new Placement(Turn::Quarter, true), $again->grid()->cellAt(1, 1)?->placement);
        self::assertGreaterThan(5, count(CellDrawing::of($again, 1, 1)->drawing->patches));
        // What is seen is what was cut: a level line at a half in the face as it lies.
        self::assertSame(self::seenAlong($turned, '1/4'), self::seenAlong($again, '1/4'));
    }

    public function test_the_order_grows_with_the_cuts_and_what_no_seam_builds_is_named(): void
    {
        $wall = Wall::of(Blocks::of('pA pA', 'pA pA'));
        $one = CellDrawing::of(CellDrawing::of($wall, 1, 2)->cut(self::at('0', '0'), self::at('1', '1'), false), 1, 2);
        self::assertSame([1, null], [count($one->order()['joins']), $one->order()['problem']]);
        // Four strips round a middle that lies askew: no seam runs through.
        $file = Blocks::file('pA');
        $strip = static fn (string $fabric, array ...$points): array => ['fabric' => $fabric, 'points' => $points];
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [
            $strip('A', ['0', '0'], ['2/3', '0'], ['2/3', '1/3'], ['0', '1/3']),
            $strip('B', ['2/3', '0'], ['1', '0'], ['1', '2/3'], ['2/3', '2/3']),
            $strip('A', ['1/3', '2/3'], ['1', '2/3'], ['1', '1'], ['1/3', '1']),
            $strip('B', ['0', '1/3'], ['1/3', '1/3'], ['1/3', '1'], ['0', '1']),
            $strip('A', ['1/3', '1/3'], ['2/3', '1/3'], ['2/3', '2/3'], ['1/3', '2/3']),
        ]];
        $round = CellDrawing::of(Wall::of(BlockFile::read($file)), 1, 1)->order();
        self::assertSame([[], [0, 1, 2, 3, 4]], [$round['joins'], $round['inTheWay']]);
        self::assertStringContainsString('set-in or partial seam', (string) $round['problem']);
    }

    public function test_marks_are_on_the_sides_in_the_middle_and_wherever_seams_end(): void
    {
        $keys = array_map(static fn (Spot $mark): string => $mark->key(), self::whole()->cut(self::at('0', '1/4'), self::at('1', '1/3'), false)->marks());
        foreach (['0 0', '1/2 1/2', '1/3 0', '1 3/4', '0 1/4', '1 1/3', '2/3 1', '1 1'] as $expected) {
            self::assertContains($expected, $keys);
        }
        self::assertSame($keys, array_unique($keys));
        self::assertCount(25, $keys, 'a corner and five more on every side, and the centre');
    }

    public function test_cells_are_made_one_drawn_unit_of_what_is_there_or_of_whole_cloth(): void
    {
        $wall = Wall::of(Blocks::of('hAB hAB90', 'hAB270 hAB180'));
        $drawn = static fn (DrawingStart $start): Cell => Grouping::drawn($wall, [[1, 1], [1, 2]], $start)->grid()->cells[0];
        self::assertSame([2, 4], [$drawn(DrawingStart::Picture)->columnSpan, count(Face::of(Grouping::drawn($wall, [[1, 1], [1, 2]], DrawingStart::Picture)->block)->patches) - 4]);
        self::assertSame([1, 2], [count(Face::of(Grouping::drawn($wall, [[2, 2]], DrawingStart::Whole)->block)->patches) - 6, count(Face::of(Grouping::drawn($wall, [[2, 2]], DrawingStart::Halves)->block)->patches) - 6]);
        $one = Grouping::asOneCell($wall);
        self::assertSame([1, Picture::of(Face::of($wall->block)->whole)->key], [count($one->grid()->cells), Picture::of(Face::of($one->block)->whole)->key]);
    }

    public function test_grouped_cells_open_out_into_the_same_picture(): void
    {
        for ($seed = 0; $seed < 20; ++$seed) {
            $wall = Wall::of(BlockFile::read(Blocks::generated($seed, 4, 3)));
            $picture = static fn (Wall $of): string => Picture::of(Face::of($of->block)->whole)->key;
            $random = new Randomizer(new Mt19937($seed));
            $grouped = Grouping::grouped($wall, [[$random->getInt(1, 2), $random->getInt(1, 2)], [3, $random->getInt(3, 4)]]);
            self::assertSame($picture($wall), $picture($grouped));
            $group = array_values(array_filter($grouped->grid()->cells, static fn (Cell $cell): bool => $cell->unit->kind() === 'grid'))[0];
            $out = Grouping::openedOut($grouped, $group->row, $group->column);
            self::assertEquals([$wall->grid()->cells, count($wall->grid()->columns)], [$out->grid()->cells, count($out->grid()->columns)], "seed $seed");
            // Turned, the cells inside are turned with it.
            $turned = $grouped->moved([[$group->row, $group->column]], new Placement(Turn::Half, true));
            self::assertSame($picture($turned), $picture(Grouping::openedOut($turned, $group->row, $group->column)));
        }
        self::assertStringContainsString('holds no small grid to open', self::problem(static fn () => Grouping::openedOut(Wall::of(Blocks::of('pA pB')), 1, 1)));
        self::assertStringContainsString('makes no small grid', self::problem(static fn () => Grouping::grouped(Wall::of(Blocks::of('pA pB')), [[1, 1]])));
    }

    public function test_a_small_grid_of_other_divisions_divides_the_rows_and_columns_it_needs(): void
    {
        $file = Blocks::file('pA pB pA', 'pB pA pB', 'pA pB pA');
        $plain = static fn (int $row, int $column, string $fabric): array => ['row' => $row, 'column' => $column, 'unit' => 'plain', 'fabrics' => [$fabric]];
        $file['cells'][4] = ['row' => 2, 'column' => 2, 'unit' => 'grid', 'turn' => 90, 'columns' => ['1', '2'], 'rows' => ['1'], 'cells' => [$plain(1, 1, 'A'), $plain(1, 2, 'B')]];
        $wall = Wall::of(BlockFile::read($file));
        $out = Grouping::openedOut($wall, 2, 2);
        self::assertSame([3, 4, ['1', '1/3', '2/3', '1']], [count($out->grid()->columns), count($out->grid()->rows), array_map(static fn (Fraction $width): string => $width->toText(), $out->grid()->rows)]);
        self::assertSame(Picture::of(Face::of($wall->block)->whole)->key, Picture::of(Face::of($out->block)->whole)->key);
        // A line of the grid that no cell ends at stays, for what she lays there next.
        $file = Blocks::file('pA pB', 'pB pA');
        $file['cells'] = [
            ['row' => 1, 'column' => 1, 'column_span' => 2, 'unit' => 'grid', 'columns' => ['1'], 'rows' => ['1', '1'], 'cells' => [$plain(1, 1, 'A'), $plain(2, 1, 'B')]],
            ['column_span' => 2] + $plain(2, 1, 'C'),
        ];
        $out = Grouping::openedOut(Wall::of(BlockFile::read($file)), 1, 1);
        self::assertSame([2, 3, [2, 2, 2]], [count($out->grid()->columns), count($out->grid()->rows), array_map(static fn (Cell $cell): int => $cell->columnSpan, $out->grid()->cells)]);
    }

    private static function whole(): Drawing
    {
        return Drawing::whole(self::fabric('A'));
    }

    private static function fabric(string $key): Fabric
    {
        return new Fabric($key, $key, '#3b5b7a', FabricValue::Dark);
    }

    private static function at(string $x, string $y): Spot
    {
        $share = static fn (string $text): Fraction => Fraction::of((int) explode('/', $text)[0], (int) (explode('/', $text)[1] ?? 1));

        return new Spot($share($x), $share($y));
    }

    /** @return list<float> by the shoelace formula, in shares of the cell */
    private static function areas(Drawing $drawing): array
    {
        return array_map(static function (array $patch): float {
            $sum = 0.0;
            foreach ($patch[1] as $i => $corner) {
                $next = $patch[1][($i + 1) % count($patch[1])];
                $sum += $corner->x->toFloat() * $next->y->toFloat() - $next->x->toFloat() * $corner->y->toFloat();
            }

            return abs($sum) / 2;
        }, $drawing->patches);
    }

    /** Whether some two patches together give back what was there before. */
    private static function canBeUndone(Drawing $before, Drawing $after): bool
    {
        $wanted = self::areas($before);
        sort($wanted);
        for ($i = 0; $i + 1 < count($after->patches); ++$i) {
            try {
                $areas = self::areas($after->sewnBack($i, $i + 1));
            } catch (KeenSeamProblem) {
                continue;
            }
            sort($areas);
            if (max(array_map(static fn (float $a, float $b): float => abs($a - $b), $areas, $wanted)) < 1e-9) {
                return true;
            }
        }

        return false;
    }

    private static function faceOf(Drawing $drawing, Placement $lies): Face
    {
        $wall = Wall::of(Blocks::of('pA'));

        return Face::of($wall->laid([new Cell(1, 1, 1, 1, $drawing->unit($lies), $lies)])->block);
    }

    /** @return list<string> fabrics met down the cell at that share of its width, neighbours once */
    private static function seenAlong(Wall $wall, string $share): array
    {
        $drawing = CellDrawing::of($wall, 1, 1)->drawing;
        $x = self::at($share, '0')->x->toFloat() + 1e-3;
        $met = [];
        for ($y = 0.002; $y < 1; $y += 0.01) {
            foreach ($drawing->patches as [$fabric, $corners]) {
                $isIn = true;
                foreach ($corners as $i => $a) {
                    $b = $corners[($i + 1) % count($corners)];
                    $isIn = $isIn && ($b->x->toFloat() - $a->x->toFloat()) * ($y - $a->y->toFloat()) - ($b->y->toFloat() - $a->y->toFloat()) * ($x - $a->x->toFloat()) >= 0;
                }
                if ($isIn && end($met) !== $fabric->key) {
                    $met[] = $fabric->key;
                }
            }
        }

        return $met;
    }

    private static function problem(\Closure $work): string
    {
        try {
            $work();

            return '';
        } catch (KeenSeamProblem $problem) {
            return $problem->getMessage();
        }
    }
}
