<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;

/** A block as it stands on the shelf. */
final class ShelfDocument
{
    /**
     * @param array{face: array<string, mixed>, units: int} $shown
     *
     * @return array<string, mixed>
     */
    public static function of(ShelfBlock $block, array $shown): array
    {
        return [
            'id' => $block->id,
            'name' => $block->name,
            'version' => $block->version,
            'units' => $shown['units'],
            'stepsDone' => $block->stepsDoneNow(),
            'face' => $shown['face'],
        ];
    }
}
