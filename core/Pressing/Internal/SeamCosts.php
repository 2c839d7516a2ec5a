<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\PressDirection;

/**
 * What pressing a whole join one way costs by itself: seam ends folded back, and shadow.
 *
 * @internal
 */
final class SeamCosts
{
    public static function of(Join $join, PressDirection $direction, Lattice $lattice): Cost
    {
        return self::folded($join, $direction)->plus(self::shadow($join, $direction, $lattice));
    }

    private static function folded(Join $join, PressDirection $direction): Cost
    {
        $folded = 0;
        foreach ($join->meetings as $meeting) {
            if ($join->seam->containsInside($meeting->at)) {
                $folded += $direction->foldsLeft() ? $meeting->seamsOfLeft : 0;
                $folded += $direction->foldsRight() ? $meeting->seamsOfRight : 0;
            }
        }

        return new Cost(folded: $folded);
    }

    private static function shadow(Join $join, PressDirection $direction, Lattice $lattice): Cost
    {
        if ($direction === PressDirection::Open) {
            return new Cost();
        }
        $under = self::stretches($join->seam, $direction === PressDirection::Right ? $join->right : $join->left);
        $from = self::stretches($join->seam, $direction === PressDirection::Right ? $join->left : $join->right);
        $shared = 0;
        foreach ($under as [$start, $end, $rank]) {
            foreach ($from as [$otherStart, $otherEnd, $otherRank]) {
                if ($rank < $otherRank) {
                    $shared += max(0, min($end, $otherEnd) - max($start, $otherStart));
                }
            }
        }
        // along() grows by length² over the whole seam, so this share of it is the shadowed length.
        $length = $join->seam->length();

        return Cost::ofShadow($shared / $length / $lattice->steps);
    }

    /** @return list<array{int, int, int}> start and end along the seam, and rank in value, of each patch that lies on it */
    private static function stretches(Segment $seam, Assembly $assembly): array
    {
        $on = [];
        foreach ($assembly->outline()->points as $corner) {
            if ($seam->sideOf($corner) === 0) {
                $on[] = $seam->along($corner);
            }
        }
        if (count($on) < 2) {
            return [];
        }
        if ($assembly instanceof Piece) {
            return [[min($on), max($on), $assembly->patch->fabric->value->rank()]];
        }

        return array_merge(...array_map(static fn (Assembly $part): array => self::stretches($seam, $part), $assembly->children()));
    }
}
