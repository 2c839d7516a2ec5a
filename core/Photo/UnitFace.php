<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Geometry\Point;

/** What a cell shows: patches in shares of the cell, as it lies. */
final readonly class UnitFace
{
    /** Places by which two faces are told apart. */
    private const GRID = 16;

    /** How far from a seam a place must be to be looked at. */
    private const BESIDE = 0.008;

    /** @param list<array{string, list<array{float, float}>}> $patches fabric key and corners, clockwise */
    public function __construct(public array $patches) {}

    public static function of(PlacedUnit $unit): self
    {
        $corner = $unit->outline->corner();
        $far = array_reduce($unit->outline->points, static fn (Point $far, Point $one): Point => new Point(max($far->x, $one->x), max($far->y, $one->y)), $corner);
        [$width, $height] = [$far->x - $corner->x, $far->y - $corner->y];

        return new self(array_map(static fn (Patch $patch): array => [
            $patch->fabric->key,
            array_map(static fn (Point $point): array => [($point->x - $corner->x) / $width, ($point->y - $corner->y) / $height], $patch->outline->points),
        ], $unit->patches()));
    }

    /** The same flipped left to right if asked, then turned. */
    public function moved(Placement $by): self
    {
        return new self(array_map(static function (array $patch) use ($by): array {
            $corners = array_map(static function (array $corner) use ($by): array {
                [$x, $y] = $by->mirrored ? [1 - $corner[0], $corner[1]] : $corner;
                for ($i = 0; $i < $by->turn->quarters(); ++$i) {
                    [$x, $y] = [1 - $y, $x];
                }

                return [$x, $y];
            }, $patch[1]);

            return [$patch[0], $by->mirrored ? array_reverse($corners) : $corners];
        }, $this->patches));
    }

    /** The fabric at a place of the cell; '' outside. */
    public function fabricAt(float $x, float $y): string
    {
        foreach ($this->patches as [$fabric, $corners]) {
            $isIn = true;
            foreach ($corners as $i => [$fromX, $fromY]) {
                [$toX, $toY] = $corners[($i + 1) % count($corners)];
                if (($toX - $fromX) * ($y - $fromY) - ($toY - $fromY) * ($x - $fromX) < -1e-9) {
                    $isIn = false;
                    break;
                }
            }
            if ($isIn) {
                return $fabric;
            }
        }

        return '';
    }

    /** Fabrics at places spread evenly over the cell, but for those on a seam: equal for faces that show the same. */
    public function look(): string
    {
        $look = [];
        for ($row = 0; $row < self::GRID; ++$row) {
            for ($column = 0; $column < self::GRID; ++$column) {
                [$x, $y] = [($column + 0.5) / self::GRID, ($row + 0.5) / self::GRID];
                $fabric = $this->fabricAt($x - self::BESIDE, $y - self::BESIDE);
                foreach ([[1, -1], [1, 1], [-1, 1]] as [$right, $down]) {
                    $fabric = $fabric !== '' && $this->fabricAt($x + $right * self::BESIDE, $y + $down * self::BESIDE) === $fabric ? $fabric : '';
                }
                $look[] = $fabric;
            }
        }

        return implode(' ', $look);
    }
}
