<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\Sheets;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\PlanNotFound;
use App\Workings\WorkedTops;
use App\Workings\Workings;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\Drawing\BackSketch;
use KeenSeam\Core\Drawing\DrawnSide;
use KeenSeam\Core\Drawing\FaceSketch;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Top\TopFace;

/** A block or a top as a picture. An address that names the state of what it shows stays good for ever. */
final readonly class DrawnController
{
    public function __construct(private Workings $workings, private WorkedTops $tops) {}

    /** @throws KeenSeamProblem when the block cannot be opened */
    public function ofBlock(Request $request, ShelfBlock $block, string $side): Response
    {
        $working = $this->workings->asAsked($block);
        $face = $working->face();
        $picture = match (DrawnSide::from($side)) {
            // The shelf shows it, and names it itself.
            DrawnSide::Face => $working->ofFile('face-picture', static fn (): string => Svg::picture(FaceSketch::of($face, Palette::ofFabrics($face->block->fabrics)))),
            DrawnSide::Outlines => Svg::picture(FaceSketch::outlines($face), $block->name.', '.$side),
            DrawnSide::Back => Sheets::back($block, $working),
        };

        return self::picture($request, $picture);
    }

    /** @throws KeenSeamProblem when the top cannot be opened */
    public function ofTop(Request $request, ShelfTop $top, string $side): Response
    {
        $drawn = $this->tops->top($top);
        $palette = Palette::ofFabrics($drawn->fabrics);
        $sketch = match (DrawnSide::from($side)) {
            DrawnSide::Face => FaceSketch::of(TopFace::of($drawn)->face, $palette, $drawn),
            DrawnSide::Outlines => FaceSketch::outlines(TopFace::of($drawn)->face, $drawn),
            DrawnSide::Back => BackSketch::of(($this->tops->plan($top)['plan'] ?? throw PlanNotFound::since('The plan of this top is still being worked out. Open its Press part and come back when it is there.'))->plan, $palette, $drawn),
        };

        return self::picture($request, Svg::picture($sketch, $top->name.', '.$side));
    }

    private static function picture(Request $request, string $svg): Response
    {
        return new Response($svg, Response::HTTP_OK, ['Content-Type' => 'image/svg+xml', 'Cache-Control' => $request->has('of') ? 'private, max-age=31536000, immutable' : 'private, no-cache']);
    }
}
