<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\ShelfBlock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PressingPlan;

/** What the press station shows of a block. */
final readonly class PressStation
{
    public function __construct(
        public ShelfBlock $block,
        public PressingPlan $shown,
        public PressingPlan $withoutLocks,
        public Locks $locks,
    ) {}
}
