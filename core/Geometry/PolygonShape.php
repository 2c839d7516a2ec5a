<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

/** What a convex outline is by its own sides and angles, wherever it lies and however it is turned. */
enum PolygonShape
{
    case Square;
    case Rectangle;

    /** A right triangle with equal legs: half, or a quarter, of a square. */
    case RightIsosceles;
    case Other;

    public static function of(ConvexPolygon $outline): self
    {
        $sides = array_map(static fn (array $edge): Point => $edge[1]->minus($edge[0]), $outline->edges());
        $isSquareCorner = static fn (int $i): bool => $sides[$i]->dot($sides[($i + 1) % count($sides)]) === 0;
        if (count($sides) === 4) {
            return match (true) {
                ! $isSquareCorner(0) || ! $isSquareCorner(1) || ! $isSquareCorner(2) => self::Other,
                $sides[0]->dot($sides[0]) === $sides[1]->dot($sides[1]) => self::Square,
                default => self::Rectangle,
            };
        }
        if (count($sides) === 3) {
            foreach ([0, 1, 2] as $i) {
                if ($isSquareCorner($i) && $sides[$i]->dot($sides[$i]) === $sides[($i + 1) % 3]->dot($sides[($i + 1) % 3])) {
                    return self::RightIsosceles;
                }
            }
        }

        return self::Other;
    }

    /** Whether it is cut along the ruler, without a template. */
    public function isPlain(): bool
    {
        return $this !== self::Other;
    }
}
