<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\TopPart;
use KeenSeam\Core\Top\TopPlace;

/** The plan of a top: that of a block, with what lies in every place. */
final class TopDocument
{
    /** @return array<string, mixed> */
    public static function of(TopPlan $plan, PressStyle $style): array
    {
        $top = $plan->sewn->top->top;
        [$width, $height] = $top->hangingSize();

        return [
            ...PlanDocument::of($plan->plan, $style),
            'frame' => $top->setting->frame(),
            'finished' => ['width' => number_format($width, 6, '.', ''), 'height' => number_format($height, 6, '.', '')],
            'places' => self::places($plan->sewn, $plan->piles),
            'piles' => array_map(static fn (Design $design): int => $top->pilesOf($design), $top->designs),
        ];
    }

    /**
     * @param list<int> $piles from 0, by copy
     *
     * @return list<array<string, mixed>>
     */
    private static function places(TopConstruction $sewn, array $piles): array
    {
        $pileOf = [];
        foreach ($sewn->copies as $number => $copy) {
            $pileOf[$copy->part] = $piles[$number] + 1;
        }
        $setting = $sewn->top->top->setting;
        $places = [];
        foreach ($sewn->top->parts as $number => $part) {
            $place = $part->place;
            if ($place !== null) {
                $places[$place->rowDoubled * 1000 + $place->columnDoubled] = [
                    'row' => TopPlace::number($place->rowDoubled, $setting),
                    'column' => TopPlace::number($place->columnDoubled, $setting),
                    ...self::held($place, $part, $pileOf[$number] ?? null),
                    'patches' => $part->patchIds(),
                ];
            }
        }

        ksort($places); // row by row as it hangs

        return array_values($places);
    }

    /** @return array<string, mixed> */
    private static function held(TopPlace $place, TopPart $part, ?int $pile): array
    {
        if ($place->holds instanceof Fabric) {
            return ['fabric' => $place->holds->key];
        }

        return [
            'block' => $place->holds->key,
            'turn' => $place->placement->turn->value,
            'mirrored' => $place->placement->mirrored,
            'pile' => $pile ?? 1,
        ];
    }
}
