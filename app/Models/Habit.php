<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KeenSeam\Core\Making\Margin;

/**
 * What the house does the same way over all blocks.
 *
 * @property string $name
 * @property string $value
 */
final class Habit extends Model
{
    private const MARGIN = 'margin';

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $guarded = [];

    /** How units that are sewn from squares are cut: larger and squared up, unless the house has another habit. */
    public static function margin(): Margin
    {
        return Margin::tryFrom((string) self::query()->find(self::MARGIN)?->value) ?? Margin::Larger;
    }

    public static function keepMargin(Margin $margin): void
    {
        self::query()->updateOrCreate(['name' => self::MARGIN], ['value' => $margin->value]);
    }
}
