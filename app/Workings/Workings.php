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
        private Planning $planning,
    ) {}

    public function of(ShelfBlock $block): WorkingOut
    {
        $working = $this->asAsked($block);
        CarriedOver::into($block, $working);

        return $working;
    }

    /** Of a block that need not stand on the shelf. */
    public function asAsked(ShelfBlock $block): WorkingOut
    {
        return new WorkingOut($block, $this->parts, $this->reader, $this->planning);
    }
}
