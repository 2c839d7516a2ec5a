<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FabricToBuy;
use KeenSeam\Core\Making\LargestBlock;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Margins;
use KeenSeam\Core\Making\PatternCheck;
use KeenSeam\Core\Making\PatternNotReadable;
use KeenSeam\Core\Making\Precut;
use KeenSeam\Core\Making\Scaled;
use KeenSeam\Core\Making\SquaringUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Questions asked beside the cutting list: the inverse, other sizes, ready-cut pieces, a pattern's own list. */
final class AtTheTableTest extends TestCase
{
    public function test_from_squares_of_five_the_largest_split_quarter_square(): void
    {
        $file = ['finished' => ['width' => '3', 'height' => '3']] + Blocks::file('sABC');
        $largest = LargestBlock::from(self::sewn($file), Fraction::of(5), false, new CutQuestion(ways: ['U1' => 'crossed']));

        // The half-square triangle's squares grow by 2 s + 2 √2 s = 1.207 in: 3 3/4 and that is 4.957, 3 7/8 is too much.
        self::assertSame('3 3/4', $largest?->block->finishedWidth->toText());
        self::assertSame(5.0, max(array_map(static fn ($cut): float => $cut->longerSide()->toFloat(), $largest->plan->cuts)));
    }

    public function test_from_strips_only_the_shorter_side_of_a_piece_is_limited(): void
    {
        $geese = self::sewn(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('gABB'));
        $question = new CutQuestion(ways: ['U1' => 'flipped']);

        self::assertSame(['2', '2'], [LargestBlock::from($geese, Fraction::of(5, 2), true, $question)?->block->finishedHeight->toText(), LargestBlock::from($geese, Fraction::of(9, 2), false, $question)?->block->finishedHeight->toText()]);
        self::assertNull(LargestBlock::from($geese, Fraction::of(1, 4), false, $question));
    }

    /** At 20 times its size no fabric would be wide enough for one unit of 12 in: that is too large, not too small. */
    public function test_a_large_lone_unit_comes_out_smaller(): void
    {
        $from = static fn (array $file, int $side, LengthUnit $unit = LengthUnit::Inch): ?string => LargestBlock::from(self::sewn($file), Fraction::of($side), false, new CutQuestion())?->block->finishedWidth->toText($unit);
        $plain = ['finished' => ['width' => '12', 'height' => '12']] + Blocks::file('pA');
        self::assertSame(['9 1/2', '4 1/2', '41 1/2'], [$from($plain, 10), $from($plain, 5), $from($plain, 50)], 'two allowances less, and no more than 42 in of fabric');
        // No block is larger than 144 in, or 3660 mm, on its longer side.
        $many = static fn (string $width, string $height): array => ['finished' => ['width' => $width, 'height' => $height]] + Blocks::file(...array_fill(0, 12, implode(' ', array_fill(0, 12, 'pA'))));
        self::assertSame(['144', '144'], [$from($many('24', '24'), 40), $from($many('24', '12'), 40)]);
        self::assertSame('3660', $from(['units' => 'mm', 'seam_allowance' => '6'] + $many('1200', '1200'), 1000, LengthUnit::Millimetre));
    }

    /** Held against every size there is, on blocks whose cloth grows with them. */
    public function test_a_step_more_would_need_larger_cloth(): void
    {
        foreach ([2, 3] as $seed) {
            $file = ['finished' => ['width' => '6', 'height' => '6']] + Blocks::generated($seed, 2, 2);
            $sewn = self::sewn($file);
            $question = new CutQuestion();
            $needed = [];
            foreach (range(1, 64) as $eighths) {
                try {
                    $needed[$eighths] = max(array_map(static fn ($cut): float => $cut->longerSide()->toFloat(), Scaled::plan($sewn, Fraction::of($eighths, 48), $question)->cuts));
                } catch (CutNotPossible) {
                    continue; // too small to be cut
                }
            }
            foreach ([1, 2, 3] as $side) {
                $largest = LargestBlock::from($sewn, Fraction::of($side), false, $question);
                $fitting = array_keys(array_filter($needed, static fn (float $cloth): bool => $cloth <= $side));
                if ($largest === null) {
                    self::assertSame([], $fitting);
                    continue;
                }
                $found = (int) ($largest->block->finishedWidth->in(LengthUnit::Inch)->toFloat() * 8);
                self::assertContains($found, $fitting);
                // Ways that fit small cloth and large but none between leave a gap; it is the end of one run or the other.
                $ends = array_filter($fitting, static fn (int $size): bool => ! in_array($size + 1, $fitting, true));
                self::assertNotSame([], array_intersect($ends, range($found, $found + 8)), 'on the ruler it may be up to an inch less');
            }
        }
    }

