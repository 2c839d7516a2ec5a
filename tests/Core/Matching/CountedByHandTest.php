<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\MarkKind;
use KeenSeam\Core\Matching\MarkSide;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\Scatter;
use KeenSeam\Core\Matching\SeamsAcross;
use KeenSeam\Core\Matching\Sensitivity;
use KeenSeam\Core\Matching\Spread;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Matching\Verdict;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** What can be counted on the fingers: chances, seams across a part, the risk of a join, the least work that mends it. */
final class CountedByHandTest extends TestCase
{
    public function test_independent_errors_add_as_the_root_of_their_squares(): void
    {
        // 1 of the stitching, 2 of each of two cut edges, 4 of the fold.
        self::assertEqualsWithDelta([5.0, 3.0], [(new Scatter(1, 2, 4))->ofSeam(false), (new Scatter(1, 2, 4))->ofSeam(true)], 1e-12);
        self::assertEqualsWithDelta(sqrt(0.25 + 8 + 16), (new Scatter(1, 2, 4))->sewnTwiceAsEvenly()->ofSeam(false), 1e-12);
    }

    public function test_a_row_comes_out_by_the_root_of_its_seams_and_the_chance_by_the_bell(): void
    {
        $plan = self::plan(Blocks::file('pA pB pA pB pA'));
        $spread = Spread::of(Sensitivity::of($plan, SquareUp::Units), new Scatter(1 / 32, 0.0), 1 / 16, runs: 4000);

        // Four seams of 1/32 in each: the width scatters by twice that, so two standard deviations hold 95 of 100.
        self::assertEqualsWithDelta([1 / 16, 0.0], $spread->sizes, 1e-9);
        self::assertEqualsWithDelta(0.6827, $spread->block, 0.03);
        self::assertEqualsWithDelta(sqrt($spread->block * (1 - $spread->block) / 4000), $spread->error, 1e-12);
    }

    public function test_nothing_goes_wrong_where_anything_is_good_enough_and_nothing_is_right_where_nothing_is(): void
    {
        $sensitivity = Sensitivity::of(self::plan(Blocks::file('pA pB pA', 'pB pA pB')), SquareUp::Units);
        $easy = Spread::of($sensitivity, new Scatter(1 / 32, 1 / 64), 100.0, runs: 20);
        $hard = Spread::of($sensitivity, new Scatter(1 / 32, 1 / 64), 0.0, runs: 20);

        self::assertSame([1.0, 0.0], [$easy->block, $easy->error]);
        self::assertSame(0.0, $hard->block);
        self::assertSame([1.0], array_values(array_unique($easy->joins)));
        $last = array_key_last($hard->joins);
        self::assertSame(0.0, $hard->joins[$last]);
    }

    public function test_a_seam_that_is_opened_loses_nothing_in_the_turn_of_the_cloth(): void
    {
        $sensitivity = Sensitivity::of(self::plan(Blocks::file('pA pB pA')), SquareUp::Units);
        $width = static fn (array $opened): float => Spread::of($sensitivity, new Scatter(3.0, 0.0, 4.0), 1.0, $opened, runs: 1)->sizes[0];

        // Two seams of three, and of the four of their folds: five each, or three.
        self::assertEqualsWithDelta([sqrt(50), sqrt(34), sqrt(18)], [$width([]), $width([1]), $width([0, 1])], 1e-9);
        self::assertEqualsWithDelta(sqrt(18), Spread::of(Sensitivity::of(self::plan(Blocks::file('pA pB pA'), PressStyle::Open), SquareUp::Units), new Scatter(3.0, 0.0, 4.0), 1.0, runs: 1)->sizes[0], 1e-9);
        // Each seam takes from the width once, and from nothing else here.
        self::assertEqualsWithDelta([1.0, 2.0, 0.0], [$sensitivity->weight([0]), $sensitivity->weight([0, 1]), $sensitivity->weight([])], 1e-9);
    }

    public function test_seams_across_a_part_are_those_a_ruler_would_cross(): void
    {
        for ($seed = 1; $seed <= 10; ++$seed) {
            $rows = array_map(static fn (int $r): string => implode(' ', array_map(static fn (int $c): string => ['pA', 'pB', 'hAB'][($seed * 7 + $r * 3 + $c * $c) % 3], range(0, $seed % 4 + 1))), range(0, $seed % 3 + 1));
            $construction = Blocks::sewn(...$rows);
            $plan = self::plan(Blocks::file(...$rows));
            foreach ($construction->joins as $join) {
                if ($join->tie !== null) {
                    self::assertSame([0.0, 0.0], SeamsAcross::of($plan, $join, SquareUp::Units));
                    self::assertEqualsWithDelta([sqrt(0.5), sqrt(0.5)], SeamsAcross::of($plan, $join, SquareUp::None), 1e-5, 'a slanting seam takes from both ways');
                    continue;
                }
                $cells = array_filter($construction->face->whole->parts, static fn ($unit): bool => in_array($unit->patches()[0]->id, $join->patchIds(), true));
                $starts = static fn (string $axis): int => count(array_unique(array_map(static fn ($unit): int => $unit->outline->corner()->{$axis}, $cells)));
                $straight = [$starts('x') - 1.0, $starts('y') - 1.0];
                self::assertSame($straight, SeamsAcross::of($plan, $join, SquareUp::Units));
                $isSlanted = array_filter($cells, static fn ($unit): bool => count($unit->patches()) > 1) !== [];
                $across = SeamsAcross::of($plan, $join, SquareUp::None);
                foreach ($across as $side => $seams) {
                    self::assertEqualsWithDelta($straight[$side], min($straight[$side], $seams), 1e-5, 'slanting seams take what they take besides');
                }
                $isSlanted || self::assertSame($straight, $across);
            }
        }
    }

