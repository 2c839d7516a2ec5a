<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Photo\PhotoReading;
use KeenSeam\Core\Photo\SeenCell;

/** The open format of what a photograph tells, schema/photo.schema.json. */
final class PhotoDocument
{
    public const FORMAT = 'keen-seam/photo';

    public const VERSION = 1;

    /**
     * @param float $scale pixels of the photograph for one that was looked at
     *
     * @return array<string, mixed>
     */
    public static function of(PhotoReading $reading, float $scale): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'corners' => self::places($reading->corners, $scale),
            'cells' => array_map(static fn (SeenCell $cell): array => [
                'row' => $cell->row,
                'column' => $cell->column,
                'verdict' => $cell->verdict->value,
                'placement' => ['turn' => $cell->placement->turn->value, 'mirrored' => $cell->placement->mirrored],
                'sure' => $cell->sure,
            ], $reading->cells),
        ];
    }

    /**
     * @param list<array{float, float}> $places
     *
     * @return list<array{float, float}>
     */
    public static function places(array $places, float $scale): array
    {
        return array_map(static fn (array $place): array => [round($place[0] * $scale, 1), round($place[1] * $scale, 1)], $places);
    }
}
