<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\JoinEnd;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\MarkKind;
use KeenSeam\Core\Matching\MarkSide;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\Nesting;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** What is said of a join, for joins made up for the purpose: one thing at a time. Common practice, no published source. */
final class WordsOfAJoinTest extends TestCase
{
    private const PARTS = ['row 1', 'row 2'];

    private const RIGHT_ANGLES = [90, 90];

    public function test_which_part_lies_on_top_and_which_edge_stretches(): void
    {
        $told = static fn (string $up, string $bias): string => Hold::manner(self::sheet(up: $up, bias: $bias), LengthUnit::Inch, self::PARTS)[0]['text'];

        self::assertSame('row 1 on top: more tips and seams to steer by. The edge of row 2 is bias: pin it, and let the feed take it without pulling.', $told('left', 'right'));
        self::assertSame('row 2 on top: more tips and seams to steer by. The edge of row 1 is bias: pin it, and let the feed take it without pulling.', $told('right', 'left'));
        self::assertSame('Either part may lie on top.', $told('either', 'none'));
    }

    public function test_how_many_places_have_to_meet_is_said_where_not_all_do(): void
    {
        $told = static fn (MarkKind ...$kinds): array => array_column(array_slice(Hold::manner(self::sheet(marks: array_map(static fn (MarkKind $kind): Mark => self::mark(kind: $kind), array_values($kinds))), LengthUnit::Inch, self::PARTS), 1), 'wants', 'text');
        [$match, $floating, $tip] = [MarkKind::Match, MarkKind::Floating, MarkKind::Tip];

        self::assertSame(['Match 1 place; the rest lies on plain cloth and does no harm.' => 'nothing'], $told($match, $floating));
        self::assertSame(['Match 2 places; the rest lies on plain cloth and does no harm.' => 'nothing'], $told($match, $tip, $match));
        self::assertSame([], $told($match, $match));
        self::assertSame([], $told($floating, $tip));
        self::assertSame(['Nothing to meet here but the two ends.' => 'care'], $told());
    }

    public function test_a_tip_on_either_side_may_be_sewn_by_its_threads(): void
    {
        $notes = static fn (MarkSide $left, MarkSide $right, LengthUnit $unit = LengthUnit::Inch): array => Hold::notes(self::sheet(marks: [self::mark($left, $right)]), false, $unit, self::PARTS);
        $words = 'You may sew through the crossing threads of the tips instead of the exact allowance: every %s they lie off it makes the part that much smaller or larger.';

        self::assertSame([sprintf($words, '1/64 in')], $notes(MarkSide::Tip, MarkSide::Seam));
        self::assertSame([sprintf($words, '0.5 mm')], $notes(MarkSide::Plain, MarkSide::Tip, LengthUnit::Millimetre));
        self::assertSame([], $notes(MarkSide::Seam, MarkSide::Plain));
        self::assertStringStartsWith('Sew a hair to the waste side of the drawn line', Hold::notes(self::sheet(), true, LengthUnit::Inch, self::PARTS)[0]);
    }

    /** @return iterable<string, array{array{int, int}, array{int, int}, list<string>}> angles in degrees at the start and at the end, left and right */
    public static function ends(): iterable
    {
        yield 'square' => [self::RIGHT_ANGLES, self::RIGHT_ANGLES, []];
        yield 'two level corners of halves' => [[45, 45], [45, 45], [
            'Both ends are level: lay them so.', 'Both ends are sharp: begin on a scrap of leader cloth.',
            'Once it is open, the ears at both ends may be clipped.',
        ]];
        yield 'neither lines up' => [[45, 90], [90, 45], [
            'Neither end lines up: at the left end row 1 hangs over by ≈11/32 in, at the right end row 2 hangs over by ≈11/32 in. Mark the corners one allowance in, on both parts, and lay them on each other.',
            'Both ends are sharp: begin on a scrap of leader cloth.',
            'What hangs over at both ends must stay: it becomes the allowance of the point there.',
        ]];
        yield 'one square, one through the V' => [self::RIGHT_ANGLES, [135, 45], [
            'At the left end both are level: lay them so.',
            'At the right end row 2 hangs over by 1/2 in: the needle goes through the V where the two raw edges cross.',
            'The left end goes in first: it is the blunter one.',
        ]];
        yield 'one square, one that does not line up' => [[30, 60], self::RIGHT_ANGLES, [
            'At the left end row 1 hangs over by 1/2 in and nothing lines up: lay the parts by the other end.',
            'At the right end both are level: lay them so.',
            'The right end goes in first: it is the blunter one.',
            'Once it is open, the ear at the left end may be clipped.',
        ]];
        // Just blunt enough for the feed: sixty degrees.
        yield 'an ear that stays and one that goes' => [[60, 60], [45, 45], [
            'Both ends are level: lay them so.', 'The left end goes in first: it is the blunter one.',
            'Once it is open, the ear at the right end may be clipped.',
            'What hangs over at the left end must stay: it becomes the allowance of the point there.',
        ]];
    }

