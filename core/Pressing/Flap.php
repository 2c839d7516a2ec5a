<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** A convex piece of cloth as it lies in the flat, pressed block. */
final readonly class Flap
{
    /**
     * @param list<array{float, float}> $corners  in lattice steps, seen from the face
     * @param bool                      $turnedUp whether its right side looks up from the back, because it was folded over
     */
    public function __construct(
        public int $patchId,
        public array $corners,
        public bool $turnedUp = false,
    ) {}
}
