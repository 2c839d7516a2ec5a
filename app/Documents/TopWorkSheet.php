<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Guide\BorderSteps;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopPart;

/** What is cut for a top, how much cloth that takes, and everything there is to do, as the screens show it. */
final class TopWorkSheet
{
    /** @return array<string, mixed> */
    public static function cutting(TopConstruction $placed, Preference $preference): array
    {
        $top = $placed->top->top;
        $plan = CuttingPlan::of($placed->construction, new CutQuestion(preference: $preference), $top);
        $names = [];
        foreach ($plan->units as $made) {
            $names[$made->unit->label] = $made->unit->plural;
        }

        return [
            'ways' => array_values(array_map(static fn (MadeUnit $made): array => ['words' => sprintf('%d %s, %s', $made->unit->need + $made->unit->mirrored, $made->unit->plural, $made->way->words), 'spare' => $made->spare()], array_filter($plan->units, static fn (MadeUnit $made): bool => $made->way->key !== 'from-units'))),
            'cuts' => array_map(static fn (Cut $cut): array => [
                'fabric' => $cut->fabric,
                'stack' => $cut->letter,
                'count' => $cut->count,
                'shape' => $cut->count === 1 ? $cut->shape->value : $cut->shape->value.'s',
                'size' => $cut->width->equals($cut->height) ? [$cut->width->toText()] : [$cut->width->toText(), $cut->height->toText()],
                'then' => $cut->then === Then::None ? '' : $cut->then->value,
                'for' => array_values(array_unique(array_map(static fn (string $for): string => $names[$for] ?? ($for === 'plain' ? 'plain squares, sashes and sides' : $for), $cut->for))),
            ], $plan->cuts),
            'cloth' => array_map(static fn (string $fabric, Packing $packing): array => ['fabric' => $fabric, 'length' => $packing->length->toText(), 'width' => $packing->width->toText()], array_map(strval(...), array_keys($plan->fabric)), $plan->fabric),
        ];
    }

    /**
     * Blocks of which there are both hands, and those that could lie otherwise without the edge that is sewn telling it.
     *
     * @return array{hands: list<string>, twice: list<array{row: string, column: string}>}
     */
    public static function looks(TopConstruction $placed): array
    {
        $hands = $twice = [];
        foreach ($placed->top->top->designs as $design) {
            $mirrored = array_map(static fn (TopCopy $copy): bool => $copy->place->place?->placement->mirrored === true, array_filter($placed->copies, static fn (TopCopy $copy): bool => $copy->place->wholeDesign() === $design));
            $others = count(array_filter($mirrored));
            if ($others > 0 && $others < count($mirrored)) {
                $hands[] = sprintf('%s: %d as drawn, %d mirrored. Keep them in two stacks.', $design->key, count($mirrored) - $others, $others);
            }
        }
        $setting = $placed->top->top->setting;
        foreach (Impostors::allIn($placed->construction) as $one) {
            $part = array_values(array_filter($placed->top->parts, static fn (TopPart $part): bool => $part->wholeDesign() !== null && [$part->row, $part->column] === [$one->cell->row, $one->cell->column]))[0] ?? null;
            if ($part?->place !== null) {
                $twice[] = $part->place->told($setting);
            }
        }

        return ['hands' => $hands, 'twice' => $twice];
    }

    /** @return array{problem: null, matchPoints: int, longestJoin: string} */
    public static function order(TopConstruction $placed): array
    {
        $report = OrderReport::of($placed->construction);

        return ['problem' => null, 'matchPoints' => $report->matchPoints, 'longestJoin' => $report->longestJoin];
    }

    /** @return list<array{title: string, text: string}> blocks first, then the top, then its borders */
    public static function steps(TopPlan $plan, Top $top, Chain $chain, Preference $preference): array
    {
        $steps = [...WorkSteps::of($plan->plan, new CutQuestion(preference: $preference), $chain, $plan->sewn->construction), ...BorderSteps::of($top)];

        return array_map(static fn (Step $step): array => ['title' => $step->title, 'text' => $step->text], $steps);
    }
}
