<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\ConstructionBuilder;
use KeenSeam\Core\Block\Face;

/** A block taken apart into its joins: the whole order of sewing. */
final readonly class Construction
{
    /**
     * @param list<Join>      $joins   by id; the parts of each come before it
     * @param list<UnitClass> $classes of the units that have joins
     * @param list<Strand>    $strands of the block's own joins, in the order they are sewn
     */
    public function __construct(
        public Face $face,
        public Order $order,
        public Assembly $root,
        public array $joins,
        public array $classes,
        public array $strands,
    ) {}

    /**
     * @throws SetInSeamNeeded  when no straight seams build the block
     * @throws OrderNotPossible when the block has no seams for this order
     */
    public static function of(Face $face, Order $order): self
    {
        return (new ConstructionBuilder($face, $order))->build();
    }
}