    public function test_flipped_corners_grow_with_the_block(): void
    {
        $file = Blocks::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '1/2']]]];
        $plan = Scaled::plan(self::sewn($file), Fraction::of(3), new CutQuestion());

        self::assertSame(['6 1/2', '2'], array_map(static fn ($cut): string => $cut->width->toText(), $plan->cuts));
    }

    public function test_ready_cut_squares_tell_how_many_are_taken_and_what_they_are_too_small_for(): void
    {
        $plan = self::plan(['finished' => ['width' => '9', 'height' => '9']] + Blocks::file('hAB hAB pA', 'hAB hAB pA', 'hAB hAB pA'));
        $ofA = array_values(array_filter($plan->cuts, static fn ($cut): bool => $cut->fabric === 'A'));
        // Three squares of 3 7/8 and three of 3 1/2: one to a square of 5, four to a square of 10.
        self::assertSame([6, 0], self::told(Precut::of($ofA, Fraction::of(5), Fraction::of(5))));
        self::assertSame([2, 0], self::told(Precut::of($ofA, Fraction::of(10), Fraction::of(10))));
        self::assertSame([1, 0], self::told(Precut::of($ofA, Fraction::of(21), Fraction::of(18))));
        self::assertSame([3, 1], self::told(Precut::of($ofA, Fraction::of(7, 2), Fraction::of(7, 2))));
    }

    public function test_a_piece_fits_ready_cut_cloth_whichever_way_it_lies(): void
    {
        $geese = self::plan(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('pA'))->cuts;
        // One rectangle of 4 1/2 x 2 1/2.
        foreach ([[[9, 2], [5, 2]], [[5, 2], [9, 2]]] as [$width, $height]) {
            self::assertSame([1, 0], self::told(Precut::of($geese, Fraction::of(...$width), Fraction::of(...$height))));
        }
        self::assertSame([0, 1], self::told(Precut::of($geese, Fraction::of(9, 2), Fraction::of(39, 16))));
        self::assertSame([0, 1], self::told(Precut::of($geese, Fraction::of(71, 16), Fraction::of(4))));
        self::assertSame([1, 0], self::told(Precut::of($geese, Fraction::of(3), Fraction::of(5))));
    }

    public function test_a_higher_block_grows_by_its_width_and_a_wider_one_by_its_height(): void
    {
        foreach ([['4', '2', 'gABB'], ['2', '4', 'gABB90']] as [$width, $height, $word]) {
            $largest = LargestBlock::from(self::sewn(['finished' => ['width' => $width, 'height' => $height]] + Blocks::file($word)), Fraction::of(5), false, new CutQuestion(ways: ['U1' => 'flipped']));
            // The rectangle's longer side is twice the shorter finished one and two allowances: 2 1/4 is 4 1/2 and 1/2.
            self::assertSame('2 1/4', ($width === '4' ? $largest?->block->finishedHeight : $largest?->block->finishedWidth)?->toText());
        }
        $metric = ['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '50', 'height' => '50']] + Blocks::file('pA');
        self::assertSame('88', LargestBlock::from(self::sewn($metric), Fraction::of(100), false, new CutQuestion())?->block->finishedWidth->toText(LengthUnit::Millimetre));
    }

    public function test_only_what_the_quilter_chose_counts_as_chosen(): void
    {
        self::assertFalse((new CutQuestion(3))->choosesUnits());
        self::assertTrue((new CutQuestion(ways: ['U1' => 'crossed']))->choosesUnits());
        self::assertTrue((new CutQuestion(builds: ['U1' => BuildChoice::AsTheyCome]))->choosesUnits());
        self::assertSame([BuildChoice::Alike, BuildChoice::AsTheyCome], [(new CutQuestion())->buildOf('U1'), (new CutQuestion(builds: ['U1' => BuildChoice::AsTheyCome]))->buildOf('U1')]);
        self::assertSame([8, 1, 16], [(new CutQuestion())->marksFor(LengthUnit::Inch), (new CutQuestion())->marksFor(LengthUnit::Millimetre), (new CutQuestion(marks: 16))->marksFor(LengthUnit::Millimetre)]);
        self::assertSame(['42', '1060', '40'], array_map(static fn (Fraction $width): string => $width->toText(), [(new CutQuestion())->widthFor(LengthUnit::Inch), (new CutQuestion())->widthFor(LengthUnit::Millimetre), (new CutQuestion(usableWidth: Fraction::of(40)))->widthFor(LengthUnit::Inch)]));
    }

    public function test_fabric_is_bought_by_the_next_eighth_of_a_yard_or_ten_centimetres(): void
    {
        self::assertSame(['1/8 yd', '1/4 yd', '1 yd', '1 1/8 yd'], array_map(static fn (string $inches): string => FabricToBuy::words(\KeenSeam\Core\Measure\Length::parse($inches)->inches, LengthUnit::Inch), ['4 1/2', '4 5/8', '36', '36 1/8']));
        self::assertSame(['10 cm', '20 cm', '90 cm', '1 m', '1.1 m'], array_map(static fn (int $length): string => FabricToBuy::words(Fraction::of($length), LengthUnit::Millimetre), [100, 101, 900, 901, 1001]));
    }

    public function test_a_line_nobody_can_read_is_named(): void
    {
        $plan = self::plan(Blocks::file('hAB'));
        foreach (["A,2 7/8,1\nsomething" => 'Line 2, "something", is no fabric, size and count.', '' => 'There is no line in this list.', 'A,big,1' => '"big" in line 1 is no size', 'A,2 7/8,many' => 'Line 1', 'Fabric,Size,Count' => 'Line 1', 'A,2 7/8,1,torn' => 'Line 1 ends with "torn"', "A,2 7/8,1\0" => 'This is no list of text.'] as $text => $words) {
            try {
                PatternCheck::of($plan, $text);
                self::fail($text);
            } catch (PatternNotReadable $problem) {
                self::assertStringContainsString($words, $problem->getMessage());
            }
        }
    }

    /** Sentences name at most forty letters of what was given, so that they stay one line. */
    public function test_what_is_not_known_is_named_by_its_first_forty_letters(): void
    {
        $plan = self::plan(Blocks::file('hAB'));
        [$long, $short] = [str_repeat('x', 45), str_repeat('x', 40)];
        $refused = static function (\Closure $ask): string {
            try {
                $ask();
                self::fail('is refused');
            } catch (CutNotPossible|PatternNotReadable $problem) {
                return $problem->getMessage();
            }
        };
        foreach ([
            [static fn () => CuttingPlan::of($plan->construction, new CutQuestion(ways: ['U1' => $long])), "There is no way \"$short\" to make U1."],
            [static fn () => CuttingPlan::of($plan->construction, new CutQuestion(ways: [$long => 'flipped'])), "This block has no unit \"$short\"."],
            [static fn () => CuttingPlan::of($plan->construction, new CutQuestion(margins: new Margins(stacks: [$long => Margin::Larger]))), "This block has no stack \"$short\"."],
            [static fn () => PatternCheck::of($plan, "A,$long,1"), "\"$short\" in line 1 is no size."],
            [static fn () => PatternCheck::of($plan, "A,2 7/8,1,$long"), "Line 1 ends with \"$short\"."],
            [static fn () => PatternCheck::of($plan, $long.$long), 'Line 1, "'.str_repeat('x', 60).'", is no fabric'],
        ] as [$ask, $words]) {
            self::assertStringStartsWith($words, $refused($ask));
        }
        self::assertSame(["This block has no fabric \"$short\".", "This block has no unit \"$short\"."], array_column(PatternCheck::of($plan, "$long,2 7/8,1\nunit,$long,1")->unknown, 'reason'));
    }

    public function test_units_are_called_by_their_name_and_by_their_class_where_two_are_called_the_same(): void
    {
        $plan = self::plan(Blocks::file('hAB hAC qABAB'));
        self::assertSame(['half-square triangles (U1)', 'half-square triangles (U2)', 'quarter-square triangles', 'U9'], array_map($plan->called(...), ['U1', 'U2', 'U3', 'U9']));
    }

    public function test_a_list_of_five_hundred_lines_is_read_and_one_more_is_not(): void
    {
        $plan = self::plan(Blocks::file('hAB'));
        self::assertCount(499, PatternCheck::of($plan, str_repeat("A,2 7/8,1\n\n", 500))->unknown, 'all the same');
        $this->expectExceptionMessage('500');
        PatternCheck::of($plan, str_repeat("A,2 7/8,1\n", 501));
    }

    public function test_stacks_are_lettered_on_past_z(): void
    {
        // Two rows of 27 patches, no two of a size.
        $file = Blocks::file(...array_fill(0, 2, implode(' ', array_fill(0, 27, 'pA'))));
        $file['columns'] = array_map(strval(...), range(2, 28));
        $letters = array_map(static fn ($cut): string => $cut->letter, self::plan(['rows' => ['40', '50'], 'finished' => ['width' => '50 5/8', 'height' => '11 1/4']] + $file)->cuts);
        self::assertSame(['a', 'z', 'aa', 'ab', 'az', 'ba', 'bb'], [$letters[0], $letters[25], $letters[26], $letters[27], $letters[51], $letters[52], $letters[53]]);
    }

    public function test_the_ruler_lies_where_seam_centre_or_tip_must(): void
    {
        $geese = self::plan(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('gABB'))->units[0]->unit;
        $ruler = SquaringUp::of($geese, Fraction::of(1, 4));

        // 2 1/2 x 4 1/2; the tip half way along, one allowance of 1/4 in 2 1/2 below the raw edge.
        self::assertSame(['4 1/2', '2 1/2', [0.5, 0.1]], [$ruler->width->toText(), $ruler->height->toText(), $ruler->tip]);
    }

    /** @return array{int, int} */
    private static function told(Precut $precut): array
    {
        return [$precut->needed, count($precut->tooLarge)];
    }

    /** @param array<string, mixed> $file */
    private static function sewn(array $file): Construction
    {
        return Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file): CuttingPlan
    {
        return CuttingPlan::of(self::sewn($file), new CutQuestion());
    }
}
