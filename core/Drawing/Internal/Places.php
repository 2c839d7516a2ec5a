<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Internal;

/**
 * Places of a shape, packed: a page of a large block has a hundred thousand shapes, and as lists they fill a gigabyte.
 *
 * @internal
 */
final readonly class Places
{
    private string $packed;

    /** @param list<array{float, float}> $places */
    public function __construct(array $places)
    {
        $this->packed = $places === [] ? '' : pack('d*', ...array_merge(...$places));
    }

    /** @return list<array{float, float}> */
    public function all(): array
    {
        /** @var list<array{float, float}> $places */
        $places = array_chunk(unpack('d*', $this->packed) ?: [], 2);

        return $places;
    }

    /** @return list<array{float, float}> enlarged, and then moved */
    public function placed(float $right, float $down, float $scale): array
    {
        return array_map(static fn (array $place): array => [$right + $place[0] * $scale, $down + $place[1] * $scale], $this->all());
    }
}
