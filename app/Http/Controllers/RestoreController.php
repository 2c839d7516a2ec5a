<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use Illuminate\Http\JsonResponse;

/** Puts a block back on the shelf from which it was taken, be it one that cannot be opened. */
final readonly class RestoreController
{
    public function __invoke(ShelfBlock $block): JsonResponse
    {
        $block->restore();

        return new JsonResponse(['id' => $block->id, 'name' => $block->name]);
    }
}
