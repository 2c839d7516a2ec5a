<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A block as it was after one change to its layout.
 *
 * @property int    $number 0 is the block before its first change
 * @property string $words  what the change was, as a quilter says it
 * @property string $state  JSON of the block's own columns, see History
 */
final class BlockEdit extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
