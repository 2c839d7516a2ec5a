<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;

enum PedalSheet implements Sheet
{
    case Whole;

    public function atOnce(): int
    {
        return 3000;
    }

    public function make(ShelfBlock $block, WorkingOut $working): void
    {
        $working->pedal();
    }
}
