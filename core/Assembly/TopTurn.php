<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\Turn;

/** A way for a copy to lie: turned by so much more than it is placed, with the seams that it then has. */
final readonly class TopTurn
{
    /**
     * @param Assembly                                              $root  the copy as it is then sewn; the one it is placed with where all its seams are the same
     * @param list<array{join: int, swapped: bool, reversed: bool}> $seams by the design's join: the join of the top that it is, whether
     *                                                                     left and right change places, and whether its start comes to lie at the end
     */
    public function __construct(
        public Turn $turn,
        public Assembly $root,
        public array $seams,
    ) {}
}
