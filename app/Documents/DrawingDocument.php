<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Layout\CellDrawing;
use KeenSeam\Core\Layout\Spot;

/** One cell, large: its patches, the marks to cut from, and the order in which it can be sewn. */
final class DrawingDocument
{
    /** @return array<string, mixed> lengths are finished ones, in the block's unit */
    public static function of(CellDrawing $drawing): array
    {
        $order = $drawing->order();
        $face = $order['face'];
        $steps = $face->lattice->steps;
        $place = static fn (Point $point): array => [$point->x / $steps, $point->y / $steps];
        [$width, $height] = [$face->block->finishedWidth->in($face->block->unit)->toFloat(), $face->block->finishedHeight->in($face->block->unit)->toFloat()];
        $ids = array_map(static fn (Patch $patch): int => $patch->id, $drawing->unit->patches());

        return [
            'row' => $drawing->cell->row,
            'column' => $drawing->cell->column,
            'width' => $width,
            'height' => $height,
            'size' => [$face->block->finishedWidth->toText($face->block->unit), $face->block->finishedHeight->toText($face->block->unit)],
            'patches' => array_map(static fn (Patch $patch, int $id): array => ['id' => $id, 'fabric' => $patch->fabric->key, 'points' => array_map($place, $patch->outline->points)], $face->patches, $ids),
            'marks' => array_map(static fn (Spot $mark): array => [
                'x' => $mark->x->toText(),
                'y' => $mark->y->toText(),
                'at' => [$mark->x->toFloat() * $width, $mark->y->toFloat() * $height],
            ], $drawing->drawing->marks()),
            'seams' => array_map(static fn (Join $join): array => ['from' => $place($join->seam->from), 'to' => $place($join->seam->to)], $order['joins']),
            'problem' => $order['problem'],
            'inTheWay' => array_map(static fn (int $number): int => $ids[$number], $order['inTheWay']),
        ];
    }
}
