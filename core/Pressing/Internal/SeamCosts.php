<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\PressDirection;

/**
 * What pressing a join costs by itself: seam ends folded back, shadow, and furls.
 *
 * @internal
 */
final class SeamCosts
{
    /** Of one segment pressed one way, its match points left out. */
    public static function ofSegment(Join $join, int $segment, PressDirection $direction, Lattice $lattice): Cost
    {
        $matches = $join->matchPoints();
        $from = $join->seam->along(($matches[$segment - 1] ?? null)->at ?? $join->seam->from);
        $to = $join->seam->along(($matches[$segment] ?? null)->at ?? $join->seam->to);
        $folded = 0;
        foreach ($join->meetings as $meeting) {
            $at = $join->seam->along($meeting->at);
            if ($at > $from && $at < $to) {
                $folded += self::foldedAt($meeting, $direction, $direction);
            }
        }

        return (new Cost(folded: $folded))->plus(self::shadow($join, $from, $to, $direction, $lattice));
    }

    /**
     * Of all match points of a join.
     *
     * @param non-empty-list<PressDirection> $directions one a segment
     */
    public static function ofMatches(Join $join, array $directions): Cost
    {
        $cost = new Cost();
        foreach ($join->matchPoints() as $number => $match) {
            $cost = $cost->plus(self::ofMatch($match, $directions[$number], $directions[$number + 1]));
        }

        return $cost;
    }

    /**
     * Of a whole join, its crossings' nesting left out.
     *
     * @param non-empty-list<PressDirection> $directions one a segment
     */
    public static function ofJoin(Join $join, array $directions, Lattice $lattice): Cost
    {
        $cost = self::ofMatches($join, $directions);
        if (count(array_unique(array_column($directions, 'value'))) === 1) {
            // One stretch from end to end: no need to look at every segment by itself.
            return $cost->plus(self::foldedBetweenMatches($join, $directions[0]))
                ->plus(self::shadow($join, 0, $join->seam->along($join->seam->to), $directions[0], $lattice));
        }
        foreach ($directions as $segment => $direction) {
            $cost = $cost->plus(self::ofSegment($join, $segment, $direction, $lattice));
        }

        return $cost;
    }

    /** Of a match point between two segments: its seam ends folded back, and the furl where the direction changes. */
    public static function ofMatch(Meeting $match, PressDirection $before, PressDirection $after): Cost
    {
        return new Cost(folded: self::foldedAt($match, $before, $after), furls: $before === $after ? 0 : 1);
    }

    /** Rank in value, averaged by length, of what lies along the seam: above zero when the right part is darker, below when the left is. */
    public static function darkerSide(Join $join): int
    {
        $weigh = static fn (Assembly $part): int => array_sum(array_map(
            static fn (array $stretch): int => ($stretch[1] - $stretch[0]) * $stretch[2],
            self::stretches($join->seam, $part),
        ));

        return $weigh($join->right) <=> $weigh($join->left);
    }

    private static function foldedBetweenMatches(Join $join, PressDirection $direction): Cost
    {
        $folded = 0;
        foreach ($join->meetings as $meeting) {
            if (! $meeting->isOfBothSides() && $join->seam->containsInside($meeting->at)) {
                $folded += self::foldedAt($meeting, $direction, $direction);
            }
        }

        return new Cost(folded: $folded);
    }

    private static function foldedAt(Meeting $meeting, PressDirection $before, PressDirection $after): int
    {
        return ($before->foldsLeft() || $after->foldsLeft() ? $meeting->seamsOfLeft : 0)
            + ($before->foldsRight() || $after->foldsRight() ? $meeting->seamsOfRight : 0);
    }

    private static function shadow(Join $join, int $from, int $to, PressDirection $direction, Lattice $lattice): Cost
    {
        if ($direction === PressDirection::Open) {
            return new Cost();
        }
        $under = self::stretches($join->seam, $direction === PressDirection::Right ? $join->right : $join->left);
        $over = self::stretches($join->seam, $direction === PressDirection::Right ? $join->left : $join->right);
        $shared = 0;
        foreach ($under as [$start, $end, $rank]) {
            foreach ($over as [$otherStart, $otherEnd, $otherRank]) {
                if ($rank < $otherRank) {
                    $shared += max(0, min($end, $otherEnd, $to) - max($start, $otherStart, $from));
                }
            }
        }
        // along() grows by length² over the whole seam, so this share of it is the shadowed length.
        $length = $join->seam->length();

        return Cost::ofShadow($shared / $length / $lattice->steps);
    }

    /** @return list<Patch> those of a part that lie on the seam */
    public static function patchesAlong(Segment $seam, Assembly $part): array
    {
        return array_column(self::alongside($seam, $part), 2);
    }

    /** @return list<array{int, int, int}> start and end along the seam, and rank in value, of each patch that lies on it */
    private static function stretches(Segment $seam, Assembly $assembly): array
    {
        return array_map(static fn (array $on): array => [$on[0], $on[1], $on[2]->fabric->value->rank()], self::alongside($seam, $assembly));
    }

    /** @return list<array{int, int, Patch}> start and end along the seam of each patch that lies on it */
    private static function alongside(Segment $seam, Assembly $assembly): array
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
            return [[min($on), max($on), $assembly->patch]];
        }

        return array_merge(...array_map(static fn (Assembly $part): array => self::alongside($seam, $part), $assembly->children()));
    }
}
