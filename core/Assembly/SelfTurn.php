<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\Turn;

/** A turn after which a unit looks and is built as before, so that a quilter may use it to make seams nest. */
final readonly class SelfTurn
{
    /**
     * @param array<int, array{join: int, swapped: bool, reversed: bool}> $origins for each join of the class as placed: the
     *                                                                             join that comes to lie there, whether its left part comes to lie on the right, and
     *                                                                             whether its start comes to lie at the end
     */
    public function __construct(
        public Turn $turn,
        public array $origins,
    ) {}
}
