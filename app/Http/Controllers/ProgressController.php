<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\ChoiceNotKnown;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;

/** How many of the plan's steps are done. */
final class ProgressController
{
    /** @throws KeenSeamProblem */
    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        $done = $request->json('stepsDone');
        if (! is_int($done) || $done < 0) {
            throw ChoiceNotKnown::count('stepsDone');
        }
        $block->saveOver(SeenVersion::of($request), ['steps_done' => [$block->order->value => $done] + $block->steps_done]);

        return new JsonResponse(['stepsDone' => $block->stepsDoneNow(), 'version' => $block->version]);
    }
}
