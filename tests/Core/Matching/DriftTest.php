<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\Internal\RealAssembly;
use KeenSeam\Core\Matching\Internal\RealEdge;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\MarkSide;
use KeenSeam\Core\Matching\SeamTest;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Matching\TakeUpNotLikely;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class DriftTest extends TestCase
{
    public function test_a_row_of_n_pieces_comes_out_at_its_cut_widths_less_n_minus_one_take_ups(): void
    {
        foreach ([2, 3, 5, 8] as $n) {
            foreach ([[15, 32], [1, 2], [17, 32], [9, 16]] as $takeUp) {
                $u = Fraction::of(...$takeUp);
                $drift = self::drift(Blocks::file(implode(' ', array_fill(0, $n, 'pA'))), $u, SquareUp::None);

                self::assertEqualsWithDelta($n * 2.5 - ($n - 1) * $u->toFloat(), $drift->expected[0], 1e-9);
                self::assertEqualsWithDelta(2.5, $drift->expected[1], 1e-9);
            }
        }
    }

    public function test_two_rows_with_n_and_m_seams_before_a_crossing_miss_by_their_difference_times_the_error(): void
    {
        // Above: two cells of 4 in; below: the same width in four cells of 2 in. They cross in the middle, after one and after two seams.
        $file = Blocks::file('pA pA pB pB', 'pA pB pA pB');
        $file['cells'] = [
            ['row' => 1, 'column' => 1, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']], ['row' => 1, 'column' => 3, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['B']],
            ...array_slice($file['cells'], 4),
        ];
        $error = 1 / 32;
        $sheets = self::drift($file, Fraction::of(17, 32))->sheets;
        $last = $sheets[count($sheets) - 1];
        $crossing = array_values(array_filter($last->marks, static fn (Mark $mark): bool => $mark->miss !== null))[0];

        // Half of a seam's error lies on each side of it: 1 - 1/2 and 2 - 1/2 errors.
        self::assertEqualsWithDelta($error, $crossing->miss, 1e-9);
        self::assertEqualsWithDelta([4.25 - $error / 2, 4.25 - 3 * $error / 2], $crossing->fromEdge, 1e-9);
        self::assertEqualsWithDelta(2 * $error, $last->endsDiffer(), 1e-9);
    }

    public function test_a_unit_that_came_out_small_is_shorter_on_every_side_and_moves_what_follows(): void
    {
        $plan = (new PressingPlanner(Blocks::sewn('hAB pA', 'pB pA')))->best(new PressQuestion(PressStyle::Nest));
        $by = 1 / 8;
        $drift = new Drift($plan, Fraction::of(1, 2), SquareUp::Units, [], [0 => [2.5 - $by, 2.5 - $by]]);
        [, $inRow, , $last] = $drift->sheets;

        self::assertEqualsWithDelta([2 - $by, 2.0], $inRow->real, 1e-9, 'its edge in the row');
        self::assertEqualsWithDelta([4 - $by, 4.0], $last->real, 1e-9, 'the row that it is in');
        self::assertEqualsWithDelta(-$by, $last->marks[0]->miss, 1e-9, 'the crossing comes early by all of it');
        self::assertEqualsWithDelta([4.5 - $by, 4.5 - $by / 2], $drift->expected, 1e-9, 'the seam between the rows lies in the middle of what is uneven');
    }

    public function test_a_part_that_is_moved_or_stretched_as_a_whole_takes_its_corners_along(): void
    {
        foreach (range(1, 6) as $seed) {
            $construction = Construction::of(Face::of(BlockFile::read(Blocks::slantedPatches($seed, 9))), Order::Rows);
            $patches = array_column($construction->face->patches, null, 'id');
            foreach ($construction->joins as $join) {
                [$tx, $ty] = RealAssembly::along($join);
                foreach ($join->children() as $part) {
                    $edge = static fn (array $moved): RealEdge => new RealEdge($part, array_fill_keys($part->patchIds(), $moved), $patches, $join);
                    foreach ([$join->seam->from, $join->seam->to] as $end) {
                        self::assertEqualsWithDelta(0.3 * $tx - 0.2 * $ty, $edge([0.3, -0.2, 0.0, 0.0])->endShift($end), 1e-9, 'moved');
                        self::assertEqualsWithDelta(0.01 * ($end->x * $tx + $end->y * $ty), $edge([0.0, 0.0, 0.01, 0.01])->endShift($end), 1e-9, 'stretched');
                    }
                }
            }
        }
    }

    public function test_a_row_that_came_out_small_is_so_evenly(): void
    {
        $plan = (new PressingPlanner(Blocks::sewn('pA pB pA pB', 'pB pA pB pA')))->best(new PressQuestion(PressStyle::Nest));
        $drift = new Drift($plan, Fraction::of(1, 2), SquareUp::Units, [], [2 => [8.5 - 1 / 4, 2.5]]);
        $last = $drift->sheets[count($drift->sheets) - 1];

        self::assertEqualsWithDelta([-1 / 16, -1 / 8, -3 / 16], array_map(static fn (Mark $mark): ?float => $mark->miss, $last->marks), 1e-9);
    }

    public function test_squaring_up_units_removes_what_units_added(): void
    {
        $file = Blocks::file('qABAB hAB', 'hAB qABAB');
        $error = 1 / 16;
        $squared = self::drift($file, Fraction::of(9, 16));
        self::assertEqualsWithDelta([4.5 - $error, 4.5 - $error], $squared->expected, 1e-9);
        self::assertLessThan($squared->expected[0], self::drift($file, Fraction::of(9, 16), SquareUp::None)->expected[0]);
    }

    public function test_with_the_ideal_take_up_everything_meets(): void
    {
        foreach (Order::cases() as $order) {
            for ($seed = 0; $seed < 6; ++$seed) {
                $file = Blocks::generated($seed, 3, 3);
                try {
                    $drift = self::drift($file, Fraction::of(1, 2), SquareUp::None, $order);
                } catch (\KeenSeam\Core\Assembly\OrderNotPossible|\KeenSeam\Core\Assembly\SetInSeamNeeded) {
                    continue;
                }
                foreach ($drift->sheets as $sheet) {
                    foreach ($sheet->marks as $mark) {
                        self::assertEqualsWithDelta(0.0, $mark->miss ?? 0.0, 1e-9);
                    }
                }
                self::assertEqualsWithDelta(6.5, $drift->expected[1], 1e-9);
            }
        }
    }

    public function test_the_marks_are_those_found_from_the_patches_alone(): void
    {
        for ($seed = 0; $seed < 10; ++$seed) {
            $file = Blocks::generated($seed, 3, 3);
            $face = Face::of(BlockFile::read($file));
            foreach (self::drift($file, Fraction::of(1, 2))->sheets as $sheet) {
                $told = array_map(static fn (Mark $mark): string => $mark->at->key().' '.$mark->left->value.' '.$mark->right->value, $sheet->marks);
                sort($told);
                self::assertSame(self::marksFrom($face, $sheet->join), $told, "seed $seed, join {$sheet->join->id}");
            }
        }
    }

    /** One of each kind, worked by hand: a goose over plain cloth and a half square beside it, allowances of 1/4 in. */
    public function test_each_kind_of_mark(): void
    {
        $file = Blocks::file('pA pA hAB', 'pA pB pA');
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'column_span' => 2, 'unit' => 'flying-geese', 'turn' => 180, 'fabrics' => ['B', 'A', 'A']];
        unset($file['cells'][1]);
        $file['cells'] = array_values($file['cells']);
        $sheets = self::drift($file, Fraction::of(1, 2))->sheets;
        $last = $sheets[count($sheets) - 1];

        // From the raw edge: the goose's tip over the seam below at 2 1/4; its row's seam at 4 1/4 over a seam again.
        self::assertSame(
            [['2 1/4', 'tip', 'seam', 'match'], ['4 1/4', 'tip', 'seam', 'match']],
            array_map(static fn (Mark $mark): array => [Amount::text($mark->fromEdge[0]), $mark->left->value, $mark->right->value, $mark->kind->value], $last->marks),
        );
        self::assertSame(['left', 'none', '6 1/2', '6 1/2', '0'], [$last->up, $last->bias, ...array_map(Amount::text(...), $last->raw), Amount::text($last->endsDiffer())]);
        $diagonal = $sheets[2];
        self::assertSame(['both', []], [$diagonal->bias, $diagonal->marks], 'a half square is sewn on two bias edges with nothing to match');

        $tip = self::drift(['finished' => ['width' => '4', 'height' => '4'], 'rows' => ['1', '1'], 'columns' => ['1']] + Blocks::file('gABB180', 'pC'), Fraction::of(1, 2))->sheets[2];
        self::assertSame([['2 1/4', 'tip', 'plain', 'tip', null]], array_map(static fn (Mark $mark): array => [Amount::text($mark->fromEdge[0]), $mark->left->value, $mark->right->value, $mark->kind->value, $mark->miss], $tip->marks));
        $floating = self::drift(['cells' => [['row' => 1, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['A']], ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['B']], ['row' => 2, 'column' => 1, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['C']]]] + Blocks::file('pA pB', 'pC pC'), Fraction::of(1, 2))->sheets[1];
        self::assertSame([['2 1/4', 'seam', 'plain', 'floating']], array_map(static fn (Mark $mark): array => [Amount::text($mark->fromEdge[0]), $mark->left->value, $mark->right->value, $mark->kind->value], $floating->marks));
    }

    public function test_a_square_on_its_point_is_cut_on_the_grain_and_its_corners_are_not(): void
    {
        $sheets = self::drift(Blocks::file('dABBBB'), Fraction::of(1, 2))->sheets;

        self::assertContains($sheets[0]->bias, ['left', 'right']);
        self::assertSame('either', $sheets[0]->up);
    }

    public function test_amounts_are_whole_sixty_fourths_or_six_decimals(): void
    {
        self::assertSame(['2 7/8', '≈2 3/16', '-1/32', '≈0'], array_map(static fn (float $amount): string => Amount::rounded($amount, LengthUnit::Inch), [2.875, 2.174556, -1 / 32, 0.004]));
        self::assertSame(['2 7/8', '0', '-1/64', '3.535534', '-0.010000'], array_map(Amount::text(...), [2.875, 0.0, -1 / 64, 2.5 * M_SQRT2, -0.01]));
    }

    public function test_a_slip_of_the_pen_is_questioned(): void
    {
        $block = Blocks::of('pA pA');
        self::assertTrue(TakeUp::read('17/32', $block)->equals(Fraction::of(17, 32)));
        $this->expectException(TakeUpNotLikely::class);
        $this->expectExceptionMessage('"12" is not likely');
        TakeUp::read('12', $block);
    }

    public function test_three_strips_of_one_and_a_half_come_out_at_three_and_a_half(): void
    {
        // Common practice, no published source: three 1 1/2 in strips sewn side by side are 3 1/2 in wide, the middle one shows 1 in.
        [$width, $ideal] = [Fraction::of(3, 2), Fraction::of(1, 2)];
        $test = SeamTest::of(3, $width, Fraction::of(7, 2), $ideal, LengthUnit::Inch);
        self::assertTrue($test->takeUp->equals($ideal));
        self::assertSame('Your seams take exactly what they should. Leave the guide where it is.', $test->words($ideal, LengthUnit::Inch));
        self::assertSame('Each seam takes 1/16 in too little. Move the guide 1/32 in away from the needle.', SeamTest::of(3, $width, Fraction::of(29, 8), $ideal, LengthUnit::Inch)->words($ideal, LengthUnit::Inch));
        $this->expectExceptionMessage('3 strips of 1 1/2 in come out near 3 1/2 in; "12" is not likely.');
        SeamTest::of(3, $width, Fraction::of(12), $ideal, LengthUnit::Inch);
    }

    public function test_how_the_ends_of_a_goose_are_laid_and_what_stays_after_the_seam(): void
    {
        $names = ['the goose', 'the sky'];
        $sheets = self::drift(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('gABB'), Fraction::of(1, 2))->sheets;
        // Worked by hand: at the base both corners have 45 degrees; at the peak the goose has 90, after its first seam 135.
        self::assertSame([
            'At the upper end the goose hangs over by ≈11/32 in and nothing lines up: lay the parts by the other end.',
            'At the lower end both are level: lay them so.',
            'Both ends are sharp: begin on a scrap of leader cloth.',
            'Once it is open, the ear at the lower end may be clipped.',
            'What hangs over at the upper end must stay: it becomes the allowance of the point there.',
        ], Hold::notes($sheets[0], false, LengthUnit::Inch, $names));
        self::assertContains('At the upper end the sky hangs over by 1/2 in: the needle goes through the V where the two raw edges cross.', Hold::notes($sheets[1], false, LengthUnit::Inch, $names));
        self::assertContains('Both ends are level: lay them so.', Hold::notes(self::drift(Blocks::file('hAB'), Fraction::of(1, 2))->sheets[0], false, LengthUnit::Inch, $names));
        $plain = self::drift(Blocks::file('pA pB'), Fraction::of(1, 2))->sheets[0];
        self::assertSame([[], 1], [Hold::notes($plain, false, LengthUnit::Inch, $names), count(Hold::notes($plain, true, LengthUnit::Inch, $names))]);
    }

    public function test_a_miss_is_left_eased_or_unpicked(): void
    {
        self::assertSame(['leave', 'leave', 'ease', 'ease', 'unpick'], array_map(static fn (float $miss): string => Tolerance::usual(LengthUnit::Inch)->verdict($miss)->value, [0.0, 1 / 32, -1 / 16, 1 / 8, 3 / 16]));
    }

    /** @param array<string, mixed> $file */
    private static function drift(array $file, Fraction $takeUp, SquareUp $squareUp = SquareUp::Units, Order $order = Order::Rows): Drift
    {
        $plan = (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), $order)))->best(new PressQuestion(PressStyle::Nest));

        return new Drift($plan, $takeUp, $squareUp);
    }

    /** @return list<string> */
    private static function marksFrom(Face $face, Join $join): array
    {
        $corners = [];
        $edges = [];
        foreach (['left' => $join->left->patchIds(), 'right' => $join->right->patchIds()] as $side => $ids) {
            foreach ($ids as $id) {
                foreach ($face->patches[$id]->outline->edges() as [$a, $b]) {
                    if ($join->seam->containsInside($a)) {
                        $corners[$a->key()] = $a;
                    }
                    if ($join->seam->sideOf($a) === 0 && $join->seam->sideOf($b) === 0) {
                        $edges[$side][] = $id;
                    }
                }
            }
        }
        $marks = [];
        foreach ($corners as $at) {
            $of = static fn (string $side, array $ids): string => self::sideAt($face, $ids, $edges[$side] ?? [], $at);
            $marks[] = $at->key().' '.$of('left', $join->left->patchIds()).' '.$of('right', $join->right->patchIds());
        }
        sort($marks);

        return $marks;
    }

    /**
     * @param list<int> $patches
     * @param list<int> $onEdge
     */
    private static function sideAt(Face $face, array $patches, array $onEdge, Point $at): string
    {
        $touching = array_filter($patches, static fn (int $id): bool => $face->patches[$id]->outline->touches($at));
        $hasTip = array_filter($touching, static fn (int $id): bool => ! in_array($id, $onEdge, true)) !== [];

        return match (true) {
            count($touching) < 2 => MarkSide::Plain->value,
            $hasTip => MarkSide::Tip->value,
            default => MarkSide::Seam->value,
        };
    }
}
