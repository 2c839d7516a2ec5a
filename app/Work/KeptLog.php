<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\WorkEvent;
use KeenSeam\Core\Guide\Deed;
use KeenSeam\Core\Guide\LogEntry;
use KeenSeam\Core\Guide\MeasuredPart;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\UnpickCause;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** What was told from the machine, read for the logbook. */
final class KeptLog
{
    /** So many keys tell a quilter's pace. */
    private const RECENT = 400;

    /** @return list<LogEntry> of all blocks, in the order of time, without what was taken back */
    public static function all(): array
    {
        return self::read(WorkEvent::query()->orderBy('at')->orderBy('id')->cursor());
    }

    /** @return list<LogEntry> */
    public static function recent(): array
    {
        return self::read(WorkEvent::query()->orderByDesc('at')->orderByDesc('id')->limit(self::RECENT)->get()->reverse());
    }

    /**
     * @param iterable<WorkEvent> $events
     *
     * @return list<LogEntry>
     */
    private static function read(iterable $events): array
    {
        $entries = [];
        foreach ($events as $event) {
            $isKept = $event->kind !== Deed::Back->value && ! isset($event->data['isUndone']);
            $entry = $isKept ? self::entry($event) : null;
            if ($entry !== null) {
                $entries[] = $entry;
            }
        }

        return $entries;
    }

    private static function entry(WorkEvent $event): ?LogEntry
    {
        $deed = Deed::tryFrom($event->kind);
        $text = static fn (string $field, string $else = ''): string => is_string($event->data[$field] ?? null) ? $event->data[$field] : $else;
        $number = static fn (string $field, int $else): int => is_int($event->data[$field] ?? null) ? $event->data[$field] : $else;

        return $deed === null ? null : new LogEntry(
            $event->shelf_block_id,
            $event->at,
            $deed,
            StepKind::tryFrom($text('does')),
            $text('title'),
            $number('times', 1),
            $text('madeUnit') === '' ? null : $text('madeUnit'),
            UnpickCause::tryFrom($text('cause')),
            $number('seams', 0),
            $text('units', 'units'),
            $deed === Deed::Measured ? self::measured($event->data) : null,
            $text('reason'),
        );
    }

    /** @param array<string, mixed> $data */
    private static function measured(array $data): ?MeasuredPart
    {
        $unit = LengthUnit::tryFrom(is_string($data['unit'] ?? null) ? $data['unit'] : '') ?? LengthUnit::Inch;
        $lengths = [];
        foreach ([$data['width'] ?? null, $data['height'] ?? null, $data['meant'][0] ?? null, $data['meant'][1] ?? null, $data['ideal'] ?? '1/2'] as $text) {
            if (! is_string($text)) {
                return null;
            }
            $lengths[] = Length::parse($text, $unit);
        }
        $across = $data['across'] ?? [0, 0];

        return new MeasuredPart([$lengths[0], $lengths[1]], [$lengths[2], $lengths[3]], [(float) ($across[0] ?? 0), (float) ($across[1] ?? 0)], $lengths[4], $unit, ($data['isUnit'] ?? false) === true);
    }
}
