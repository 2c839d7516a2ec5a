<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Placement;

/** A cell that breaks the symmetry the rest of the block has. */
final readonly class OddCell
{
    /** @param Placement $mend how its unit would have to lie */
    public function __construct(
        public Cell $cell,
        public Placement $mend,
    ) {}
}
