<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Top\Design;

/** One pile of a block of a top: so many, made and pressed alike. */
final readonly class TopPile
{
    /**
     * @param bool         $mirrored whether it is the mirror image of the block as it is drawn
     * @param int          $pile     from 0, among the piles of what is made alike
     * @param PressingPlan $plan     of the block by itself, upright
     */
    public function __construct(
        public Design $design,
        public bool $mirrored,
        public int $pile,
        public int $count,
        public PressingPlan $plan,
    ) {}
}
