<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Geometry\ConvexPolygon;

/** One piece of fabric where it will lie on the block's face, finished size. */
final readonly class Patch
{
    public function __construct(
        public int $id,
        public Fabric $fabric,
        public ConvexPolygon $outline,
    ) {}
}
