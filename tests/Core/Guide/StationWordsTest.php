<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\PressWords;
use KeenSeam\Core\Guide\SeamEffect;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\UnpickCause;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Listed;
use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\OpenedSeams;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\SchoolProposal;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Sentences of the stations, and the counts they tell, each for a block small enough to be counted by hand. */
final class StationWordsTest extends TestCase
{
    public function test_what_may_be_pressed_open_is_named_by_its_seams(): void
    {
        $sewn = Blocks::sewn('hAB pA', 'pA hAB');
        $ofUnit = array_values(array_filter($sewn->joins, static fn (Join $join): bool => $join->tie !== null))[0];
        $own = array_values(array_filter($sewn->joins, static fn (Join $join): bool => $join->tie === null));

        self::assertSame('Press open the seams in the half-square triangles', PressWords::open($sewn, [$ofUnit, $ofUnit]));
        $row = lcfirst(SeamName::all($sewn)[$own[0]->id]->title);
        self::assertSame("Press open $row", PressWords::open($sewn, [$own[0]]));
        self::assertSame("Press open: $row; the seams in the half-square triangles", PressWords::open($sewn, [$own[0], $ofUnit]));
        self::assertSame('Furl here: row 1 to row 2 changes sides at this crossing', PressWords::furlHere('Row 1 to row 2'));
        self::assertSame('Press the half-square triangles in two piles', PressWords::twoPiles($sewn, 0));
        self::assertSame('The two wings of the half-square triangles are pressed two ways. Pressed alike they would cost:', PressWords::wings($sewn, 0));
    }

    public function test_short_seams_are_told_with_the_length_of_the_shortest(): void
    {
        // Cells of 1 in: their seams are 1 in, the one between the rows 2 in; slanting ones 1.41 in.
        $sewn = Blocks::construction(['finished' => ['width' => '2', 'height' => '2']] + Blocks::file('hAB pA', 'pA pB'));
        $bySize = $sewn->joins;
        usort($bySize, static fn (Join $a, Join $b): int => $a->seam->length() <=> $b->seam->length());

        self::assertSame('It is only 1 in long: hard to hold open at the iron.', PressWords::tooShort($sewn, [$bySize[0]]));
        self::assertSame('It is only about 1 3/8 in long: hard to hold open at the iron.', PressWords::tooShort($sewn, [$bySize[2]]));
        self::assertSame('One of them is only 1 in long: hard to hold open at the iron.', PressWords::tooShort($sewn, [$bySize[2], $bySize[0]]));
        $metric = Blocks::construction(['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '60', 'height' => '60']] + Blocks::file('pA pA', 'pA pB'));
        self::assertSame('It is only 30 mm long: hard to hold open at the iron.', PressWords::tooShort($metric, [$metric->joins[0]]));
        self::assertSame('2 seams are shorter than 50 mm, the shortest 30 mm: too short to hold open at the iron.', PressWords::opened($metric, OpenedSeams::of($metric))[0]);
    }

    public function test_what_every_seam_open_would_cover_is_told(): void
    {
        $cross = Blocks::construction(['finished' => ['width' => '8', 'height' => '8']] + Blocks::file('pA pB', 'pB pA'));
        // Two strips of half an inch along 8 in, crossing once, on 64 square inches: an eighth, found by looking at places.
        self::assertMatchesRegularExpression('~^With every seam open, allowances would cover 1[123] % of the back\.$~D', implode("\n", PressWords::opened($cross, OpenedSeams::of($cross))));
        $near = Blocks::construction(['finished' => ['width' => '4', 'height' => '2'], 'columns' => ['1', '1/4', '1']] + Blocks::file('pA pB pA'));
        self::assertContains('1 pair of seams is so near to each other that their allowances, opened, would lie on each other.', PressWords::opened($near, OpenedSeams::of($near)));
    }

    public function test_a_school_is_proposed_with_its_reason(): void
    {
        $plain = Blocks::sewn('pA pB', 'pB pA');
        self::assertSame('Nest suits it: at no crossing do 8 patches meet, so ridges lock without a lump.', PressWords::proposal($plain, SchoolProposal::of($plain)));
        $large = Blocks::construction(['finished' => ['width' => '12', 'height' => '12']] + Blocks::file('hAB90 hAB180', 'hAB hAB270'));
        $proposal = SchoolProposal::of($large);
        self::assertSame([1, PressStyle::Mixed, 6.0], [$proposal->crossings, $proposal->style, $proposal->smallestUnit]);
        self::assertSame('By the lump suits it: 1 crossing has 8 patches or more, and units of 6 in leave room to open the seams there.', PressWords::proposal($large, $proposal));
        $small = Blocks::construction(['finished' => ['width' => '2', 'height' => '2']] + Blocks::file('hAB90 hAB180', 'hAB hAB270'));
        self::assertStringStartsWith('Furl suits it: 1 crossing has 8 patches or more, and with units of 1 in opened allowances would cover ', PressWords::proposal($small, SchoolProposal::of($small)));
    }

    /** Five pieces over three: with a wide seam the row with more of them comes out shorter, by two seams' worth. */
    public function test_what_seams_do_to_rows_of_unlike_many_pieces_is_told(): void
    {
        $file = Blocks::file('pA pB pA pB pA', 'pA pA pA pA pA');
        $file['cells'] = [...array_slice($file['cells'], 0, 5), ['row' => 2, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['A']], ['row' => 2, 'column' => 2, 'column_span' => 3, 'unit' => 'plain', 'fabrics' => ['B']], ['row' => 2, 'column' => 5, 'unit' => 'plain', 'fabrics' => ['A']]];
        $plan = self::plan($file);
        $told = static function (Fraction $takeUp) use ($plan): string {
            $drift = new Drift($plan, $takeUp, SquareUp::Units);
            $tolerance = Tolerance::usual(LengthUnit::Inch);

            return SeamEffect::of($drift, Remedy::find($plan, $takeUp, SquareUp::Units, [], $tolerance), $tolerance, SeamName::all($plan->construction))->words;
        };

        self::assertStringContainsString('Row 1, of 5 pieces along the seam, comes out 1/8 in shorter than row 2, of 3 pieces.', $told(Fraction::of(9, 16)));
        self::assertStringContainsString('Row 2, of 3 pieces along the seam, comes out 1/8 in shorter than row 1, of 5 pieces.', $told(Fraction::of(7, 16)));
        self::assertSame('With these seams everything comes out as it should.', $told(Fraction::of(1, 2)));
    }

    public function test_units_used_as_they_come_are_told_where_they_go(): void
    {
        $plan = self::plan(Blocks::file('sABA sABA90 hAB', 'sABA270m sABA180m sCAA'));
        $steps = WorkSteps::of($plan, new CutQuestion(ways: ['U1' => 'crossed'], builds: ['U1' => BuildChoice::AsTheyCome]));
        $layOut = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::LayOut))[0];

        self::assertStringContainsString('The split quarter-square triangles are used as they come: those built like a mirror image go to row 2, column 1 and row 2, column 2.', $layOut->text);
        self::assertSame(1, substr_count($layOut->text, 'as they come'), 'nothing is said of other units');
        self::assertStringNotContainsString('as they come', array_values(array_filter(WorkSteps::of($plan, new CutQuestion()), static fn (Step $step): bool => $step->do === StepKind::LayOut))[0]->text);
    }

