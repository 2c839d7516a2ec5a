<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\ImpostorDocument;
use App\Models\ShelfBlock;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Layout\Impostors;

/** One unit as it must lie beside the ways it could lie unnoticed, with the place that tells them apart. */
final readonly class ImpostorController
{
    public function __construct(private Walls $walls) {}

    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        [$row, $column] = [(int) $request->integer('row'), (int) $request->integer('column')];
        $sewn = $this->walls->sewn($block, Face::of($this->walls->open($block, Walls::pathOf($request))->open()->asBlock()));
        foreach ($sewn === null ? [] : Impostors::allIn($sewn) as $impostors) {
            if ([$impostors->cell->row, $impostors->cell->column] === [$row, $column]) {
                return new JsonResponse(ImpostorDocument::of($impostors));
            }
        }

        return new JsonResponse(['side' => null, 'ratio' => 1, 'right' => [], 'wrong' => []]);
    }
}
