<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

/** Says that a join is one of many alike: the same join of another unit of its class is pressed the same way. */
final readonly class JoinTie
{
    /**
     * @param int $unitClass index of the class in the construction
     * @param int $join      number of the join within a unit of that class, in the order they are sewn
     * @param int $member    number of the unit within its class
     */
    public function __construct(
        public int $unitClass,
        public int $join,
        public int $member,
    ) {}
}
