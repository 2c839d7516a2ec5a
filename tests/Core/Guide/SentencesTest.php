<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\Guide\SeamEffect;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** What is read at the table, whole sentences: each was read aloud over the block that it is about. */
final class SentencesTest extends TestCase
{
    public function test_seams_are_called_by_their_row_their_unit_or_where_they_lie(): void
    {
        self::assertSame([
            ['Half-square triangle', 'the half-square triangle', 'Sailcloth', 'Harbour ink', [0]],
            ['Split quarter-square triangle', 'the split quarter-square triangle', 'Harbour ink', 'Sea glass', [1]],
            ['Split quarter-square triangle, seam 2', 'the split quarter-square triangle', 'Sailcloth', 'Harbour ink and Sea glass', [2]],
            ['Row 1, seam 1', 'row 1 up to seam 1', 'unit 1', 'unit 2', [3]],
            ['Row 1, seam 2', 'row 1', 'unit 2', 'unit 3', [4]],
            ['Row 2, seam 1', 'row 2 up to seam 1', 'unit 1', 'unit 2', [5]],
            ['Row 2, seam 2', 'row 2', 'unit 2', 'unit 3', [6]],
            ['Rows 1 and 2', 'rows 1 and 2', 'row 1', 'row 2', [7]],
        ], self::named(Order::Rows, 'hAB pA pB', 'sABC pB pA'));
        self::assertSame([
            ['In row 1, columns 2 and 3', 'row 1, columns 2 and 3', 'the Sailcloth piece at row 1, column 2', 'the Harbour ink piece at row 1, column 3', [1]],
            ['In row 1', 'row 1', 'the half-square triangle at row 1, column 1', 'row 1, columns 2 and 3', [2]],
            ['In row 2, columns 2 and 3', 'row 2, columns 2 and 3', 'the Harbour ink piece at row 2, column 2', 'the Sailcloth piece at row 2, column 3', [3]],
            ['In row 2', 'row 2', 'the Sea glass piece at row 2, column 1', 'row 2, columns 2 and 3', [4]],
            ['Row 2 to row 1', 'the block', 'row 1', 'row 2', [5]],
        ], array_slice(self::named(Order::Quarters, 'hAB pA pB', 'pC pB pA'), 1));
        self::assertSame([
            ['Strip 3, seam 1', 'strip 3', 'unit 1', 'unit 2', [0]],
            ['Strip 4, seam 1', 'strip 4', 'unit 1', 'unit 2', [1]],
            ['Strip 5, seam 1', 'strip 5 up to seam 1', 'unit 1', 'unit 2', [2]],
            ['Strip 5, seam 2', 'strip 5', 'unit 2', 'unit 3', [3]],
            ['Strips 1 and 2', 'strips 1 and 2', 'strip 1', 'strip 2', [4]],
            ['Strips 2 and 3', 'strips 1 to 3', 'strip 2', 'strip 3', [5]],
            ['Strips 3 and 4', 'strips 1 to 4', 'strip 3', 'strip 4', [6]],
            ['Strips 4 and 5', 'strips 1 to 5', 'strip 4', 'strip 5', [7]],
        ], self::named(Order::Around, 'pA pB pC', 'pB pC pA', 'pC pA pB'));
    }

    public function test_a_comparison_counts_what_the_two_plans_count(): void
    {
        $planner = new PressingPlanner(Blocks::sewn('hAB pA hAB90', 'pB hAB pB', 'hAB pA hAB90'));
        $plans = array_map(static fn (PressStyle $style): PressingPlan => $planner->best(new PressQuestion($style)), PressStyle::cases());
        foreach ($plans as $a) {
            foreach ($plans as $b) {
                $words = Comparison::words($a, $b);
                foreach ([[Nesting::Stacked, 'ridge on ridge'], [Nesting::Flat, 'crossings? to pin'], [Nesting::Lopsided, 'lopsided crossings?']] as [$nesting, $name]) {
                    $change = $b->count($nesting) - $a->count($nesting);
                    $said = preg_match("~(\\d+) (more|fewer) $name~", $words, $match) === 1 ? (int) $match[1] * ($match[2] === 'more' ? 1 : -1) : 0;
                    self::assertSame($change, $said, $words);
                }
            }
        }
        [$nest, $open] = [$planner->best(new PressQuestion(PressStyle::Nest)), $planner->best(new PressQuestion(PressStyle::Open))];
        self::assertSame('4 more crossings to pin, 2 places thicker and 2 thinner, 7 more seam ends folded back', Comparison::words($nest, $open));
        self::assertSame('4 fewer crossings to pin, 2 places thicker and 2 thinner, 7 fewer seam ends folded back', Comparison::words($open, $nest));
        $dark = $planner->best(new PressQuestion(PressStyle::Dark));
        self::assertSame('2 more ridge on ridge, 1 place thicker, about 2 in less shadow', Comparison::words($nest, $dark));
        self::assertSame('2 fewer ridge on ridge, 1 place thinner, about 2 in more shadow', Comparison::words($dark, $nest));
        self::assertSame(Comparison::ALIKE, Comparison::words($nest, $nest));
    }

