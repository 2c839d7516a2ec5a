<?php

declare(strict_types=1);

namespace App\Photo;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Luminance;
use KeenSeam\Core\Photo\Homography;
use KeenSeam\Core\Photo\Laying;
use KeenSeam\Core\Photo\UnitFace;

/**
 * A stand-in for a camera: draws the photograph of a block that is laid out on a table, with everything that makes
 * photographs hard to read. The same seed gives the same picture.
 */
final readonly class Camera
{
    private const TABLES = ['#8a8f94', '#a3947f', '#5f6b60', '#6f6259'];

    /** Of the frame that the layout fills. */
    private const FILLS = 0.8;

    /** Inches that a unit may be shifted for every degree it may be turned. */
    private const SHIFT = 1 / 24;

    private function __construct(private Shot $shot, private int $width, private int $height) {}

    /**
     * @param array<string, UnitFace>                          $faces what lies in each cell, by "row,column"; as drawn where there is nothing
     * @param array{float|list<float>, float|list<float>}|null $apart between raw edges, as Laying takes it; from the seed if null
     *
     * @return array{\GdImage, list<array{float, float}>} the picture, and the four outermost raw corners of the layout as it is meant, in pixels
     */
    public static function take(Face $face, array $faces, Shot $shot, int $width = 1400, int $height = 1050, ?array $apart = null): array
    {
        return (new self($shot, $width, $height))->photograph($face, $faces, $apart);
    }

    /**
     * @param array<string, UnitFace>                          $faces
     * @param array{float|list<float>, float|list<float>}|null $apart
     *
     * @return array{\GdImage, list<array{float, float}>}
     */
    private function photograph(Face $face, array $faces, ?array $apart): array
    {
        $shot = $this->shot;
        $inch = $face->block->unit->value === 'mm' ? 25.4 : 1.0;
        $gap = $shot->between(0.1, 0.6) * $inch;
        $laying = new Laying($face, $apart ?? [$gap, $gap]);
        $corners = $this->corners($laying);
        $plane = Homography::fromRectangle($laying->width, $laying->height, $corners);
        // Warm lamps are red, a window is blue; dim rooms take from all.
        $dim = $shot->between(0.6, 1.0);
        $warmth = $shot->between(-0.16, 0.16);
        $cast = [$dim * (1 + $warmth), $dim, $dim * (1 - $warmth)];
        $image = imagecreatetruecolor(max(1, $this->width), max(1, $this->height)) ?: throw new \RuntimeException('No memory for a picture.');
        $table = self::TABLES[$shot->random->getInt(0, count(self::TABLES) - 1)];
        imagefilledrectangle($image, 0, 0, $this->width, $this->height, self::colour($image, $table, $cast, 1.0));
        $prints = [];
        foreach ($face->block->fabrics as $fabric) {
            $prints[$fabric->key] = ['colour' => $fabric->color, 'spots' => $shot->random->getInt(0, 2), 'strength' => $shot->between(0.05, 0.16)];
        }
        foreach ($laying->units as $place) {
            $unit = $place['unit'];
            $drawn = $faces[$unit->cell->row.','.$unit->cell->column] ?? UnitFace::of($unit);
            [$shiftX, $shiftY] = [$shot->between(-1, 1) * $shot->jitter * self::SHIFT * $inch, $shot->between(-1, 1) * $shot->jitter * self::SHIFT * $inch];
            $turn = deg2rad($shot->between(-1, 1) * $shot->jitter);
            [$cos, $sin] = [cos($turn), sin($turn)];
            [$midX, $midY] = [$place['left'] + $place['width'] / 2 + $shiftX, $place['top'] + $place['height'] / 2 + $shiftY];
            $onPicture = static function (float $x, float $y) use ($plane, $place, $midX, $midY, $cos, $sin): array {
                [$x, $y] = [$x - $place['width'] / 2, $y - $place['height'] / 2];

                return $plane->at($midX + $x * $cos - $y * $sin, $midY + $x * $sin + $y * $cos);
            };
            foreach ($drawn->patches as [$key, $patch]) {
                $cloth = self::withAllowance(array_map(static fn (array $corner): array => [$corner[0] * $place['width'], $corner[1] * $place['height']], $patch), $place['width'], $place['height'], self::rims($laying, $place));
                $this->polygon($image, array_map(static fn (array $corner): array => $onPicture($corner[0], $corner[1]), $cloth), self::colour($image, $prints[$key]['colour'], $cast, 1.0));
                $this->spots($image, $prints[$key], $cloth, $onPicture, $cast, 0.16 * $inch);
            }
        }
        $this->light($image);
        $this->noise($image);
        for ($i = $shot->random->getInt(0, 2); $i > 0; --$i) {
            imagefilter($image, IMG_FILTER_GAUSSIAN_BLUR);
        }

        return [$image, $corners];
    }

    /** @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} where the layout's corners are seen */
    private function corners(Laying $laying): array
    {
        $shot = $this->shot;
        [$tilt, $toward, $roll] = [deg2rad($shot->tilt), $shot->between(0, 2 * M_PI), deg2rad($shot->between(-5, 5))];
        $size = hypot($laying->width, $laying->height);
        $far = $size * $shot->between(1.4, 2.4);
        $seen = [];
        foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as [$sideX, $sideY]) {
            [$x, $y] = [$sideX * $laying->width / 2, $sideY * $laying->height / 2];
            [$x, $y] = [$x * cos($roll) - $y * sin($roll), $x * sin($roll) + $y * cos($roll)];
            // Tilted about a line through its middle.
            [$along, $across] = [$x * cos($toward) + $y * sin($toward), -$x * sin($toward) + $y * cos($toward)];
            $deep = $far + $across * sin($tilt);
            $across *= cos($tilt);
            $seen[] = [($along * cos($toward) - $across * sin($toward)) / $deep, ($along * sin($toward) + $across * cos($toward)) / $deep];
        }
        [$xs, $ys] = [array_column($seen, 0), array_column($seen, 1)];
        $scale = self::FILLS * min($this->width / (max($xs) - min($xs)), $this->height / (max($ys) - min($ys)));
        [$offX, $offY] = [$this->width / 2 - $scale * (max($xs) + min($xs)) / 2 + $shot->between(-0.03, 0.03) * $this->width, $this->height / 2 - $scale * (max($ys) + min($ys)) / 2 + $shot->between(-0.03, 0.03) * $this->height];
        [$one, $two, $three, $four] = array_map(static fn (array $place): array => [$place[0] * $scale + $offX, $place[1] * $scale + $offY], $seen);

        return [$one, $two, $three, $four];
    }

    /**
     * Seams go on through the allowances to the raw edge.
     *
     * @param list<array{float, float}>         $patch in its finished unit
     * @param array{float, float, float, float} $rims  allowances that are seen: left, top, right, bottom
     *
     * @return list<array{float, float}>
     */
    private static function withAllowance(array $patch, float $width, float $height, array $rims): array
    {
        [$left, $top, $right, $bottom] = $rims;
        $cloth = [[-$left, -$top], [$width + $right, -$top], [$width + $right, $height + $bottom], [-$left, $height + $bottom]];
        foreach ($patch as $i => [$fromX, $fromY]) {
            [$toX, $toY] = $patch[($i + 1) % count($patch)];
            $isRim = static fn (float $one, float $other, float $size): bool => abs($one - $other) < 1e-6 && (abs($one) < 1e-6 || abs($one - $size) < 1e-6);
            if ($isRim($fromX, $toX, $width) || $isRim($fromY, $toY, $height)) {
                continue;
            }
            $side = static fn (array $place): float => ($toX - $fromX) * ($place[1] - $fromY) - ($toY - $fromY) * ($place[0] - $fromX);
            $kept = [];
            foreach ($cloth as $j => $corner) {
                $next = $cloth[($j + 1) % count($cloth)];
                [$here, $there] = [$side($corner), $side($next)];
                if ($here >= 0) {
                    $kept[] = $corner;
                }
                if ($here * $there < 0) {
                    $share = $here / ($here - $there);
                    $kept[] = [$corner[0] + $share * ($next[0] - $corner[0]), $corner[1] + $share * ($next[1] - $corner[1])];
                }
            }
            $cloth = $kept;
        }

        return $cloth;
    }

    /**
     * Between units that are sewn no allowance is seen.
     *
     * @param array{unit: \KeenSeam\Core\Block\PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return array{float, float, float, float}
     */
    private static function rims(Laying $laying, array $place): array
    {
        $a = $laying->allowance;
        $cell = $place['unit']->cell;
        // Which lines of the layout are sewn; its outer edges are not.
        $rim = static fn (int $axis, int $line, bool $isOuter): float => ! $isOuter && (is_array($laying->apart[$axis]) ? $laying->apart[$axis][$line - 1] ?? 0.0 : $laying->apart[$axis]) < -$a ? 0.0 : $a;
        $isOuter = static fn (float $edge): bool => abs($edge - $a) < 1e-6;

        return [
            $rim(0, $cell->column - 1, $isOuter($place['left'])),
            $rim(1, $cell->row - 1, $isOuter($place['top'])),
            $rim(0, $cell->lastColumn(), $isOuter($laying->width - $place['left'] - $place['width'])),
            $rim(1, $cell->lastRow(), $isOuter($laying->height - $place['top'] - $place['height'])),
        ];
    }

    /**
     * The print of a cloth: spots darker or lighter than its ground.
     *
     * @param array{colour: string, spots: int, strength: float} $print
     * @param list<array{float, float}>                          $cloth
     * @param \Closure(float, float): array{float, float}        $onPicture
     * @param array{float, float, float}                         $cast
     */
    private function spots(\GdImage $image, array $print, array $cloth, \Closure $onPicture, array $cast, float $apart): void
    {
        if ($print['spots'] === 0 || count($cloth) < 3) {
            return;
        }
        [$xs, $ys] = [array_column($cloth, 0), array_column($cloth, 1)];
        $colours = [self::colour($image, $print['colour'], $cast, 1 + $print['strength']), self::colour($image, $print['colour'], $cast, 1 - $print['strength'])];
        $step = $apart * $print['spots'];
        for ($x = min($xs) + $step / 2; $x < max($xs); $x += $step) {
            for ($y = min($ys) + $step / 2; $y < max($ys); $y += $step) {
                if ($this->shot->random->getInt(0, 2) === 0 || ! self::holds($cloth, $x, $y)) {
                    continue;
                }
                [$px, $py] = $onPicture($x, $y);
                [$qx, $qy] = $onPicture($x + $step * 0.4, $y);
                $size = max(2, (int) hypot($qx - $px, $qy - $py));
                imagefilledellipse($image, (int) $px, (int) $py, $size, $size, $colours[$this->shot->random->getInt(0, 1)]);
            }
        }
    }

    /** @param list<array{float, float}> $cloth */
    private static function holds(array $cloth, float $x, float $y): bool
    {
        foreach ($cloth as $i => [$fromX, $fromY]) {
            [$toX, $toY] = $cloth[($i + 1) % count($cloth)];
            if (($toX - $fromX) * ($y - $fromY) - ($toY - $fromY) * ($x - $fromX) < 0) {
                return false;
            }
        }

        return true;
    }

    /** Light from a side: full there, and as much less on the other side as asked. */
    private function light(\GdImage $image): void
    {
        $shade = imagecreatetruecolor(64, 48) ?: throw new \RuntimeException('No memory for a picture.');
        imagealphablending($shade, false);
        $from = $this->shot->between(0, 2 * M_PI);
        for ($x = 0; $x < 64; ++$x) {
            for ($y = 0; $y < 48; ++$y) {
                $along = (cos($from) * ($x / 63 - 0.5) + sin($from) * ($y / 47 - 0.5)) / (abs(cos($from)) + abs(sin($from))) + 0.5;
                $left = 1 - $along * (1 - 1 / max(1.0, $this->shot->light));
                imagesetpixel($shade, $x, $y, imagecolorallocatealpha($shade, 0, 0, 0, max(0, min(127, (int) round(127 * $left)))) ?: 0);
            }
        }
        imagealphablending($image, true);
        imagecopyresampled($image, $shade, 0, 0, 0, 0, $this->width, $this->height, 64, 48);
    }

    private function noise(\GdImage $image): void
    {
        $strength = $this->shot->between(2, 12);
        $grain = imagecreatetruecolor(160, 160) ?: throw new \RuntimeException('No memory for a picture.');
        imagealphablending($grain, false);
        for ($x = 0; $x < 160; ++$x) {
            for ($y = 0; $y < 160; ++$y) {
                $white = $this->shot->random->getInt(0, 1) * 255;
                imagesetpixel($grain, $x, $y, imagecolorallocatealpha($grain, $white, $white, $white, max(0, 127 - $this->shot->random->getInt(0, (int) $strength))) ?: 0);
            }
        }
        imagesettile($image, $grain);
        imagefilledrectangle($image, 0, 0, $this->width, $this->height, IMG_COLOR_TILED);
    }

    /** @param list<array{float, float}> $places */
    private function polygon(\GdImage $image, array $places, int $colour): void
    {
        if (count($places) >= 3) {
            imagefilledpolygon($image, array_merge(...array_map(static fn (array $place): array => [(int) round($place[0]), (int) round($place[1])], $places)), $colour);
        }
    }

    /** @param array{float, float, float} $cast */
    private static function colour(\GdImage $image, string $colour, array $cast, float $light): int
    {
        [$red, $green, $blue] = array_map(static fn (int $channel, float $share): int => max(0, min(255, (int) round($channel * $share * $light))), Luminance::channels($colour), $cast);

        return imagecolorallocate($image, $red, $green, $blue) ?: 0;
    }
}