    public function test_what_is_settled_begun_and_finished_follows_from_what_is_sewn(): void
    {
        $plan = self::plan(Blocks::file('qABAB hAB', 'hAB qABAB'));
        $sewn = $plan->construction;
        [$quarters, $halves] = [self::classOf($sewn, 4), self::classOf($sewn, 2)];
        $ofQuarters = array_values(array_filter($sewn->joins, static fn (Join $join): bool => $join->tie?->unitClass === $quarters->index && $join->tie->member === 1));
        $one = new WorkProgress(sewn: [$ofQuarters[0]->id]);

        self::assertSame([1, 2], [$one->notBegun($sewn, $quarters), $one->notBegun($sewn, $halves)]);
        self::assertSame([], $one->finishedClasses($sewn));
        self::assertSame([], $one->settled($sewn));
        self::assertSame([], $one->loose($sewn, $quarters));
        $whole = new WorkProgress(sewn: array_map(static fn (Join $join): int => $join->id, $ofQuarters));
        self::assertSame([1], $whole->loose($sewn, $quarters));
        $units = array_map(static fn (Join $join): int => $join->id, array_values(array_filter($sewn->joins, static fn (Join $join): bool => $join->tie !== null)));
        self::assertEqualsCanonicalizing(['U1', 'U2'], (new WorkProgress(sewn: $units))->finishedClasses($sewn));
        self::assertSame(['U'.($halves->index + 1)], (new WorkProgress(sewn: array_map(static fn (Join $join): int => $join->id, array_values(array_filter($sewn->joins, static fn (Join $join): bool => $join->tie?->unitClass === $halves->index)))))->finishedClasses($sewn));
        $row = array_values(array_filter($sewn->joins, static fn (Join $join): bool => $join->tie === null))[0];
        $settled = (new WorkProgress(sewn: [...$units, $row->id]))->settled($sewn);
        self::assertEqualsCanonicalizing($row->patchIds(), array_keys($settled));
        self::assertSame([[1], [1]], array_map(static fn (UnitClass $class): array => (new WorkProgress(sewn: [...$units, $row->id]))->loose($sewn, $class), [$quarters, $halves]));
    }

