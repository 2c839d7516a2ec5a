<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\WallDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\Edits;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Symmetry;

/** The wall: the layout as it is, and every change to it, saved as it is made. */
final readonly class WallController
{
    public function __construct(private Walls $walls) {}

    public function show(Request $request, ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(WallDocument::shown($this->walls, $block, $this->walls->open($block, Walls::pathOf($request))));
    }

    /** @throws KeenSeamProblem */
    public function edit(Request $request, ShelfBlock $block): JsonResponse
    {
        $seen = SeenVersion::of($request);
        $wall = $this->walls->open($block, Walls::pathOf($request), $request->json('alone') === true);
        $edit = $request->json('edit');
        $fields = new EditFields(is_array($edit) ? $edit : []);
        [$changed, $words] = Edits::applied($wall, $fields->text('do'), $fields);
        $follow = $request->json('follow', '');
        $changed = $changed->followedFrom($wall, is_string($follow) ? (Symmetry::tryFrom($follow) ?? Symmetry::None) : Symmetry::None);
        $face = $this->walls->face($changed);
        $this->walls->save($block, $seen, $changed, $words);

        return new JsonResponse(WallDocument::shown($this->walls, $block, $changed, $face));
    }

    /** @throws KeenSeamProblem */
    public function undo(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->step($request, $block, -1);
    }

    /** @throws KeenSeamProblem */
    public function redo(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->step($request, $block, 1);
    }

    private function step(Request $request, ShelfBlock $block, int $by): JsonResponse
    {
        $this->walls->step($block, SeenVersion::of($request), $by);
        try {
            $wall = $this->walls->open($block, Walls::pathOf($request));
        } catch (KeenSeamProblem) {
            $wall = $this->walls->open($block, ''); // the small grid that was open is no longer there
        }

        return new JsonResponse(WallDocument::shown($this->walls, $block, $wall));
    }
}
