<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Reading;

/** A convex piece of what one sees of a drawing, its corners clockwise in shares of the drawing. */
final readonly class SeenPiece
{
    /**
     * @param list<array{float, float}> $corners
     * @param bool                      $isRest  whether it is what others left of a shape: then it may be cut anywhere
     */
    public function __construct(
        public array $corners,
        public string $colour,
        public bool $isRest,
    ) {}

}
