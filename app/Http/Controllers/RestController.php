<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\ChoiceNotKnown;
use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\RestOfSeams;

/** Whether the other seams stay as planned or follow the quilter's locks. */
final readonly class RestController
{
    public function __construct(private PressAnswers $answers) {}

    /** @throws KeenSeamProblem */
    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        $rest = $request->json('rest');
        $rest = RestOfSeams::tryFrom(is_string($rest) ? $rest : '') ?? throw ChoiceNotKnown::of('rest', RestOfSeams::cases());

        return $this->answers->after($request, $block, $rest === RestOfSeams::Follows ? 'Let the others follow' : 'Let the others stay', static function () use ($block, $rest): void {
            $block->rest = $rest;
        });
    }
}
