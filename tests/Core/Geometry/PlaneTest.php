<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\PolygonShape;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Measure\NumberOutOfReach;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Points, lines and shapes on the lattice, held against the same worked out in floats or by counting. */
final class PlaneTest extends TestCase
{
    #[DataProvider('shapes')]
    public function test_a_shape_is_known_however_it_is_turned_and_wherever_its_corners_start(string $corners, PolygonShape $shape): void
    {
        $points = array_map(static fn (string $at): Point => new Point(...array_map(intval(...), explode(',', $at))), explode(' ', $corners));
        foreach (array_keys($points) as $start) {
            $from = [...array_slice($points, $start), ...array_slice($points, 0, $start)];
            for ($turns = 0; $turns < 4; ++$turns) {
                $outline = ConvexPolygon::of($from)->seenFrom(new Point(3, -2))->turned($turns);
                self::assertSame([$shape, $shape, $shape !== PolygonShape::Other], [PolygonShape::of($outline), PolygonShape::of($outline->mirrored()), PolygonShape::of($outline)->isPlain()]);
            }
        }
    }

    /** @return iterable<string, array{string, PolygonShape}> */
    public static function shapes(): iterable
    {
        yield 'square' => ['0,0 4,0 4,4 0,4', PolygonShape::Square];
        yield 'square on point' => ['0,2 2,0 4,2 2,4', PolygonShape::Square];
        yield 'leaning square' => ['0,1 3,0 4,3 1,4', PolygonShape::Square];
        yield 'rectangle' => ['0,0 5,0 5,2 0,2', PolygonShape::Rectangle];
        yield 'leaning rectangle' => ['0,2 2,0 6,4 4,6', PolygonShape::Rectangle];
        yield 'half of a square' => ['0,0 4,0 0,4', PolygonShape::RightIsosceles];
        yield 'quarter of a square' => ['0,0 4,0 2,2', PolygonShape::RightIsosceles];
        yield 'right triangle with other legs' => ['0,0 4,0 0,3', PolygonShape::Other];
        yield 'equal sides without a right angle' => ['0,0 4,0 2,5', PolygonShape::Other];
        yield 'diamond' => ['0,1 2,0 4,1 2,2', PolygonShape::Other];
        yield 'one right angle of four' => ['0,0 4,0 5,5 0,4', PolygonShape::Other];
        yield 'two right angles of four' => ['0,0 6,0 4,2 0,2', PolygonShape::Other];
        yield 'kite with two right angles' => ['0,0 4,2 3,4 0,5', PolygonShape::Other];
        yield 'five corners' => ['0,0 4,0 4,3 2,4 0,4', PolygonShape::Other];
    }

    public function test_only_level_and_upright_sides_make_an_upright_rectangle(): void
    {
        $is = static fn (string $corners): bool => ConvexPolygon::of(array_map(static fn (string $at): Point => new Point(...array_map(intval(...), explode(',', $at))), explode(' ', $corners)))->isUprightRectangle();
        self::assertTrue($is('0,0 5,0 5,2 0,2'));
        self::assertTrue($is('7,3 9,3 9,9 7,9'));
        foreach (['0,2 2,0 6,4 4,6', '0,0 4,0 0,4', '0,0 6,0 4,2 0,2', '1,0 5,0 4,2 0,2', '0,0 4,1 4,3 0,2', '0,0 4,0 4,3 2,4 0,4'] as $other) {
            self::assertFalse($is($other), $other);
        }
    }

