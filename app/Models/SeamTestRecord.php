<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A seam test as it was measured, with the machine and thread it was sewn on.
 *
 * @property int    $id
 * @property string $units
 * @property int    $strips
 * @property string $width
 * @property string $measured
 * @property string $take_up
 * @property string $notes
 * @property string $created_at
 */
final class SeamTestRecord extends Model
{
    public $timestamps = false;

    protected $table = 'seam_tests';

    protected $guarded = [];
}
