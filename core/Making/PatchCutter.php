<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Piece as Unsewn;
use KeenSeam\Core\Assembly\StraightGrain;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\PolygonShape;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/**
 * How a single patch is cut by its own sides and angles, wherever it lies: as a square, a rectangle, half or a quarter of a
 * square, or round a template.
 */
final class PatchCutter
{
    /** Lengths that are neither whole nor a multiple of √2 are known to so many parts of the block's unit, a little too long. */
    private const PARTS = 10_000;

    public readonly RawEdges $edges;

    /** @var array<int, ConvexPolygon> outline of the unit each patch is in */
    private array $within = [];

    /** @var array<int, Piece> */
    private array $pieces = [];

    private readonly int $steps;

    /** @param array<int, ConvexPolygon> $parts outlines of known units found within drawn ones, by patch */
    public function __construct(private readonly CutSizes $sizes, Construction $construction, array $parts = [])
    {
        $this->edges = new RawEdges($construction);
        $this->steps = $construction->face->lattice->steps;
        $this->noteUnits($construction->face->whole);
        $this->within = $parts + $construction->face->within + $this->within;
    }

    /** One piece of cloth for the patch; its `patch` is the same for all patches that are cut alike. */
    public function piece(Patch $patch): Piece
    {
        return $this->pieces[$patch->id] ??= $this->cut($patch);
    }

    private function cut(Patch $patch): Piece
    {
        $piece = $this->shaped($patch);

        return new Piece($piece->fabric, $piece->shape, $piece->width, $piece->height, 1, $piece->then, $piece->oversize, $piece->stackKey($this->sizes->marks()), $piece->template);
    }

    private function shaped(Patch $patch): Piece
    {
        $key = $patch->fabric->key;
        $sides = array_map(static fn (array $edge): int => $edge[1]->minus($edge[0])->dot($edge[1]->minus($edge[0])), $patch->outline->edges());
        $shape = PolygonShape::of($patch->outline);
        if ($shape === PolygonShape::Square || $shape === PolygonShape::Rectangle) {
            // The longer side lies along the strip it is cut from.
            [$width, $height] = [$this->side(max($sides))->plus($this->sizes->straight), $this->side(min($sides))->plus($this->sizes->straight)];

            return new Piece($key, $shape === PolygonShape::Square ? CutShape::Square : CutShape::Rectangle, $width, $height, 1, Then::None, $this->sizes->raisedWith($width, 1));
        }
        if ($shape === PolygonShape::RightIsosceles) {
            [$leg, $long] = [min($sides), max($sides)];
            $grain = StraightGrain::of($patch, $this->within[$patch->id]);
            $isHalf = array_filter($patch->outline->edges(), static fn (array $edge): bool => $edge[1]->minus($edge[0])->dot($edge[1]->minus($edge[0])) === $leg && $edge[1]->minus($edge[0])->cross($grain) === 0) !== [];
            $side = $isHalf ? $this->side($leg)->plus($this->sizes->half) : $this->side($long)->plus($this->sizes->quarter);

            return Piece::square($key, $side, 1, $isHalf ? Then::Once : Then::Twice, $this->sizes->raisedWith($side, 1));
        }
        $template = $this->template($patch);
        [$width, $height] = self::size($template->corners);
        $size = static fn (float $side): Surd => Surd::of(Fraction::of((int) ceil(round($side * self::PARTS, 2)), self::PARTS));
        [$more] = self::size($template->larger);

        return new Piece($key, CutShape::Template, $size($width), $size($height), 1, Then::None, $size($more)->whole, null, $template);
    }

    /** The raw outline with its straight grain level. */
    private function template(Patch $patch): Template
    {
        $grain = StraightGrain::of($patch, $this->within[$patch->id]);
        $length = hypot($grain->x, $grain->y);
        [$cos, $sin] = [$grain->x / $length, $grain->y / $length];
        $laid = static function (array $corners) use ($cos, $sin): array {
            $turned = array_map(static fn (array $corner): array => [$corner[0] * $cos + $corner[1] * $sin, $corner[1] * $cos - $corner[0] * $sin], $corners);
            [$left, $top] = [min(array_column($turned, 0) ?: [0.0]), min(array_column($turned, 1) ?: [0.0])];

            return array_values(array_map(static fn (array $corner): array => [$corner[0] - $left, $corner[1] - $top], $turned));
        };

        return new Template(
            $laid($this->edges->outline(new Unsewn($patch))),
            $laid($this->edges->outline(new Unsewn($patch), $this->sizes->allowance->toFloat() / 2)),
            count($patch->outline->points) === 3,
        );
    }

    /** The root of a whole number of square steps. */
    private function side(int $squared): Surd
    {
        foreach ([1, 2] as $times) {
            $root = $squared % $times === 0 ? (int) round(sqrt($squared / $times)) : 0;
            if ($times * $root * $root === $squared) {
                $length = Fraction::of($root, $this->steps);

                return $times === 1 ? Surd::of($length) : new Surd(Fraction::zero(), $length);
            }
        }

        return Surd::of(Fraction::of((int) ceil(sqrt($squared) / $this->steps * self::PARTS), self::PARTS));
    }

    /**
     * @param list<array{float, float}> $corners of a template, which lies at 0, 0
     *
     * @return array{float, float}
     */
    private static function size(array $corners): array
    {
        return [max([0.0, ...array_column($corners, 0)]), max([0.0, ...array_column($corners, 1)])];
    }

    private function noteUnits(PlacedUnit $unit): void
    {
        foreach ($unit->parts as $part) {
            if ($part instanceof PlacedUnit) {
                $this->noteUnits($part);
            } else {
                $this->within[$part->id] = $unit->outline;
            }
        }
    }
}
