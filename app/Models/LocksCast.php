<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use KeenSeam\Core\Pressing\Lock;

/**
 * Locks as they are written on the command line, by order of sewing: {"rows": ["12:left", "3:right"]}.
 *
 * @implements CastsAttributes<array<string, list<Lock>>, array<string, list<Lock>>>
 */
final class LocksCast implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        $byOrder = json_decode(is_string($value) ? $value : '{}', true, 4, JSON_THROW_ON_ERROR);
        $locks = [];
        foreach (is_array($byOrder) ? $byOrder : [] as $order => $texts) {
            $locks[(string) $order] = array_map(static fn (mixed $text): Lock => Lock::parse(is_string($text) ? $text : ''), array_values((array) $texts));
        }

        return $locks;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        $texts = array_map(
            static fn (array $locks): array => array_map(static fn (Lock $lock): string => $lock->toText(), $locks),
            is_array($value) ? $value : [],
        );

        return json_encode($texts === [] ? new \stdClass() : $texts, JSON_THROW_ON_ERROR);
    }
}
