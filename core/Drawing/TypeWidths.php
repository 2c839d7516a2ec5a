<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** How wide words are in the type they are set in. */
interface TypeWidths
{
    /** @return float in the unit of the size */
    public function width(string $text, float $size, bool $isBold): float;
}
