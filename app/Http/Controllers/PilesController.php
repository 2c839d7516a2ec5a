<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\Pressing\TurnedUnit;

/** What it would gain to press a class of units in two piles. */
final readonly class PilesController
{
    public function __construct(private BlockPlans $plans) {}

    public function __invoke(ShelfBlock $block): JsonResponse
    {
        [$now, $splits] = $this->plans->piles($block);
        $gains = [];
        foreach ($splits as $class => $plan) {
            if ($plan->cost->compareTo($now->cost, $block->style) >= 0) {
                continue;
            }
            $apart = array_filter($plan->turnedUnits, static fn (TurnedUnit $unit): bool => $unit->unitClass === $class && $unit->pile > 0);
            $all = count($now->construction->classes[$class]->members);
            $unit = $now->construction->classes[$class]->members[0]->cell->unit;
            $gains[] = [
                'class' => $now->construction->classes[$class]->label(),
                'text' => sprintf(
                    'Press %d of %d %s the other way: %s.',
                    min(count($apart), $all - count($apart)),
                    $all,
                    $unit->plural(),
                    Comparison::words($now, $plan),
                ),
            ];
        }

        return new JsonResponse(['gains' => $gains]);
    }
}
