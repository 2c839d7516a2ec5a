<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\PlacedUnit;

/**
 * Units that are equal up to a turn, fabrics and seams included: one pile at the machine and at the iron.
 *
 * Every member is sewn like the first one, whatever turn it was placed with.
 */
final readonly class UnitClass
{
    /**
     * @param int                        $index    in the construction; printed as U1, U2, ...
     * @param non-empty-list<PlacedUnit> $members
     * @param list<SelfTurn>             $turns    the turns after which a member looks and is built the same
     * @param list<list<bool>>           $reversed by member and join: whether the join's start lies where the first member has its end
     */
    public function __construct(
        public int $index,
        public array $members,
        public array $turns,
        private array $reversed,
    ) {}

    /** Whether segments of that join count the other way than in the first member. */
    public function isReversed(int $member, int $join): bool
    {
        return $this->reversed[$member][$join];
    }

    public function label(): string
    {
        return 'U'.($this->index + 1);
    }
}
