<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\RailDocument;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;

/** The line of stitching that every station shows. */
final readonly class RailController
{
    public function __construct(private Workings $workings) {}

    public function __invoke(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(RailDocument::of($block, $this->workings->of($block)));
    }
}
