<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\BlockFiles\BlockDoor;
use App\Documents\ShelfDocument;
use App\Http\SeenVersion;
use App\Models\PhotographRecord;
use App\Models\ShelfBlock;
use App\Shelf\PlanInFile;
use App\Wall\History;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\KeenSeamProblem;

final class BlockController
{
    public function __construct(
        private readonly Workings $workings,
        private readonly BlockDoor $door,
        private readonly PlanInFile $plans,
    ) {}

    public function index(): JsonResponse
    {
        [$blocks, $unopened] = [[], []];
        foreach (ShelfBlock::query()->orderBy('name')->orderBy('id')->get() as $block) {
            try {
                $blocks[] = ShelfDocument::of($block, $this->workings->of($block));
            } catch (KeenSeamProblem $problem) {
                $unopened[] = ['id' => $block->id, 'name' => $block->name, 'problem' => $problem->getMessage()];
            }
        }
        $takenOff = ShelfBlock::onlyTrashed()->orderByDesc('deleted_at')->orderByDesc('id')->get(['id', 'name']);

        return new JsonResponse([
            'blocks' => $blocks,
            'unopened' => $unopened,
            'takenOff' => $takenOff->map(static fn (ShelfBlock $block): array => ['id' => $block->id, 'name' => $block->name])->all(),
        ]);
    }

    /** @throws KeenSeamProblem when the request's body is no block file */
    public function store(Request $request): JsonResponse
    {
        $text = $request->getContent();
        [$read, $plan] = $this->door->withPlan($text);
        $leftOut = [];
        $block = DB::transaction(function () use ($read, $plan, $text, &$leftOut): ShelfBlock {
            $block = ShelfBlock::query()->create(['name' => $read->name, 'document' => PlanInFile::withoutPlan($text, $plan)]);
            $block->refresh();
            $leftOut = $this->plans->into($block, $plan);
            $block->save();

            return $block;
        });

        return new JsonResponse(['leftOut' => $leftOut] + ShelfDocument::of($block, $this->workings->of($block)), JsonResponse::HTTP_CREATED);
    }

    public function show(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(ShelfDocument::of($block, $this->workings->of($block)));
    }

    /**
     * Puts another file in the block's place. Locks and progress stay where the seams are the same.
     *
     * @throws KeenSeamProblem
     */
    public function update(Request $request, ShelfBlock $block): JsonResponse
    {
        $text = $request->getContent();
        [$read, $plan] = $this->door->withPlan($text);
        $changes = $this->workings->of($block)->changesWith($read->name, PlanInFile::withoutPlan($text, $plan));
        History::record($block, SeenVersion::of($request), 'Put another file in its place', $changes);

        return new JsonResponse(ShelfDocument::of($block, $this->workings->of($block)));
    }

    /** Takes the block off the shelf; it can be put back. */
    public function destroy(ShelfBlock $block): JsonResponse
    {
        $block->delete();
        // Another can be taken at any time; none stays of what is not looked at any more.
        PhotographRecord::query()->where('shelf_block_id', $block->id)->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
