<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Join;

/** One join as it lies in the hand: the two edges, what has to meet along them, and what will. */
final readonly class JoinSheet
{
    /**
     * @param float                                                                       $finished   length of the join
     * @param array{float, float}                                                         $raw        lengths of the left and the right edge, raw edge to raw edge along the join
     * @param string                                                                      $up         left, right or either: which assembly to sew with on top
     * @param string                                                                      $bias       none, left, right or both
     * @param list<Mark>                                                                  $marks      from the start of the join to its end
     * @param array{list<array{float, float, string}>, list<array{float, float, string}>} $edges      of the left and the right assembly: from, to and fabric of each patch along the finished join
     * @param array{array{float, float}, array{float, float}}                             $allowances what the allowance takes along the join at its start and its end, of the left and the right part
     */
    public function __construct(
        public Join $join,
        public float $finished,
        public array $raw,
        public string $up,
        public string $bias,
        public array $marks,
        public array $edges,
        public array $allowances,
    ) {}

    public function endsDiffer(): float
    {
        return $this->raw[0] - $this->raw[1];
    }
}
