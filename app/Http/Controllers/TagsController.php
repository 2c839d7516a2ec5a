<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Shelf\Tags;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;

/** The quilter's own words for finding a thing on the shelf. */
final readonly class TagsController
{
    /** @throws KeenSeamProblem */
    public function ofBlock(Request $request, ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(['tags' => Tags::give($block, $request->json('tags'))]);
    }

    /** @throws KeenSeamProblem */
    public function ofTop(Request $request, ShelfTop $top): JsonResponse
    {
        return new JsonResponse(['tags' => Tags::give($top, $request->json('tags'))]);
    }
}
