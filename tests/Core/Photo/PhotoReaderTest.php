<?php

declare(strict_types=1);

namespace Tests\Core\Photo;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Photo\CornerFinder;
use KeenSeam\Core\Photo\Homography;
use KeenSeam\Core\Photo\Laying;
use KeenSeam\Core\Photo\LeastSquares;
use KeenSeam\Core\Photo\Light;
use KeenSeam\Core\Photo\Photograph;
use KeenSeam\Core\Photo\PhotoNotReadable;
use KeenSeam\Core\Photo\PhotoReader;
use KeenSeam\Core\Photo\PhotoWords;
use KeenSeam\Core\Photo\UnitFace;
use KeenSeam\Core\Photo\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;
use Tests\Support\Painted;

final class PhotoReaderTest extends TestCase
{
    public function test_the_light_of_a_place_is_that_of_five_pixels_in_a_cross(): void
    {
        [$width, $height, $values] = [6, 5, []];
        for ($n = 0; $n < $width * $height; ++$n) {
            $values[] = [($n * 37) % 251, ($n * 91) % 241, ($n * 53) % 239];
        }
        $photo = new Photograph($width, $height, implode('', array_map(static fn (array $rgb): string => chr($rgb[0]).chr($rgb[1]).chr($rgb[2]), $values)));
        // Places outside are those that lie nearest with a whole cross around them.
        foreach ([[2.4, 2.6, 2, 3], [0, 0, 1, 1], [-9, 99, 1, 3], [5, 1, 4, 1], [4.2, 2, 4, 2]] as [$x, $y, $column, $row]) {
            $cross = array_map(static fn (int $at): array => $values[$row * $width + $column + $at], [0, -1, 1, -$width, $width]);
            foreach ($photo->lightAt($x, $y) as $channel => $light) {
                self::assertEqualsWithDelta(log(array_sum(array_column($cross, $channel)) / 5 + 12), $light, 1e-12);
            }
        }
    }

    /** @return list<array{int, int}> */
    public static function seeds(): array
    {
        return [[1, 0], [2, 1], [3, 2], [4, 3], [5, 4], [6, 5]];
    }

