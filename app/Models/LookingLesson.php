<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Whether the quilter, and the program, found what lay wrong on a made picture.
 *
 * @property int  $id
 * @property int  $shelf_block_id
 * @property bool $quilter_was_right
 * @property bool $program_was_right
 */
final class LookingLesson extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['quilter_was_right' => 'boolean', 'program_was_right' => 'boolean'];

    /** @return array{taken: int, yours: int, program: int} of one block, or of all */
    public static function counts(?int $block = null): array
    {
        $of = static fn () => self::query()->when($block !== null, static fn ($query) => $query->where('shelf_block_id', $block));

        return ['taken' => $of()->count(), 'yours' => $of()->where('quilter_was_right', true)->count(), 'program' => $of()->where('program_was_right', true)->count()];
    }
}
