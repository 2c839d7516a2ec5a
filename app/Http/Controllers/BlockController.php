<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\BlockFiles\BlockFileReader;
use App\Documents\ShelfDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use App\Wall\History;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;

final class BlockController
{
    public function __construct(
        private readonly BlockPlans $plans,
        private readonly BlockFileReader $reader,
    ) {}

    public function index(): JsonResponse
    {
        $blocks = ShelfBlock::query()->orderBy('name')->orderBy('id')->get();

        return new JsonResponse(['blocks' => $blocks->map(fn (ShelfBlock $block): array => ShelfDocument::of($block, $this->plans->face($block)))->all()]);
    }

    /** @throws KeenSeamProblem when the request's body is no block file */
    public function store(Request $request): JsonResponse
    {
        $text = $request->getContent();
        $name = $this->reader->read($text)->name;
        $block = ShelfBlock::query()->create(['name' => $name, 'document' => $text]);
        $block->refresh();

        return new JsonResponse(ShelfDocument::of($block, $this->plans->face($block)), JsonResponse::HTTP_CREATED);
    }

    public function show(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(ShelfDocument::of($block, $this->plans->face($block)));
    }

    /**
     * Puts another file in the block's place. Locks and progress stay where the seams are the same.
     *
     * @throws KeenSeamProblem
     */
    public function update(Request $request, ShelfBlock $block): JsonResponse
    {
        $text = $request->getContent();
        $name = $this->reader->read($text)->name;
        History::record($block, SeenVersion::of($request), 'Put another file in its place', $this->plans->changesWith($block, $name, $text));

        return new JsonResponse(ShelfDocument::of($block, $this->plans->face($block)));
    }

    /** Takes the block off the shelf; it can be put back. */
    public function destroy(ShelfBlock $block): JsonResponse
    {
        $block->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
