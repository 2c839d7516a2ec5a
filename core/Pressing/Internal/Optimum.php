<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * The best values found, and a weight that no values can go below.
 *
 * @internal
 */
final readonly class Optimum
{
    /**
     * @param list<int> $values by variable
     * @param bool      $exact  whether the values reach the bound
     */
    public function __construct(
        public array $values,
        public int $boundHigh,
        public int $boundLow,
        public bool $exact,
    ) {}
}
