<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\LookingLesson;
use App\Models\SeamTestRecord;
use KeenSeam\Core\Guide\Lessons;
use KeenSeam\Core\Guide\Logbook;
use KeenSeam\Core\Guide\LogEntry;
use KeenSeam\Core\Guide\MeasuredPart;
use KeenSeam\Core\Guide\UnpickCause;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** What the logbook shows: tables, the figures of small charts, and what they teach. */
final class LogbookDocument
{
    /** The last so many sizes and unpicks are shown; the file has them all. */
    private const MOST = 60;

    /**
     * @param array<int, string>   $names of the blocks, by number
     * @param list<SeamTestRecord> $tests oldest first
     *
     * @return array<string, mixed>
     */
    public static function of(Logbook $log, array $names, array $tests, ?int $block): array
    {
        $last = array_slice($log->sizes, -1)[0] ?? null;
        $unit = $last->measured->unit ?? LengthUnit::Inch;

        return [
            'block' => $block === null ? null : ['id' => $block, 'name' => $names[$block] ?? ''],
            'units' => $unit->value,
            'time' => array_map(static fn (string $place, int $time): array => ['place' => $place, 'seconds' => intdiv($time, 1000)], array_keys($log->time), array_values($log->time)),
            'seamsSewn' => $log->seamsSewn,
            'secondsForASeam' => $log->pace === null ? null : intdiv($log->pace, 1000),
            'made' => array_map(static fn (string $name, int $count): array => ['name' => $name, 'count' => $count], array_keys($log->unitsMade), array_values($log->unitsMade)),
            'causes' => array_map(static fn (string $cause, int $count): array => ['words' => UnpickCause::from($cause)->words(), 'count' => $count], array_keys($log->causes()), array_values($log->causes())),
            'unpicks' => array_map(static fn (LogEntry $entry): array => [
                'at' => $entry->at,
                'block' => $names[$entry->block] ?? '',
                'why' => $entry->why(),
                'title' => $entry->title === '' ? $entry->units : $entry->title,
                'seams' => $entry->seams,
            ], array_slice(array_reverse($log->unpicks), 0, self::MOST)),
            'sizes' => array_map(static fn (LogEntry $entry): array => ['at' => $entry->at, 'block' => $names[$entry->block] ?? '', 'title' => $entry->title, ...self::size($entry->measured)], array_slice(array_reverse($log->sizes), 0, self::MOST)),
            'takeUps' => array_slice(self::takeUps($log, $tests, $unit), -self::MOST),
            'lessons' => Lessons::of($log, $unit),
            'looking' => LookingLesson::counts($block),
        ];
    }

    /** @return array<string, mixed> */
    private static function size(?MeasuredPart $part): array
    {
        if ($part === null) {
            return [];
        }
        $texts = static fn (array $lengths): array => array_map(static fn (Length $length): string => $length->toText($part->unit), $lengths);
        $off = Length::of($part->off(), LengthUnit::Inch)->in($part->unit)->toFloat();

        return ['size' => $texts($part->size), 'meant' => $texts($part->meant), 'units' => $part->unit->value, 'off' => Amount::rounded(abs($off), $part->unit), 'isLarge' => $off > 0];
    }

    /**
     * What seams took, as parts told it and as strips told it, by time.
     *
     * @param list<SeamTestRecord> $tests
     *
     * @return list<array<string, mixed>>
     */
    private static function takeUps(Logbook $log, array $tests, LengthUnit $unit): array
    {
        $all = array_map(static fn (array $one): array => ['at' => $one['at'], 'takeUp' => $one['takeUp'], 'ideal' => $one['ideal'], 'isTest' => false], $log->takeUps);
        foreach ($tests as $test) {
            $all[] = ['at' => (int) (1000 * strtotime($test->created_at.' UTC')), 'takeUp' => Length::parse($test->take_up, LengthUnit::tryFrom($test->units) ?? LengthUnit::Inch), 'ideal' => null, 'isTest' => true];
        }
        usort($all, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);

        return array_map(static fn (array $one): array => [
            'at' => $one['at'],
            'text' => Amount::rounded($one['takeUp']->in($unit)->toFloat(), $unit),
            'value' => $one['takeUp']->in($unit)->toFloat(),
            'ideal' => $one['ideal']?->in($unit)->toFloat(),
            'isTest' => $one['isTest'],
        ], $all);
    }
}
