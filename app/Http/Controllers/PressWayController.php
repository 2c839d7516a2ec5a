<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\BesideDocument;
use App\Documents\Sheets;
use App\Exceptions\ChoiceNotKnown;
use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;

/** Her way beside the planner's, which of the two is sewn, and what may be done about lumps. */
final readonly class PressWayController
{
    public function __construct(
        private Workings $workings,
        private PressAnswers $answers,
    ) {}

    /** @throws KeenSeamProblem */
    public function beside(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(BesideDocument::of($block, $this->workings->of($block)));
    }

    /** @throws KeenSeamProblem */
    public function choose(Request $request, ShelfBlock $block): JsonResponse
    {
        $own = $request->json('own');
        if (! is_bool($own)) {
            throw ChoiceNotKnown::among('own', ['true', 'false']);
        }

        return $this->answers->after($request, $block, $own ? 'Sew it my way' : 'Sew it as planned', static function () use ($block, $own): void {
            $block->own_way = $own;
        });
    }

    /** @throws KeenSeamProblem */
    public function advice(ShelfBlock $block): JsonResponse
    {
        return JsonResponse::fromJsonString(Sheets::advice($block, $this->workings->of($block)));
    }

    /** @throws KeenSeamProblem */
    public function undo(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->answers->step($request, $block, -1);
    }

    /** @throws KeenSeamProblem */
    public function redo(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->answers->step($request, $block, 1);
    }
}
