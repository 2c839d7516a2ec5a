<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Making\UnitToMake;

/** One unit, finished, in its own frame. */
final class UnitSketch
{
    public static function of(UnitToMake $unit, Palette $palette): Sketch
    {
        [$width, $height] = [$unit->width->toFloat(), $unit->height->toFloat()];
        $longer = max($width, $height);
        $shapes = array_map(
            static fn (array $patch): Area => new Area(array_map(static fn (array $share): array => [$share[0] * $width, $share[1] * $height], $patch[1]), $palette->face($patch[0]), Palette::INK, $longer / 80),
            $unit->picture->toShares(),
        );

        // As high as it is wide, so that units stand level beside each other.
        return new Sketch(-($longer - $width) / 2, -($longer - $height) / 2, $longer, $longer, $shapes);
    }
}
