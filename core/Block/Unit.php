<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** What fills a cell, in its own frame: not yet turned, mirrored or sized. */
interface Unit
{
    /** As block files write it: "half-square-triangle", "grid". */
    public function kind(): string;

    /** As a quilter says it, one of them. */
    public function name(): string;

    /** As a quilter says it, several. */
    public function plural(): string;
}
