<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

/** Parts of the block sewn one after the other in one go: the cells of a row, or the rows themselves. */
final readonly class Strand
{
    /**
     * @param non-empty-list<int> $joins  ids, in the order they are sewn
     * @param list<Assembly>      $parts  what is sewn together, in order
     * @param int                 $depth  0 for the strand that finishes the block, 1 for its parts, ...
     * @param int                 $number from 1, among the parts of the strand it belongs to
     */
    public function __construct(
        public array $joins,
        public array $parts,
        public int $depth,
        public int $number,
    ) {}
}
