<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Block\Internal\FaceBuilder;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Point;

/** The block's face at finished size: every patch and unit where it lies, on one exact lattice. */
final readonly class Face
{
    /** Twice the most cells: a top of half-square triangles. */
    public const MOST_PATCHES = 12_000;

    /**
     * @param non-empty-list<Patch>     $patches by id
     * @param PlacedUnit                $whole   the block itself, seen as a grid unit; its parts are the units of the cells
     * @param array<int, ConvexPolygon> $within  outlines along whose edges the straight grain of patches runs, by patch id; that of its
     *                                           unit where a patch has none
     */
    public function __construct(
        public Block $block,
        public Lattice $lattice,
        public array $patches,
        public PlacedUnit $whole,
        public FaceKind $kind = FaceKind::Block,
        public array $within = [],
    ) {}

    /** @throws \KeenSeam\Core\KeenSeamProblem when the sizes have no common step */
    public static function of(Block $block): self
    {
        return FaceBuilder::build($block);
    }

    /** Whether anything shows: a block of one fabric only is still to be laid out. */
    public function isLaidOut(): bool
    {
        return count(array_unique(array_map(static fn (Patch $patch): string => $patch->fabric->key, $this->patches))) > 1;
    }

    public function outline(): ConvexPolygon
    {
        return $this->whole->outline;
    }

    /**
     * The directions in which what hangs is measured, across and down, and how long each is told in steps of the lattice: on
     * point they run at 45 degrees to the frame.
     *
     * @return array{array{int, int, float}, array{int, int, float}}
     */
    public function measuredAlong(): array
    {
        return $this->kind === FaceKind::TopOnPoint ? [[1, -1, M_SQRT2], [1, 1, M_SQRT2]] : [[1, 0, 1.0], [0, 1, 1.0]];
    }

    /** @return array{float, float} finished width and height of what hangs, in the block's unit */
    public function finishedSize(): array
    {
        return array_map(function (array $along): float {
            $places = array_map(static fn (Point $corner): int => $along[0] * $corner->x + $along[1] * $corner->y, $this->outline()->points);

            return (max($places) - min($places)) / $along[2] / $this->lattice->steps;
        }, $this->measuredAlong());
    }
}
