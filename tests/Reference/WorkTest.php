<?php

declare(strict_types=1);

namespace Tests\Reference;

use App\Documents\LogDocument;
use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Guide\Deed;
use KeenSeam\Core\Guide\LogEntry;
use KeenSeam\Core\Guide\MeasuredPart;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\UnpickCause;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

/** The steps at the machine against a solver, and the logbook's table against a reader of its published format. */
final class WorkTest extends TestCase
{
    /** A unit goes to the machine as seldom as it can: HiGHS finds the same trips from the bare rule that pressed seams may be crossed. */
    public function test_no_unit_goes_to_the_machine_more_often_than_it_must(): void
    {
        $cases = $found = [];
        foreach (range(1, 12) as $seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 3));
            $steps = WorkSteps::of((new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest)), new CutQuestion());
            foreach ($construction->classes as $class) {
                $joins = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === $class->index && $join->tie->member === 0));
                if ($joins === []) {
                    continue;
                }
                $after = [];
                foreach ($joins as $i => $join) {
                    foreach ($joins as $k => $earlier) {
                        if ($earlier !== $join && self::holds($join, $earlier)) {
                            $after[] = [$i, $k, self::touch($join->seam, $earlier->seam) ? 1 : 0];
                        }
                    }
                }
                $cases[] = ['joins' => count($joins), 'after' => $after];
                $found[] = self::trips($steps, $joins);
            }
        }

        self::assertGreaterThan(30, count($cases));
        self::assertSame($this->ask('trips.mjs', json_encode($cases, JSON_THROW_ON_ERROR)), $found);
    }

    /** Source of the format: RFC 4180, "Common Format and MIME Type for Comma-Separated Values (CSV) Files", 2005; of the times: RFC 3339, 2002. */
    public function test_the_table_of_the_logbook_is_read_by_others_as_it_was_meant(): void
    {
        $names = [1 => 'Tide "Gate", the first', 2 => "Two\nlines", 3 => 'Lamp Room'];
        $part = new MeasuredPart([Length::parse('12 7/16'), Length::parse('2 1/2')], [Length::parse('12 1/2'), Length::parse('2 1/2')], [3, 0], Length::parse('1/2'), LengthUnit::Inch, false);
        $start = 1_760_000_000_000;
        $log = LogDocument::of([
            new LogEntry(1, $start, Deed::Done, StepKind::Cut, 'Sailcloth, "raw"'),
            new LogEntry(2, $start + 61_000, Deed::Counted, StepKind::Join, 'Row 1', 4),
            new LogEntry(1, $start + 62_000, Deed::Measured, StepKind::Measure, 'Row 1', measured: $part),
            new LogEntry(3, $start + 90_000, Deed::Unpicked, title: 'Row 1, seam 2', cause: UnpickCause::WrongHand, seams: 3, units: 'flying geese'),
            new LogEntry(3, $start + 91_000, Deed::Paused),
        ], $names, null);
        $lines = $this->ask('table.mjs', LogDocument::toCsv($log));

        self::assertCount(5, $lines);
        self::assertSame([$start, $start + 61_000, $start + 62_000, $start + 90_000, $start + 91_000], array_column($lines, 'at'));
        self::assertSame(['Tide "Gate", the first', "Two\nlines", 'Tide "Gate", the first', 'Lamp Room', 'Lamp Room'], array_column($lines, 'block'));
        self::assertSame(['Sailcloth, "raw"', 'Row 1', 'Row 1', 'Row 1, seam 2', ''], array_column($lines, 'step'));
        self::assertSame(['0', '61', '1', '', ''], array_column($lines, 'seconds'));
        self::assertSame(['12 7/16 in', '2 1/2 in', '12 1/2 in'], [$lines[2]['width'], $lines[2]['height'], $lines[2]['meant_width']]);
        self::assertSame(['wrong-hand', 'flying geese', '3'], [$lines[3]['cause'], $lines[3]['units'], $lines[3]['seams']]);
    }

    private static function holds(Join $join, Join $inner): bool
    {
        return array_filter($join->children(), static fn (Assembly $child): bool => $child === $inner || ($child instanceof Join && self::holds($child, $inner))) !== [];
    }

    private static function touch(Segment $a, Segment $b): bool
    {
        return $a->contains($b->from) || $a->contains($b->to) || $b->contains($a->from) || $b->contains($a->to);
    }

    /**
     * @param list<Step> $steps
     * @param list<Join> $joins of one unit
     *
     * @return list<int> by join: how many trips to the machine come before it
     */
    private static function trips(array $steps, array $joins): array
    {
        $ids = array_map(static fn (Join $join): int => $join->id, $joins);
        $trips = [];
        $trip = 0;
        foreach ($steps as $step) {
            $here = array_intersect($ids, $step->joins);
            if ($step->do === StepKind::Join && $here !== []) {
                foreach ($here as $i => $id) {
                    $trips[$i] = $trip;
                }
                ++$trip;
            }
        }
        ksort($trips);

        return $trips;
    }

    /** @return list<mixed> */
    private function ask(string $script, string $input): array
    {
        $process = new Process(['node', __DIR__.'/'.$script], dirname(__DIR__, 2), input: $input, timeout: 120);
        $process->mustRun();

        return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
    }
}
