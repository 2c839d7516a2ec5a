<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Block\Turn;

/** A unit that is turned before it is sewn in: it looks the same, and its seams come to nest. */
final readonly class TurnedUnit
{
    public function __construct(
        public int $unitClass,
        public int $member,
        public Turn $turn,
    ) {}
}
