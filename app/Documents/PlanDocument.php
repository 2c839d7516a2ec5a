<?php

declare(strict_types=1);

namespace App\Documents;

use App\Workings\Figures;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\MatchReport;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressStyle;

/** The open plan format, schema/plan.schema.json. */
final class PlanDocument
{
    public const FORMAT = 'keen-seam/plan';

    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function of(PressingPlan $plan, PressStyle $style): array
    {
        $lattice = $plan->construction->face->lattice;
        $matches = self::byJoin($plan->matches, $lattice);
        $ends = self::byJoin($plan->ends, $lattice);

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'patches' => array_map(static fn (Patch $patch): array => [
                'id' => $patch->id,
                'fabric' => $patch->fabric->key,
                'points' => array_map(static fn (Point $point): array => $lattice->toText($point), $patch->outline->points),
            ], $plan->construction->face->patches),
            'joins' => array_map(static fn (Join $join): array => [
                'id' => $join->id,
                'left' => $join->left->patchIds(),
                'right' => $join->right->patchIds(),
                'from' => $lattice->toText($join->seam->from),
                'to' => $lattice->toText($join->seam->to),
                'press' => array_map(static fn (PressDirection $press): string => $press->value, $plan->pressing->of($join)),
                'matches' => $matches[$join->id] ?? [],
                'ends' => $ends[$join->id] ?? [],
            ], $plan->construction->joins),
            'junctions' => array_map(static fn (Junction $junction, int $peak): array => [
                'at' => $lattice->toText($junction->at),
                'patches' => count($junction->patchIds),
                'peak' => $peak,
            ], $plan->junctions, $plan->peaks()),
            'steps' => array_map(static fn (Step $step): array => [
                'do' => $step->do->value,
                'joins' => $step->joins,
                'text' => $step->text,
            ], PlanSteps::of($plan)),
            'totals' => Figures::totals($plan),
            'proved' => $plan->proved,
            ...self::gap($plan, $style),
        ];
    }

    /** @return array{gap?: array{figure: string, plan: float|int, bound: float|int}} */
    private static function gap(PressingPlan $plan, PressStyle $style): array
    {
        if ($plan->bound === null || $plan->proved) {
            return [];
        }
        $bound = $plan->bound->figures($style);
        foreach ($plan->cost->figures($style) as $figure => $value) {
            if ($value !== $bound[$figure]) {
                $unit = $figure === 'shadow' ? Cost::SHADOW_STEPS : 1;

                return ['gap' => ['figure' => $figure, 'plan' => $value / $unit, 'bound' => $bound[$figure] / $unit]];
            }
        }

        return [];
    }

    /**
     * @param list<MatchReport> $reports
     *
     * @return array<int, list<array{at: array{string, string}, kind: string}>>
     */
    private static function byJoin(array $reports, Lattice $lattice): array
    {
        $byJoin = [];
        foreach ($reports as $report) {
            $byJoin[$report->join][] = ['at' => $lattice->toText($report->at), 'kind' => $report->nesting->value];
        }

        return $byJoin;
    }
}
