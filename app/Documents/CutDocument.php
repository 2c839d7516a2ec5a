<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Measure\Fraction;

/** The open cutting format, schema/cut.schema.json. */
final class CutDocument
{
    public const FORMAT = 'keen-seam/cut';

    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function of(CuttingPlan $plan): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'units' => array_map(static fn (MadeUnit $made): array => self::unit($made, $plan), $plan->units),
            'cuts' => array_map(static fn (Cut $cut): array => [
                'fabric' => $cut->fabric,
                'shape' => $cut->shape->value,
                'size' => [$cut->width->toText(), $cut->height->toText()],
                'count' => $cut->count,
                'then' => $cut->then->value,
                'for' => $cut->for,
            ], $plan->cuts),
            'fabric' => array_map(static fn (string $fabric, Packing $packing): array => [
                'fabric' => $fabric,
                'length' => $packing->length->toText(),
                'width' => $packing->width->toText(),
            ], array_map(strval(...), array_keys($plan->fabric)), $plan->fabric),
        ];
    }

    /** @return array<string, mixed> */
    public static function unit(MadeUnit $made, CuttingPlan $plan): array
    {
        $block = $plan->construction->face->block;
        $two = $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
        $unit = $made->unit;

        return [
            'class' => $unit->label,
            'unit' => $unit->unit->kind(),
            'finished' => [$unit->width->toText(), $unit->height->toText()],
            'unfinished' => [$unit->width->plus($two)->toText(), $unit->height->plus($two)->toText()],
            'need' => $unit->need,
            'mirrored' => $unit->mirrored,
            'method' => $made->way->key,
            'batches' => $made->batches,
            'makes' => $made->makes(),
            'spare' => $made->spare(),
            'look_alike' => $unit->lookAlike,
        ];
    }
}
