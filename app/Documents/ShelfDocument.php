<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use KeenSeam\Core\Block\Face;

/** A block as it stands on the shelf. */
final class ShelfDocument
{
    /** @return array<string, mixed> */
    public static function of(ShelfBlock $block, Face $face): array
    {
        return [
            'id' => $block->id,
            'name' => $block->name,
            'version' => $block->version,
            'units' => count($face->whole->parts),
            'stepsDone' => $block->stepsDoneNow(),
            'face' => FaceDocument::of($face),
        ];
    }
}
