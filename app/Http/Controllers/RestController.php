<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PressDocument;
use App\Exceptions\ChoiceNotKnown;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\RestOfSeams;

/** Whether the other seams stay as planned or follow the quilter's locks. */
final readonly class RestController
{
    public function __construct(private BlockPlans $plans) {}

    /** @throws KeenSeamProblem */
    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        $rest = $request->json('rest');
        $block->rest = RestOfSeams::tryFrom(is_string($rest) ? $rest : '') ?? throw ChoiceNotKnown::of('rest', RestOfSeams::cases());
        $station = $this->plans->press($block);
        $block->saveOver(SeenVersion::of($request), []);

        return new JsonResponse(PressDocument::of($station));
    }
}
