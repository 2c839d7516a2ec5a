<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\WallDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Wall\History;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The layout as it was when the quilter froze it, as the picture to match. */
final readonly class PictureController
{
    public function __construct(private Walls $walls) {}

    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->kept($request, $block, $block->document, 'Freeze the picture');
    }

    public function destroy(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->kept($request, $block, null, 'Drop the picture');
    }

    private function kept(Request $request, ShelfBlock $block, ?string $picture, string $words): JsonResponse
    {
        History::record($block, SeenVersion::of($request), $words, ['picture' => $picture]);

        return new JsonResponse(WallDocument::shown($this->walls, $block, $this->walls->open($block, Walls::pathOf($request))));
    }
}
