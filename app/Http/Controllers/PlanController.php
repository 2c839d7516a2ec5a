<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PressDocument;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;

final readonly class PlanController
{
    public function __construct(private BlockPlans $plans) {}

    public function __invoke(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(PressDocument::of($this->plans->press($block)));
    }
}