    #[DataProvider('seeds')]
    public function test_units_that_lie_otherwise_are_named_and_no_others(int $seed, int $which): void
    {
        $face = Blocks::construction(Blocks::generated($seed, 3, 3 + $seed % 2))->face;
        $units = array_values(array_filter($face->whole->parts, static fn ($part): bool => $part instanceof PlacedUnit));
        $laid = $expected = [];
        foreach ([[$which, new Placement(Turn::Half)], [$which + 2, new Placement(Turn::None, true)]] as [$number, $by]) {
            $unit = $units[$number];
            $moved = UnitFace::of($unit)->moved($by);
            if ($moved->look() !== UnitFace::of($unit)->look()) {
                $laid[$unit->cell->row.','.$unit->cell->column] = $moved;
                // What a mirror does, a turn often does as well.
                $isTurned = array_filter(Turn::cases(), static fn (Turn $turn): bool => (! $turn->swapsSides() || abs($unit->ratio() - 1) < 1e-9) && UnitFace::of($unit)->moved(new Placement($turn))->look() === $moved->look()) !== [];
                $expected[$unit->cell->row.','.$unit->cell->column] = $by->mirrored && ! $isTurned ? Verdict::Mirrored : Verdict::Turned;
            }
        }
        [$photo, $corners] = Painted::block($face, $laid, $seed);
        foreach ([$corners, null] as $given) {
            $reading = PhotoReader::read($face, $photo, $given);
            $wrong = [];
            foreach ($reading->cells as $cell) {
                if ($cell->verdict !== Verdict::AsDrawn) {
                    $wrong["$cell->row,$cell->column"] = $cell->verdict;
                }
            }
            self::assertEquals($expected, $wrong);
            self::assertCount(count($units), $reading->cells);
            foreach ($corners as $i => $corner) {
                self::assertEqualsWithDelta($corner, $reading->corners[$i], 9);
            }
            // Every unit is outlined where it lies.
            $laying = new Laying($face, [0.25, 0.25]);
            $plane = Homography::fromRectangle($laying->width, $laying->height, [$corners[0], $corners[1], $corners[2], $corners[3]]);
            foreach ($laying->units as $i => $place) {
                foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as $n => [$x, $y]) {
                    self::assertEqualsWithDelta($plane->at($place['left'] + $x * $place['width'], $place['top'] + $y * $place['height']), $reading->cells[$i]->corners[$n], 9, "corner $n of unit $i");
                }
            }
        }
    }

    public function test_a_unit_that_the_block_does_not_have_is_another_unit(): void
    {
        $face = Blocks::construction(Blocks::inwardGeese())->face;
        [$photo, $corners] = Painted::block($face, ['1,2' => new UnitFace([['B', [[0, 0], [1, 0], [1, 1], [0, 1]]]])], 3);
        $cells = PhotoReader::read($face, $photo, $corners)->cells;
        self::assertSame([Verdict::AnotherUnit], array_values(array_map(static fn ($cell) => $cell->verdict, array_filter($cells, static fn ($cell): bool => $cell->verdict !== Verdict::AsDrawn))));
        self::assertSame([[1, 2]], array_values(array_map(static fn ($cell) => [$cell->row, $cell->column], array_filter($cells, static fn ($cell): bool => $cell->verdict->isWrong()))));
    }

    public function test_another_block_is_refused(): void
    {
        $face = Face::of(BlockFile::read(Blocks::generated(8, 4, 4)));
        [$photo, $corners] = Painted::block(Face::of(BlockFile::read(Blocks::generated(15, 3, 3))), [], 1);
        $this->expectExceptionObject(PhotoNotReadable::otherBlock('Test block'));
        PhotoReader::read($face, $photo, $corners);
    }

    public function test_corners_are_found_within_a_few_pixels_on_any_table(): void
    {
        foreach ([7, 8, 9, 10] as $seed) {
            $face = Blocks::construction(Blocks::generated($seed, 4, 3))->face;
            [$photo, $corners] = Painted::block($face, [], $seed);
            foreach (CornerFinder::find($photo) as $i => $corner) {
                self::assertLessThan(6, hypot($corner[0] - $corners[$i][0], $corner[1] - $corners[$i][1]), "corner $i of seed $seed");
            }
        }
        $this->expectExceptionObject(PhotoNotReadable::cornersNotFound());
        CornerFinder::find(new Photograph(300, 200, str_repeat("\x80\x70\x60", 300 * 200)));
    }

    public function test_a_plane_is_seen_straight_and_corners_on_a_line_are_none(): void
    {
        $seen = [[10.0, 20.0], [210.0, 40.0], [190.0, 180.0], [30.0, 150.0]];
        $plane = Homography::fromRectangle(8, 6, $seen);
        foreach ([[0, 0], [8, 0], [8, 6], [0, 6]] as $i => [$x, $y]) {
            self::assertEqualsWithDelta($seen[$i], $plane->at($x, $y), 1e-6);
        }
        // The middle lies where the diagonals cross, whatever the slant.
        [$x, $y] = $plane->at(4, 3);
        foreach ([[0, 2], [1, 3]] as [$a, $b]) {
            self::assertEqualsWithDelta(0, ($seen[$b][0] - $seen[$a][0]) * ($y - $seen[$a][1]) - ($seen[$b][1] - $seen[$a][1]) * ($x - $seen[$a][0]), 1e-6);
        }
        foreach ([[[0, 0], [10, 10], [20, 20], [30, 30]], [[10, 20], [30, 150], [190, 180], [210, 40]]] as $spoilt) {
            try {
                Homography::fromRectangle(1, 1, $spoilt);
                self::fail('these make no block');
            } catch (PhotoNotReadable $problem) {
                self::assertSame('photo-corners', $problem->problemCode());
            }
        }
    }

    public function test_a_model_is_fitted_and_what_weighs_nothing_is_passed_over(): void
    {
        $terms = $values = $weights = [];
        foreach (range(0, 19) as $i) {
            [$x, $y] = [$i % 5 - 2.0, intdiv($i, 5) * 1.0];
            $terms[] = [1.0, $x, $y];
            $values[] = $i === 7 ? 1000.0 : 3.0 - 2.0 * $x + 0.5 * $y;
            $weights[] = $i === 7 ? 0.0 : 1.0 + $i % 3;
        }
        self::assertEqualsWithDelta([3.0, -2.0, 0.5], LeastSquares::solve($terms, $values, $weights), 1e-4);
    }

    public function test_the_light_is_learnt_although_some_cloth_lies_wrong(): void
    {
        $files = ['A' => [5.0, 5.0, 5.0], 'B' => [3.5, 3.0, 4.0]];
        $seen = [];
        for ($i = 0; $i < 30; ++$i) {
            [$x, $y, $key] = [($i % 6) / 2.5 - 1, intdiv($i, 6) / 2 - 1, $i % 2 === 0 ? 'A' : 'B'];
            $at = array_map(static fn (float $own): float => $own - 0.3 + 0.25 * $x - 0.1 * $y, $files[$i === 4 || $i === 11 ? ($key === 'A' ? 'B' : 'A') : $key]);
            $seen[] = ['fabric' => $key, 'x' => $x, 'y' => $y, 'places' => 9, 'lights' => array_fill(0, 9, $at)];
        }
        $light = Light::learnt($seen, $files);
        foreach (['A', 'B'] as $key) {
            foreach ([[-0.8, 0.3], [0.5, -0.9]] as [$x, $y]) {
                self::assertEqualsWithDelta(array_map(static fn (float $own): float => $own - 0.3 + 0.25 * $x - 0.1 * $y, $files[$key]), $light->of($key, $x, $y), 0.05);
            }
        }
        self::assertLessThan(0.1, $light->misfit);
        self::assertSame([true, false], [$light->isSeen('A'), $light->isSeen('C')]);
    }

    public function test_units_lie_apart_by_their_allowances_and_the_gap(): void
    {
        $face = Blocks::of('pA pB', 'pB pA');
        $face = Face::of($face);
        [$wide, $high] = $face->finishedSize();
        $apart = new Laying($face, [0.5, [0.25]]);
        self::assertEqualsWithDelta([$wide + 4 * 0.25 + 0.5, $high + 4 * 0.25 + 0.25], [$apart->width, $apart->height], 1e-9);
        self::assertEqualsWithDelta([0.25, 0.25], [$apart->units[0]['left'], $apart->units[0]['top']], 1e-9);
        self::assertEqualsWithDelta([$wide / 2 + 1.25, $high / 2 + 1.0], [$apart->units[3]['left'], $apart->units[3]['top']], 1e-9);
        $sewn = new Laying($face, [-0.5, -0.5]);
        self::assertEqualsWithDelta([$wide + 0.5, $high + 0.5, $wide / 2 + 0.25], [$sewn->width, $sewn->height, $sewn->units[3]['left']], 1e-9);
    }

    public function test_faces_that_show_the_same_look_the_same(): void
    {
        $looks = [];
        foreach ([['A', 'B'], ['A', 'A']] as [$one, $other]) {
            $face = new UnitFace([[$one, [[0, 0], [1, 0], [0, 1]]], [$other, [[1, 0], [1, 1], [0, 1]]]]);
            foreach ([false, true] as $isMirrored) {
                foreach (Turn::cases() as $turn) {
                    $looks[$one.$other][] = $face->moved(new Placement($turn, $isMirrored))->look();
                }
            }
        }
        self::assertSame([4, 1], array_map(static fn (array $all): int => count(array_unique($all)), array_values($looks)));
        $face = new UnitFace([['A', [[0, 0], [1, 0], [0, 1]]], ['B', [[1, 0], [1, 1], [0, 1]]]]);
        self::assertSame(['A', 'B', ''], [$face->fabricAt(0.2, 0.3), $face->fabricAt(0.9, 0.8), $face->fabricAt(1.2, 0.5)]);
        self::assertSame(['A', 'B'], [$face->moved(new Placement(Turn::Quarter))->fabricAt(0.9, 0.1), $face->moved(new Placement(Turn::Quarter))->fabricAt(0.1, 0.9)]);
    }

    public function test_what_is_said_says_what_to_do(): void
    {
        $drawn = new Placement(Turn::Quarter);
        $said = static fn (Verdict $verdict, Turn $seen): string => PhotoWords::of($verdict, new Placement($seen), $drawn);
        self::assertSame(['Turn it a quarter to the right.', 'Turn it half round.', 'Turn it a quarter to the left.'], [$said(Verdict::Turned, Turn::None), $said(Verdict::Turned, Turn::ThreeQuarters), $said(Verdict::Turned, Turn::Half)]);
        [$right, $wrong, $unsure] = [Verdict::AsDrawn, Verdict::Mirrored, Verdict::Unsure];
        self::assertSame(
            ['All 2 units look as they are drawn.', 'It looks as it is drawn.', '1 unit does not lie as drawn.', '2 units do not lie as drawn. Of 1 unit the picture does not tell.', 'Of 2 units the picture does not tell.', ''],
            array_map(PhotoWords::summary(...), [[$right, $right], [$right], [$right, $wrong], [$wrong, $wrong, $unsure], [$unsure, $unsure], []]),
        );
    }

    public function test_fabrics_that_read_alike_in_grey_are_told(): void
    {
        $file = Blocks::file('hAB hBA', 'hBA hAB');
        $file['fabrics'][0]['color'] = '#5a8f5a';
        $file['fabrics'][1]['color'] = '#b06a6a';
        $face = Face::of(BlockFile::read($file));
        [$photo, $corners] = Painted::block($face, [], 0);
        self::assertSame([['A', 'B']], array_map(static fn (array $pair): array => [$pair[0], $pair[1]], PhotoReader::read($face, $photo, $corners)->alike));
        $file['fabrics'][1]['color'] = '#602020';
        $face = Face::of(BlockFile::read($file));
        [$photo, $corners] = Painted::block($face, [], 0);
        self::assertSame([], PhotoReader::read($face, $photo, $corners)->alike);
    }
}
