<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\TopCopy;

/** What the quilter holds of a top, besides seams between its blocks: places that lie as they do, and piles or seams of them. */
final readonly class TopHolds
{
    /**
     * @param list<string>                                              $places  keys of places whose blocks are not turned
     * @param array<string, array<int, non-empty-list<PressDirection>>> $pressed by pile(): how seams of its block are pressed, by join of the design
     */
    public function __construct(
        public array $places = [],
        public array $pressed = [],
    ) {}

    /**
     * What a pile is called.
     *
     * @param string $made as TopCopy tells it
     * @param int    $pile from 0
     */
    public static function pile(string $made, int $pile): string
    {
        return $made.' '.($pile + 1);
    }

    /** @param list<Lock> $locks a block in which a seam is held stays as it is placed */
    public function hold(TopCopy $copy, array $locks): bool
    {
        $locked = array_map(static fn (Lock $lock): int => $lock->join, $locks);

        return array_intersect($locked, $copy->joins) !== [] || array_intersect([$copy->place->place?->key()], $this->places) !== [];
    }
}
