<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Assembly\StraightGrain;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** The weave runs along a patch's outer edge, so that no outer edge stretches. Common practice, no published source. */
final class StraightGrainTest extends TestCase
{
    /** @param list<string> $ways level, upright or slanting, by patch */
    #[DataProvider('units')]
    public function test_the_weave_runs_along_outer_edges_and_where_there_is_none_along_the_shape(string $unit, array $ways): void
    {
        $placed = Blocks::sewn($unit)->face->whole->parts[0];
        self::assertInstanceOf(PlacedUnit::class, $placed);
        self::assertSame($ways, array_map(static function (Patch $patch) use ($placed): string {
            $grain = StraightGrain::of($patch, $placed->outline);

            return match (true) {
                $grain->x === 0 && $grain->y === 0 => 'none',
                // Threads run both ways: level and upright are the same cloth.
                $grain->x === 0 || $grain->y === 0 => 'straight',
                default => 'slanting',
            };
        }, $placed->patches()));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function units(): iterable
    {
        yield 'plain' => ['pA', ['straight']];
        yield 'half squares by their legs' => ['hAB', ['straight', 'straight']];
        yield 'quarter squares by their long side' => ['qABCA', ['straight', 'straight', 'straight', 'straight']];
        yield 'a goose by its base, its sky by the outer legs' => ['gABC', ['straight', 'straight', 'straight']];
        yield 'a square on its point by its own sides' => ['dABBBB', ['slanting', 'straight', 'straight', 'straight', 'straight']];
    }

    public function test_a_triangle_that_touches_no_edge_takes_its_legs(): void
    {
        // Half of a square on point in the middle: a level long side and slanting legs.
        $inner = ConvexPolygon::of([new Point(1, 2), new Point(2, 1), new Point(3, 2)]);
        $within = ConvexPolygon::of([new Point(0, 0), new Point(4, 0), new Point(4, 4), new Point(0, 4)]);
        $cloth = Blocks::of('pA')->fabrics['A'];
        $grain = StraightGrain::of(new Patch(0, $cloth, $inner), $within);
        self::assertSame(abs($grain->x), abs($grain->y), 'along a leg');
        self::assertSame([2, 0], [abs(StraightGrain::of(new Patch(0, $cloth, ConvexPolygon::of([new Point(1, 1), new Point(3, 1), new Point(2, 2), new Point(1, 2)])), $within)->x), 0], 'along its longest side');
        self::assertEqualsCanonicalizing([0, 4], array_map(abs(...), [StraightGrain::of(new Patch(0, $cloth, ConvexPolygon::of([new Point(0, 0), new Point(3, 1), new Point(0, 4)])), $within)->x, StraightGrain::of(new Patch(0, $cloth, ConvexPolygon::of([new Point(0, 0), new Point(3, 1), new Point(0, 4)])), $within)->y]), 'along the outer side, not the longest');
    }

    public function test_four_squares_are_a_four_patch_whatever_their_order_and_nothing_else_is(): void
    {
        $square = static fn (int $x, int $y, int $side = 2): ConvexPolygon => ConvexPolygon::of([new Point($x, $y), new Point($x + $side, $y), new Point($x + $side, $y + $side), new Point($x, $y + $side)]);
        $four = [$square(5, 5), $square(7, 5), $square(5, 7), $square(7, 7)];
        foreach ([[0, 1, 2, 3], [3, 1, 0, 2], [2, 3, 1, 0]] as $order) {
            $shape = KnownShape::of(array_map(static fn (int $i): ConvexPolygon => $four[$i], $order));
            self::assertSame([KnownShape::FOUR_PATCH, 4, 4], [$shape?->kind, $shape?->width, $shape?->height]);
            // Told in reading order.
            self::assertSame([0, 1, 2, 3], array_map(static fn (int $number): int => $order[$number], $shape->order ?? []));
        }
        $strip = static fn (int $x): ConvexPolygon => ConvexPolygon::of([new Point($x, 0), new Point($x + 1, 0), new Point($x + 1, 4), new Point($x, 4)]);
        self::assertNull(KnownShape::of([$strip(0), $strip(1), $strip(2), $strip(3)]));
        $oblong = static fn (int $x, int $y, int $wide, int $high): ConvexPolygon => ConvexPolygon::of([new Point($x, $y), new Point($x + $wide, $y), new Point($x + $wide, $y + $high), new Point($x, $y + $high)]);
        self::assertNull(KnownShape::of([$oblong(0, 0, 1, 2), $oblong(1, 0, 3, 2), $oblong(0, 2, 1, 2), $oblong(1, 2, 3, 2)]));
        self::assertNull(KnownShape::of([$square(0, 0), $square(2, 0), $square(4, 0), $square(6, 0)]));
        self::assertNull(KnownShape::of([$square(0, 0)]));
    }
}
