<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\MeasureVerdict;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Take;
use KeenSeam\Core\Guide\TakenUnits;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\SeamsAcross;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** What a measured part does to later joins, and which units and pieces belong to a seam. */
final class MeasureVerdictTest extends TestCase
{
    /** Rows of three cells of 2 in: 6 1/2 in raw. */
    #[DataProvider('rows')]
    public function test_a_row_is_judged_by_what_it_is_sewn_to(float $width, string $words): void
    {
        $plan = self::plan();
        $row = max($plan->construction->strands[0]->joins);

        self::assertSame($words, self::verdict($plan, $row, [$width, 2.5])->words);
    }

    /** @return iterable<string, array{float, string}> */
    public static function rows(): iterable
    {
        yield 'as it should be' => [6.5, 'Fine: leave it.'];
        yield 'off by what is left alone' => [6.5 + 1 / 32, 'Fine: leave it.'];
        yield 'off by what can be eased' => [6.5 - 1 / 16, 'Ease it in, or pin it; rows 1 and 2 will be off by 1/16 in.'];
        yield 'too long' => [6.75, '1/4 in too large: rows 1 and 2 would be off by 1/4 in, more than can be eased. Trim row 1; then everything can be eased.'];
        yield 'too long for one way and the other' => [6.5 + 1 / 16, 'Ease it in, or pin it; rows 1 and 2 will be off by 1/16 in.'];
        yield 'too short' => [6.25, '1/4 in too small: rows 1 and 2 would be off by 1/4 in, more than can be eased. Unpick row 1 and sew it narrower, or make it again; then everything can be eased.'];
    }

    public function test_rows_that_are_short_alike_meet(): void
    {
        $plan = self::plan();
        [$one, $two] = [max($plan->construction->strands[0]->joins), max($plan->construction->strands[1]->joins)];
        $three = max($plan->construction->strands[2]->joins);
        $verdict = self::verdict($plan, $one, [6.375, 2.5], [$two => [6.375, 2.5], $three => [6.375, 2.5]]);

        self::assertSame(['1/8 in too small, but so is what it is sewn to: leave it.', []], [$verdict->words, $verdict->later]);
        self::assertSame([6.375, 2.5], $verdict->kept[$one]);
        self::assertSame('1/8 in too large, but so is what it is sewn to: leave it.', self::verdict($plan, $one, [6.625, 2.5], [$two => [6.625, 2.5], $three => [6.625, 2.5]])->words);
    }

    public function test_several_joins_that_will_be_off_are_told_by_the_first(): void
    {
        $plan = self::plan('pA pB pA', 'pB pA pB', 'pA pA pB', 'pA pB pA');
        $pair = $plan->construction->strands[1]->joins[0];
        $meant = Remedy::rawSize($plan, $pair);
        self::assertStringStartsWith('1/4 in too large: rows 1 and 2, and one more join, would be off by 1/4 in, more than can be eased. Trim row 2 up to seam 1;', self::verdict($plan, $pair, [$meant[0] + 0.25, $meant[1]])->words);
        $both = self::verdict($plan, $pair, [$meant[0] + 0.25, $meant[1] + 0.25]);
        self::assertCount(3, $both->later);
        self::assertStringStartsWith('1/4 in too large: row 2, seam 2, and 2 more joins, would be off by 1/4 in,', $both->words);
    }

    public function test_the_block_itself_is_sewn_to_nothing_here(): void
    {
        $plan = self::plan();

        self::assertSame('Too small to be eased: unpick its seams and sew them narrower, or make it again.', self::verdict($plan, self::root($plan->construction)->id, [6.25, 6.5])->words);
    }

