<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;

/** A part of a block that takes long on a very large one: there a worker makes it, and whoever asked asks again. */
interface Sheet
{
    /** Patches of a block up to which a request makes it by itself. */
    public function atOnce(): int;

    /** Works it out, unless it is kept already. */
    public function make(ShelfBlock $block, WorkingOut $working): void;
}
