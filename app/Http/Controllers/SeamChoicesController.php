<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PressDocument;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\KeenSeamProblem;

/** What each way of pressing one seam would cost. */
final readonly class SeamChoicesController
{
    public function __construct(private BlockPlans $plans) {}

    /** @throws KeenSeamProblem */
    public function __invoke(ShelfBlock $block, int $join): JsonResponse
    {
        return new JsonResponse(['choices' => array_map(PressDocument::figures(...), $this->plans->choices($block, $join))]);
    }
}
