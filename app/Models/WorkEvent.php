<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One key pressed at the machine: what was done, when, and to what.
 *
 * @property int                  $id
 * @property int                  $shelf_block_id
 * @property string               $uuid           given by the browser
 * @property string               $kind           see Deed
 * @property array<string, mixed> $data
 * @property int                  $at             milliseconds since 1970
 */
final class WorkEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['data' => 'array', 'at' => 'integer'];
}
