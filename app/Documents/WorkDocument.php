<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Work\Work;
use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\Take;
use KeenSeam\Core\Guide\TakenUnits;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\PressDirection;

/** The work at the machine: all steps with what is done of them, and one step as it lies in the hand. */
final class WorkDocument
{
    /** @return array<string, mixed> */
    public static function of(Work $work, ShelfBlock $block): array
    {
        $progress = $work->progress;

        return [
            'steps' => array_map(static fn (Step $step): array => [
                'key' => $step->key(),
                'do' => $step->do->value,
                'place' => $step->do->place(),
                'title' => $step->title,
                'text' => $step->text,
                'caution' => $step->do->caution(),
                'times' => $step->times,
                'due' => $progress->due[$step->key()] ?? $step->times,
                'counted' => $progress->counted($step),
                'joins' => $step->joins,
                'open' => $progress->open($step),
                'patches' => $step->patchIds,
                'size' => $step->size,
                'isDone' => $progress->isDone($step),
            ], $work->steps),
            'sewn' => $progress->sewn,
            'plan' => self::planKey($work),
            'blocks' => $work->blocks,
            'chain' => $block->chain->value,
            'pausedAt' => $block->paused_at,
        ];
    }

    /** Another one where any seam is pressed otherwise: then pictures that were fetched before are no longer true. */
    private static function planKey(Work $work): string
    {
        $presses = array_map(static fn (array $directions): string => implode(' ', array_map(static fn (PressDirection $direction): string => $direction->value, $directions)), $work->plan->pressing->directions);

        return substr(md5(implode(',', $presses)), 0, 12);
    }

    /** @return array<string, mixed> what is needed to draw one step */
    public static function step(Work $work, Step $step, ShelfBlock $block, Fraction $takeUp): array
    {
        $construction = $work->plan->construction;
        $takes = Take::forStep($construction, $step);
        $edges = new RawEdges($construction);
        $join = $takes[0]->joins[0] ?? null;
        $isLong = $join !== null && $join->tie === null && $join->matchPoints() !== [];

        return [
            'shown' => self::shown($work, $step, $edges),
            'takes' => array_map(static fn (Take $take): array => self::take($work, $take, $edges), $takes),
            'ruler' => $isLong ? self::ruler($work, $block, $takeUp, $join) : null,
            'lookTwice' => $join !== null && $join->tie === null ? self::lookTwice($work, $step) : [],
        ];
    }

    /** @return list<array<string, mixed>> what the step makes, as it lies after pressing: one of each kind of unit, a row, the rows so far */
    private static function shown(Work $work, Step $step, RawEdges $edges): array
    {
        $plan = $work->plan;
        $made = array_map(static fn (int $join): Join => $plan->construction->joins[$join], $step->made);
        // What another of them holds is seen in that one.
        $whole = array_values(array_filter($made, static fn (Join $one): bool => array_filter($made, static fn (Join $other): bool => $other !== $one && array_diff($one->patchIds(), $other->patchIds()) === []) === []));

        return $made === [] ? [['patches' => $step->patchIds, 'raw' => [], 'flaps' => [], 'size' => null]] : array_map(static fn (Join $join): array => [
            'patches' => $join->patchIds(),
            'raw' => self::raw($work, $join, $edges),
            'flaps' => PressDocument::flaps($plan, Back::of($plan->construction, $plan->pressing, $join)),
            // A unit is larger until it is squared up.
            'size' => $join->tie === null && $join->outline()->isUprightRectangle() ? array_map(Amount::text(...), Remedy::rawSize($plan, $join->id)) : null,
        ], $whole);
    }

    /** @return array<string, mixed> */
    private static function take(Work $work, Take $take, RawEdges $edges): array
    {
        $lattice = $work->plan->construction->face->lattice;

        return [
            'pieces' => array_map(static fn (Assembly $piece): array => $piece->patchIds(), $take->pieces),
            'raw' => array_map(static fn (Assembly $piece): array => self::raw($work, $piece, $edges), $take->pieces),
            'seams' => array_map(static fn (Join $join): array => [
                'from' => FaceDocument::point($join->seam->from, $lattice),
                'to' => FaceDocument::point($join->seam->to, $lattice),
            ], $take->joins),
        ];
    }

    /** @return list<array<string, mixed>> its patches out to the raw edge */
    private static function raw(Work $work, Assembly $part, RawEdges $edges): array
    {
        $face = $work->plan->construction->face;
        $shown = $edges->patches($part);

        return array_map(static fn (int $id, array $corners): array => [
            'id' => $id,
            'fabric' => $face->patches[$id]->fabric->key,
            'points' => array_map(static fn (array $corner): array => [round($corner[0], 4), round($corner[1], 4)], $corners),
        ], array_keys($shown), $shown);
    }

    /** @return array<string, mixed> */
    private static function ruler(Work $work, ShelfBlock $block, Fraction $takeUp, Join $join): array
    {
        $unit = $work->plan->construction->face->block->unit;
        $drift = new Drift($work->plan, $takeUp, $block->square_up, [], $block->measuredSizes($unit));

        return JoinsStationDocument::joins($block, $work->plan, $drift, $takeUp)[$join->id];
    }

    /** @return list<array<string, mixed>> units taken in by the step that could lie turned without the eye catching it */
    private static function lookTwice(Work $work, Step $step): array
    {
        $units = [];
        foreach (TakenUnits::by($work->plan->construction, $step->joins) as $unit) {
            $units[$unit->cell->row.' '.$unit->cell->column] = ['ratio' => $unit->ratio(), 'patch' => $unit->patches()[0]->id];
        }
        $found = array_filter(Impostors::allIn($work->plan->construction), static fn (Impostors $one): bool => isset($units[$one->cell->row.' '.$one->cell->column]));

        return array_map(static fn (Impostors $one): array => ['row' => $one->cell->row, 'column' => $one->cell->column, ...$units[$one->cell->row.' '.$one->cell->column], ...ImpostorDocument::of($one)], array_values($found));
    }
}
