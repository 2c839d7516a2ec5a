<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\DrawingDocument;
use App\Models\ShelfBlock;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\CellDrawing;

/** A cell of the wall, opened large to be cut. */
final readonly class DrawingController
{
    public function __construct(private Walls $walls) {}

    /** @throws KeenSeamProblem */
    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(DrawingDocument::of(CellDrawing::of($this->walls->open($block, Walls::pathOf($request)), $request->integer('row'), $request->integer('column'))));
    }
}
