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

    /** @return array{values: list<int>, bound: array{int, int}, exact: bool} */
    public function toArray(): array
    {
        return ['values' => $this->values, 'bound' => [$this->boundHigh, $this->boundLow], 'exact' => $this->exact];
    }

    /** @param array<array-key, mixed> $kept */
    public static function fromArray(array $kept): ?self
    {
        [$values, $bound] = [$kept['values'] ?? null, $kept['bound'] ?? null];
        if (! is_array($values) || ! is_array($bound) || count($bound) !== 2) {
            return null;
        }
        $numbers = array_values(array_filter([...$values, ...$bound], is_int(...)));
        if (count($numbers) !== count($values) + 2) {
            return null;
        }
        $boundLow = (int) array_pop($numbers);
        $boundHigh = (int) array_pop($numbers);

        return new self($numbers, $boundHigh, $boundLow, ($kept['exact'] ?? false) === true);
    }
}
