<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Reading;

/** A straight-edged, filled shape of a drawing, in the drawing's own units. */
final readonly class DrawnShape
{
    /**
     * @param list<array{float, float}> $corners
     * @param string                    $colour  "#3b5b7a"
     * @param string                    $called  "Shape 3, a polygon"
     */
    public function __construct(
        public array $corners,
        public string $colour,
        public string $called,
    ) {}
}
