<?php

declare(strict_types=1);

namespace App\Documents;

use App\Plans\PressStation;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\Flap;
use KeenSeam\Core\Pressing\HabitWarning;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\MatchReport;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;

/** Everything the press station draws: the faces, the seams and crossings, the figures and the steps. */
final class PressDocument
{
    /** @return array<string, mixed> */
    public static function of(PressStation $station): array
    {
        $plan = $station->shown;
        $face = $plan->construction->face;

        return [
            'block' => ['id' => $station->block->id, 'name' => $station->block->name, 'version' => $station->block->version],
            'face' => FaceDocument::of($face),
            'units' => count($face->whole->parts),
            'joins' => self::joins($plan, $station->locks, $station->block->progress($plan->construction)),
            'crossings' => self::crossings($plan),
            'junctions' => self::junctions($plan),
            'flaps' => self::flaps($plan, Back::of($plan->construction, $plan->pressing)),
            'habits' => array_map(static fn (HabitWarning $warning): array => [
                'text' => $face->lattice->toText($warning->at),
                'runsStraightOn' => $warning->runsStraightOn,
            ], HabitWarning::allIn($plan->construction)),
            'totals' => self::figures($plan),
            'withoutLocks' => self::figures($station->withoutLocks),
            'locks' => count($station->locks->all),
            'rest' => $station->block->rest->value,
            'steps' => array_map(static fn (Step $step): array => [
                'do' => $step->do->value,
                'joins' => $step->joins,
                'patches' => $step->patchIds,
                'title' => $step->title,
                'text' => $step->text,
            ], PlanSteps::of($plan)),
            'stepsDone' => self::stepsDone($station),
            'seamsSewn' => count($station->block->progress($plan->construction)->sewn),
            'order' => $station->block->order->value,
            'style' => $station->block->style->value,
            'proved' => $station->withoutLocks->proved,
        ];
    }

    /** How many of the plan's steps are done before the first that is not. */
    private static function stepsDone(PressStation $station): int
    {
        $progress = $station->block->progress($station->shown->construction);
        $done = 0;
        foreach (PlanSteps::of($station->shown) as $step) {
            if ($step->do !== StepKind::LayOut && ! $progress->isDone($step)) {
                break;
            }
            ++$done;
        }

        return $progress->sewn === [] ? 0 : $done;
    }

    /**
     * @param list<Flap> $flaps
     *
     * @return list<array<string, mixed>>
     */
    public static function flaps(PressingPlan $plan, array $flaps): array
    {
        $lattice = $plan->construction->face->lattice;

        return array_map(static fn (Flap $flap): array => [
            'patch' => $flap->patchId,
            'allowance' => $flap->isAllowance,
            'turnedUp' => $flap->turnedUp,
            'points' => array_map(static fn (array $corner): array => FaceDocument::corner($corner, $lattice), $flap->corners),
        ], $flaps);
    }

    /** @return array<string, int|string> */
    public static function figures(PressingPlan $plan): array
    {
        return [...PlanDocument::totals($plan), 'thickest' => max([1, ...$plan->peaks()])];
    }

    /** @return list<array<string, mixed>> */
    private static function joins(PressingPlan $plan, Locks $locks, WorkProgress $progress): array
    {
        $lattice = $plan->construction->face->lattice;

        return array_map(static fn (Join $join, SeamName $name): array => [
            'id' => $join->id,
            'title' => $name->title,
            'left' => $name->left,
            'right' => $name->right,
            'pile' => $name->pressedToo,
            'isOfUnit' => $join->tie !== null,
            'place' => $join->tie === null ? null : Words::place($plan->construction->classes[$join->tie->unitClass]->members[$join->tie->member]),
            'from' => FaceDocument::point($join->seam->from, $lattice),
            'to' => FaceDocument::point($join->seam->to, $lattice),
            'leftSide' => $join->leftSide,
            'press' => array_map(static fn (PressDirection $press): string => $press->value, $plan->pressing->of($join)),
            'divisions' => array_map(static fn ($match): array => FaceDocument::point($match->at, $lattice), $join->matchPoints()),
            'locked' => $locks->hold($join->id),
            'isPressed' => isset($progress->pressed[$join->id]),
            'patches' => $join->patchIds(),
        ], $plan->construction->joins, SeamName::all($plan->construction));
    }

    /** @return list<array<string, mixed>> */
    private static function crossings(PressingPlan $plan): array
    {
        $lattice = $plan->construction->face->lattice;
        $joins = $plan->construction->joins;

        return array_map(static function (MatchReport $match) use ($lattice, $joins): array {
            $meeting = $joins[$match->join]->meetingAt($match->at);

            return [
                'join' => $match->join,
                'seams' => [$meeting->lastOfLeft?->id, $meeting->lastOfRight?->id],
                'at' => FaceDocument::point($match->at, $lattice),
                'text' => $lattice->toText($match->at),
                'kind' => $match->nesting->value,
            ];
        }, $plan->matches);
    }

    /** @return list<array<string, mixed>> */
    private static function junctions(PressingPlan $plan): array
    {
        $lattice = $plan->construction->face->lattice;

        return array_map(static fn (Junction $junction, array $plies): array => [
            'at' => FaceDocument::point($junction->at, $lattice),
            'text' => $lattice->toText($junction->at),
            'patches' => count($junction->patchIds),
            'peak' => max([0, ...$plies]),
            'plies' => $plies,
        ], $plan->junctions, $plan->plies);
    }
}
