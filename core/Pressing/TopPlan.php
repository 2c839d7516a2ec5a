<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
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

    /**
     * How the seams of a pile's block are pressed, as its design has them.
     *
     * @param string $pile as TopHolds::pile() calls it
     *
     * @return array{Construction, list<non-empty-list<PressDirection>>}|null the design, and one list of directions a join; null when there is no such pile
     */
    public function pressedOf(string $pile): ?array
    {
        foreach ($this->sewn->copies as $number => $copy) {
            if (TopHolds::pile($copy->made, $this->piles[$number]) === $pile) {
                return [$copy->design, array_map(function (array $seam): array {
                    $directions = $this->plan->pressing->directions[$seam['join']];

                    return $seam['reversed'] ? array_reverse($directions) : $directions;
                }, $copy->turns[0]->seams)];
            }
        }

        return null;
    }
}
