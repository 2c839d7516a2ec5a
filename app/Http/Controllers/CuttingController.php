<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Cutting\CuttingChoices;
use App\Documents\CuttingDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use App\Wall\EditFields;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\CuttingPlan;

/** The cutting table: how the units are made, what is cut for them, and what of it lies ready. */
final readonly class CuttingController
{
    public function __construct(private BlockPlans $plans) {}

    /** @throws KeenSeamProblem */
    public function show(ShelfBlock $block): JsonResponse
    {
        return $this->shown($block);
    }

    /** @throws KeenSeamProblem */
    public function choose(Request $request, ShelfBlock $block): JsonResponse
    {
        $choices = CuttingChoices::from($request->json()->all() + $block->cutting);
        $this->plan($this->plans->sewn($block), $choices); // a choice that cannot be is refused before it is kept
        $block->cutting = $choices->toArray();
        $block->saveOver(SeenVersion::of($request), []);

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
        $sewn = $this->plans->sewn($block);
        $kept = CuttingChoices::from($block->cutting);
        $choices = $kept->fitting($this->plan($sewn, $kept->withoutWays()));

        return new JsonResponse(CuttingDocument::of($block, $this->plan($sewn, $choices), $choices));
    }

    private function plan(Construction $sewn, CuttingChoices $choices): CuttingPlan
    {
        return CuttingPlan::of($sewn, $choices->question($sewn->face->block->unit));
    }
}