    public function test_what_is_too_large_of_a_unit_comes_off_before_it_is_sewn_on(): void
    {
        $plan = self::plan();
        $unit = array_values(array_filter($plan->construction->joins, static fn (Join $join): bool => $join->tie !== null))[0]->id;
        $large = self::verdict($plan, $unit, [2.75, 2.625]);
        self::assertSame(['Large enough: square it up.', [2.5, 2.5], []], [$large->words, $large->kept[$unit], $large->later]);

        $small = self::verdict($plan, $unit, [2.75, 2.25]);
        self::assertSame([2.5, 2.25], $small->kept[$unit]);
        self::assertSame('1/4 in too small to be eased: make it again, narrower or from larger pieces, before the others. It would show first at row 1, seam 1.', $small->words);
        self::assertSame('1/16 in too small: ease this one in, and sew the others narrower. It would show first at row 1, seam 1.', self::verdict($plan, $unit, [2.4375, 2.4375])->words);
    }

    public function test_seams_that_took_from_a_part_are_counted_each_way(): void
    {
        $across = static fn (PressingPlan $plan, int $join, SquareUp $squareUp): array => SeamsAcross::of($plan, $plan->construction->joins[$join], $squareUp);
        $whole = static fn (PressingPlan $plan): int => count($plan->construction->joins) - 1;
        $plan = self::plan();
        self::assertSame([2.0, 2.0], $across($plan, $whole($plan), SquareUp::Units));
        self::assertSame([2.0, 0.0], $across($plan, max($plan->construction->strands[0]->joins), SquareUp::Units));
        self::assertGreaterThan([2.5, 2.5], $across($plan, $whole($plan), SquareUp::None), 'slanting seams took from it too');

        $checks = self::plan('pA pB pA', 'pB pA pB');
        self::assertSame([2.0, 1.0], $across($checks, $whole($checks), SquareUp::None));
    }

    public function test_a_seam_takes_in_the_units_on_its_sides_or_the_one_it_lies_in(): void
    {
        $construction = self::plan()->construction;
        $first = $construction->joins[$construction->strands[0]->joins[0]];
        $places = static fn (array $units): array => array_map(static fn (PlacedUnit $unit): array => [$unit->cell->row, $unit->cell->column], $units);
        self::assertSame([[1, 1], [1, 2]], $places(TakenUnits::by($construction, [$first->id])));
        self::assertSame([[1, 3]], $places(TakenUnits::by($construction, [$construction->strands[0]->joins[1]])), 'the row so far is no unit');
        self::assertSame([], TakenUnits::by($construction, [self::root($construction)->id]));

        $inside = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->tie !== null))[0];
        self::assertCount(1, TakenUnits::by($construction, [$inside->id]));
        self::assertSame('half-square triangles', TakenUnits::named(TakenUnits::by($construction, [$inside->id])));
        self::assertSame('units', TakenUnits::named(TakenUnits::by($construction, [$first->id])), 'of two kinds');
    }

    public function test_what_to_take_lies_in_the_order_of_sewing(): void
    {
        $plan = self::plan();
        $steps = WorkSteps::of($plan, new CutQuestion());
        $row = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Join && $step->title === 'Row 1'))[0];
        [$take] = Take::forStep($plan->construction, $row);

        self::assertCount(3, $take->pieces);
        self::assertSame($row->joins, array_map(static fn (Join $join): int => $join->id, $take->joins));
        foreach ($take->joins as $i => $join) {
            self::assertSame($take->pieces[$i + 1], $join->right);
        }
        $units = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Join && $step->unitClass !== null))[0];
        self::assertCount(1, Take::forStep($plan->construction, $units), 'one of a kind stands for all');
        self::assertSame([], Take::forStep($plan->construction, $steps[0]));
    }

    /**
     * @param array{float, float}             $size
     * @param array<int, array{float, float}> $measured
     */
    private static function verdict(PressingPlan $plan, int $join, array $size, array $measured = []): MeasureVerdict
    {
        return MeasureVerdict::of($plan, Fraction::of(1, 2), SquareUp::Units, $measured, Tolerance::usual(LengthUnit::Inch), $join, $size);
    }

    private static function plan(string ...$rows): PressingPlan
    {
        $rows = $rows === [] ? ['hAB pA hAB90', 'pB hAB pB', 'hAB180 pA hAB270'] : $rows;

        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read(Blocks::file(...$rows))), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));
    }

    private static function root(Construction $construction): Join
    {
        return $construction->root instanceof Join ? $construction->root : self::fail('The block is sewn of several pieces.');
    }
}
