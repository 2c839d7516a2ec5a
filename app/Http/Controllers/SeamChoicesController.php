<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PressDocument;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\PressingPlan;

/** What each way of pressing one seam would cost. */
final readonly class SeamChoicesController
{
    public function __construct(private BlockPlans $plans) {}

    /** @throws KeenSeamProblem */
    public function __invoke(ShelfBlock $block, int $join): JsonResponse
    {
        $now = $this->plans->press($block)->shown;

        return new JsonResponse(['choices' => array_map(static fn (PressingPlan $plan): array => [
            'figures' => PressDocument::figures($plan),
            'words' => Comparison::words($now, $plan),
        ], $this->plans->choices($block, $join))]);
    }
}
