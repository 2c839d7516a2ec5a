<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Cutting\CuttingChoices;
use App\Documents\CuttingDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;

/** The cutting table: how the units are made, what is cut for them, and what of it lies ready. */
final readonly class CuttingController
{
    public function __construct(private Workings $workings) {}

    /** @throws KeenSeamProblem */
    public function show(ShelfBlock $block): JsonResponse
    {
        return $this->shown($block);
    }

    /** @throws KeenSeamProblem */
    public function choose(Request $request, ShelfBlock $block): JsonResponse
    {
        $choices = CuttingChoices::from($request->json()->all() + $block->cutting);
        $this->workings->of($block)->cuttingWith($choices); // a choice that cannot be is refused before it is kept
        $block->saveOver(SeenVersion::of($request), ['cutting' => $choices->toArray()]);

        return $this->shown($block);
    }

    /** @throws KeenSeamProblem */
    public function tick(Request $request, ShelfBlock $block): JsonResponse
    {
        $name = (new EditFields($request->json()->all()))->text('name');
        $isDone = $request->json('isDone') === true;
        $others = array_values(array_filter($block->cut_done, static fn (string $one): bool => $one !== $name));
        $block->saveOver(SeenVersion::of($request), ['cut_done' => $isDone ? [...$others, $name] : $others]);

        return $this->shown($block);
    }

    private function shown(ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);

        return new JsonResponse(CuttingDocument::of($block, $working->cutting(), $working->choicesThatFit(), $working->facts()->progress()->finishedClasses($working->construction())));
    }
}