    public function test_a_small_block_is_told_from_the_cloth_to_the_last_measure(): void
    {
        $plan = (new PressingPlanner(Blocks::sewn('hAB sABC90', 'sABC hAB90')))->best(new PressQuestion(PressStyle::Nest));
        $told = array_map(static fn (Step $step): string => sprintf('%s %d %s: %s', $step->do->value, $step->times, $step->title, $step->text), WorkSteps::of($plan, new CutQuestion(2)));

        self::assertSame([
            'cut 1 Sailcloth: Cut Sailcloth: 2 squares 2 7/8 in, stack a, cut once corner to corner; 2 squares 2 7/8 in, stack b.',
            'cut 1 Harbour ink: Cut Harbour ink: 1 square 3 1/4 in, stack c, cut twice corner to corner; 2 squares 2 7/8 in, stack d.',
            'cut 1 Sea glass: Cut Sea glass: 1 square 3 1/4 in, stack e, cut twice corner to corner.',
            'mark 2 Half-square triangles: Draw a line corner to corner on the wrong side of Sailcloth.',
            'join 2 Half-square triangles: Start 4 half-square triangles: two from two squares; Harbour ink to Sailcloth, 2 pairs. Sew on both sides of the line, one allowance away. Take stacks b and d.',
            'join 1 Split quarter-square triangles: Start the split quarter-square triangles with one, to be measured before the rest: sew Sea glass to Harbour ink, once. Take stacks a, c and e. The upper end goes in first: it is the blunter one.',
            'cut-apart 2 Half-square triangles: Cut on the line.',
            'press 4 Half-square triangles: Set the seam flat, open, and press toward Harbour ink.',
            'press 1 Split quarter-square triangles: Set the seam flat, open, and press toward Harbour ink. Clip the dog ears: the next seam runs over them. Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.',
            'join 1 Split quarter-square triangles: Go on with the first split quarter-square triangle: sew Harbour ink and Sea glass to Sailcloth, once. Harbour ink and Sea glass on top: there you see the threads to steer by. Both ends are sharp: begin on a scrap of leader cloth.',
            'press 1 Split quarter-square triangles: Set the seam flat, open, and press toward Sailcloth.',
            'measure 1 Split quarter-square triangle: Measure the first split quarter-square triangle before you sew the others: at least 2 1/2 x 2 1/2 in.',
            'join 3 Split quarter-square triangles: Now the rest of the split quarter-square triangles: sew Sea glass to Harbour ink, 3 times, as a chain that starts on a scrap. Take stacks a, c and e. The upper end goes in first: it is the blunter one.',
            'cut-apart 1 Split quarter-square triangles: Cut the chain apart.',
            'press 3 Split quarter-square triangles: Set the seam flat, open, and press toward Harbour ink. Clip the dog ears: the next seam runs over them. Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.',
            'join 3 Split quarter-square triangles: Go on with the split quarter-square triangles: sew Harbour ink and Sea glass to Sailcloth, 3 times, as a chain that starts on a scrap. Harbour ink and Sea glass on top: there you see the threads to steer by.',
            'cut-apart 1 Split quarter-square triangles: Cut the chain apart.',
            'press 3 Split quarter-square triangles: Set the seam flat, open, and press toward Sailcloth.',
            'square-up 4 Half-square triangles: Square up 4 half-square triangles to 2 1/2 x 2 1/2 in and take the dog ears off.',
            'square-up 4 Split quarter-square triangles: Square up 4 split quarter-square triangles to 2 1/2 x 2 1/2 in and take the dog ears off.',
            'lay-out 2 Lay out: Lay the whole block out, face up, and compare it with the picture: every unit, its turn, which fabric lies where. A block you have not made before is best sewn to its end once, and looked at, before the others.',
            'join 2 Row 1: Sew row 1: flip each unit onto the one before it, right sides together, and sew the upright edge between them, 1 seam in each of the 2 blocks: all of them in one chain.',
            'join 2 Row 2: Sew row 2: flip each unit onto the one before it, right sides together, and sew the upright edge between them, 1 seam in each of the 2 blocks: all of them in one chain.',
            'press 2 Row 1: Press the seam toward its first unit.',
            'press 2 Row 2: Press the seam toward its last unit.',
            'measure 2 Row 1: Measure row 1: 4 1/2 x 2 1/2 in from raw edge to raw edge.',
            'measure 2 Row 2: Measure row 2: 4 1/2 x 2 1/2 in from raw edge to raw edge.',
            'join 2 Rows 1 and 2: Flip row 2 onto row 1, right sides together, and sew, matching 1 crossing in each of the 2 blocks: all of them in one chain. Slow down by hand over the lump at 2, 2.',
            'check 2 Rows 1 and 2: Open it and look at the face. Does the crossing meet well enough to leave, or do you unpick a few stitches?',
            'press 2 Rows 1 and 2: Press the seam toward row 1. Press the lump flat and lay a weight on it until it is cold.',
            'square-up 2 The block: Square up the block to 4 1/2 x 4 1/2 in: straight edges, and not into the allowance of a point.',
            'measure 2 The block: Measure the block: 4 1/2 x 4 1/2 in from raw edge to raw edge.',
        ], $told);
    }

