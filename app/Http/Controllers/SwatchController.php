<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\WallDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Models\Swatch;
use App\Wall\History;
use App\Wall\SwatchPicture;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\KeenSeamProblem;

/** The picture of a fabric's cloth; the fabric takes its colour. */
final readonly class SwatchController
{
    public function __construct(private Walls $walls) {}

    public function show(string $hash): Response
    {
        $swatch = Swatch::query()->findOrFail($hash);

        return new Response($swatch->image, Response::HTTP_OK, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable']);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block, string $fabric): JsonResponse
    {
        $wall = $this->walls->open($block, Walls::pathOf($request));
        $now = $wall->cloths()->fabric($fabric);
        $picture = SwatchPicture::from($request->getContent());
        $hash = hash('xxh128', $picture->jpeg);
        $wall = $wall->withFabric(new Fabric($now->key, $now->name, $picture->color, FabricValue::proposedFor($picture->color)));
        $face = $this->walls->face($wall);
        Swatch::query()->firstOrCreate(['hash' => $hash], ['image' => $picture->jpeg]);
        History::record($block, SeenVersion::of($request), 'Give '.$now->name.' a picture', [
            'document' => json_encode(BlockFileWriter::write($wall->block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            'swatches' => [$fabric => $hash] + $block->swatches,
        ]);

        return new JsonResponse(WallDocument::shown($this->walls, $block, $wall, $face));
    }

    /** @throws KeenSeamProblem */
    public function destroy(Request $request, ShelfBlock $block, string $fabric): JsonResponse
    {
        $wall = $this->walls->open($block, Walls::pathOf($request));
        $wall->cloths()->fabric($fabric);
        History::record($block, SeenVersion::of($request), 'Take the picture away', ['swatches' => array_diff_key($block->swatches, [$fabric => true])]);

        return new JsonResponse(WallDocument::shown($this->walls, $block, $wall));
    }
}
