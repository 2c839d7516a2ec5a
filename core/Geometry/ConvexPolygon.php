<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

/**
 * A convex outline on the lattice: clockwise as seen on the face, no three corners in line.
 *
 * It starts at the corner it was given first, so that a printed outline stays recognisable.
 */
final readonly class ConvexPolygon
{
    /** @param non-empty-list<Point> $points */
    private function __construct(public array $points) {}

    /**
     * @param list<Point> $points in order round the outline, either way; corners in line are dropped
     *
     * @throws OutlineNotConvex
     */
    public static function of(array $points): self
    {
        $corners = self::withoutFlatCorners($points);
        if (count($corners) < 3) {
            throw OutlineNotConvex::withoutArea();
        }
        if (self::doubledArea($corners) < 0) {
            $corners = [$corners[0], ...array_reverse(array_slice($corners, 1))];
        }
        self::ensureConvex($corners);

        return new self($corners);
    }

    /**
     * The smallest upright rectangle round the points, its corners first from the upper left.
     *
     * @param non-empty-array<Point> $points
     *
     * @throws OutlineNotConvex when they lie in one upright or level line
     */
    public static function uprightRound(array $points): self
    {
        [$left, $top, $right, $bottom] = Point::bounds($points);

        return self::of([new Point($left, $top), new Point($right, $top), new Point($right, $bottom), new Point($left, $bottom)]);
    }

    /** Twice the area in square lattice steps; a whole number, so that areas can be compared exactly. */
    public function areaDoubled(): int
    {
        return self::doubledArea($this->points);
    }

    /** Across the narrowest way, in lattice steps. */
    public function narrowest(): float
    {
        return min(array_map(function (array $edge): float {
            $side = $edge[1]->minus($edge[0]);

            return max(array_map(static fn (Point $corner): int => $side->cross($corner->minus($edge[0])), $this->points)) / sqrt($side->dot($side));
        }, $this->edges()));
    }

    /** @return non-empty-list<array{Point, Point}> every edge from corner to corner, clockwise */
    public function edges(): array
    {
        $next = $this->points;
        $next[] = array_shift($next);

        return array_map(static fn (Point $from, Point $to): array => [$from, $to], $this->points, $next);
    }

    /** Whether the point lies inside or on the outline. */
    public function touches(Point $point): bool
    {
        foreach ($this->edges() as [$a, $b]) {
            if ($b->minus($a)->cross($point->minus($a)) < 0) {
                return false;
            }
        }

        return true;
    }

    /** Whether the point lies inside, not on the outline. */
    public function containsInside(Point $point): bool
    {
        foreach ($this->edges() as [$a, $b]) {
            if ($b->minus($a)->cross($point->minus($a)) <= 0) {
                return false;
            }
        }

        return true;
    }

    /** Whether the open insides of the two outlines have a point in common (separating axes). */
    public function overlaps(self $other): bool
    {
        return ! $this->hasEdgeThatSeparates($other) && ! $other->hasEdgeThatSeparates($this);
    }

    /** The edge that both outlines have whole, or null: only along such an edge can the two be sewn straight. */
    public function sharedEdge(self $other): ?Segment
    {
        foreach ($this->edges() as [$a, $b]) {
            foreach ($other->edges() as [$c, $d]) {
                if ($a->equals($d) && $b->equals($c)) {
                    return Segment::between($a, $b);
                }
            }
        }

        return null;
    }

    /**
     * The outline of the two together, sewn along their shared edge.
     *
     * @throws OutlineNotConvex when the union has a dent
     */
    public function joinedWith(self $other, Segment $edge): self
    {
        return self::of([...$this->pathAround($edge), ...array_slice($other->pathAround($edge), 1, -1)]);
    }

    /** Whether its sides run level and upright. */
    public function isUprightRectangle(): bool
    {
        return count($this->points) === 4
            && array_filter($this->edges(), static fn (array $edge): bool => $edge[0]->x !== $edge[1]->x && $edge[0]->y !== $edge[1]->y) === [];
    }

    /** The smallest upright rectangle round the outline. */
    public function box(): Box
    {
        return Box::ofPoints($this->points);
    }

    /** Upper left corner of the smallest upright rectangle round the outline. */
    public function corner(): Point
    {
        return Point::upperLeftOf($this->points);
    }

    /** @return array{int, int} width and height of the smallest upright rectangle round the outline */
    public function size(): array
    {
        [$left, $top, $right, $bottom] = Point::bounds($this->points);

        return [$right - $left, $bottom - $top];
    }

    /** Turned clockwise about 0, 0. */
    public function turned(int $quarterTurns): self
    {
        $points = $this->points;
        for ($i = 0; $i < $quarterTurns; ++$i) {
            $points = array_map(static fn (Point $point): Point => $point->quarterTurned(), $points);
        }

        return new self($points);
    }

    /** Moved so that the place becomes 0, 0. */
    public function seenFrom(Point $place): self
    {
        return new self(array_map(static fn (Point $point): Point => $point->minus($place), $this->points));
    }

    /** Flipped left to right about x = 0. */
    public function mirrored(): self
    {
        return self::of(array_map(static fn (Point $point): Point => new Point(-$point->x, $point->y), $this->points));
    }

    /** The same for equal outlines wherever their list of corners starts. */
    public function key(): string
    {
        $keys = array_map(static fn (Point $point): string => $point->key(), $this->points);
        $first = array_search(min($keys), $keys, true);

        return implode(' ', [...array_slice($keys, (int) $first), ...array_slice($keys, 0, (int) $first)]);
    }

    /** @return list<Point> every corner, starting after the edge's clockwise start and ending at it */
    private function pathAround(Segment $edge): array
    {
        $count = count($this->points);
        foreach ($this->edges() as $i => [$a, $b]) {
            if (Segment::between($a, $b)->equals($edge)) {
                return array_map(fn (int $step): Point => $this->points[($i + 1 + $step) % $count], range(0, $count - 1));
            }
        }

        throw new \LogicException('The edge does not belong to this outline.');
    }

    private function hasEdgeThatSeparates(self $other): bool
    {
        foreach ($this->edges() as [$a, $b]) {
            $direction = $b->minus($a);
            $inside = array_filter($other->points, static fn (Point $p): bool => $direction->cross($p->minus($a)) > 0);
            if ($inside === []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<Point> $points
     *
     * @return list<Point>
     */
    private static function withoutFlatCorners(array $points): array
    {
        $points = array_values(array_filter(
            $points,
            static fn (Point $point, int $i): bool => ! $point->equals($points[($i + 1) % count($points)]),
            ARRAY_FILTER_USE_BOTH,
        ));
        do {
            $count = count($points);
            $kept = [];
            foreach ($points as $i => $point) {
                $before = $points[($i + $count - 1) % $count];
                $after = $points[($i + 1) % $count];
                if ($point->minus($before)->cross($after->minus($point)) === 0) {
                    continue;
                }
                $kept[] = $point;
            }
            $points = $kept;
        } while (count($points) < $count && $points !== []);

        return $points;
    }

    /** @param list<Point> $points */
    private static function doubledArea(array $points): int
    {
        $sum = 0;
        foreach ($points as $i => $point) {
            $sum += $point->cross($points[($i + 1) % count($points)]);
        }

        return $sum;
    }

    /** @param non-empty-list<Point> $points clockwise */
    private static function ensureConvex(array $points): void
    {
        $count = count($points);
        $around = 0;
        foreach ($points as $i => $point) {
            $edge = $points[($i + 1) % $count]->minus($point);
            $next = $points[($i + 2) % $count]->minus($points[($i + 1) % $count]);
            if ($edge->cross($next) < 0) {
                throw OutlineNotConvex::dented();
            }
            // An outline that winds round twice has no dent either; it passes "downwards to upwards" twice.
            $around += ($edge->y >= 0 && $next->y < 0) ? 1 : 0;
        }
        if ($around !== 1) {
            throw OutlineNotConvex::dented();
        }
    }
}
