<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Measure\Fraction;

/** What recipes go by beside the unit: the allowance, how patches are cut to shape, the order of sewing, the fabric's width. */
final readonly class Bench
{
    /**
     * @param Fraction $usableWidth of the fabric, in the block's unit
     * @param int      $marks       of the ruler to the inch or millimetre
     */
    public function __construct(
        public CutSizes $sizes,
        public PatchCutter $cutter,
        public ChosenOrder $order,
        public Fraction $usableWidth,
        public int $marks,
    ) {}
}
