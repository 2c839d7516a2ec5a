<?php

declare(strict_types=1);

namespace Tests\Support;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Photo\Photograph;
use KeenSeam\Core\Photo\UnitFace;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A small photograph of a laid-out block, painted pixel by pixel: slanted, lit from a side, with a little noise. */
final class Painted
{
    private const WIDTH = 360;

    private const HEIGHT = 300;

    /** Between raw edges, in inches. */
    private const APART = 0.25;

    /**
     * @param array<string, UnitFace> $laid what lies otherwise, by "row,column"
     *
     * @return array{Photograph, list<array{float, float}>} and its true corners
     */
    public static function block(Face $face, array $laid, int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed + 900));
        $inch = static fn ($length): float => $length->in($face->block->unit)->toFloat();
        $a = $inch($face->block->seamAllowance);
        $steps = $face->lattice->steps;
        $units = [];
        $size = [0.0, 0.0];
        foreach ($face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit) {
                $xs = array_map(static fn ($point): float => $point->x / $steps, $unit->outline->points);
                $ys = array_map(static fn ($point): float => $point->y / $steps, $unit->outline->points);
                $left = min($xs) + ($unit->cell->column - 1) * (2 * $a + self::APART);
                $top = min($ys) + ($unit->cell->row - 1) * (2 * $a + self::APART);
                [$width, $height] = [max($xs) - min($xs), max($ys) - min($ys)];
                $units[] = [$laid[$unit->cell->row.','.$unit->cell->column] ?? UnitFace::of($unit), $left, $top, $width, $height];
                $size = [max($size[0], $left + $width + 2 * $a), max($size[1], $top + $height + 2 * $a)];
            }
        }
        $scale = min(0.72 * self::WIDTH / $size[0], 0.72 * self::HEIGHT / $size[1]);
        $table = [[120, 126, 131], [95, 107, 96], [150, 140, 120]][$seed % 3];
        // Straight lines stay straight: a mild perspective, written backwards from the picture to the table.
        [$g, $h] = [($seed % 3 - 1) * 0.0003, ($seed % 2) * 0.0004];
        $toTable = static function (float $px, float $py) use ($g, $h, $scale, $size): array {
            [$x, $y] = [$px - self::WIDTH / 2, $py - self::HEIGHT / 2];
            $w = 1 - $g * $x - $h * $y;

            return [$x / $w / $scale + $size[0] / 2, $y / $w / $scale + $size[1] / 2];
        };
        $onPicture = static function (float $x, float $y) use ($g, $h, $scale, $size): array {
            [$x, $y] = [($x - $size[0] / 2) * $scale, ($y - $size[1] / 2) * $scale];
            $w = 1 + $g * $x + $h * $y;

            return [$x / $w + self::WIDTH / 2, $y / $w + self::HEIGHT / 2];
        };
        $colours = array_map(static fn ($fabric): array => array_map(hexdec(...), str_split(substr($fabric->color, 1), 2)), $face->block->fabrics);
        $rgb = '';
        for ($py = 0; $py < self::HEIGHT; ++$py) {
            for ($px = 0; $px < self::WIDTH; ++$px) {
                [$x, $y] = $toTable($px, $py);
                $colour = $table;
                foreach ($units as [$shown, $left, $top, $width, $height]) {
                    if ($x >= $left && $x <= $left + $width + 2 * $a && $y >= $top && $y <= $top + $height + 2 * $a) {
                        $fabric = $shown->fabricAt(min(0.9999, max(0.0001, ($x - $left - $a) / $width)), min(0.9999, max(0.0001, ($y - $top - $a) / $height)));
                        $colour = $colours[$fabric] ?? $colour;
                        break;
                    }
                }
                $light = 0.98 - 0.35 * $px / self::WIDTH - 0.25 * $py / self::HEIGHT;
                $noise = $random->getInt(-5, 5);
                $rgb .= chr((int) max(0, min(255, $colour[0] * $light * 1.05 + $noise))).chr((int) max(0, min(255, $colour[1] * $light + $noise))).chr((int) max(0, min(255, $colour[2] * $light * 0.92 + $noise)));
            }
        }

        return [new Photograph(self::WIDTH, self::HEIGHT, $rgb), [$onPicture(0, 0), $onPicture($size[0], 0), $onPicture($size[0], $size[1]), $onPicture(0, $size[1])]];
    }
}
