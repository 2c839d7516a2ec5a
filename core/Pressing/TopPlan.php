<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\TopConstruction;

/** A plan for a whole top: its blocks lying as the plan has them, and how everything is pressed. */
final readonly class TopPlan
{
    /**
     * @param TopConstruction $sewn  with every block turned as the plan turns it
     * @param list<int>       $piles from 0, by copy
     * @param list<TopPile>   $made  each pile of each block, in the order in which they come in the frame
     */
    public function __construct(
        public TopConstruction $sewn,
        public PressingPlan $plan,
        public array $piles,
        public array $made,
    ) {}
}
