<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\WallDocument;
use App\House\Switching;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\InOtherUnit;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\LengthUnit;

/** A block measured in the other unit of length. */
final readonly class UnitsController
{
    public function __construct(
        private InOtherUnit $inOtherUnit,
        private Walls $walls,
    ) {}

    /** @throws KeenSeamProblem */
    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $this->inOtherUnit->switch($block, SeenVersion::of($request), $fields->choice('units', LengthUnit::class), $fields->choice('how', Switching::class));

        return new JsonResponse(WallDocument::shown($this->walls, $block, $this->walls->open($block, '')));
    }
}
