<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\House\House;
use App\House\Switching;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Wall\EditFields;
use App\Wall\InOtherUnit;
use App\Workings\WorkedTops;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\LengthUnit;

/** What the house does the same way over all blocks. */
final readonly class HouseController
{
    public function __construct(
        private InOtherUnit $inOtherUnit,
        private Workings $workings,
        private WorkedTops $tops,
    ) {}

    public function show(): JsonResponse
    {
        return new JsonResponse(House::now()->toArray());
    }

    /** @throws KeenSeamProblem */
    public function update(Request $request): JsonResponse
    {
        return new JsonResponse(House::keep($request->json()->all())->toArray());
    }

    /**
     * Everything on the shelf in one unit of length. Each block can be taken back by itself at its wall.
     *
     * @throws KeenSeamProblem
     */
    public function switch(Request $request): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        [$unit, $how] = [$fields->choice('units', LengthUnit::class), $fields->choice('how', Switching::class)];
        $told = ['switched' => [], 'sameSize' => [], 'left' => []];
        foreach (ShelfBlock::query()->orderBy('name')->get() as $block) {
            try {
                if ($this->workings->asAsked($block)->design()->unit !== $unit) {
                    $told[$this->inOtherUnit->switch($block, $block->version, $unit, $how) || $how === Switching::Exactly ? 'switched' : 'sameSize'][] = $block->name;
                }
            } catch (KeenSeamProblem) {
                $told['left'][] = $block->name;
            }
        }
        foreach (ShelfTop::query()->orderBy('name')->get() as $top) {
            try {
                if ($this->tops->top($top)->unit !== $unit) {
                    $this->inOtherUnit->switchTop($top, $unit);
                    $told[$how === Switching::Exactly ? 'switched' : 'sameSize'][] = $top->name;
                }
            } catch (KeenSeamProblem) {
                $told['left'][] = $top->name;
            }
        }

        return new JsonResponse($told);
    }
}
