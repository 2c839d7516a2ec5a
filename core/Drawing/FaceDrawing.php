<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;

/** The face of a block as a picture in SVG, in lattice steps, so that every corner is exact; nothing but paths. */
final readonly class FaceDrawing
{
    /** Pixels of the longer side, unless asked otherwise. */
    public const PIXELS = 600;

    /** @param int $pixels of the longer side, at least 1 */
    public static function svg(Face $face, int $pixels = self::PIXELS): string
    {
        // A block's face begins at the origin.
        $corners = $face->outline()->points;
        $width = max(array_map(static fn (Point $one): int => $one->x, $corners));
        $height = max(array_map(static fn (Point $one): int => $one->y, $corners));
        $longer = max($width, $height);
        $heaps = [];
        foreach ($face->patches as $patch) {
            $heaps[$patch->fabric->color] = ($heaps[$patch->fabric->color] ?? '').self::path($patch->outline->points);
        }
        $paths = '';
        foreach ($heaps as $colour => $path) {
            // A hair of stroke in its own colour, or the ground shows between neighbours.
            $paths .= sprintf('<path fill="%1$s" stroke="%1$s" stroke-width="%2$s" d="%3$s"/>', $colour, round($longer / $pixels, 4), $path);
        }

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d" width="%d" height="%d">%s</svg>',
            $width,
            $height,
            max(1, (int) round($pixels * $width / $longer)),
            max(1, (int) round($pixels * $height / $longer)),
            $paths,
        );
    }

    /** @param list<Point> $points */
    private static function path(array $points): string
    {
        return 'M'.implode(' ', array_map(static fn (Point $point): string => "$point->x $point->y", $points)).'Z';
    }
}
