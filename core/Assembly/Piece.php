<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\ConvexPolygon;

/** A single patch, not sewn yet. */
final readonly class Piece implements Assembly
{
    public function __construct(public Patch $patch) {}

    public function outline(): ConvexPolygon
    {
        return $this->patch->outline;
    }

    public function children(): array
    {
        return [];
    }

    public function patchIds(): array
    {
        return [$this->patch->id];
    }
}
