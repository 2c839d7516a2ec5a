<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;

/** How every miss, every difference of ends and the block's size change with the error of each seam. */
final readonly class Sensitivity
{
    /**
     * @param array<int, list<array<int, float>>> $ofJoins by join: its outcomes, each a factor by seam
     * @param list<array<int, float>>             $ofBlock the block's width and height, each a factor by seam
     */
    private function __construct(
        public PressingPlan $plan,
        public array $ofJoins,
        public array $ofBlock,
    ) {}

    public static function of(PressingPlan $plan, SquareUp $squareUp): self
    {
        $block = $plan->construction->face->block;
        $ideal = $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
        $joins = $plan->construction->joins;
        $meant = new Drift($plan, $ideal, $squareUp);
        [$ofJoins, $ofBlock] = [array_fill_keys(array_map(static fn (Join $join): int => $join->id, $joins), []), [[], []]];
        foreach ($joins as $seam) {
            $drift = new Drift($plan, $ideal, $squareUp, [$seam->id => 1.0]);
            foreach ($drift->sheets as $i => $sheet) {
                foreach (self::outcomes($sheet) as $number => $outcome) {
                    $change = $outcome - self::outcomes($meant->sheets[$i])[$number];
                    $ofJoins[$sheet->join->id][$number] ??= [];
                    if (abs($change) > 1e-9) {
                        $ofJoins[$sheet->join->id][$number][$seam->id] = $change;
                    }
                }
            }
            foreach ([0, 1] as $axis) {
                $change = $drift->expected[$axis] - $meant->expected[$axis];
                if (abs($change) > 1e-9) {
                    $ofBlock[$axis][$seam->id] = $change;
                }
            }
        }

        return new self($plan, array_map(array_values(...), $ofJoins), $ofBlock);
    }

    public function isOpen(Join $join): bool
    {
        return array_unique($this->plan->pressing->of($join), SORT_REGULAR) === [PressDirection::Open];
    }

    /**
     * How much of the variance of all outcomes comes from some seams.
     *
     * @param list<int> $seams
     */
    public function weight(array $seams): float
    {
        $weight = 0.0;
        foreach ([...array_merge(...$this->ofJoins), ...$this->ofBlock] as $parts) {
            foreach ($seams as $seam) {
                $weight += ($parts[$seam] ?? 0.0) ** 2;
            }
        }

        return $weight;
    }

    /** @return list<float> the misses of a join, then how far its ends differ */
    private static function outcomes(JoinSheet $sheet): array
    {
        $misses = array_map(static fn (Mark $mark): float => $mark->miss ?? 0.0, $sheet->marks);

        return [...$misses, $sheet->endsDiffer()];
    }
}
