<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\RemedyWords;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\MeasuredNotLikely;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Matching\ToleranceNotUsable;
use KeenSeam\Core\Matching\Verdict;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** What a quilter is told to do at a mark, with a miss and with a measured part. Common practice, no published source. */
final class HoldTest extends TestCase
{
    public function test_crossings_are_held_as_their_ridges_lie(): void
    {
        self::assertContains('Nest the ridges with the fingers and pin on both sides of the crossing.', self::words(self::plan(PressStyle::Nest, 'pA pB', 'pB pA')));
        self::assertContains('Both are open: stab a pin through both seams, then pin on both sides.', self::words(self::plan(PressStyle::Open, 'pA pB', 'pB pA')));
    }

    public function test_a_tip_is_stabbed_and_a_seam_that_meets_nothing_is_left_alone(): void
    {
        $tips = self::words(self::plan(PressStyle::Nest, 'tABC180', 'tABC'));
        self::assertNotEmpty(array_filter($tips, static fn (string $words): bool => str_starts_with($words, 'Stab a pin straight through the tip and its partner;')));

        self::assertContains('Nothing to meet, so where it falls does no harm: keep the allowance lying its way, and do not stretch it.', self::words(self::threeOverTwo()));
    }

    public function test_a_tip_in_the_middle_of_plain_cloth_is_found_by_folding(): void
    {
        self::assertContains(
            'Fold both in half and match the middles; sew a hair to the raw-edge side of the crossing threads.',
            self::words(self::plan(PressStyle::Nest, 'pA', 'tABC')),
        );
    }

    public function test_the_part_with_more_to_steer_by_lies_on_top_and_bias_is_named(): void
    {
        $plan = self::plan(PressStyle::Nest, 'pA', 'tABC');
        $says = array_map(static fn (JoinSheet $sheet): array => Hold::manner($sheet, LengthUnit::Inch, ['row 1', 'row 2']), (new Drift($plan, TakeUp::ideal($plan->construction->face->block), SquareUp::None))->sheets);
        $last = end($says);
        self::assertNotFalse($last);
        self::assertStringStartsWith('row 2 on top: more tips and seams to steer by.', $last[0]['text']);
        self::assertSame(['care'], array_values(array_unique(array_column($last, 'wants'))));
        // A wing's seam to the middle triangle is bias on both sides.
        self::assertSame(['Either part may lie on top. Both edges are bias: handle them little, pin, do not pull.', 'Nothing to meet here but the two ends.'], array_column($says[array_key_first($says)], 'text'));
    }

    public function test_edges_that_differ_are_told_with_how_much(): void
    {
        $plan = self::threeOverTwo();
        $wide = new Drift($plan, Fraction::of(9, 16), SquareUp::None);
        $texts = array_merge(...array_map(static fn (JoinSheet $sheet): array => Hold::manner($sheet, LengthUnit::Inch, ['row 1', 'row 2']), $wide->sheets));
        self::assertContains(['text' => 'The edges differ by 1/16 in from corner to corner: pin the corners of both ends on each other and ease between.', 'wants' => 'work'], $texts);
    }

    #[DataProvider('missesTold')]
    public function test_what_a_miss_asks_for_is_told(?float $miss, string $words): void
    {
        $plan = self::plan(PressStyle::Nest, 'pA pB', 'pB pA');
        $sheets = (new Drift($plan, TakeUp::ideal($plan->construction->face->block), SquareUp::None))->sheets;
        $mark = array_merge(...array_map(static fn (JoinSheet $sheet): array => $sheet->marks, $sheets))[0];

        self::assertSame($words, Hold::missWords(new Mark(...['miss' => $miss] + get_object_vars($mark)), Tolerance::usual(LengthUnit::Inch), LengthUnit::Inch));
    }

    /** @return iterable<string, array{?float, string}> */
    public static function missesTold(): iterable
    {
        yield 'none' => [null, ''];
        yield 'so little that it is left' => [-1 / 32, ''];
        yield 'eased' => [1 / 16, 'Misses by 1/16: ease it.'];
        yield 'too much, either way' => [-1 / 4, 'Misses by 1/4: unpick a seam before it, or make its unit again.'];
    }

    #[DataProvider('misses')]
    public function test_a_miss_is_left_eased_or_mended(float $miss, Verdict $verdict): void
    {
        self::assertSame($verdict, Tolerance::usual(LengthUnit::Inch)->verdict($miss));
        self::assertSame($verdict, Tolerance::usual(LengthUnit::Inch)->verdict(-$miss));
        self::assertSame($verdict, Tolerance::usual(LengthUnit::Millimetre)->verdict($miss * 25.4));
    }

    /** @return iterable<string, array{float, Verdict}> */
    public static function misses(): iterable
    {
        yield 'nothing' => [0.0, Verdict::Leave];
        yield 'a thirty-second' => [1 / 32, Verdict::Leave];
        yield 'a sixteenth' => [1 / 16, Verdict::Ease];
        yield 'an eighth' => [1 / 8, Verdict::Ease];
        yield 'more than an eighth' => [5 / 32, Verdict::Unpick];
    }

