<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\PolygonShape;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\EndLay;
use KeenSeam\Core\Matching\JoinEnd;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Where raw edges lie at every join, for blocks of any shapes. */
final class RawEdgesTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function blocks(): iterable
    {
        for ($seed = 0; $seed < 24; ++$seed) {
            yield "slanted patches, seed $seed" => [Blocks::slantedPatches($seed, 3 + $seed % 7)];
        }
        for ($seed = 0; $seed < 4; ++$seed) {
            yield "units, seed $seed" => [Blocks::generated($seed, 3, 3)];
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_sewn_true_nothing_misses_nothing_is_eased_and_the_block_has_its_size(array $file): void
    {
        foreach ([SquareUp::Units, SquareUp::None] as $squareUp) {
            $drift = new Drift((new PressingPlanner(self::construction($file)))->best(new PressQuestion(PressStyle::Open)), Fraction::of(1, 2), $squareUp);
            foreach ($drift->sheets as $sheet) {
                self::assertEqualsWithDelta(0.0, $sheet->endsDiffer(), 1e-9);
                foreach ([0, 1] as $side) {
                    self::assertEqualsWithDelta($sheet->finished + $sheet->ends[0]->reach[$side] + $sheet->ends[1]->reach[$side], $sheet->raw[$side], 1e-9);
                }
                foreach ($sheet->marks as $mark) {
                    self::assertEqualsWithDelta(0.0, $mark->miss ?? 0.0, 1e-9);
                    self::assertEqualsWithDelta($mark->fromEdge[0] - $sheet->ends[0]->reach[0], $mark->fromEdge[1] - $sheet->ends[0]->reach[1], 1e-9);
                }
            }
            self::assertEqualsWithDelta($drift->meant, $drift->expected, 1e-9);
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_an_edge_reaches_as_far_as_its_raw_outline_does(array $file): void
    {
        $sewn = self::construction($file);
        $edges = new RawEdges($sewn);
        foreach ($sewn->joins as $join) {
            [$tx, $ty] = [$join->seam->direction()->x / $join->seam->length(), $join->seam->direction()->y / $join->seam->length()];
            $steps = $sewn->face->lattice->steps;
            foreach ([$join->left, $join->right] as $side => $part) {
                // Along the raw edge that is sewn: one allowance out of the seam, on the other part's side.
                $sign = -($side === 0 ? $join->leftSide : -$join->leftSide);
                $along = [];
                foreach ($edges->outline($part) as [$x, $y]) {
                    [$dx, $dy] = [$x - $join->seam->from->x / $steps, $y - $join->seam->from->y / $steps];
                    if (abs($sign * ($tx * $dy - $ty * $dx) - 0.25) < 1e-9) {
                        $along[] = $tx * $dx + $ty * $dy;
                    }
                }
                [$start, $end] = $edges->of($join);
                self::assertEqualsWithDelta([-$start->reach[$side], $join->seam->length() / $steps + $end->reach[$side]], [min($along), max($along)], 1e-9);
            }
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_only_ears_of_templates_are_cut_off_and_what_comes_of_the_seam_keeps_its_outline(array $file): void
    {
        $sewn = self::construction($file);
        $edges = new RawEdges($sewn);
        foreach ($sewn->joins as $join) {
            foreach ($edges->of($join) as $i => $end) {
                foreach ([$join->left, $join->right] as $side => $part) {
                    $isCut = abs($end->reach[$side] - 0.25 / tan($end->angles[$side] / 2)) > 1e-9;
                    $at = $i === 0 ? $join->seam->from : $join->seam->to;
                    $touching = array_values(array_filter($part->patchIds(), static fn (int $id): bool => array_filter($sewn->face->patches[$id]->outline->points, $at->equals(...)) !== []));
                    $isTemplate = count($touching) === 1 && PolygonShape::of($sewn->face->patches[$touching[0]]->outline) === PolygonShape::Other;
                    self::assertTrue($isTemplate || ! $isCut);
                    if ($isTemplate && array_sum($end->angles) < M_PI_2 - 1e-9) {
                        self::assertTrue($isCut);
                    }
                    if ($isCut) {
                        // The cut runs on the raw edge of what the two become: no corner of the piece lies outside of that, but for its allowance of this seam.
                        $near = array_filter($edges->outline($part), static fn (array $corner): bool => hypot($corner[0] - $at->x / $sewn->face->lattice->steps, $corner[1] - $at->y / $sewn->face->lattice->steps) < 0.6);
                        foreach ($near as $corner) {
                            self::assertLessThan(1e-9, self::outside($edges->outline($join), $corner));
                        }
                    }
                }
            }
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_the_patches_of_a_part_fill_its_raw_outline(array $file): void
    {
        $sewn = self::construction($file);
        $edges = new RawEdges($sewn);
        self::assertSame($sewn->root->patchIds(), self::sorted(array_keys($edges->patches($sewn->root))));
        foreach ($sewn->joins as $join) {
            $area = array_sum(array_map(self::area(...), $edges->patches($join)));
            // Two that lean over a tip between them both reach to the edge there; nothing is ever left bare.
            self::assertGreaterThanOrEqual(self::area($edges->outline($join)) - 1e-9, $area);
        }
    }

    /** By hand: 45 with 45 degrees, 45 with 90, 45 with 135, 60 with 60. Angles in degrees, what is asked of each end. */
    public function test_ends_are_laid_by_their_angles(): void
    {
        $end = static fn (float $left, float $right): JoinEnd => new JoinEnd([deg2rad($left), deg2rad($right)], [1 / tan(deg2rad($left) / 2), 1 / tan(deg2rad($right) / 2)], [1 / sin(deg2rad($left)), 1 / sin(deg2rad($right))]);
        $told = static fn (JoinEnd $end): array => [$end->lay(), $end->hasEar(), $end->mustStay()];
        self::assertSame([EndLay::Level, true, false], $told($end(45, 45)));
        self::assertSame([EndLay::Marked, true, true], $told($end(45, 90)));
        self::assertSame([EndLay::Vee, false, false], $told($end(45, 135)));
        self::assertSame([EndLay::Level, true, true], $told($end(60, 60)));
        self::assertSame([EndLay::Marked, true, false], $told($end(30, 60)));
        self::assertSame([EndLay::Level, false, false], $told($end(90, 90)));
        self::assertSame([0, 1, 0], [$end(45, 90)->longer(), $end(90, 45)->longer(), $end(60, 60)->longer()]);
        self::assertEqualsWithDelta([M_SQRT2, deg2rad(45)], [$end(90, 45)->overhang(), $end(90, 45)->sharpness()], 1e-9);
    }

    public function test_the_blunter_end_goes_in_first_and_two_sharp_ones_follow_a_leader(): void
    {
        // A wide triangle in a square: at the peak 63 degrees, at the base 27 against 63.
        $sheets = (new Drift((new PressingPlanner(self::construction(['finished' => ['width' => '4', 'height' => '4']] + Blocks::file('tABC'))))->best(new PressQuestion(PressStyle::Nest)), Fraction::of(1, 2), SquareUp::Units))->sheets;
        self::assertSame([0, true], [$sheets[0]->firstIn(), $sheets[0]->wantsLeader()]);
        $square = (new Drift((new PressingPlanner(self::construction(Blocks::file('pA pB'))))->best(new PressQuestion(PressStyle::Nest)), Fraction::of(1, 2), SquareUp::Units))->sheets;
        self::assertSame([null, false], [$square[0]->firstIn(), $square[0]->wantsLeader()]);
    }

    /** Common practice, no published source: a wide triangle in a square, finished 4 in, is cut from cloth 4 1/2 in high; the narrow ones are each other's mirror image. */
    public function test_the_pieces_of_a_triangle_in_a_square(): void
    {
        $sewn = self::construction(['finished' => ['width' => '4', 'height' => '4']] + Blocks::file('tABC'));
        $edges = new RawEdges($sewn);
        [$wide, $left, $right] = array_map(static fn ($patch): array => $edges->outline(new Piece($patch)), $sewn->face->patches);

        self::assertEqualsWithDelta(4.5, max(array_column($wide, 1)) - min(array_column($wide, 1)), 1e-9);
        self::assertEqualsWithDelta(4.5, max(array_column($left, 1)) - min(array_column($left, 1)), 1e-9);
        self::assertEqualsWithDelta(self::area($left), self::area($right), 1e-9);
        self::assertEqualsWithDelta(max(array_column($left, 0)) - min(array_column($left, 0)), max(array_column($right, 0)) - min(array_column($right, 0)), 1e-9);
    }

    public function test_a_slanting_side_takes_the_corner_along_when_its_patch_is_moved(): void
    {
        // Two half squares beside each other make one slanting side; an error of the first seam moves the corner, not only the cloth.
        $drift = new Drift((new PressingPlanner(self::construction(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('gABB'))))->best(new PressQuestion(PressStyle::Nest)), Fraction::of(9, 16), SquareUp::None);
        // The first sky comes 1/16 in closer, so its upper edge lies 1/16 · √½ lower; the goose's own edge is shorter by that, along 45 degrees.
        self::assertEqualsWithDelta(1 / 16, abs($drift->sheets[1]->endsDiffer()), 1e-9);
        self::assertSame([], array_filter($drift->sheets[1]->marks, static fn (Mark $mark): bool => $mark->miss !== null));
    }

    /** @param array<string, mixed> $file */
    private static function construction(array $file): Construction
    {
        return Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
    }

    /**
     * How far a corner lies beyond the sides of an outline that runs clockwise with y down; below nothing inside.
     *
     * @param list<array{float, float}> $outline
     * @param array{float, float}       $corner
     */
    private static function outside(array $outline, array $corner): float
    {
        $most = -INF;
        foreach ($outline as $i => [$x, $y]) {
            [$nextX, $nextY] = $outline[($i + 1) % count($outline)];
            $most = max($most, (($nextY - $y) * ($corner[0] - $x) - ($nextX - $x) * ($corner[1] - $y)) / hypot($nextX - $x, $nextY - $y));
        }

        return $most;
    }

    /** @param list<array{float, float}> $corners */
    private static function area(array $corners): float
    {
        $sum = 0.0;
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % count($corners)];
            $sum += $x * $nextY - $y * $nextX;
        }

        return abs($sum) / 2;
    }

    /**
     * @param list<int> $ids
     *
     * @return list<int>
     */
    private static function sorted(array $ids): array
    {
        sort($ids);

        return $ids;
    }
}
