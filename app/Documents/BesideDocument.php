<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Workings\Figures;
use App\Workings\WorkingOut;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\Pressing\MatchReport;
use KeenSeam\Core\Pressing\PressingPlan;

/** The quilter's way beside the planner's: the figures, and every crossing at which the two differ. */
final class BesideDocument
{
    /** @return array<string, mixed> */
    public static function of(ShelfBlock $block, WorkingOut $working): array
    {
        $planned = $working->plans()->withoutLocks();
        $own = $working->with((clone $block)->fill(['own_way' => true]))->plans()->mine();

        return [
            'own' => ['figures' => Figures::of($own), 'proved' => $own->proved],
            'planned' => ['figures' => Figures::of($planned), 'proved' => $planned->proved],
            'words' => Comparison::words($planned, $own),
            'crossings' => self::crossings($own, $planned),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function crossings(PressingPlan $own, PressingPlan $planned): array
    {
        $lattice = $own->construction->face->lattice;
        $kinds = static fn (PressingPlan $plan): array => array_column(array_map(static fn (MatchReport $match): array => [$match->at->key(), $match->nesting->value], $plan->matches), 1, 0);
        [$ofOwn, $ofPlanned, $here, $there] = [$kinds($own), $kinds($planned), $own->peaks(), $planned->peaks()];
        $differ = [];
        foreach ($own->junctions as $i => $junction) {
            $key = $junction->at->key();
            $pair = [[$ofOwn[$key] ?? null, $here[$i]], [$ofPlanned[$key] ?? null, $there[$i]]];
            if ($pair[0] !== $pair[1]) {
                $differ[] = [
                    'at' => FaceDocument::point($junction->at, $lattice),
                    'text' => $lattice->toText($junction->at),
                    'own' => ['kind' => $pair[0][0], 'peak' => $pair[0][1]],
                    'planned' => ['kind' => $pair[1][0], 'peak' => $pair[1][1]],
                ];
            }
        }

        return $differ;
    }
}
