<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Guide\TopWords;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopPlace;

/** What the plan of a top says, as the screens show it. */
final class TopPlanSheet
{
    /** @return array<string, mixed> */
    public static function of(TopPlan $plan, Top $asPlaced): array
    {
        $words = new TopWords($plan, $asPlaced);
        $setting = $asPlaced->setting;
        $places = [];
        foreach ($plan->sewn->copies as $number => $copy) {
            $place = $copy->place->place ?? throw new \LogicException('A block stands in a place.');
            $places[] = [
                'row' => (string) TopPlace::number($place->rowDoubled, $setting),
                'column' => (string) TopPlace::number($place->columnDoubled, $setting),
                'turn' => $place->placement->turn->value,
                'turned' => $words->turned($number)->value,
                'pile' => $plan->piles[$number] + 1,
            ];
        }

        return [
            'sentences' => $words->sentences(),
            'proved' => $plan->plan->proved,
            'crossings' => ['nested' => $plan->plan->count(Nesting::Nested), 'stacked' => $plan->plan->count(Nesting::Stacked)],
            'places' => $places,
        ];
    }
}
