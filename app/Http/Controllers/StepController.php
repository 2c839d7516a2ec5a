<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\StepDocument;
use App\Exceptions\ChoiceNotKnown;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\KeenSeamProblem;

/** One step of the plan as it looks on the table, counted from 0. */
final readonly class StepController
{
    public function __construct(private BlockPlans $plans) {}

    /** @throws KeenSeamProblem */
    public function __invoke(ShelfBlock $block, int $step): JsonResponse
    {
        $plan = $this->plans->press($block)->shown;
        $steps = PlanSteps::of($plan);

        return new JsonResponse(StepDocument::of($plan, $steps[$step] ?? throw ChoiceNotKnown::count('step')));
    }
}
