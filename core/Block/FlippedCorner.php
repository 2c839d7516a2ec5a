<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Length;

/** A square sewn corner to corner onto a unit's corner and flipped open. */
final readonly class FlippedCorner
{
    public function __construct(
        public Corner $corner,
        public Fabric $fabric,
        public Length $finishedLeg,
    ) {}
}
