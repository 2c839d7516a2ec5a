<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\PatternCheck;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Measure\Fraction;

/** The open cutting format, schema/cut.schema.json. */
final class CutDocument
{
    public const FORMAT = 'keen-seam/cut';

    public const VERSION = 1;

    /**
     * @param array<int, int>|null $ids patch ids in the plan that is sewn, by those of the plan that is drawn; null where both are one
     *
     * @return array<string, mixed>
     */
    public static function of(CuttingPlan $plan, ?array $ids = null, ?PatternCheck $pattern = null): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'units' => array_map(static fn (MadeUnit $made): array => self::unit($made, $plan), $plan->units),
            'cuts' => array_map(static fn (Cut $cut): array => self::cut($cut, $ids), $plan->cuts),
            'strips' => array_map(static fn (array $strip): array => [
                'fabrics' => $strip['set']->fabrics,
                'widths' => array_map(static fn (Fraction $width): string => $width->toText(), $strip['set']->widths),
                'sets' => $strip['set']->sets(),
                'cuts' => array_map(static fn (array $cut): array => ['width' => $cut['width']->toText(), 'count' => $cut['count']], $strip['set']->cuts),
                'for' => $strip['for'],
            ], $plan->strips),
            'fabric' => array_map(static fn (string $fabric, Packing $packing): array => [
                'fabric' => $fabric,
                'length' => $packing->length->toText(),
                'width' => $packing->width->toText(),
            ], array_map(strval(...), array_keys($plan->fabric)), $plan->fabric),
            ...($pattern === null ? [] : ['pattern' => PatternDocument::of($pattern)]),
        ];
    }

    /**
     * @param array<int, int>|null $ids
     *
     * @return array<string, mixed>
     */
    private static function cut(Cut $cut, ?array $ids): array
    {
        $outline = $cut->outline();
        $patches = $ids === null ? $cut->patches : array_values(array_filter(array_map(static fn (int $id): ?int => $ids[$id] ?? null, $cut->patches), is_int(...)));

        return [
            'fabric' => $cut->fabric,
            'shape' => $cut->shape->value,
            // A template's box as it is drawn.
            'size' => $cut->template === null ? [$cut->width->toText(), $cut->height->toText()] : [Amount::text(max(array_column($outline, 0) ?: [0.0])), Amount::text(max(array_column($outline, 1) ?: [0.0]))],
            'count' => $cut->count,
            'then' => $cut->then->value,
            'for' => $cut->for,
            'stack' => $cut->letter,
            'outline' => array_map(static fn (array $corner): array => [Amount::text($corner[0]), Amount::text($corner[1])], $outline),
            'mirrored' => $cut->mirrored,
            ...($patches === [] ? [] : ['patches' => $patches]),
        ];
    }

    /** @return array<string, mixed> */
    public static function unit(MadeUnit $made, CuttingPlan $plan): array
    {
        $unit = $made->unit;
        $raw = $unit->raw($plan->bench->sizes->allowance);

        return [
            'class' => $unit->label,
            'unit' => $unit->unit->kind(),
            'finished' => [$unit->width->toText(), $unit->height->toText()],
            'unfinished' => [$raw[0]->toText(), $raw[1]->toText()],
            'need' => $unit->need,
            'mirrored' => $unit->mirrored,
            'method' => $made->way->key,
            'batches' => $made->batches(),
            'makes' => $made->makes(),
            'spare' => $made->spare(),
            'half_made' => $made->halfMade(),
            'yields' => ['own' => $made->way->own, 'mirror' => $made->way->mirror, 'look_alike' => $made->way->lookAlike],
            'build' => $made->build->value,
            'look_alike' => $unit->lookAlike,
        ];
    }
}
