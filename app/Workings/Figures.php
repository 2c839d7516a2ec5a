<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressingPlan;

/** The figures of a plan, as the open plan format and the screens tell them. */
final class Figures
{
    /** @return array<string, int|string> */
    public static function totals(PressingPlan $plan): array
    {
        return [
            'joins' => count($plan->construction->joins),
            'matches' => count($plan->matches),
            'nested' => $plan->count(Nesting::Nested),
            'stacked' => $plan->count(Nesting::Stacked),
            'lopsided' => $plan->count(Nesting::Lopsided),
            'flat' => $plan->count(Nesting::Flat),
            'peak_squared' => $plan->cost->peakSquared,
            'shadow' => $plan->cost->shadowText(),
            'folded' => $plan->cost->folded,
            'furls' => $plan->cost->furls,
        ];
    }

    /** @return array<string, int|string> with the most layers anywhere */
    public static function of(PressingPlan $plan): array
    {
        return [...self::totals($plan), 'thickest' => max([1, ...$plan->peaks()])];
    }
}
