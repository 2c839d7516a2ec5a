<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\ShelfDocument;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;

/** Puts a block back on the shelf from which it was taken. */
final readonly class RestoreController
{
    public function __construct(private BlockPlans $plans) {}

    public function __invoke(ShelfBlock $block): JsonResponse
    {
        $block->restore();

        return new JsonResponse(ShelfDocument::of($block, $this->plans->face($block)));
    }
}
