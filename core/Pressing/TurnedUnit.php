<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Block\Turn;

/** A unit that is turned before it is sewn in, where that does not show, or pressed as one of the second pile of its class. */
final readonly class TurnedUnit
{
    public function __construct(
        public int $unitClass,
        public int $member,
        public ?Turn $turn,
        public int $pile = 0,
    ) {}
}
