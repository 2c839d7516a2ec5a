<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A small picture of a cloth, re-encoded when it was brought in.
 *
 * @property string $hash
 * @property string $image JPEG
 */
final class Swatch extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'hash';

    protected $keyType = 'string';

    protected $guarded = [];
}
