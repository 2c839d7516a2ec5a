<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block\Internal;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Measure\Fraction;

/**
 * A unit on the face in exact fractions, before the lattice is known.
 *
 * @internal
 */
final readonly class LaidOut
{
    /**
     * @param list<array{Fraction, Fraction}> $outline
     * @param list<int|self>                  $parts   a patch's id, or a smaller unit
     */
    public function __construct(
        public Cell $cell,
        public Placement $placement,
        public array $outline,
        public array $parts,
    ) {}
}
