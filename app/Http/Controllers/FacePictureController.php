<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\Drawing\FaceDrawing;
use KeenSeam\Core\KeenSeamProblem;

/** A block's face as a picture. An address that names the block's state stays good for ever. */
final readonly class FacePictureController
{
    public function __construct(private Workings $workings) {}

    /** @throws KeenSeamProblem when the block cannot be opened */
    public function __invoke(Request $request, ShelfBlock $block): Response
    {
        $working = $this->workings->asAsked($block);
        $picture = $working->ofFile('face-picture', static fn (): string => FaceDrawing::svg($working->face()));

        return new Response($picture, Response::HTTP_OK, ['Content-Type' => 'image/svg+xml', 'Cache-Control' => $request->has('of') ? 'private, max-age=31536000, immutable' : 'private, no-cache']);
    }
}
