<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\SewingOrder;

/** In which order a block is sewn: one that is worked out for any block, or one of the quilter's own. */
interface ChosenOrder
{
    /** The same for orders that sew a block alike. */
    public function key(): string;

    /**
     * How a small grid within the block is sewn; the numbers in the result count its parts in reading order.
     *
     * @throws SetInSeamNeeded
     */
    public function sewing(PlacedUnit $placed): SewingOrder;

    /** As a quilter says it. */
    public function words(): string;

    /** What the parts of a strand are called, by how deep they lie. */
    public function stripName(int $depth): string;

    /** Whether the block is sewn from its patches, whatever cells they lie in. */
    public function runsThroughCells(): bool;
}
