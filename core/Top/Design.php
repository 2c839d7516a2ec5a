<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Block;

/** A block that a top is made of, and how it is sewn. */
final readonly class Design
{
    /**
     * @param string $key   by which places name it
     * @param string $order "rows", "columns", ...
     */
    public function __construct(
        public string $key,
        public Block $block,
        public string $order,
    ) {}

    public function isSquare(): bool
    {
        return $this->block->finishedWidth->equals($this->block->finishedHeight);
    }
}
