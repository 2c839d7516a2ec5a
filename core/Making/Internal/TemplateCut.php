<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/**
 * How one patch is cut by its own outline: as a rectangle, as half of a square, or with a template.
 *
 * @internal
 */
final class TemplateCut
{
    /** A template's outline is measured in decimals; so fine that no ruler's mark is missed. */
    private const PARTS = 10_000;

    /** @param list<array{Fraction, Fraction}> $outline finished, in the block's unit of length */
    public static function of(string $fabric, array $outline, Fraction $allowance): Piece
    {
        [$xs, $ys] = [array_column($outline, 0), array_column($outline, 1)];
        $span = static function (array $values): Fraction {
            usort($values, static fn (Fraction $a, Fraction $b): int => $a->compareTo($b));

            return $values[count($values) - 1]->minus($values[0]);
        };
        [$width, $height] = [$span($xs), $span($ys)];
        $two = $allowance->times(Fraction::of(2));
        $isUpright = array_filter($outline, static fn (array $corner, int $i): bool => ! $corner[0]->equals($outline[($i + 1) % count($outline)][0]) && ! $corner[1]->equals($outline[($i + 1) % count($outline)][1]), ARRAY_FILTER_USE_BOTH) === [];
        if (count($outline) === 4 && $isUpright) {
            $shape = $width->equals($height) ? CutShape::Square : CutShape::Rectangle;

            return new Piece($fabric, $shape, Surd::of($width->plus($two)), Surd::of($height->plus($two)), 1, Then::None, $width->plus($two));
        }
        if (count($outline) === 3 && $width->equals($height)) {
            $side = (new Surd($two, $allowance))->plus(Surd::of($width));

            return Piece::square($fabric, $side, 1, Then::Once, $side->raisedTo(8)->plus($allowance->times(Fraction::of(1, 2))));
        }
        [$wide, $high] = self::boxOfOffset($outline, $allowance);

        return new Piece($fabric, CutShape::Template, Surd::of($wide), Surd::of($high), 1, Then::None, $wide);
    }

    /**
     * The upright box round the outline moved out by the allowance on every side; sharp corners are blunted where the
     * neighbour's raw edge runs, at √2 times the allowance from the corner.
     *
     * @param list<array{Fraction, Fraction}> $outline
     *
     * @return array{Fraction, Fraction}
     */
    private static function boxOfOffset(array $outline, Fraction $allowance): array
    {
        $points = array_map(static fn (array $corner): array => [$corner[0]->toFloat(), $corner[1]->toFloat()], $outline);
        $s = $allowance->toFloat();
        $count = count($points);
        $out = [];
        foreach ($points as $i => [$x, $y]) {
            [$ax, $ay] = self::unit($points[($i + $count - 1) % $count], [$x, $y]);
            [$bx, $by] = self::unit([$x, $y], $points[($i + 1) % $count]);
            $cosine = $ax * $bx + $ay * $by;
            $mitre = sqrt(2 / (1 + $cosine)); // from the corner to the offset corner, in allowances
            [$nx, $ny] = [$ay + $by, -$ax - $bx]; // outward for a clockwise outline with y down
            $length = hypot($nx, $ny);
            $reach = min($mitre, M_SQRT2) * $s;
            $out[] = [$x + $nx / $length * $reach, $y + $ny / $length * $reach];
            // A blunted corner still reaches one allowance beyond each of its edges.
            $out[] = [$x + $ay * $s, $y - $ax * $s];
            $out[] = [$x + $by * $s, $y - $bx * $s];
        }
        [$xs, $ys] = [array_column($out, 0) ?: [0.0], array_column($out, 1) ?: [0.0]];
        $raised = static fn (float $size): Fraction => Fraction::of((int) ceil(round($size * self::PARTS, 3)), self::PARTS);

        return [$raised(max($xs) - min($xs)), $raised(max($ys) - min($ys))];
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     *
     * @return array{float, float}
     */
    private static function unit(array $from, array $to): array
    {
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);

        return [($to[0] - $from[0]) / $length, ($to[1] - $from[1]) / $length];
    }
}
