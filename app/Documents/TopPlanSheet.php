<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Guide\TopWords;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\TopPile;
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
            'made' => array_map(self::made(...), $plan->made),
        ];
    }

    /** @return array<string, mixed> how a block of a pile is pressed, from the back and in words */
    private static function made(TopPile $pile): array
    {
        $plan = $pile->plan;

        return [
            'block' => $pile->design->key,
            'mirrored' => $pile->mirrored,
            'pile' => $pile->pile + 1,
            'count' => $pile->count,
            'face' => FaceDocument::of($plan->construction->face),
            'joins' => iterator_to_array(PressDocument::joins($plan), false),
            'flaps' => PressDocument::flaps($plan, iterator_to_array(Back::of($plan->construction, $plan->pressing), false)),
            'rows' => $pile->mirrored ? [] : array_map(static fn (RowWords $row): array => ['title' => $row->title, 'way' => $row->way], RowWords::of($plan, new Rules($plan->construction))),
        ];
    }
}
