<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Block\UnitPattern;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\Fraction;

/**
 * Outlines that together are a known unit, by their shape: a half-square triangle, a goose, a square in a square, a
 * four-patch, at any quarter turn and of any size. All of them are their own mirror image by shape.
 */
final readonly class KnownShape
{
    public const FOUR_PATCH = 'four-patch';

    /** The most patches that one of them has. */
    public const MOST_PATCHES = 5;

    /** Their cells are square, except the goose's. */
    private const KINDS = ['half-square-triangle', 'quarter-square-triangle', 'split-quarter-square-triangle', 'flying-geese', 'triangle-in-square', 'square-in-square'];

    /**
     * @param string              $kind  as block files write it, or FOUR_PATCH
     * @param non-empty-list<int> $order numbers of the given outlines, in the order of the unit's own patches
     * @param int                 $width in its own frame, in lattice steps
     */
    private function __construct(
        public string $kind,
        public array $order,
        public ConvexPolygon $outline,
        public int $width,
        public int $height,
    ) {}

    /**
     * @param list<ConvexPolygon> $outlines
     *
     * @return self|null null where they are none that is known
     */
    public static function of(array $outlines): ?self
    {
        if (count($outlines) < 2 || count($outlines) > self::MOST_PATCHES) {
            return null;
        }
        $outline = ConvexPolygon::uprightRound(array_merge(...array_map(static fn (ConvexPolygon $one): array => $one->points, $outlines)));
        if (array_sum(array_map(static fn (ConvexPolygon $one): int => $one->areaDoubled(), $outlines)) !== $outline->areaDoubled()) {
            return null;
        }
        $found = self::fourPatch($outlines, $outline);
        foreach (self::KINDS as $kind) {
            $pattern = UnitPatterns::all()[$kind];
            $found ??= count($pattern->outlines) === count($outlines) ? self::matched($pattern, $outlines, $outline) : null;
        }

        return $found;
    }

    /** @param non-empty-list<ConvexPolygon> $outlines */
    private static function matched(UnitPattern $pattern, array $outlines, ConvexPolygon $outline): ?self
    {
        foreach (Turn::QUARTERS as $turns) {
            [$corner, $width, $height] = self::box($outline->turned($turns));
            if ($width !== $height * ($pattern->kind === 'flying-geese' ? 2 : 1)) {
                continue;
            }
            $byShape = [];
            foreach ($outlines as $i => $one) {
                $byShape[self::inHalves($one->turned($turns), $corner, $width, $height)] = $i;
            }
            $order = [];
            foreach ($pattern->outlines as $wanted) {
                $key = ConvexPolygon::of(array_map(static fn (array $place): Point => new Point(self::halves($place[0]), self::halves($place[1])), $wanted))->key();
                if (isset($byShape[$key])) {
                    $order[] = $byShape[$key];
                }
            }
            if (count($order) === count($outlines)) {
                return new self($pattern->kind, $order, $outline, $width, $height);
            }
        }

        return null;
    }

    private static function halves(Fraction $share): int
    {
        return intdiv(2 * $share->numerator, $share->denominator);
    }

    /** The outline in halves of the unit's width and height; '' where a corner lies between. */
    private static function inHalves(ConvexPolygon $outline, Point $corner, int $width, int $height): string
    {
        $points = [];
        foreach ($outline->points as $point) {
            [$x, $y] = [2 * ($point->x - $corner->x), 2 * ($point->y - $corner->y)];
            if ($x % $width !== 0 || $y % $height !== 0) {
                return '';
            }
            $points[] = new Point(intdiv($x, $width), intdiv($y, $height));
        }

        return ConvexPolygon::of($points)->key();
    }

    /** @param non-empty-list<ConvexPolygon> $outlines */
    private static function fourPatch(array $outlines, ConvexPolygon $outline): ?self
    {
        [$side, $height] = $outline->size();
        $squares = array_filter($outlines, static fn (ConvexPolygon $one): bool => $one->isUprightRectangle() && $one->size() === [intdiv($side, 2), intdiv($height, 2)]);
        if (count($squares) !== 4 || $side !== $height) {
            return null;
        }
        uasort($squares, static fn (ConvexPolygon $a, ConvexPolygon $b): int => [$a->corner()->y, $a->corner()->x] <=> [$b->corner()->y, $b->corner()->x]);

        return new self(self::FOUR_PATCH, array_keys($squares), $outline, $side, $side);
    }

    /** @return array{Point, int, int} upper left corner, width and height */
    private static function box(ConvexPolygon $outline): array
    {
        return [$outline->corner(), ...$outline->size()];
    }
}
