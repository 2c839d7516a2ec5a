<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Top\Top;

/** The face of a block or a top, finished size, in its unit of length. */
final class FaceSketch
{
    /** Beside the longer side: hides the ground between neighbours. */
    private const HAIR = 1 / 300;

    /** Lines of a page to be coloured. */
    private const OUTLINE = 1 / 250;

    /** @param Top|null $bordered the top whose borders are drawn round it */
    public static function of(Face $face, Palette $palette, ?Top $bordered = null): Sketch
    {
        $hanging = new Hanging($face);
        $hair = max($hanging->width, $hanging->height) * self::HAIR;
        $shapes = array_map(static fn (Patch $patch): Area => new Area($hanging->points($patch->outline->points), $palette->face($patch->fabric->key), $palette->face($patch->fabric->key), $hair, 'patch'), $face->patches);

        return self::framed($hanging, $shapes, $bordered, static fn (string $fabric): array => [$palette->face($fabric), $palette->face($fabric), $hair]);
    }

    /** Its outlines only, to be coloured by hand. */
    public static function outlines(Face $face, ?Top $bordered = null): Sketch
    {
        $hanging = new Hanging($face);
        $line = max($hanging->width, $hanging->height) * self::OUTLINE;
        $shapes = array_map(static fn (Patch $patch): Area => new Area($hanging->points($patch->outline->points), Palette::PAPER, Palette::INK, $line, 'patch'), $face->patches);
        $sketch = self::framed($hanging, $shapes, $bordered, static fn (): array => [Palette::PAPER, Palette::INK, $line]);

        // The outermost lines are whole.
        return new Sketch($sketch->left - $line, $sketch->top - $line, $sketch->width + 2 * $line, $sketch->height + 2 * $line, $sketch->shapes);
    }

    /**
     * With borders round it, each below what it is sewn to.
     *
     * @param list<Shape>                                                   $shapes
     * @param \Closure(string): array{string, string|null, float}           $cloth  fill, edge and its thickness, by fabric
     * @param \Closure(float, float, float, float, string): list<Area>|null $round  drawn round each border, by its outer box and its fabric
     */
    public static function framed(Hanging $hanging, array $shapes, ?Top $bordered, \Closure $cloth, ?\Closure $round = null): Sketch
    {
        [$left, $top, $width, $height] = [0.0, 0.0, $hanging->width, $hanging->height];
        $unit = $hanging->unit;
        foreach ($bordered->borders ?? [] as $border) {
            $by = $border->width->in($unit)->toFloat();
            $strip = static fn (float $x, float $y, float $w, float $h, string $fabric): Area => Area::rectangle($x, $y, $w, $h, ...[...$cloth($fabric), 'border']);
            $strips = [
                $strip($left - $by, $top, $by, $height, $border->fabric->key),
                $strip($left + $width, $top, $by, $height, $border->fabric->key),
                $strip($left - $by, $top - $by, $width + 2 * $by, $by, $border->fabric->key),
                $strip($left - $by, $top + $height, $width + 2 * $by, $by, $border->fabric->key),
            ];
            if ($border->corners !== null) {
                foreach ([[$left - $by, $top - $by], [$left + $width, $top - $by], [$left - $by, $top + $height], [$left + $width, $top + $height]] as [$x, $y]) {
                    $strips[] = $strip($x, $y, $by, $by, $border->corners->key);
                }
            }
            [$left, $top, $width, $height] = [$left - $by, $top - $by, $width + 2 * $by, $height + 2 * $by];
            $shapes = [...$strips, ...($round === null ? [] : $round($left, $top, $width, $height, $border->fabric->key)), ...$shapes];
        }

        return new Sketch($left, $top, $width, $height, $shapes);
    }
}
