<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;

/** How many seams took from the width, and from the height, of a part that was measured. */
final class SeamsAcross
{
    /**
     * Where rows of unlike many seams lie on each other the shortest, that of most seams, says how large the part is.
     *
     * @return array{int, int} across the width and the height; none where a slanting seam took from them too
     */
    public static function of(Assembly $part, SquareUp $squareUp): array
    {
        return self::counted($part, $squareUp) ?? [0, 0];
    }

    /** @return array{int, int}|null */
    private static function counted(Assembly $part, SquareUp $squareUp): ?array
    {
        // A unit that was squared up is as large as it should be, whatever its seams took.
        if (! $part instanceof Join || ($part->tie !== null && $squareUp === SquareUp::Units)) {
            return [0, 0];
        }
        $isUpright = $part->seam->from->x === $part->seam->to->x;
        $isLevel = $part->seam->from->y === $part->seam->to->y;
        [$left, $right] = [self::counted($part->left, $squareUp), self::counted($part->right, $squareUp)];

        return match (true) {
            $left === null || $right === null => null,
            $isUpright => [$left[0] + $right[0] + 1, max($left[1], $right[1])],
            $isLevel => [max($left[0], $right[0]), $left[1] + $right[1] + 1],
            default => null,
        };
    }
}
