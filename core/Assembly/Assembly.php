<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Geometry\ConvexPolygon;

/** Something in the quilter's hand: one patch, or what one join made of two assemblies. */
interface Assembly
{
    public function outline(): ConvexPolygon;

    /** @return list<Assembly> the two that were joined; none for a patch */
    public function children(): array;

    /** @return list<int> ids of all patches in it, ascending */
    public function patchIds(): array;
}
