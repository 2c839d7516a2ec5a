<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FabricToBuy;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;

/**
 * What a quilter takes along as tables. Sizes stand there twice: as a number to be reckoned with, and as they are read on a
 * ruler, with their unit, so that no spreadsheet takes 1/4 for a day.
 */
final class ListDocument
{
    public static function cuts(CuttingPlan $plan): string
    {
        $face = $plan->construction->face;
        $unit = $face->block->unit->value;

        return CsvTable::of(['stack', 'fabric', 'count', 'shape', 'size', 'width', 'height', 'then', 'turned over', 'for'], array_map(static fn (Cut $cut): array => [
            $cut->letter,
            $face->block->fabrics[$cut->fabric]->name,
            $cut->count,
            $cut->shape->value,
            SizeText::of($cut->width, $cut->height).' '.$unit,
            self::number($cut->width->toFloat()),
            self::number($cut->height->toFloat()),
            $cut->then === Then::None ? '' : $cut->then->value,
            $cut->mirrored,
            implode('; ', array_map($plan->called(...), $cut->for)),
        ], $plan->cuts));
    }

    public static function fabric(CuttingPlan $plan): string
    {
        $block = $plan->construction->face->block;

        return CsvTable::of(['fabric', 'buy', 'length', 'of width', 'length as cut', 'colour'], array_map(static fn (string $key, Packing $packing): array => [
            $block->fabrics[$key]->name,
            FabricToBuy::words($packing->length, $block->unit),
            self::number($packing->length->toFloat()),
            self::number($packing->width->toFloat()),
            $packing->length->toText().' '.$block->unit->value,
            $block->fabrics[$key]->color,
        ], array_map(strval(...), array_keys($plan->fabric)), array_values($plan->fabric)));
    }

    public static function joins(PressingPlan $plan, Drift $drift): string
    {
        $unit = $plan->construction->face->block->unit;
        $names = SeamName::all($plan->construction);

        return CsvTable::of(['join', 'name', 'left', 'right', 'pressed', 'finished', 'finished length', 'places to match', 'bias', 'on top'], array_map(static fn (JoinSheet $sheet): array => [
            $sheet->join->id,
            $names[$sheet->join->id]->title,
            $names[$sheet->join->id]->left,
            $names[$sheet->join->id]->right,
            implode(', ', array_unique(array_map(static fn (PressDirection $press): string => match ($press) {
                PressDirection::Left => 'toward '.$names[$sheet->join->id]->left,
                PressDirection::Right => 'toward '.$names[$sheet->join->id]->right,
                PressDirection::Open => 'open',
            }, $plan->pressing->of($sheet->join)))),
            Amount::rounded($sheet->finished, $unit).' '.$unit->value,
            self::number($sheet->finished),
            count(array_filter($sheet->marks, static fn (Mark $mark): bool => $mark->nest !== null)),
            $sheet->bias,
            $sheet->up,
        ], $drift->sheets));
    }

    private static function number(float $number): float
    {
        return round($number, 4);
    }
}