    public function test_what_a_seam_does_to_the_block_is_as_many_times_as_there_are_seams(): void
    {
        $words = static function (int $numerator, int $denominator, string ...$rows): string {
            $square = end($rows) === 'square' ? ['finished' => ['width' => '6', 'height' => '6']] : [];
            $plan = (new PressingPlanner(Blocks::construction($square + Blocks::file(...array_diff($rows, ['square'])))))->best(new PressQuestion(PressStyle::Nest));
            [$takeUp, $tolerance] = [Fraction::of($numerator, $denominator), Tolerance::usual(LengthUnit::Inch)];

            return SeamEffect::of(new Drift($plan, $takeUp, SquareUp::Units), Remedy::find($plan, $takeUp, SquareUp::Units, [], $tolerance), $tolerance, SeamName::all($plan->construction))->words;
        };
        $five = ['pA pB pA pB pA', 'pA pB pA pB pA'];

        // Four seams across, one down; each takes 1/32 too much.
        self::assertSame('The block comes out 10 3/8 in wide, 1/8 in too small, and 4 15/32 in high, 1/32 in too small.', $words(17, 32, ...$five));
        self::assertSame('The block comes out 10 5/8 in wide, 1/8 in too large, and 4 17/32 in high, 1/32 in too large. That does no harm: it comes off when the block is squared up.', $words(15, 32, ...$five));
        self::assertSame('With these seams everything comes out as it should.', $words(1, 2, ...$five));
        self::assertSame('The block comes out 4 7/16 in both ways, 1/16 in too small.', $words(9, 16, 'pA pB', 'pB pA'));
        // A square block with two seams across and one down is no longer square.
        self::assertSame('The block comes out 6 3/8 in wide, 1/8 in too small, and 6 7/16 in high, 1/16 in too small.', $words(9, 16, 'pA pB pA', 'pB pA pB', 'square'));
        // One seam across and none down; and a large seam that an eighth no longer covers.
        self::assertSame('The block comes out 4 7/16 in wide, 1/16 in too small, and 2 1/2 in high.', $words(9, 16, 'pA pB'));
        self::assertSame('The block comes out 2 1/2 in wide and 4 7/16 in high, 1/16 in too small.', $words(9, 16, 'pA', 'pB'));
        self::assertSame('The block comes out 4 5/8 in wide, 1/8 in too large, and 2 1/2 in high. That does no harm: it comes off when the block is squared up.', $words(3, 8, 'pA pB'));
        self::assertSame('The block comes out 4 11/16 in wide, 3/16 in too large, and 2 1/2 in high.', $words(5, 16, 'pA pB'));
    }

    /** @return list<array{string, string, string, string, list<int>}> */
    private static function named(Order $order, string ...$rows): array
    {
        return array_map(static fn (SeamName $name): array => [$name->title, $name->made, $name->left, $name->right, $name->pressedToo], SeamName::all(Construction::of(Face::of(Blocks::of(...$rows)), $order)));
    }
}
