<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Block\Internal\FaceBuilder;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Lattice;

/** The block's face at finished size: every patch and unit where it lies, on one exact lattice. */
final readonly class Face
{
    /** Twice the most cells: a top of half-square triangles. */
    public const MOST_PATCHES = 12_000;

    /**
     * @param non-empty-list<Patch> $patches by id
     * @param PlacedUnit            $whole   the block itself, seen as a grid unit; its parts are the units of the cells
     */
    public function __construct(
        public Block $block,
        public Lattice $lattice,
        public array $patches,
        public PlacedUnit $whole,
    ) {}

    /** @throws \KeenSeam\Core\KeenSeamProblem when the sizes have no common step */
    public static function of(Block $block): self
    {
        return FaceBuilder::build($block);
    }

    public function outline(): ConvexPolygon
    {
        return $this->whole->outline;
    }
}
