<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** A block as the quilter means it: sizes, fabrics and what lies in every cell. */
final readonly class Block
{
    /** @param non-empty-array<string, Fabric> $fabrics by key */
    public function __construct(
        public string $name,
        public LengthUnit $unit,
        public Length $finishedWidth,
        public Length $finishedHeight,
        public Length $seamAllowance,
        public array $fabrics,
        public Grid $grid,
    ) {}
}
