<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Join;

/** Where a part of a unit is trimmed on the way, so that the point on its next edge keeps its allowance. */
final class InnerTrim
{
    public const WORDS = 'Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.';

    /**
     * Needed before a seam runs along an edge that several patches of the part make: only then is that edge straight.
     *
     * @param list<Join> $joins of the same unit
     */
    public static function isNeededAfter(Join $join, array $joins): bool
    {
        foreach ($joins as $later) {
            $isLeft = $later->left === $join;
            if (! $isLeft && $later->right !== $join) {
                continue;
            }
            foreach ($later->meetings as $meeting) {
                if ($later->seam->containsInside($meeting->at) && ($isLeft ? $meeting->seamsOfLeft : $meeting->seamsOfRight) > 0) {
                    return true;
                }
            }
        }

        return false;
    }
}
