<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One change to a block's layout.
 *
 * @property string      $station where it was made, see History
 * @property int         $number  from 1; rows of earlier versions begin at 0, the block before its first change
 * @property string      $words   what the change was, as a quilter says it
 * @property string|null $before  JSON of the block's own columns that it changed, as they were; null in rows of earlier versions
 * @property string      $state   the same columns as they became; in rows of earlier versions all of them
 */
final class BlockEdit extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
