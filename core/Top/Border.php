<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Measure\Length;

/** Strips round the whole top: sides first, then top and bottom, or with a square in every corner. */
final readonly class Border
{
    /** @param Fabric|null $corners of the squares in the corners; null where the strips are butted */
    public function __construct(
        public Length $width,
        public Fabric $fabric,
        public ?Fabric $corners,
    ) {}
}
