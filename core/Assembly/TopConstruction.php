<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\TopBuilder;
use KeenSeam\Core\Top\TopFace;

/** A top taken apart into its joins: blocks that are made alike and sewn as their designs are, then the top. */
final readonly class TopConstruction
{
    /**
     * @param list<TopCopy> $copies in reading order of the frame
     * @param list<Join>    $others joins of copies as they would be sewn when turned, where they differ; numbered on from the construction's
     */
    public function __construct(
        public TopFace $top,
        public TopOrder $order,
        public Construction $construction,
        public array $copies,
        public array $others = [],
    ) {}

    /** @return list<Join> those that no block has by itself */
    public function between(): array
    {
        $inBlocks = array_flip(array_merge(...array_map(static fn (TopCopy $copy): array => $copy->joins, $this->copies)));

        return array_values(array_filter($this->construction->joins, static fn (Join $join): bool => ! isset($inBlocks[$join->id])));
    }

    /**
     * @throws SetInSeamNeeded  when no straight seams build a block
     * @throws OrderNotPossible when the top has no seams for this order
     */
    public static function of(TopFace $top, TopOrder $order = new TopOrder()): self
    {
        return (new TopBuilder($top, $order))->build(true);
    }

    /**
     * The same where it is known how the blocks lie: of each only the way in which it is placed.
     *
     * @throws SetInSeamNeeded  when no straight seams build a block
     * @throws OrderNotPossible when the top has no seams for this order
     */
    public static function asPlaced(TopFace $top, TopOrder $order = new TopOrder()): self
    {
        return (new TopBuilder($top, $order))->build(false);
    }
}
