<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\WallDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\History;
use App\Wall\MeantSo;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;

/** An odd cell that is meant to be so, and is not told again. */
final readonly class MeantController
{
    public function __construct(private Walls $walls) {}

    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        $places = (new EditFields($request->json()->all()))->places();
        $wall = $this->walls->open($block, Walls::pathOf($request));
        $meant = new MeantSo($block->meant, $wall->path);
        foreach (Face::of($wall->open()->asBlock())->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && in_array([$unit->cell->row, $unit->cell->column], $places, true)) {
                $meant = $meant->with($unit);
            }
        }
        History::record($block, SeenVersion::of($request), 'Say it is meant to be so', ['meant' => $meant->names]);

        return new JsonResponse(WallDocument::shown($this->walls, $block, $wall));
    }
}
