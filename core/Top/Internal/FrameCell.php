<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top\Internal;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\PartRole;
use KeenSeam\Core\Top\TopPlace;

/**
 * A rectangle of the frame and what fills it, before the edge of the top cuts it.
 *
 * @internal
 */
final readonly class FrameCell
{
    /** @param array{Fraction, Fraction, Fraction, Fraction} $box left, top, right, bottom in the top's unit */
    public function __construct(
        public PartRole $role,
        public int $row,
        public int $column,
        public array $box,
        public TopPlace|Fabric $holds,
        public int $columnSpan = 1,
    ) {}

    public function holding(): Design|Fabric
    {
        return $this->holds instanceof Fabric ? $this->holds : $this->holds->holds;
    }

    public function placement(): Placement
    {
        return $this->holds instanceof TopPlace ? $this->holds->placement : new Placement();
    }
}
