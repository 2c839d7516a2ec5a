<?php

declare(strict_types=1);

namespace App\Workings;

use App\BlockFiles\BlockFileReader;
use App\Models\ShelfBlock;

/** Opens blocks of the shelf to be worked out. */
final readonly class Workings
{
    public function __construct(
        private KeptParts $parts,
        private BlockFileReader $reader,
    ) {}

    public function of(ShelfBlock $block): WorkingOut
    {
        $working = new WorkingOut($block, $this->parts, $this->reader, new Patience());
        CarriedOver::into($block, $working);

        return $working;
    }
}
