<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\PressDirection;

/**
 * The most plies round one junction for every way of pressing the seams that matter there.
 *
 * @internal
 */
final readonly class JunctionTable
{
    /**
     * @param list<array{int, int}> $slots join id and segment of the seams that matter
     * @param list<int>             $peaks by mixed radix: the first slot counts slowest, each counts the allowed directions
     */
    public function __construct(
        public array $slots,
        public array $peaks,
    ) {}

    /**
     * @param list<PressDirection> $chosen     one a slot
     * @param list<PressDirection> $directions the allowed ones, in the table's order
     */
    public function peak(array $chosen, array $directions): int
    {
        $index = 0;
        foreach ($chosen as $direction) {
            $index = $index * count($directions) + (int) array_search($direction, $directions, true);
        }

        return $this->peaks[$index];
    }
}
