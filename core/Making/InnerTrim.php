<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;

/** Where a part of a unit is trimmed on the way, so that the point on its next edge keeps its allowance. */
final class InnerTrim
{
    public const WORDS = 'Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.';

    /**
     * Needed before a seam runs along an edge that several patches of the part make: only then is that edge straight. What
     * is sewn of squares and rectangles alone has straight edges by itself.
     *
     * @param list<Join> $joins of the same unit
     */
    public static function isNeededAfter(Join $join, array $joins): bool
    {
        if (self::isOfRectangles($join)) {
            return false;
        }
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

    private static function isOfRectangles(Assembly $part): bool
    {
        return $part instanceof Piece
            ? $part->outline()->isUprightRectangle()
            : array_filter($part->children(), static fn (Assembly $child): bool => ! self::isOfRectangles($child)) === [];
    }
}