    public function test_a_segment_is_read_from_its_upper_end_a_level_one_from_its_left(): void
    {
        for ($seed = 0; $seed < 60; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            [$a, $b, $c] = array_map(static fn (): Point => new Point($random->getInt(-6, 6), $random->getInt(-6, 6)), [0, 1, 2]);
            if ($a->equals($b)) {
                continue;
            }
            $segment = Segment::between($a, $b);
            self::assertEquals($segment, Segment::between($b, $a));
            self::assertTrue($segment->equals(Segment::between($b, $a)));
            self::assertTrue($segment->from->y < $segment->to->y || ($segment->from->y === $segment->to->y && $segment->from->x < $segment->to->x));
            self::assertEqualsWithDelta(hypot($b->x - $a->x, $b->y - $a->y), $segment->length(), 1e-9);
            [$dx, $dy] = [$segment->to->x - $segment->from->x, $segment->to->y - $segment->from->y];
            // As floats: the angle from the segment to the point, and how far along it lies.
            $side = $dx * ($c->y - $segment->from->y) - $dy * ($c->x - $segment->from->x);
            $share = ($dx * ($c->x - $segment->from->x) + $dy * ($c->y - $segment->from->y)) / ($dx ** 2 + $dy ** 2);
            self::assertSame($side <=> 0, $segment->sideOf($c));
            self::assertEqualsWithDelta($share * ($dx ** 2 + $dy ** 2), $segment->along($c), 1e-9);
            self::assertSame($side === 0 && $share >= 0 && $share <= 1, $segment->contains($c));
            self::assertSame($side === 0 && $share > 0 && $share < 1, $segment->containsInside($c));
            foreach ([$segment->from, $segment->to] as $end) {
                self::assertSame([true, false], [$segment->contains($end), $segment->containsInside($end)]);
            }
            for ($turns = 0; $turns < 8; ++$turns) {
                $turn = static fn (Point $p): Point => array_reduce(range(1, max(1, $turns)), static fn (Point $now): Point => $turns === 0 ? $now : new Point(-$now->y, $now->x), $p);
                self::assertSame(! Segment::between($turn($segment->from), $turn($segment->to))->from->equals($turn($segment->from)), $segment->isReversedBy($turns), "$turns turns");
            }
        }
        $this->expectException(\LogicException::class);
        Segment::between(new Point(1, 1), new Point(1, 1));
    }

    public function test_the_lattice_is_the_coarsest_on_which_all_is_whole(): void
    {
        foreach ([[[1, 2], [1, 3]], [[3, 4], [5, 6], [7, 1]], [[2, 1], [9, 1]], [[1, 8], [3, 16]]] as $parts) {
            $numbers = array_map(static fn (array $part): Fraction => Fraction::of(...$part), $parts);
            $lattice = Lattice::through($numbers, LengthUnit::Inch);
            $isWhole = static fn (int $steps): bool => array_filter($parts, static fn (array $part): bool => $part[0] * $steps % $part[1] !== 0) === [];
            self::assertTrue($isWhole($lattice->steps));
            for ($coarser = 1; $coarser < $lattice->steps; ++$coarser) {
                self::assertFalse($isWhole($coarser), "$coarser of $lattice->steps");
            }
            $point = $lattice->point($numbers[0], $numbers[1]);
            self::assertSame([$parts[0][0] * $lattice->steps / $parts[0][1], $parts[1][0] * $lattice->steps / $parts[1][1]], [$point->x, $point->y]);
            self::assertSame([$numbers[0]->toText(), $numbers[1]->toText()], $lattice->toText($point));
        }
        self::assertEqualsWithDelta(25.4 * 2 * 5, Lattice::through([Fraction::of(1, 5)], LengthUnit::Millimetre)->toFloatSteps(Length::ofInches(2)), 1e-9);
        self::assertSame(1 << 29, Lattice::through([Fraction::of(1 << 29)], LengthUnit::Inch)->point(Fraction::of(1 << 29), Fraction::zero())->x);
        $this->expectException(NumberOutOfReach::class);
        Lattice::through([Fraction::of((1 << 29) + 1)], LengthUnit::Inch);
    }

