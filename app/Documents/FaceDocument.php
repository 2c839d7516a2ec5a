<?php

declare(strict_types=1);

namespace App\Documents;

use App\Workings\WorkingOut;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\Length;

/** A block's face as the screens draw it: numbers in the block's unit of length, for drawing only. */
final class FaceDocument
{
    private const DECIMALS = 4;

    /** @return array<string, mixed> */
    public static function of(Face $face): array
    {
        $block = $face->block;

        return [
            'width' => $block->finishedWidth->in($block->unit)->toFloat(),
            'height' => $block->finishedHeight->in($block->unit)->toFloat(),
            'units' => $block->unit->value,
            'allowance' => $block->seamAllowance->in($block->unit)->toFloat(),
            'finished' => self::finished($face),
            'unfinished' => self::size(
                $face,
                $block->finishedWidth->plus($block->seamAllowance->times(2)),
                $block->finishedHeight->plus($block->seamAllowance->times(2)),
            ),
            'fabrics' => array_map(static fn (Fabric $fabric): array => [
                'key' => $fabric->key,
                'name' => $fabric->name,
                'color' => $fabric->color,
                'value' => $fabric->value->value,
            ], array_values($block->fabrics)),
            'patches' => array_map(static fn (Patch $patch): array => [
                'id' => $patch->id,
                'fabric' => $patch->fabric->key,
                'points' => array_map(static fn (Point $point): array => self::point($point, $face->lattice), $patch->outline->points),
            ], $face->patches),
        ];
    }

    /**
     * How the screens draw it, ready to be sent, and of how many units it is.
     *
     * @return array{face: array<string, mixed>, units: int}
     */
    public static function kept(WorkingOut $working): array
    {
        return $working->ofFile('shown', static fn (): array => ['face' => self::of($working->face()), 'units' => count($working->face()->whole->parts)]);
    }

    /** @return array{float, float} */
    public static function point(Point $point, Lattice $lattice): array
    {
        return self::corner([(float) $point->x, (float) $point->y], $lattice);
    }

    /**
     * @param array{float, float} $corner in lattice steps
     *
     * @return array{float, float}
     */
    public static function corner(array $corner, Lattice $lattice): array
    {
        return [round($corner[0] / $lattice->steps, self::DECIMALS), round($corner[1] / $lattice->steps, self::DECIMALS)];
    }

    /** @return list<string> one text when square, else width and height */
    public static function finished(Face $face): array
    {
        return self::size($face, $face->block->finishedWidth, $face->block->finishedHeight);
    }

    /** @return list<string> one text when square, else width and height */
    private static function size(Face $face, Length $width, Length $height): array
    {
        $unit = $face->block->unit;

        return $width->equals($height) ? [$width->toText($unit)] : [$width->toText($unit), $height->toText($unit)];
    }
}
