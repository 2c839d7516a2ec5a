<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Measure\Length;

/** What fills the triangles at the edge of a top on point. */
final readonly class Sides
{
    /**
     * @param Fabric|null $fabric of plain triangles; null where they are halves and quarters of blocks
     * @param Length      $float  by how much plain ones are larger, along a block's edge
     */
    public function __construct(
        public ?Fabric $fabric,
        public Length $float,
    ) {}
}
