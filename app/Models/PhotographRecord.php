<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The last photograph of a block as it is laid out, re-encoded when it was brought in: where it was taken is not kept.
 *
 * @property int                                                                                                                                                                                                                                                         $id
 * @property int                                                                                                                                                                                                                                                         $shelf_block_id
 * @property string                                                                                                                                                                                                                                                      $image          JPEG
 * @property int                                                                                                                                                                                                                                                         $width
 * @property int                                                                                                                                                                                                                                                         $height
 * @property list<array{float, float}>|null                                                                                                                                                                                                                              $corners        as the quilter put them
 * @property array{corners?: list<array{float, float}>, cells?: list<array{row: int, column: int, verdict: string, turn: int, mirrored: bool, sure: float, corners: list<array{float, float}>}>, alike?: list<array{string, string, float}>, problem?: string|null}|null $reading
 * @property string                                                                                                                                                                                                                                                      $read_of        sum of the file that it was compared with
 * @property list<string>                                                                                                                                                                                                                                                $never_mind     cells by "row,column"
 * @property list<array{row: int, column: int, turn: int, mirrored: bool, unit: string|null}>|null                                                                                                                                                                       $planted
 * @property array{row: int, column: int}|null                                                                                                                                                                                                                           $guess
 */
final class PhotographRecord extends Model
{
    public $timestamps = false;

    protected $table = 'photographs';

    protected $guarded = [];

    protected $casts = ['corners' => 'array', 'reading' => 'array', 'never_mind' => 'array', 'planted' => 'array', 'guess' => 'array'];

    protected $attributes = ['never_mind' => '[]'];
}
