<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use App\Workings\Figures;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;

/** What each way of pressing one seam would cost. */
final readonly class SeamChoicesController
{
    /** Of larger blocks each way would take seconds to price. */
    private const MOST_SEAMS = 4000;

    public function __construct(private Workings $workings) {}

    /** @throws KeenSeamProblem */
    public function __invoke(ShelfBlock $block, int $join): JsonResponse
    {
        $working = $this->workings->of($block);
        JoinNotKnown::unlessIn($working->construction(), $join);
        if (count($working->construction()->joins) > self::MOST_SEAMS) {
            $figures = $working->planHead()->figures;

            return new JsonResponse(['choices' => array_fill_keys(array_column(PressDirection::cases(), 'value'), ['figures' => $figures, 'words' => 'not worked out for so large a block'])]);
        }
        $now = $working->plan();
        $choices = [];
        foreach (PressDirection::cases() as $direction) {
            $plan = $working->plans()->withLocks($working->plans()->locks()->with(new Lock($join, $direction)));
            $choices[$direction->value] = ['figures' => Figures::of($plan), 'words' => Comparison::words($now, $plan)];
        }

        return new JsonResponse(['choices' => $choices]);
    }
}
