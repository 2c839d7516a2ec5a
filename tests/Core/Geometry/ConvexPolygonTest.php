<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\OutlineNotConvex;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ConvexPolygonTest extends TestCase
{
    public function test_either_way_round_is_the_same_outline(): void
    {
        self::assertEquals(self::outline('0,0 4,0 0,4')->key(), self::outline('0,0 0,4 4,0')->key());
        self::assertSame(16, self::outline('0,0 0,4 4,0')->areaDoubled());
    }

    public function test_corners_in_line_are_dropped(): void
    {
        self::assertCount(4, self::outline('0,0 2,0 4,0 4,4 0,4 0,3')->points);
    }

    public function test_the_narrowest_way_across(): void
    {
        $of = static fn (int ...$xy): float => ConvexPolygon::of(array_map(static fn (array $at): Point => new Point(...$at), array_chunk($xy, 2)))->narrowest();

        self::assertEqualsWithDelta(2.0, $of(0, 0, 9, 0, 9, 2, 0, 2), 1e-9);
        self::assertEqualsWithDelta(2.4, $of(0, 0, 4, 0, 0, 3), 1e-9, 'the height over the long side of 3, 4, 5');
        self::assertEqualsWithDelta(sqrt(2), $of(1, 0, 2, 1, 1, 2, 0, 1), 1e-9, 'a square on point');
    }

    /** @return array<string, array{string}> */
    public static function impossible(): array
    {
        return [
            'no area' => ['0,0 2,2 4,4'],
            'two corners' => ['0,0 2,2'],
            'a dent' => ['0,0 4,0 1,1 0,4'],
            'crossing itself' => ['0,0 4,4 4,0 0,4'],
            'twice round' => ['0,0 4,0 4,4 0,4 -1,-1 5,-1 5,5 -1,5'],
        ];
    }

    #[DataProvider('impossible')]
    public function test_refuses_what_is_not_convex(string $corners): void
    {
        $this->expectException(OutlineNotConvex::class);
        self::outline($corners);
    }

    public function test_only_a_whole_common_edge_can_be_sewn(): void
    {
        $upper = self::outline('0,0 4,0 4,2 0,2');

        self::assertEquals(Segment::between(new Point(0, 2), new Point(4, 2)), $upper->sharedEdge(self::outline('0,2 4,2 4,6 0,6')));
        self::assertNull($upper->sharedEdge(self::outline('0,2 2,2 2,6 0,6')), 'half an edge');
        self::assertNull($upper->sharedEdge(self::outline('4,2 6,2 6,6 4,6')), 'a corner');
    }

    public function test_two_sewn_triangles_make_a_square_without_a_fifth_corner(): void
    {
        $a = self::outline('0,0 4,0 0,4');
        $b = self::outline('4,0 4,4 0,4');

        self::assertSame(self::outline('0,0 4,0 4,4 0,4')->key(), $a->joinedWith($b, Segment::between(new Point(4, 0), new Point(0, 4)))->key());
    }

    public function test_outlines_that_only_touch_do_not_overlap(): void
    {
        $square = self::outline('0,0 4,0 4,4 0,4');

        self::assertFalse($square->overlaps(self::outline('4,0 8,0 8,4 4,4')));
        self::assertTrue($square->overlaps(self::outline('3,3 8,3 8,8 3,8')));
        self::assertTrue($square->overlaps($square));
    }

    public function test_four_quarter_turns_change_nothing(): void
    {
        $triangle = self::outline('1,0 5,0 1,7');

        self::assertSame($triangle->key(), $triangle->turned(4)->key());
        self::assertNotSame($triangle->key(), $triangle->turned(1)->key());
    }

    private static function outline(string $corners): ConvexPolygon
    {
        return ConvexPolygon::of(array_map(static function (string $corner): Point {
            [$x, $y] = explode(',', $corner);

            return new Point((int) $x, (int) $y);
        }, explode(' ', $corners)));
    }

    public function test_the_smallest_upright_rectangle_round_points_touches_them_all_and_has_one_on_each_side(): void
    {
        $points = [new Point(4, -2), new Point(-3, 5), new Point(0, 1), new Point(7, 3)];
        $round = ConvexPolygon::uprightRound($points);
        self::assertTrue($round->isUprightRectangle());
        self::assertEquals([new Point(-3, -2), new Point(7, -2), new Point(7, 5), new Point(-3, 5)], $round->points);
        self::assertSame([-3, -2, 7, 5], Point::bounds($points));
        self::assertSame([true, true, true, true], array_map($round->touches(...), $points));
        $this->expectException(OutlineNotConvex::class);
        ConvexPolygon::uprightRound([new Point(1, 1), new Point(1, 4)]);
    }

    public function test_an_outline_is_turned_moved_and_measured(): void
    {
        $slanted = ConvexPolygon::of([new Point(2, 3), new Point(7, 5), new Point(4, 12)]);

        self::assertSame([5, 9], $slanted->size());
        self::assertSame([9, 5], $slanted->turned(1)->size());
        self::assertSame([[2, 3], [7, 5], [4, 12]], array_map(static fn (Point $point): array => [$point->x, $point->y], $slanted->turned(0)->points));
        // Clockwise, with y down: what lies to the right lies below.
        self::assertSame([[-3, 2], [-5, 7], [-12, 4]], array_map(static fn (Point $point): array => [$point->x, $point->y], $slanted->turned(1)->points));
        self::assertSame([[-2, -3], [-7, -5], [-4, -12]], array_map(static fn (Point $point): array => [$point->x, $point->y], $slanted->turned(2)->points));
        self::assertSame([[0, 0], [5, 2], [2, 9]], array_map(static fn (Point $point): array => [$point->x, $point->y], $slanted->seenFrom(new Point(2, 3))->points));
    }
}