    public function test_pieces_that_are_opened_again_are_counted_back_and_never_below_nought(): void
    {
        $plan = self::plan(Blocks::file('hAB90 hAB180', 'hAB hAB270'));
        $chain = array_values(array_filter(WorkSteps::of($plan, new CutQuestion(6)), static fn (Step $step): bool => $step->joins !== [] && $step->times > 3))[0];
        $progress = new WorkProgress();
        foreach ([1, 2, 3] as $_) {
            $progress = $progress->withOneMore($chain, $plan->pressing);
        }

        self::assertSame([$chain->times - 1, $chain->times, $chain->times], array_map(static fn (int $pieces): int => $progress->uncounted($chain, $pieces)->left($chain), [2, 3, 9]));
        self::assertSame([], $progress->uncounted($chain, 3)->counted);
    }

    /** The step that joins two rows has the same key whatever numbers its seams have, and another one elsewhere. */
    public function test_steps_are_known_by_their_place(): void
    {
        $plan = self::plan(Blocks::file('pA pB', 'pB pA'));
        $steps = array_map(static fn (Step $step): Step => $step->at(SeamPlaces::of($plan->construction)), WorkSteps::of($plan, new CutQuestion()));
        $keys = array_map(static fn (Step $step): string => $step->key(), $steps);

        self::assertCount(count($keys), array_unique($keys));
        self::assertSame($keys, array_map(static fn (Step $step): string => $step->key(), array_map(static fn (Step $step): Step => $step->at(SeamPlaces::of($plan->construction)), $steps)));
    }

    public function test_cautions_stand_where_hands_are_near_a_blade_a_needle_or_an_iron(): void
    {
        self::assertSame(
            ['cut', 'mark', 'join', 'cut-apart', 'press', 'square-up', 'lay-out', 'check', 'measure'],
            array_map(static fn (StepKind $kind): string => $kind->value, StepKind::cases()),
        );
        foreach (['cut' => 'blade', 'square-up' => 'blade', 'join' => 'needle', 'press' => 'iron'] as $kind => $word) {
            self::assertStringContainsString($word, StepKind::from($kind)->caution());
        }
        foreach (['mark', 'cut-apart', 'lay-out', 'check', 'measure'] as $kind) {
            self::assertSame('', StepKind::from($kind)->caution());
        }
    }

    public function test_causes_of_an_unpick_are_said_for_one_and_for_several(): void
    {
        self::assertSame(['a unit was turned', 'wrong hand', 'a point was missed', 'pressed to the wrong side', 'something else'], array_map(static fn (UnpickCause $cause): string => $cause->words(), UnpickCause::cases()));
        self::assertSame(['turned geese', 'geese of the wrong hand', 'missed points', 'seams pressed to the wrong side', 'for other reasons'], array_map(static fn (UnpickCause $cause): string => $cause->several('geese'), UnpickCause::cases()));
    }

    public function test_lists_and_numbers_are_said_as_one_says_them(): void
    {
        self::assertSame(['', 'a', 'a and b', 'a, b and c'], array_map(Listed::of(...), [[], ['a'], ['a', 'b'], ['a', 'b', 'c']]));
        self::assertSame('a (2 alike), b and c (3 alike)', Words::tallied(['a', 'b', 'c', 'a', 'c', 'c']));
        self::assertSame(['3', '3 and 4', '3 to 5', '1, 3 and 4'], array_map(Words::numbers(...), [[3], [3, 4], [3, 4, 5], [1, 3, 4]]));
        self::assertSame(['the crossing', 'both crossings', 'all 3 crossings'], array_map(static fn (int $count): string => Words::allOf($count, 'crossing', 'crossings'), [1, 2, 3]));
        self::assertSame(['0 rows', '1 row', '2 rows'], array_map(static fn (int $count): string => Words::counted($count, 'row', 'rows'), [0, 1, 2]));
    }

    private static function classOf(Construction $sewn, int $patches): UnitClass
    {
        return array_values(array_filter($sewn->classes, static fn (UnitClass $class): bool => count($class->members[0]->patches()) === $patches))[0];
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file): PressingPlan
    {
        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));
    }
}
