<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/**
 * In which order parts are sewn, told without saying where they lie.
 *
 * Each item is a part's number or a smaller order that is finished first; items are sewn one after the other,
 * the second to the first, the third to those two, and so on.
 */
final readonly class SewingOrder
{
    /** @param non-empty-list<int|self> $items */
    private function __construct(public array $items) {}

    public static function of(int|self ...$items): self
    {
        if ($items === []) {
            throw new \LogicException('An order of sewing needs at least one part.');
        }

        return new self(array_values($items));
    }

    /**
     * The same order over other numbers.
     *
     * @param array<int, int> $numbers new number for each old one
     */
    public function renumbered(array $numbers): self
    {
        return new self(array_map(
            static fn (int|self $item): int|self => is_int($item) ? $numbers[$item] : $item->renumbered($numbers),
            $this->items,
        ));
    }
}
