<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Work\SewnAs;
use App\Work\Work;
use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Take;
use KeenSeam\Core\Guide\TakenUnits;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\Furled;
use KeenSeam\Core\Pressing\PressingPlan;

/** The work at the machine: all steps with what is done of them, and one step as it lies in the hand. */
final class WorkDocument
{
    /** @return array<string, mixed> */
    public static function of(Work $work, ShelfBlock $block): array
    {
        return [
            'steps' => array_map(static fn (Step $step): array => [
                'key' => $step->key(),
                'do' => $step->do->value,
                'place' => $step->do->place(),
                'title' => $step->title,
                'text' => $step->text,
                'caution' => $step->do->caution(),
                'times' => $step->times,
                'joins' => $step->joins,
                'patches' => $step->patchIds,
                'size' => $step->size,
                ...self::state($work, $step),
            ], $work->pedal->steps),
            'sewn' => $work->progress->sewn,
            'mark' => self::mark($work),
            'plan' => $work->pedal->plan,
            'blocks' => $work->blocks,
            'chain' => SewnAs::of($block)->value,
            'pausedAt' => $block->paused_at,
        ];
    }

    /**
     * What is otherwise than before; how far every step is where the screen knows another state than that, since an answer
     * was lost or another window was at work. Where the plan became another one, all is to be asked for anew.
     *
     * @param string $mark of what the screen knows
     *
     * @return array<string, mixed>
     */
    public static function changed(Work $before, Work $after, ShelfBlock $block, string $mark): array
    {
        $isKnown = $mark === self::mark($before);
        $states = [];
        foreach ($after->pedal->steps as $step) {
            $state = self::state($after, $step);
            if (! $isKnown || $state !== self::state($before, $step)) {
                $states[] = ['key' => $step->key(), ...$state];
            }
        }
        $known = $isKnown ? $before->progress->sewn : [];

        return [
            'steps' => $states,
            'isWhole' => ! $isKnown,
            'sewn' => array_values(array_diff($after->progress->sewn, $known)),
            'opened' => array_values(array_diff($known, $after->progress->sewn)),
            'mark' => self::mark($after),
            'plan' => $after->pedal->plan,
            'pausedAt' => $block->paused_at,
        ];
    }

    /** The same while everything is as far as it is. */
    private static function mark(Work $work): string
    {
        return hash('xxh3', serialize($work->progress));
    }

    /** @return array{due: int, counted: int, open: list<int>, isDone: bool} how far a step is */
    private static function state(Work $work, Step $step): array
    {
        return [
            'due' => $work->progress->due[$step->key()] ?? $step->times,
            'counted' => $work->progress->counted($step),
            'open' => $work->progress->open($step),
            'isDone' => $work->progress->isDone($step),
        ];
    }

