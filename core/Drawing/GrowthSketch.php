<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\OrderReport;

/** How far a block or a top has grown after so many trips to the machine: what is not sewn yet stands apart. */
final class GrowthSketch
{
    /** Of a gap, beside the longer side. */
    private const GAP = 1 / 60;

    public static function of(Construction $construction, OrderReport $report, int $trips, Palette $palette): Sketch
    {
        $sketch = FaceSketch::of($construction->face, $palette);
        $hanging = new Hanging($construction->face);
        $thick = max($hanging->width, $hanging->height) * self::GAP;
        $gaps = [];
        foreach ($construction->joins as $join) {
            if ($report->batchOf[$join->id] > $trips) {
                $gaps[] = new Stroke([$hanging->point($join->seam->from), $hanging->point($join->seam->to)], Palette::PAPER, $thick, [], 'gap');
            }
        }

        return new Sketch($sketch->left, $sketch->top, $sketch->width, $sketch->height, [...$sketch->shapes, ...$gaps]);
    }
}
