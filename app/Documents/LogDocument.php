<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Guide\Logbook;
use KeenSeam\Core\Guide\LogEntry;
use KeenSeam\Core\Guide\MeasuredPart;
use KeenSeam\Core\Measure\LengthUnit;

/** The logbook as a file to keep: the open format of schema/log.schema.json, or a table of the same entries. */
final class LogDocument
{
    public const FORMAT = 'keen-seam/log';

    public const VERSION = 1;

    private const COLUMNS = ['at', 'block', 'deed', 'step', 'do', 'place', 'times', 'seconds', 'cause', 'reason', 'units', 'seams', 'width', 'height', 'meant_width', 'meant_height'];

    /**
     * @param list<LogEntry>     $all   of every block: the time of an entry is told by the one before it
     * @param array<int, string> $names of the blocks
     * @param int|null           $block only its entries
     *
     * @return array{format: string, version: int, entries: list<array<string, mixed>>}
     */
    public static function of(array $all, array $names, ?int $block): array
    {
        $took = Logbook::durations($all);
        $entries = [];
        foreach ($all as $i => $entry) {
            if ($block === null || $entry->block === $block) {
                $entries[] = self::entry($entry, $names[$entry->block] ?? '', intdiv($took[$i], 1000));
            }
        }

        return ['format' => self::FORMAT, 'version' => self::VERSION, 'entries' => $entries];
    }

    /**
     * Comma separated, with a line of column names, as spreadsheets read it.
     *
     * @param array{entries: list<array<string, mixed>>} $log
     */
    public static function toCsv(array $log): string
    {
        return CsvTable::of(self::COLUMNS, array_map(static function (array $entry): array {
            $size = [...(array) ($entry['size'] ?? ['', '']), ...(array) ($entry['meant'] ?? ['', ''])];

            return [...array_map(static fn (string $name): mixed => $entry[$name] ?? '', array_slice(self::COLUMNS, 0, -4)), ...array_values($size)];
        }, $log['entries']));
    }

    /** @return array<string, mixed> */
    private static function entry(LogEntry $entry, string $block, int $seconds): array
    {
        return [
            'at' => gmdate('Y-m-d\TH:i:s\Z', intdiv($entry->at, 1000)),
            'block' => $block,
            'deed' => $entry->deed->value,
            ...($entry->does === null ? [] : ['step' => $entry->title, 'do' => $entry->does->value, 'place' => $entry->does->place(), 'times' => $entry->times, 'seconds' => $seconds]),
            ...($entry->cause === null ? [] : ['step' => $entry->title, 'cause' => $entry->cause->value, ...($entry->reason === '' ? [] : ['reason' => $entry->reason]), 'units' => $entry->units, 'seams' => $entry->seams]),
            ...($entry->measured === null ? [] : self::sizes($entry->measured)),
        ];
    }

    /** @return array<string, mixed> */
    private static function sizes(MeasuredPart $part): array
    {
        $texts = static fn (array $lengths): array => array_map(static fn ($length): string => $length->toText($part->unit).($part->unit === LengthUnit::Inch ? ' in' : ' mm'), $lengths);

        return ['size' => $texts($part->size), 'meant' => $texts($part->meant)];
    }
}
