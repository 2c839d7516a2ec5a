<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use KeenSeam\Core\Pressing\Lock;

/**
 * Locks as they are written on the command line: ["12:left", "3:right"].
 *
 * @implements CastsAttributes<list<Lock>, list<Lock>>
 */
final class LocksCast implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        $texts = json_decode(is_string($value) ? $value : '[]', true, 4, JSON_THROW_ON_ERROR);

        return array_map(static fn (mixed $text): Lock => Lock::parse(is_string($text) ? $text : ''), array_values((array) $texts));
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return json_encode(array_map(static fn (Lock $lock): string => $lock->toText(), is_array($value) ? $value : []), JSON_THROW_ON_ERROR);
    }
}
