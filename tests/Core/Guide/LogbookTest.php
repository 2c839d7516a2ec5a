<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Guide\Deed;
use KeenSeam\Core\Guide\Lessons;
use KeenSeam\Core\Guide\Logbook;
use KeenSeam\Core\Guide\LogEntry;
use KeenSeam\Core\Guide\MeasuredPart;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\UnpickCause;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LogbookTest extends TestCase
{
    private const MINUTE = 60_000;

    public function test_time_goes_to_the_place_of_the_step_that_took_it(): void
    {
        $log = new Logbook([
            self::entry(0, StepKind::Join),
            self::entry(2, StepKind::Join, times: 4),
            self::entry(5, StepKind::Press),
            self::entry(6, StepKind::CutApart),
            self::entry(7, StepKind::Check),
        ]);

        self::assertSame(['iron' => 3 * self::MINUTE, 'machine' => 2 * self::MINUTE, 'table' => 2 * self::MINUTE], $log->time);
        self::assertSame(5, $log->seamsSewn);
    }

    public function test_neither_a_pause_nor_an_absence_is_work(): void
    {
        $log = new Logbook([
            self::entry(0, StepKind::Join),
            self::entry(3, StepKind::Join, Deed::Paused, times: 0),
            self::entry(500, null, Deed::Resumed),
            self::entry(502, StepKind::Join),
            self::entry(502 + 21, StepKind::Join),
            self::entry(502 + 21 + 39, StepKind::Join, times: 2),
        ]);

        self::assertSame(['machine' => (3 + 2 + 39) * self::MINUTE], $log->time, 'the last chain of two may take longer than one seam');
        self::assertSame(1 + 1 + 1 + 2, $log->seamsSewn, 'putting it down sews nothing');
    }

    public function test_the_book_of_one_block_leaves_the_time_of_the_others_out(): void
    {
        $all = [self::entry(0, StepKind::Join), self::entry(4, StepKind::Press, block: 2), self::entry(5, StepKind::Press)];

        self::assertSame(['iron' => self::MINUTE], (new Logbook($all, 1))->time);
        self::assertSame(['iron' => 4 * self::MINUTE], (new Logbook($all, 2))->time);
    }

    public function test_the_pace_is_that_of_the_seam_in_the_middle_and_unknown_at_first(): void
    {
        $entries = [self::entry(0, StepKind::Join)];
        foreach ([2, 3, 13] as $at) {
            self::assertNull((new Logbook($entries))->pace);
            self::assertSame(24.0, (float) (new Logbook($entries))->minutesToSewAgain(3), 'four minutes a seam, opened and sewn again');
            $entries[] = self::entry($at, StepKind::Join);
        }
        self::assertSame(2 * self::MINUTE, (new Logbook($entries))->pace);
        self::assertSame(12.0, (float) (new Logbook($entries))->minutesToSewAgain(3));
    }

    public function test_units_are_counted_when_they_are_squared_up(): void
    {
        $log = new Logbook([
            self::entry(0, StepKind::SquareUp, times: 4, made: 'flying geese'),
            self::entry(1, StepKind::SquareUp, times: 6, made: 'half-square triangles'),
            self::entry(2, StepKind::SquareUp, times: 4, made: 'flying geese'),
            self::entry(3, StepKind::SquareUp),
        ]);

        self::assertSame(['flying geese' => 8, 'half-square triangles' => 6], $log->unitsMade);
    }

    /** Common practice, no published source: three seams that each take 1/32 in too much make a row of four 3/32 in short. */
    public function test_what_each_seam_took_follows_from_a_row_that_was_measured(): void
    {
        $row = self::measured('12 13/32', '12 1/2', 3);
        self::assertEquals([Length::ofInches(17, 32)], $row->takeUps());
        self::assertEquals(Fraction::of(-3, 32), $row->off());

        $metric = new MeasuredPart(
            [Length::parse('301 mm'), Length::parse('62 mm')],
            [Length::parse('302 mm'), Length::parse('62 mm')],
            [2, 0],
            Length::parse('12 mm'),
            LengthUnit::Millimetre,
            false,
        );
        self::assertSame(['12 1/2'], array_map(static fn (Length $length): string => $length->toText(LengthUnit::Millimetre), $metric->takeUps()));
    }

    /**
     * @param list<UnpickCause> $causes
     * @param list<string>      $lessons
     */
    #[DataProvider('unpicks')]
    public function test_unpicks_teach_what_most_of_them_have_in_common(array $causes, string $units, array $lessons): void
    {
        $entries = array_map(static fn (UnpickCause $cause, int $i): LogEntry => new LogEntry(1, $i, Deed::Unpicked, cause: $cause, seams: 1, units: $units), $causes, array_keys($causes));

        self::assertSame($lessons, Lessons::of(new Logbook($entries), LengthUnit::Inch));
    }

    /** @return iterable<string, array{list<UnpickCause>, string, list<string>}> */
    public static function unpicks(): iterable
    {
        [$turned, $hand, $point, $other] = [UnpickCause::Turned, UnpickCause::WrongHand, UnpickCause::MissedPoint, UnpickCause::Other];
        yield 'three of four turned' => [[$turned, $point, $turned, $turned], 'flying geese', ['Three of four unpicks were turned flying geese: switch on the second look, and lay every sewn pair back in the layout.']];
        yield 'three of three' => [[$turned, $turned, $turned], 'flying geese', ['Three of three unpicks were turned flying geese: switch on the second look, and lay every sewn pair back in the layout.']];
        yield 'half of them of the wrong hand' => [[$hand, $point, $hand, $turned], 'units', ['Two of four unpicks were units of the wrong hand: lay left and right on two labelled piles before you sew them on.']];
        yield 'too few to learn from' => [[$turned, $turned], 'units', []];
        yield 'all of them different' => [[$turned, $hand, $point], 'units', []];
        yield 'for no known reason' => [[$other, $other, $other], 'units', []];
    }

    public function test_only_the_units_of_that_cause_give_it_its_name(): void
    {
        $entry = static fn (UnpickCause $cause, string $units, int $at): LogEntry => new LogEntry(1, $at, Deed::Unpicked, cause: $cause, seams: 1, units: $units);
        $told = static fn (LogEntry ...$entries): array => Lessons::of(new Logbook(array_values($entries)), LengthUnit::Inch);

        self::assertStringStartsWith('Two of three unpicks were turned geese:', $told($entry(UnpickCause::Turned, 'geese', 0), $entry(UnpickCause::MissedPoint, 'squares', 1), $entry(UnpickCause::Turned, 'geese', 2))[0] ?? '');
        self::assertStringStartsWith('Two of three unpicks were turned units:', $told($entry(UnpickCause::Turned, 'geese', 0), $entry(UnpickCause::MissedPoint, 'squares', 1), $entry(UnpickCause::Turned, 'squares', 2))[0] ?? '');
    }

    public function test_wide_seams_are_told_with_what_to_do(): void
    {
        self::assertSame(
            ['Your last seams take 17/32 in, 1/32 in too much: sew a thread or two scant, or move the guide half of that toward the needle.'],
            self::lessons(['12 13/32', '12 13/32', '12 13/32']),
        );
        self::assertSame(
            ['Your last seams take 15/32 in, 1/32 in too little: move the guide half of that away from the needle.'],
            self::lessons(['12 19/32', '12 19/32', '12 19/32']),
        );
        self::assertSame(['Your last seams take what they should: leave the guide where it is.'], self::lessons(['12 1/2', '12 1/2', '12 15/32']));
        self::assertSame([], self::lessons(['12 13/32', '12 13/32']), 'two seams teach nothing');
    }

    public function test_seams_that_grow_are_told_while_they_are_wide_and_not_once_they_are_right(): void
    {
        $grown = self::lessons(['12 1/2', '12 1/2', '12 1/2', '12 13/32', '12 13/32', '12 13/32']);
        self::assertSame('Your seams have become wider by 1/32 in since the first ones: make a seam test, the guide may have moved.', $grown[1] ?? '');

        self::assertSame(['Your last seams take what they should: leave the guide where it is.'], self::lessons(['12 13/32', '12 13/32', '12 13/32', '12 1/2', '12 1/2', '12 1/2']));
    }

    public function test_first_units_that_are_too_small_are_told(): void
    {
        $unit = static fn (string $size): LogEntry => new LogEntry(1, 0, Deed::Measured, StepKind::Measure, measured: self::measured($size, '3 1/2', 0, true));

        self::assertSame(['Two of three first units were too small to be squared up: cut their pieces larger.'], Lessons::of(new Logbook([$unit('3 3/8'), $unit('3 7/16'), $unit('3 5/8')]), LengthUnit::Inch));
        self::assertSame([], Lessons::of(new Logbook([$unit('3 5/8'), $unit('3 5/8'), $unit('3 3/8')]), LengthUnit::Inch));
        self::assertSame(['Two of four first units were too small to be squared up: cut their pieces larger.'], Lessons::of(new Logbook([$unit('3 3/8'), $unit('3 7/16'), $unit('3 5/8'), $unit('3 5/8')]), LengthUnit::Inch));
    }

    public function test_a_sixty_fourth_is_not_worth_a_word(): void
    {
        $unit = static fn (string $size): LogEntry => new LogEntry(1, 0, Deed::Measured, StepKind::Measure, measured: self::measured($size, '3 1/2', 0, true));
        $told = static fn (string ...$sizes): array => Lessons::of(new Logbook(array_map($unit, array_values($sizes))), LengthUnit::Inch);

        self::assertSame([], $told('3 31/64', '3 31/64', '3 31/64'), 'a sixty-fourth too small is squared up all the same');
        self::assertSame(['Three of three first units were too small to be squared up: cut their pieces larger.'], $told('3 15/32', '3 15/32', '3 15/32'));
        self::assertSame([], $told('3 3/8', '3 3/8'), 'two are too few to learn from');
        // Three seams a row: 3/64 in all is a sixty-fourth each.
        self::assertSame(['Your last seams take what they should: leave the guide where it is.'], self::lessons(['12 29/64', '12 29/64', '12 29/64']));
        self::assertSame(['Your last seams take what they should: leave the guide where it is.'], self::lessons(['12 35/64', '12 35/64', '12 35/64']));
        // Of seven the middle one belongs to neither half.
        $grown = self::lessons(['12 1/2', '12 1/2', '12 1/2', '12 13/32', '12 13/32', '12 13/32', '12 13/32']);
        self::assertStringStartsWith('Your seams have become wider by 1/32 in', $grown[1] ?? '');
        self::assertStringStartsWith('Your seams have become narrower by 1/32 in', self::lessons(['12 1/2', '12 1/2', '12 1/2', '12 19/32', '12 19/32', '12 19/32'])[1] ?? '');
    }

    /**
     * @param list<string> $widths of rows with three seams that should be 12 1/2 in wide
     *
     * @return list<string>
     */
    private static function lessons(array $widths): array
    {
        return Lessons::of(new Logbook(array_map(static fn (string $width, int $i): LogEntry => new LogEntry(1, $i, Deed::Measured, StepKind::Measure, measured: self::measured($width, '12 1/2', 3)), $widths, array_keys($widths))), LengthUnit::Inch);
    }

    private static function measured(string $width, string $meant, int $seams, bool $isUnit = false): MeasuredPart
    {
        return new MeasuredPart([Length::parse($width), Length::parse('3 1/2')], [Length::parse($meant), Length::parse('3 1/2')], [$seams, 0], Length::parse('1/2'), LengthUnit::Inch, $isUnit);
    }

    private static function entry(int $minute, ?StepKind $does, Deed $deed = Deed::Done, int $times = 1, ?string $made = null, int $block = 1): LogEntry
    {
        return new LogEntry($block, 1_760_000_000_000 + $minute * self::MINUTE, $deed, $does, 'Row 1', $times, $made);
    }
}
