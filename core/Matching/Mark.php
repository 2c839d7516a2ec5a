<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Nesting;

/** A place along a join where something ends on one side or both. */
final readonly class Mark
{
    /**
     * @param array{float, float}         $fromEdge    where it lies on the left and on the right assembly, from the raw edge at the
     *                                                 start of the join, as it will really come out; in the block's unit
     * @param Nesting|null                $nest        how the ridges lie; null unless seams of both sides end here
     * @param float|null                  $miss        how far the left one lies beyond the right one, both laid level at the start
     * @param array{bool|null, bool|null} $towardStart whether the allowances of the left and the right seam lie toward the start; null where there is none, or it is open
     */
    public function __construct(
        public Point $at,
        public array $fromEdge,
        public MarkSide $left,
        public MarkSide $right,
        public MarkKind $kind,
        public ?Nesting $nest,
        public ?float $miss,
        public array $towardStart,
    ) {}
}
