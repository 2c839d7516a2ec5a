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
        $pressed = [];
        foreach (is_array($kept['pressed'] ?? null) ? $kept['pressed'] : [] as $join => $directions) {
            $read = array_map(static fn (mixed $direction): ?PressDirection => is_string($direction) ? PressDirection::tryFrom($direction) : null, is_array($directions) ? array_values($directions) : []);
            $read = array_values(array_filter($read));
            if ($read !== []) {
                $pressed[(int) $join] = $read;
            }
        }

        return new WorkProgress(
            array_values(array_filter(is_array($kept['sewn'] ?? null) ? $kept['sewn'] : [], is_int(...))),
            $pressed,
            array_values(array_filter(is_array($kept['done'] ?? null) ? $kept['done'] : [], is_string(...))),
        );
    }

    /** @return array<string, mixed> */
    public static function toArray(WorkProgress $progress): array
    {
        return [
            'sewn' => $progress->sewn,
            'pressed' => array_map(static fn (array $directions): array => array_map(static fn (PressDirection $direction): string => $direction->value, $directions), $progress->pressed),
            'done' => $progress->done,
        ];
    }
}
