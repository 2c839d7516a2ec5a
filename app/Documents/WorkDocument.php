<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Work\Work;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Measure\Fraction;

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
                'left' => $progress->left($step),
                'joins' => $step->joins,
                'open' => $progress->open($step),
                'patches' => $step->patchIds,
                'size' => $step->size,
                'isDone' => $progress->isDone($step),
            ], $work->steps),
            'sewn' => $progress->sewn,
            'blocks' => $work->blocks,
            'chain' => $block->chain->value,
            'pausedAt' => $block->paused_at,
        ];
    }

    /** @return array<string, mixed> what is needed to draw one step */
    public static function step(Work $work, Step $step, ShelfBlock $block, Fraction $takeUp): array
    {
        $join = $step->do === StepKind::Join ? $work->plan->construction->joins[$step->made[0] ?? $step->joins[0]] : null;
        if ($join !== null && $join->tie === null && count($step->joins) > 1) {
            $join = $work->plan->construction->joins[$step->joins[0]];
        }
        $isLong = $join !== null && $join->tie === null && $join->matchPoints() !== [];

        return [
            ...StepDocument::of($work->plan, $step),
            'pair' => $join === null ? null : self::pair($work, $join),
            'ruler' => $isLong ? self::ruler($work, $block, $takeUp, $join) : null,
            'lookTwice' => $join !== null && $join->tie === null ? self::lookTwice($work, $step) : [],
        ];
    }

    /** @return array<string, mixed> the two pieces of a join before they are flipped onto each other */
    private static function pair(Work $work, Join $join): array
    {
        $lattice = $work->plan->construction->face->lattice;

        return [
            'left' => $join->left->patchIds(),
            'right' => $join->right->patchIds(),
            'from' => FaceDocument::point($join->seam->from, $lattice),
            'to' => FaceDocument::point($join->seam->to, $lattice),
        ];
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
        $taken = [];
        foreach ($step->joins as $id) {
            foreach ($work->plan->construction->joins[$id]->children() as $child) {
                $taken[self::sorted($child->patchIds())] = true;
            }
        }
        $units = [];
        foreach ($work->plan->construction->face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && isset($taken[self::sorted(array_map(static fn (Patch $patch): int => $patch->id, $unit->patches()))])) {
                $units[$unit->cell->row.' '.$unit->cell->column] = true;
            }
        }
        $found = array_filter(Impostors::allIn($work->plan->construction), static fn (Impostors $one): bool => isset($units[$one->cell->row.' '.$one->cell->column]));

        return array_map(static fn (Impostors $one): array => ['row' => $one->cell->row, 'column' => $one->cell->column, ...ImpostorDocument::of($one)], array_values($found));
    }

    /** @param list<int> $ids */
    private static function sorted(array $ids): string
    {
        sort($ids);

        return implode(',', $ids);
    }
}
