<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\PressingPlan;

/** What a step makes, as it lies after pressing: one unit of a pile, a row, the rows so far. */
final class StepDocument
{
    /** @return array<string, mixed> */
    public static function of(PressingPlan $plan, Step $step): array
    {
        $made = array_map(static fn (int $join) => $plan->construction->joins[$join], $step->made);
        $flaps = array_map(static fn ($assembly): array => Back::of($plan->construction, $plan->pressing, $assembly), $made);

        return [
            'patches' => $made === [] ? $step->patchIds : array_merge(...array_map(static fn ($assembly): array => $assembly->patchIds(), $made)),
            'flaps' => PressDocument::flaps($plan, array_merge(...$flaps)),
        ];
    }
}
