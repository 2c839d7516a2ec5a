<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\TopTurn;

/**
 * What may be decided for one block of a top: from which pile it is taken, and how it is turned.
 *
 * @internal
 */
final readonly class TopChoice
{
    public function __construct(
        public TopTurn $turn,
        public int $pile,
    ) {}
}