    public function test_a_quilter_may_be_stricter_but_not_careless(): void
    {
        $strict = Tolerance::of(Length::ofInches(1, 64), Length::ofInches(1, 16), LengthUnit::Inch);
        self::assertSame([Verdict::Ease, Verdict::Unpick], [$strict->verdict(1 / 32), $strict->verdict(1 / 8)]);
        foreach ([[Length::ofInches(1, 8), Length::ofInches(1, 16)], [Length::ofInches(1, 8), Length::ofInches(5, 8)]] as [$leave, $ease]) {
            try {
                Tolerance::of($leave, $ease, LengthUnit::Inch);
                self::fail('accepted');
            } catch (ToleranceNotUsable $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
    }

    public function test_a_slip_of_the_pen_is_questioned_and_a_real_size_is_not(): void
    {
        MeasuredNotLikely::unlessNear(11.5, 12.5, '11 1/2', LengthUnit::Inch);
        $this->expectException(MeasuredNotLikely::class);
        $this->expectExceptionMessage('This should measure about 12 1/2 in; "21 1/2" is not likely. Measure again.');
        MeasuredNotLikely::unlessNear(21.5, 12.5, '21 1/2', LengthUnit::Inch);
    }

    #[DataProvider('amounts')]
    public function test_an_amount_is_written_as_a_ruler_shows_it(float $amount, LengthUnit $unit, string $rounded): void
    {
        self::assertSame($rounded, Amount::rounded($amount, $unit));
    }

    /** @return iterable<string, array{float, LengthUnit, string}> */
    public static function amounts(): iterable
    {
        yield 'a whole mark' => [2.25, LengthUnit::Inch, '2 1/4'];
        yield 'between marks' => [0.3, LengthUnit::Inch, '≈5/16'];
        yield 'less than nothing' => [-0.125, LengthUnit::Inch, '-1/8'];
        yield 'almost nothing, from below' => [-0.001, LengthUnit::Inch, '≈0'];
        yield 'half a millimetre' => [6.5, LengthUnit::Millimetre, '6 1/2'];
    }

    public function test_what_must_be_unpicked_is_named_and_what_helps_nothing_is_said_so(): void
    {
        $plan = self::plan(PressStyle::Nest, 'pA pB pA pB', 'pB pA pB pA', 'pA pB pA pB');
        $names = SeamName::all($plan->construction);
        $row = max($plan->construction->strands[0]->joins);
        $words = static fn (Fraction $takeUp, array $measured): string => RemedyWords::of(Remedy::find($plan, $takeUp, SquareUp::Units, $measured, Tolerance::usual(LengthUnit::Inch)), $names);

        self::assertSame('', $words(Fraction::of(1, 2), []));
        self::assertSame('Trim row 1; then everything can be eased.', $words(Fraction::of(1, 2), [$row => [8.75, 2.5]]));
        self::assertSame('Unpick row 1 and sew it narrower, or make it again; then everything can be eased.', $words(Fraction::of(1, 2), [$row => [8.25, 2.5]]));

        $rows = array_map(static fn ($strand): int => max($strand->joins), array_values(array_filter($plan->construction->strands, static fn ($strand): bool => $strand->depth > 0)));
        $three = $words(Fraction::of(1, 2), [$rows[0] => [8.125, 2.5], $rows[1] => [8.75, 2.5], $rows[2] => [8.0, 2.5]]);
        self::assertStringContainsString('still off by more than can be eased', $three, 'no two deeds mend three rows');
    }

    /** @return list<string> what to do at each mark of every join */
    private static function words(PressingPlan $plan): array
    {
        $drift = new Drift($plan, Fraction::of(1, 2), SquareUp::Units);

        return array_merge(...array_map(static fn (JoinSheet $sheet): array => array_map(static fn (Mark $mark): string => Hold::words($mark, $sheet), $sheet->marks), $drift->sheets));
    }

    /** Three cells over two. */
    private static function threeOverTwo(): PressingPlan
    {
        $file = Blocks::file('pA pB pA pB pA pB', 'pA pA pA pB pB pB');
        $cell = static fn (int $row, int $column, int $span, string $fabric): array => ['row' => $row, 'column' => $column, 'column_span' => $span, 'unit' => 'plain', 'fabrics' => [$fabric]];
        $file['cells'] = [$cell(1, 1, 2, 'A'), $cell(1, 3, 2, 'B'), $cell(1, 5, 2, 'A'), $cell(2, 1, 3, 'A'), $cell(2, 4, 3, 'B')];

        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));
    }

    private static function plan(PressStyle $style, string ...$rows): PressingPlan
    {
        return (new PressingPlanner(Blocks::sewn(...$rows)))->best(new PressQuestion($style));
    }
}