    /** @return array<string, mixed> what is needed to draw one step */
    public static function step(Work $work, Step $step, ShelfBlock $block, Fraction $takeUp): array
    {
        $plan = $work->working->plan();
        $construction = $plan->construction;
        $takes = Take::forStep($construction, $step);
        $edges = new RawEdges($construction);
        $join = $takes[0]->joins[0] ?? null;
        $isLong = $join !== null && $join->tie === null && $join->matchPoints() !== [];

        return [
            'shown' => self::shown($plan, $step, $edges),
            'takes' => array_map(static fn (Take $take): array => self::take($construction, $take, $edges), $takes),
            'stages' => array_map(CuttingDocument::stage(...), $step->stages),
            'furls' => $step->do === StepKind::Press ? self::furls($plan, $step) : [],
            'ruler' => $isLong ? self::ruler($work, $plan, $block, $takeUp, $join, $edges) : null,
            'lookTwice' => $join !== null && $join->tie === null ? self::lookTwice($construction, $step) : [],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function furls(PressingPlan $plan, Step $step): array
    {
        $lattice = $plan->construction->face->lattice;
        $furls = array_merge(...array_map(static fn (int $join): array => Furled::along($plan->construction->joins[$join], $plan->pressing), $step->joins));

        return array_map(static fn (Furled $furl): array => ['at' => FaceDocument::point($furl->at, $lattice), 'text' => $lattice->toText($furl->at), 'clockwise' => $furl->isClockwise], $furls);
    }

    /** @return list<array<string, mixed>> what the step makes, as it lies after pressing: one of each kind of unit, a row, the rows so far */
    private static function shown(PressingPlan $plan, Step $step, RawEdges $edges): array
    {
        $made = array_map(static fn (int $join): Join => $plan->construction->joins[$join], $step->made);
        // What another of them holds is seen in that one.
        $whole = array_values(array_filter($made, static fn (Join $one): bool => array_filter($made, static fn (Join $other): bool => $other !== $one && array_diff($one->patchIds(), $other->patchIds()) === []) === []));

        return $made === [] ? [['patches' => $step->patchIds, 'raw' => [], 'flaps' => [], 'size' => null]] : array_map(static fn (Join $join): array => [
            'patches' => $join->patchIds(),
            'raw' => self::raw($plan->construction, $join, $edges),
            'flaps' => PressDocument::flaps($plan, Back::of($plan->construction, $plan->pressing, $join)),
            // A unit is larger until it is squared up.
            'size' => $join->tie === null && $join->outline()->isUprightRectangle() ? array_map(Amount::text(...), Remedy::rawSize($plan, $join->id)) : null,
        ], $whole);
    }

    /** @return array<string, mixed> */
    private static function take(Construction $construction, Take $take, RawEdges $edges): array
    {
        $lattice = $construction->face->lattice;

        return [
            'pieces' => array_map(static fn (Assembly $piece): array => $piece->patchIds(), $take->pieces),
            'raw' => array_map(static fn (Assembly $piece): array => self::raw($construction, $piece, $edges), $take->pieces),
            'seams' => array_map(static fn (Join $join): array => [
                'from' => FaceDocument::point($join->seam->from, $lattice),
                'to' => FaceDocument::point($join->seam->to, $lattice),
            ], $take->joins),
        ];
    }

    /** @return list<array<string, mixed>> its patches out to the raw edge */
    private static function raw(Construction $construction, Assembly $part, RawEdges $edges): array
    {
        $face = $construction->face;
        $shown = $edges->patches($part);

        return array_map(static fn (int $id, array $corners): array => [
            'id' => $id,
            'fabric' => $face->patches[$id]->fabric->key,
            'points' => array_map(static fn (array $corner): array => [round($corner[0], 4), round($corner[1], 4)], $corners),
        ], array_keys($shown), $shown);
    }

    /** @return array<string, mixed> */
    private static function ruler(Work $work, PressingPlan $plan, ShelfBlock $block, Fraction $takeUp, Join $join, RawEdges $edges): array
    {
        $unit = $plan->construction->face->block->unit;
        $facts = $work->working->facts();
        $drift = Drift::at($plan, $takeUp, $block->square_up, $join, $facts->measuredIn($unit), $edges);

        return JoinsStationDocument::join($block->tolerance($plan->construction->face->block->unit), $facts->measured(), $plan, $drift->sheets[0], SeamName::all($plan->construction)[$join->id]);
    }

    /** @return list<array<string, mixed>> units taken in by the step that could lie turned without the eye catching it */
    private static function lookTwice(Construction $construction, Step $step): array
    {
        $units = [];
        foreach (TakenUnits::by($construction, $step->joins) as $unit) {
            $units[$unit->cell->row.' '.$unit->cell->column] = ['ratio' => $unit->ratio(), 'patch' => $unit->patches()[0]->id];
        }
        $found = Impostors::ofCells($construction, static fn (Cell $cell): bool => isset($units[$cell->row.' '.$cell->column]));

        return array_map(static fn (Impostors $one): array => ['row' => $one->cell->row, 'column' => $one->cell->column, ...$units[$one->cell->row.' '.$one->cell->column], ...ImpostorDocument::of($one)], $found);
    }
}
