<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PressDocument;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\Assembly\UnitClass;

/** What the layout means at the machine and the iron; planned anew after every change, so it comes apart from the picture. */
final readonly class WallFiguresController
{
    public function __construct(private BlockPlans $plans) {}

    public function __invoke(ShelfBlock $block): JsonResponse
    {
        $plan = $this->plans->press($block)->shown;
        $construction = $plan->construction;

        return new JsonResponse([
            'version' => $block->version,
            'patches' => count($construction->face->patches),
            'units' => array_map(static fn (UnitClass $class): array => [
                'class' => $class->label(),
                'count' => count($class->members),
                'name' => count($class->members) === 1 ? $class->members[0]->cell->unit->name() : $class->members[0]->cell->unit->plural(),
            ], $construction->classes),
            'figures' => PressDocument::figures($plan),
        ]);
    }
}
