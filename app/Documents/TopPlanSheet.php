<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Guide\TopWords;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Pressing\TopPile;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Top;

/** What the plan of a top says, as the screens show it. */
final class TopPlanSheet
{
    /** @return array<string, mixed> */
    public static function of(TopPlan $plan, Top $asPlaced, bool $isHeld): array
    {
        $words = new TopWords($plan, $asPlaced, $isHeld);
        $setting = $asPlaced->setting;
        $places = [];
        foreach ($plan->sewn->copies as $number => $copy) {
            $place = $copy->place->place ?? throw new \LogicException('A block stands in a place.');
            $places[] = [
                ...$place->told($setting),
                'turn' => $place->placement->turn->value,
                'turned' => $words->turned($number)->value,
                'pile' => $plan->piles[$number] + 1,
            ];
        }

        return [
            'sentences' => $words->sentences(),
            'proved' => $plan->plan->proved,
            'nestings' => ['nested' => $plan->plan->count(Nesting::Nested), 'stacked' => $plan->plan->count(Nesting::Stacked)],
            'places' => $places,
            'made' => array_map(static fn (TopPile $pile): array => self::made($plan, $pile), $plan->made),
            'picture' => TopSheet::picture($plan->sewn->top),
            ...self::between($plan),
        ];
    }

    /** @return array{seamPlaces: list<string>, seams: list<array<string, mixed>>, crossings: list<array<string, mixed>>} the seams that no block has by itself, and where they cross others */
    private static function between(TopPlan $plan): array
    {
        $between = array_flip(array_map(static fn (Join $join): int => $join->id, $plan->sewn->between()));

        return [
            'seamPlaces' => array_values(array_intersect_key(SeamPlaces::of($plan->sewn->construction)->places, $between)),
            'seams' => array_values(array_filter(iterator_to_array(PressDocument::joins($plan->plan), false), static fn (array $join): bool => isset($between[$join['id']]))),
            'crossings' => array_values(array_filter(PressDocument::crossings($plan->plan), static fn (array $crossing): bool => isset($between[$crossing['join']]))),
        ];
    }

    /** @return array<string, mixed> how a block of a pile is pressed, from the back and in words */
    private static function made(TopPlan $top, TopPile $pile): array
    {
        $plan = $pile->plan;
        $made = $pile->design->key.($pile->mirrored ? ' mirrored' : '');
        $copies = array_values(array_filter($top->sewn->copies, static fn (TopCopy $copy): bool => $copy->made === $made));

        return [
            'block' => $pile->design->key,
            'mirrored' => $pile->mirrored,
            'pile' => $pile->pile + 1,
            'name' => TopHolds::pile($made, $pile->pile),
            'places' => array_values(SeamPlaces::of($copies[0]->design)->places),
            'count' => $pile->count,
            'face' => FaceDocument::of($plan->construction->face),
            'joins' => iterator_to_array(PressDocument::joins($plan), false),
            'flaps' => PressDocument::flaps($plan, iterator_to_array(Back::of($plan->construction, $plan->pressing), false)),
            'rows' => $pile->mirrored ? [] : array_map(static fn (RowWords $row): array => ['title' => $row->title, 'way' => $row->way], RowWords::of($plan, new Rules($plan->construction))),
        ];
    }
}
