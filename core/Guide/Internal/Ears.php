<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;

/**
 * Tips of allowance that stick out past a raw edge: where they lead the next piece, and where they are in its way.
 *
 * @internal
 */
final readonly class Ears
{
    private Construction $construction;

    /** @var array<int, JoinSheet> by join */
    private array $sheets;

    public function __construct(PressingPlan $plan)
    {
        $this->construction = $plan->construction;
        $block = $this->construction->face->block;
        $drift = new Drift($plan, $block->seamAllowance->in($block->unit)->times(Fraction::of(2)), SquareUp::Units);
        $this->sheets = array_column(array_map(static fn (JoinSheet $sheet): array => ['id' => $sheet->join->id, 'sheet' => $sheet], $drift->sheets), 'sheet', 'id');
    }

    /** @param list<Join> $joins */
    public function overhangWords(array $joins): string
    {
        return array_filter($joins, $this->hangsOver(...)) === [] ? '' : ' Begin where the two raw edges make the V.';
    }

    /** Ears come off where the next seam runs over them, and stay where they are what the next piece is laid to. */
    public function words(Pile $pile, int $round): string
    {
        $next = $pile->rounds[$round + 1] ?? [];
        if ($next === [] || ! $pile->isCutToShape() || array_filter($pile->rounds[$round], $this->hasEars(...)) === []) {
            return '';
        }

        return array_filter($next, $this->hangsOver(...)) === [] ? ' Clip the dog ears: the next seam runs over them.' : ' Leave the ears that hang over: the next piece is laid to them.';
    }

    private function hangsOver(Join $join): bool
    {
        return array_filter($this->sheets[$join->id]->allowances, static fn (array $end): bool => abs($end[0] - $end[1]) > 1e-9) !== [];
    }

    /** Whether an edge beside the seam slants, so that the allowance sticks out beyond it. */
    private function hasEars(Join $join): bool
    {
        $block = $this->construction->face->block;

        return max(array_merge(...$this->sheets[$join->id]->allowances)) > $block->seamAllowance->in($block->unit)->toFloat() + 1e-9;
    }
}
