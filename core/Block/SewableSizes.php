<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** Whether the seams leave enough of a block and of each of its patches. Common practice, no published source. */
final class SewableSizes
{
    /** Seam allowances that a whole block measures at least, each way. */
    private const LEAST_SIDE = 4;

    private const EQUAL = 1e-9;

    /**
     * Where the seams take more than what is to be seen, there is nothing to hold or to press.
     *
     * @throws BlockNotPossible
     */
    public static function ensure(Face $face): void
    {
        [$block, $unit] = [$face->block, $face->block->unit];
        $allowance = $block->seamAllowance->in($unit)->toFloat();
        if (min($block->finishedWidth->in($unit)->toFloat(), $block->finishedHeight->in($unit)->toFloat()) < self::LEAST_SIDE * $allowance - self::EQUAL) {
            throw BlockNotPossible::allSeam($block->seamAllowance, $unit);
        }
        foreach ($face->patches as $patch) {
            $width = $patch->outline->narrowest() / $face->lattice->steps;
            if ($width < $allowance - self::EQUAL) {
                throw BlockNotPossible::allowanceTooLarge($block->seamAllowance, $width, $unit);
            }
        }
    }
}
