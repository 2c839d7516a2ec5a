<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PhotoStationDocument;
use App\Models\PhotographRecord;
use App\Models\ShelfBlock;
use App\Photo\PhotoShelf;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Photo\PhotoNotReadable;

/** The photograph of a block as it is laid out, and what it tells. It stays in the house, and goes with the block. */
final readonly class PhotoController
{
    public function __construct(private PhotoShelf $photos, private Workings $workings) {}

    /** @throws KeenSeamProblem */
    public function show(ShelfBlock $block): JsonResponse
    {
        $photo = $this->photos->of($block);

        return $this->told($block, $photo === null ? null : $this->photos->looked($block, $photo));
    }

    public function picture(ShelfBlock $block): Response
    {
        $photo = PhotographRecord::query()->where('shelf_block_id', $block->id)->firstOrFail();

        return new Response($photo->image, Response::HTTP_OK, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, no-cache']);
    }

    /** @throws KeenSeamProblem when it is no photograph */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->told($block, $this->photos->looked($block, $this->photos->take($block, $request->getContent())));
    }

    /** @throws KeenSeamProblem */
    public function makeUp(ShelfBlock $block): JsonResponse
    {
        return $this->told($block, $this->photos->looked($block, $this->photos->makeUp($block)));
    }

    /** @throws KeenSeamProblem */
    public function corners(Request $request, ShelfBlock $block): JsonResponse
    {
        $corners = [];
        foreach ((array) $request->json('corners') as $corner) {
            $corners[] = is_array($corner) && is_numeric($corner[0] ?? null) && is_numeric($corner[1] ?? null) ? [(float) $corner[0], (float) $corner[1]] : throw PhotoNotReadable::corners();
        }
        $photo = $this->here($block);
        $photo->update(['corners' => count($corners) === 4 ? $corners : throw PhotoNotReadable::corners(), 'never_mind' => []]);

        return $this->told($block, $this->photos->looked($block, $photo));
    }

    /** What the quilter says of a unit: never mind, or look at it again.
     *
     * @throws KeenSeamProblem
     */
    public function mind(Request $request, ShelfBlock $block): JsonResponse
    {
        $photo = $this->here($block);
        $at = $request->integer('row').','.$request->integer('column');
        $others = array_values(array_diff($photo->never_mind, [$at]));
        $photo->update(['never_mind' => $request->boolean('never') ? [...$others, $at] : $others]);

        return $this->told($block, $this->photos->looked($block, $photo));
    }

    /** @throws KeenSeamProblem */
    public function guess(Request $request, ShelfBlock $block): JsonResponse
    {
        $photo = $this->here($block);
        $this->photos->guess($block, $photo, $request->integer('row'), $request->integer('column'));

        return $this->told($block, $photo);
    }

    /** Takes it away for good: another can be taken at any time. */
    public function destroy(ShelfBlock $block): JsonResponse
    {
        PhotographRecord::query()->where('shelf_block_id', $block->id)->delete();

        return $this->told($block, null);
    }

    private function here(ShelfBlock $block): PhotographRecord
    {
        return $this->photos->of($block) ?? throw PhotoNotReadable::noneHere();
    }

    private function told(ShelfBlock $block, ?PhotographRecord $photo): JsonResponse
    {
        return new JsonResponse(PhotoStationDocument::of($block, $this->workings->asAsked($block)->face(), $photo));
    }
}
