<?php

declare(strict_types=1);

namespace App\Work;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Pressing\PressDirection;

/** Progress as it is kept with a block, by the seams it was made along. */
final class KeptProgress
{
    /** The same for the same seams sewn in the same order. */
    public static function signature(Construction $construction): string
    {
        $seams = array_map(static fn (Join $join): string => $join->seam->from->key().'-'.$join->seam->to->key(), $construction->joins);

        return $construction->order->value.'-'.substr(md5(implode(' ', $seams)), 0, 12);
    }

    /** @param array<array-key, mixed> $kept as toArray() gave it */
    public static function read(array $kept): WorkProgress
    {
        $list = static fn (string $field): array => is_array($kept[$field] ?? null) ? $kept[$field] : [];
        $times = static fn (string $field): array => array_filter($list($field), is_int(...));

        return new WorkProgress(
            array_values(array_filter($list('sewn'), is_int(...))),
            self::directions($list('pressed')),
            array_values(array_filter($list('done'), is_string(...))),
            $times('due'),
            $times('counted'),
            self::directions($list('elsewhere')),
        );
    }

    /**
     * @param array<array-key, mixed> $kept
     *
     * @return array<int, non-empty-list<PressDirection>> by join
     */
    private static function directions(array $kept): array
    {
        $all = [];
        foreach ($kept as $join => $directions) {
            $read = array_map(static fn (mixed $direction): ?PressDirection => is_string($direction) ? PressDirection::tryFrom($direction) : null, is_array($directions) ? array_values($directions) : []);
            $read = array_values(array_filter($read));
            if ($read !== []) {
                $all[(int) $join] = $read;
            }
        }

        return $all;
    }

    /** @return array<string, mixed> */
    public static function toArray(WorkProgress $progress): array
    {
        $values = static fn (array $all): array => array_map(static fn (array $directions): array => array_map(static fn (PressDirection $direction): string => $direction->value, $directions), $all);

        return [
            'sewn' => $progress->sewn,
            'pressed' => $values($progress->pressed),
            'done' => $progress->done,
            'due' => $progress->due,
            'counted' => $progress->counted,
            'elsewhere' => $values($progress->elsewhere),
        ];
    }
}
