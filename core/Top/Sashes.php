<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Measure\Length;

/** Strips between the blocks. Without cornerstones the level ones run from side to side. */
final readonly class Sashes
{
    /** @param bool $outer whether they run round the blocks at the edge too; on point they always do */
    public function __construct(
        public Length $width,
        public Fabric $fabric,
        public ?Fabric $cornerstone,
        public bool $outer,
    ) {}
}
