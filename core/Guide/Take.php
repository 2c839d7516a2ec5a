<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;

/** Pieces to take for a step, in the order in which they are sewn to each other: two of a kind of unit, all units of a row. */
final readonly class Take
{
    /**
     * @param non-empty-list<Assembly> $pieces
     * @param non-empty-list<Join>     $joins  the one between each piece and the next
     */
    private function __construct(
        public array $pieces,
        public array $joins,
    ) {}

    /** @return list<self> one for each kind of unit, or each row, that the step sews; none when it sews nothing */
    public static function forStep(Construction $construction, Step $step): array
    {
        $joins = array_map(static fn (int $id): Join => $construction->joins[$id], $step->joins);
        if ($step->do !== StepKind::Join) {
            return [];
        }
        // One unit of each kind stands for all of them.
        $ofUnits = array_filter($joins, static fn (Join $join): bool => $join->tie !== null);
        $shown = $ofUnits === [] ? $joins : array_map(static fn (int $id): Join => $construction->joins[$id], $step->made);
        $takes = [];
        foreach ($shown as $join) {
            $last = array_key_last($takes);
            $goesOn = $last !== null && $join->left === $takes[$last]->joins[count($takes[$last]->joins) - 1];
            if ($goesOn) {
                $takes[$last] = new self([...$takes[$last]->pieces, $join->right], [...$takes[$last]->joins, $join]);
            } else {
                $takes[] = new self([$join->left, $join->right], [$join]);
            }
        }

        return $takes;
    }
}