    /**
     * @param array{int, int} $start
     * @param array{int, int} $end
     * @param list<string>    $notes
     */
    #[DataProvider('ends')]
    public function test_how_ends_are_laid_fed_and_clipped(array $start, array $end, array $notes): void
    {
        self::assertSame($notes, Hold::notes(self::sheet(ends: [$start, $end]), false, LengthUnit::Inch, self::PARTS));
    }

    public function test_ends_are_called_as_they_lie_on_the_face(): void
    {
        self::assertSame(['left end', 'right end'], Hold::endNames(self::sheet()));
        self::assertSame(['upper end', 'lower end'], Hold::endNames(self::sheet(join: Blocks::sewn('pA pB')->joins[0])));
    }

    public function test_a_small_seam_is_told_what_lies_on_top_and_what_goes_in_first(): void
    {
        $sharp = [[45, 45], [45, 45]];
        self::assertSame(['Row 1 on top: there you see the threads to steer by.'], Hold::feed(self::sheet(up: 'left'), self::PARTS));
        self::assertSame(['Row 2 on top: there you see the threads to steer by.', 'Both ends are sharp: begin on a scrap of leader cloth.'], Hold::feed(self::sheet(up: 'right', ends: $sharp), self::PARTS));
        self::assertSame([], Hold::feed(self::sheet(ends: $sharp), self::PARTS, true));
        self::assertSame(['The left end goes in first: it is the blunter one.'], Hold::feed(self::sheet(ends: [[60, 60], [45, 45]]), self::PARTS, true));
    }

    public function test_the_end_that_goes_in_first_is_the_blunter_one(): void
    {
        $sheet = static fn (array $start, array $end): JoinSheet => self::sheet(ends: [$start, $end]);

        self::assertSame([0, 1, null], [$sheet([60, 50], [45, 90])->firstIn(), $sheet([30, 90], [45, 45])->firstIn(), $sheet([45, 90], [90, 45])->firstIn()]);
        self::assertSame([true, false, false, true], [$sheet([59, 80], [45, 45])->wantsLeader(), $sheet([60, 80], [45, 45])->wantsLeader(), $sheet([45, 45], [60, 60])->wantsLeader(), $sheet([45, 45], [59, 59])->wantsLeader()]);
    }

    public function test_marks_are_held_as_what_meets_there(): void
    {
        $sheet = self::sheet();
        $words = static fn (Mark $mark): string => Hold::words($mark, $sheet);

        foreach ([[MarkSide::Tip, MarkSide::Seam], [MarkSide::Seam, MarkSide::Tip], [MarkSide::Tip, MarkSide::Tip]] as [$left, $right]) {
            self::assertSame('Stab a pin straight through the tip and its partner; look that both come together, and pin.', $words(self::mark($left, $right)));
        }
        self::assertSame('Nest the ridges with the fingers and pin on both sides of the crossing.', $words(self::mark(nest: Nesting::Nested)));
        self::assertSame('The ridges lie on each other: pin through both seams, and slow down over the lump.', $words(self::mark(nest: Nesting::Stacked)));
        self::assertSame("One is open: lay the ridge against the open seam's fold and pin on both sides.", $words(self::mark(nest: Nesting::Lopsided)));
        self::assertSame('Both are open: stab a pin through both seams, then pin on both sides.', $words(self::mark(nest: Nesting::Flat)));
    }

