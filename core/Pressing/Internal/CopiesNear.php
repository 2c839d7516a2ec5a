<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Junction;

/**
 * Which blocks of a top have cloth near a place.
 *
 * @internal
 */
final class CopiesNear
{
    /** Lattice steps beyond a block's edge within which its cloth, or what is folded over it, may lie. */
    private readonly int $reach;

    /** Side of the squares by which copies are looked up. */
    private readonly int $side;

    /** @var list<array{int, int, int, int}> of each copy, left, top, right, bottom */
    private readonly array $boxes;

    /** @var array<string, list<int>> copies by the square of the frame that they reach into */
    private array $buckets = [];

    public function __construct(TopConstruction $top)
    {
        $face = $top->construction->face;
        $this->reach = (int) ceil($face->lattice->toFloatSteps($face->block->seamAllowance) * 2 + $face->lattice->toFloatSteps(Junction::radius()));
        $this->boxes = array_map(static fn ($copy): array => self::box($copy->place->units[0]->outline), $top->copies);
        $this->side = isset($this->boxes[0]) ? max(1, $this->boxes[0][2] - $this->boxes[0][0]) : 1;
        foreach ($this->boxes as $number => [$left, $above, $right, $bottom]) {
            for ($x = intdiv(max(0, $left - $this->reach), $this->side); $x <= intdiv($right + $this->reach, $this->side); ++$x) {
                for ($y = intdiv(max(0, $above - $this->reach), $this->side); $y <= intdiv($bottom + $this->reach, $this->side); ++$y) {
                    $this->buckets[$x.','.$y][] = $number;
                }
            }
        }
    }

    /** @return array{int|null, list<int>} the copy deep in which a point lies, and all that may have cloth there */
    public function at(Point $at): array
    {
        $near = [];
        foreach ($this->buckets[intdiv($at->x, $this->side).','.intdiv($at->y, $this->side)] ?? [] as $number) {
            [$left, $top, $right, $bottom] = $this->boxes[$number];
            if ($at->x > $left + $this->reach && $at->x < $right - $this->reach && $at->y > $top + $this->reach && $at->y < $bottom - $this->reach) {
                return [$number, [$number]];
            }
            if ($at->x >= $left - $this->reach && $at->x <= $right + $this->reach && $at->y >= $top - $this->reach && $at->y <= $bottom + $this->reach) {
                $near[] = $number;
            }
        }

        return [null, $near];
    }

    /** @return array{int, int, int, int} */
    private static function box(ConvexPolygon $outline): array
    {
        $xs = array_map(static fn (Point $point): int => $point->x, $outline->points);
        $ys = array_map(static fn (Point $point): int => $point->y, $outline->points);

        return [min($xs), min($ys), max($xs), max($ys)];
    }
}
