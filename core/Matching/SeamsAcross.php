<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;

/** How many seams took from the width, and from the height, of a part that was measured. */
final class SeamsAcross
{
    /** What is less of a seam than this says more of how the ruler lay. */
    private const LEAST = 0.5;

    /**
     * Where rows of unlike many seams lie on each other the shortest, that of most seams, says how large the part is. A
     * slanting seam takes from both ways: at 45 degrees its root of one half from each.
     *
     * @return array{float, float} across the width and the height
     */
    public static function of(PressingPlan $plan, Join $part, SquareUp $squareUp): array
    {
        $counted = self::counted($part, $squareUp);
        if ($counted !== null) {
            return [(float) $counted[0], (float) $counted[1]];
        }
        $block = $plan->construction->face->block;
        $ideal = $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
        $more = Fraction::of(1, 64);
        [$meant, $real] = array_map(static fn (Fraction $takeUp): array => Drift::at($plan, $takeUp, $squareUp, $part)->expected, [$ideal, $ideal->plus($more)]);
        $seams = static fn (int $side): float => round(($meant[$side] - $real[$side]) / $more->toFloat(), 6);

        return array_map(static fn (float $count): float => $count < self::LEAST ? 0.0 : $count, [$seams(0), $seams(1)]);
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