    public function test_inside_touching_and_overlapping_are_what_counting_small_squares_says(): void
    {
        for ($seed = 0; $seed < 80; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $any = static function () use ($random): ConvexPolygon {
                do {
                    try {
                        return ConvexPolygon::of(array_map(static fn (): Point => new Point($random->getInt(0, 12), $random->getInt(0, 12)), [0, 1, 2]));
                    } catch (\Throwable) {
                    }
                } while (true);
            };
            [$a, $b] = [$any(), $any()];
            $isIn = static function (ConvexPolygon $outline, float $x, float $y, float $least): bool {
                foreach ($outline->points as $i => $p) {
                    $q = $outline->points[($i + 1) % count($outline->points)];
                    if (($q->x - $p->x) * ($y - $p->y) - ($q->y - $p->y) * ($x - $p->x) < $least) {
                        return false;
                    }
                }

                return true;
            };
            $isShared = false;
            for ($x = 0; $x < 120; ++$x) {
                for ($y = 0; $y < 120; ++$y) {
                    $isShared = $isShared || ($isIn($a, $x / 10 + 0.05, $y / 10 + 0.05, 1e-9) && $isIn($b, $x / 10 + 0.05, $y / 10 + 0.05, 1e-9));
                }
                if ($isShared) {
                    break;
                }
            }
            if ($isShared) {
                self::assertTrue($a->overlaps($b), "seed $seed");
            }
            self::assertSame($a->overlaps($b), $b->overlaps($a));
            self::assertTrue($a->overlaps($a));
            for ($x = 0; $x <= 12; ++$x) {
                for ($y = 0; $y <= 12; ++$y) {
                    self::assertSame([$isIn($a, $x, $y, 0.0), $isIn($a, $x, $y, 0.5)], [$a->touches(new Point($x, $y)), $a->containsInside(new Point($x, $y))]);
                }
            }
            // Away from each other they do not overlap, and mirrored or turned they are as large as before.
            self::assertFalse($a->overlaps($b->seenFrom(new Point(-40, 0))));
            self::assertSame([$a->areaDoubled(), $a->areaDoubled()], [$a->mirrored()->areaDoubled(), $a->seenFrom(new Point(5, 1))->turned(3)->areaDoubled()]);
            self::assertEquals([min(array_map(static fn (Point $p): int => $p->x, $a->points)), min(array_map(static fn (Point $p): int => $p->y, $a->points))], [$a->corner()->x, $a->corner()->y]);
            $longest = max(array_map(static fn (array $edge): float => hypot($edge[1]->x - $edge[0]->x, $edge[1]->y - $edge[0]->y), $a->edges()));
            self::assertEqualsWithDelta($a->areaDoubled() / $longest, $a->narrowest(), 1e-9, 'a triangle is narrowest over its longest side');
        }
    }

    public function test_two_that_share_an_edge_are_joined_into_as_much_as_both(): void
    {
        $triangle = static fn (int ...$xy): ConvexPolygon => ConvexPolygon::of(array_map(static fn (array $at): Point => new Point(...$at), array_chunk($xy, 2)));
        foreach ([[[0, 0, 4, 0, 0, 4], [4, 0, 4, 4, 0, 4]], [[0, 0, 4, 0, 2, 3], [0, 0, 2, -3, 4, 0]], [[0, 0, 6, 2, 0, 4], [0, 0, 0, 4, -5, 2]]] as [$one, $other]) {
            [$a, $b] = [$triangle(...$one), $triangle(...$other)];
            $edge = $a->sharedEdge($b);
            self::assertNotNull($edge);
            self::assertEquals($edge, $b->sharedEdge($a));
            $both = $a->joinedWith($b, $edge);
            self::assertSame($a->areaDoubled() + $b->areaDoubled(), $both->areaDoubled());
            self::assertSame($both->key(), $b->joinedWith($a, $edge)->key());
        }
    }

    public function test_a_direction_is_reduced_to_its_shortest_whole_step(): void
    {
        foreach ([[6, 4, 3, 2], [-9, 6, -3, 2], [0, -5, 0, -1], [7, 0, 1, 0], [3, 5, 3, 5], [0, 0, 0, 0], [-4, -4, -1, -1]] as [$x, $y, $toX, $toY]) {
            self::assertEquals(new Point($toX, $toY), (new Point($x, $y))->reduced());
        }
    }
}
