<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\FaceDocument;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\KeenSeamProblem;

/** The figures on the line of stitching that every station shows. */
final readonly class RailController
{
    public function __construct(private Workings $workings) {}

    public function __invoke(ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);
        [$nested, $matches, $seams, $sewn] = [null, null, 0, 0];
        try {
            $head = $working->planHead();
            [$nested, $matches] = [$head->figures['nested'], $head->figures['matches']];
            [$seams, $sewn] = [count($head->pressing->directions), count($working->facts()->progress()->sewn)];
        } catch (KeenSeamProblem) {
            // It cannot be sewn as it is; the Order station says why.
        }

        return new JsonResponse(['units' => FaceDocument::kept($working)['units'], 'nested' => $nested, 'matches' => $matches, 'seams' => $seams, 'sewn' => $sewn, 'order' => $block->orderId()]);
    }
}
