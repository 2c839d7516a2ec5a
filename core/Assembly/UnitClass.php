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
     * @param int                        $index   in the construction; printed as U1, U2, ...
     * @param non-empty-list<PlacedUnit> $members
     * @param list<SelfTurn>             $turns   the turns after which a member looks and is built the same
     */
    public function __construct(
        public int $index,
        public array $members,
        public array $turns,
    ) {}

    public function label(): string
    {
        return 'U'.($this->index + 1);
    }
}