    public function test_only_the_middle_of_a_join_is_found_by_folding(): void
    {
        // The second of two rows of one piece each, in the right half of the block: its seam does not begin at nought.
        $file = ['columns' => ['1', '4'], 'finished' => ['width' => '10', 'height' => '4']] + Blocks::file('pA pB', 'pB pA');
        $join = array_values(array_filter(Blocks::construction(['cells' => [['row' => 1, 'column' => 1, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']], ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['B']], ['row' => 2, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['A']]]] + $file)->joins, static fn (Join $join): bool => $join->seam->from->y === $join->seam->to->y))[0];
        self::assertGreaterThan(0, $join->seam->from->x);
        [$from, $to] = [$join->seam->from, $join->seam->to];
        foreach ([1 => false, 2 => true, 3 => false] as $quarters => $isMiddle) {
            $at = new Point($from->x + intdiv(($to->x - $from->x) * $quarters, 4), $from->y);
            self::assertSame($isMiddle, str_starts_with(Hold::words(self::mark(MarkSide::Tip, MarkSide::Plain, MarkKind::Tip, at: $at), self::sheet(join: $join)), 'Fold both in half'), "$quarters quarters");
        }
    }

    public function test_the_risk_counts_each_thing_once(): void
    {
        $risk = static fn (Mark $mark, string $bias = 'none'): int => Hold::risk(self::sheet(bias: $bias, marks: [$mark]), Tolerance::usual(LengthUnit::Inch));
        $plain = static fn (?Nesting $nest = null, ?float $miss = null): Mark => self::mark(MarkSide::Seam, MarkSide::Plain, MarkKind::Floating, $nest, $miss);

        self::assertSame([0, 1, 1, 2], array_map(static fn (string $bias): int => $risk($plain(), $bias), ['none', 'left', 'right', 'both']));
        self::assertSame([0, 3, 1, 1], array_map(static fn (Nesting $nest): int => $risk($plain($nest)), [Nesting::Nested, Nesting::Stacked, Nesting::Lopsided, Nesting::Flat]));
        self::assertSame([0, 2, 6], array_map(static fn (float $miss): int => $risk($plain(null, $miss)), [0.0, 1 / 16, -1 / 4]));
        self::assertSame([2, 2, 2], [$risk(self::mark(MarkSide::Tip, MarkSide::Plain, MarkKind::Tip)), $risk(self::mark(MarkSide::Plain, MarkSide::Tip, MarkKind::Tip)), $risk(self::mark())]);
    }

    private static function mark(MarkSide $left = MarkSide::Seam, MarkSide $right = MarkSide::Seam, MarkKind $kind = MarkKind::Match, ?Nesting $nest = null, ?float $miss = null, ?Point $at = null): Mark
    {
        return new Mark($at ?? new Point(1, 0), [1.0, 1.0], $left, $right, $kind, $nest, $miss, [null, null]);
    }

    /**
     * @param list<Mark>                              $marks
     * @param array{array{int, int}, array{int, int}} $ends  angles of both parts, in degrees; allowances are 1/4
     */
    private static function sheet(string $up = 'either', string $bias = 'none', array $marks = [], array $ends = [self::RIGHT_ANGLES, self::RIGHT_ANGLES], ?Join $join = null): JoinSheet
    {
        $end = static fn (array $angles): JoinEnd => new JoinEnd(
            [deg2rad($angles[0]), deg2rad($angles[1])],
            [0.25 / tan(deg2rad($angles[0]) / 2), 0.25 / tan(deg2rad($angles[1]) / 2)],
            [0.25 / sin(deg2rad($angles[0])), 0.25 / sin(deg2rad($angles[1]))],
        );

        return new JoinSheet($join ?? Blocks::sewn('pA', 'pB')->joins[0], 2.0, [2.0, 2.0], [2.5, 2.5], $up, $bias, $marks, [[], []], [$end($ends[0]), $end($ends[1])]);
    }
}
