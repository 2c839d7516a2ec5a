<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A unit the quilter drew herself and put into her tray, for all blocks.
 *
 * @property int                  $id
 * @property string               $name
 * @property array<string, mixed> $unit  a cell of a block file, in the fabrics f (figure), g (ground) and s (second figure)
 * @property float                $ratio width to height
 */
final class OwnUnit extends Model
{
    use SoftDeletes;

    protected $guarded = [];

    protected $casts = ['unit' => 'array', 'ratio' => 'float'];
}
