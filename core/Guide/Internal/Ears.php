<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Matching\EndLay;
use KeenSeam\Core\Matching\JoinEnd;
use KeenSeam\Core\Matching\RawEdges;

/**
 * Tips of allowance that stick out past a raw edge: where they lead the next piece, and where they are in its way.
 *
 * @internal
 */
final readonly class Ears
{
    public function __construct(private Construction $construction, private RawEdges $edges) {}

    /** Whether tips stick out of a finished unit, to be taken off when it is squared up. */
    public function areOn(UnitClass $class): bool
    {
        return array_filter($this->construction->joins, fn (Join $join): bool => $join->tie?->unitClass === $class->index && $join->tie->member === 0 && $this->hasEars($join)) !== [];
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

        return array_filter($pile->rounds[$round], $this->mustStay(...)) === [] ? ' Clip the dog ears: the next seam runs over them.' : ' Leave what hangs over at the point: the next piece is laid to it, and it becomes the allowance there.';
    }

    private function hangsOver(Join $join): bool
    {
        return array_filter($this->edges->of($join), static fn (JoinEnd $end): bool => $end->lay() === EndLay::Vee) !== [];
    }

    private function mustStay(Join $join): bool
    {
        return array_filter($this->edges->of($join), static fn (JoinEnd $end): bool => $end->mustStay()) !== [];
    }

    /** Whether an edge beside the seam slants, so that the allowance sticks out beyond it. */
    private function hasEars(Join $join): bool
    {
        return array_filter($this->edges->of($join), static fn (JoinEnd $end): bool => $end->hasEar() && $end->sharpness() < M_PI_2 - 1e-9) !== [];
    }
}