    public function test_the_risk_of_a_join_is_the_sum_of_what_can_go_wrong(): void
    {
        foreach ([Blocks::file('tABB hAB90 pA', 'pA hBA pB', 'dABBBB pA hAB'), Blocks::generated(3, 3, 3), Blocks::generated(5, 3, 2)] as $file) {
            foreach ([PressStyle::Nest, PressStyle::Mixed, PressStyle::Open] as $style) {
                $plan = self::plan($file, $style);
                $drift = new Drift($plan, Fraction::of(17, 32), SquareUp::None);
                foreach ($drift->sheets as $sheet) {
                    $tolerance = Tolerance::usual(LengthUnit::Inch);
                    $expected = ['none' => 0, 'left' => 1, 'right' => 1, 'both' => 2][$sheet->bias];
                    foreach ($sheet->marks as $mark) {
                        $expected += in_array(MarkSide::Tip, [$mark->left, $mark->right], true) ? 2 : 0;
                        $expected += $mark->kind === MarkKind::Match ? 2 : 0;
                        $expected += match ($mark->nest) {
                            Nesting::Stacked => 3,
                            Nesting::Lopsided, Nesting::Flat => 1,
                            default => 0,
                        };
                        $expected += $mark->miss === null ? 0 : ['leave' => 0, 'ease' => 2, 'unpick' => 6][abs($mark->miss) <= 1 / 32 + 1e-9 ? 'leave' : (abs($mark->miss) <= 1 / 8 + 1e-9 ? 'ease' : 'unpick')];
                    }
                    self::assertSame($expected, Hold::risk($sheet, $tolerance));
                }
            }
        }
    }

    public function test_allowances_against_the_feed_are_those_that_point_to_the_start(): void
    {
        $parts = ['row 1', 'row 2'];
        $seen = [];
        foreach ([Blocks::file('pA pB pA', 'pB pA pB'), Blocks::generated(2, 3, 3)] as $file) {
            foreach ((new Drift(self::plan($file), Fraction::of(1, 2), SquareUp::Units))->sheets as $sheet) {
                foreach ($sheet->marks as $mark) {
                    $against = array_values(array_filter([0, 1], static fn (int $side): bool => ($mark->towardStart[$side] ?? null) === true));
                    $seen[count($against)] = true;
                    $words = Hold::feedWords($mark, $parts);
                    match (count($against)) {
                        0 => self::assertSame('', $words),
                        1 => self::assertStringStartsWith('The allowance of '.$parts[$against[0]].' lies against the feed', $words),
                        default => self::assertStringStartsWith('Both allowances lie against the feed', $words),
                    };
                }
            }
        }
        self::assertArrayHasKey(1, $seen);
    }

    public function test_the_least_work_is_to_trim_before_to_unpick_before_to_make_again(): void
    {
        $plan = self::plan(Blocks::file('pA pB pA', 'pB pA pB', 'pA pB pA'));
        $first = array_values(array_filter($plan->construction->joins, static fn (Join $join): bool => count($join->patchIds()) === 3))[0];
        $told = static fn (string $by, int $numerator = 1, int $denominator = 2): array => Remedy::find($plan, Fraction::of($numerator, $denominator), SquareUp::Units, [$first->id => [6.5 + (float) $by, 2.5]], Tolerance::usual(LengthUnit::Inch))->deeds;

        self::assertSame([['do' => 'trim', 'join' => $first->id]], $told('0.5'), 'a row too long is trimmed');
        self::assertSame([['do' => 'remake', 'join' => $first->id]], $told('-0.5'), 'one too short cannot be');
        self::assertSame([], $told('0.03'));
    }

    public function test_verdicts_at_the_very_limits(): void
    {
        $usual = Tolerance::usual(LengthUnit::Inch);
        self::assertSame([Verdict::Leave, Verdict::Ease, Verdict::Ease, Verdict::Unpick], array_map($usual->verdict(...), [1 / 32, 1 / 32 + 1e-6, -1 / 8, 1 / 8 + 1e-6]));
    }

    public function test_parts_that_came_out_larger_move_what_lies_on_their_far_side_by_all_of_it(): void
    {
        // Two rows of three; the first measured a quarter inch wider: its crossings are off by a third and two thirds of it.
        $plan = self::plan(Blocks::file('pA pB pA', 'pB pA pB'));
        $row = array_values(array_filter($plan->construction->joins, static fn (Join $join): bool => count($join->patchIds()) === 3))[0];
        $sheets = (new Drift($plan, Fraction::of(1, 2), SquareUp::Units, [], [$row->id => [6.75, 2.5]]))->sheets;
        $last = end($sheets);
        self::assertInstanceOf(JoinSheet::class, $last);
        self::assertEqualsWithDelta(0.25, abs($last->endsDiffer()), 1e-9);
        $misses = array_map(static fn (Mark $mark): float => round(abs($mark->miss ?? 0.0), 6), $last->marks);
        sort($misses);
        self::assertGreaterThan(0.0, $misses[0]);
        self::assertEqualsWithDelta(0.25, array_sum($misses), 1e-6, 'the first and the second crossing share the quarter');
        self::assertLessThan(0.25, max($misses));
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file, PressStyle $style = PressStyle::Nest): PressingPlan
    {
        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion($style));
    }
}
