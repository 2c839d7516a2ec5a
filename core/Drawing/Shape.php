<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** One thing on a sketch. Coordinates run to the right and down, in the sketch's own unit. */
interface Shape
{
    /** The same, larger or smaller, then moved. */
    public function placed(float $right, float $down, float $scale): self;
}
