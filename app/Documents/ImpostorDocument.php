<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Layout\Impostors;

/** One unit as it must lie, beside the ways it could lie unnoticed. */
final class ImpostorDocument
{
    /** @return array<string, mixed> */
    public static function of(Impostors $impostors): array
    {
        $wrong = [];
        foreach ($impostors->pictures as $i => $picture) {
            $wrong[$picture->key] ??= [
                'placement' => LookDocument::placement($impostors->placements[$i]),
                'patches' => self::patches($picture),
                'ring' => $impostors->right->tellingPlace($picture),
            ];
        }

        return ['side' => $impostors->side->value, 'ratio' => $impostors->ratio, 'right' => self::patches($impostors->right), 'wrong' => array_values($wrong)];
    }

    /** @return list<array{fabric: string, points: list<array{float, float}>}> */
    private static function patches(Picture $picture): array
    {
        return array_map(static fn (array $patch): array => ['fabric' => $patch[0], 'points' => $patch[1]], $picture->toShares());
    }
}
