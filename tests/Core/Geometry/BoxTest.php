<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Whereabouts;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Boxes on a grid of whole numbers, held against counting the places of the grid that they hold. */
final class BoxTest extends TestCase
{
    private const SIZE = 9;

    public function test_what_two_boxes_have_in_common_is_what_both_of_them_hold(): void
    {
        $apart = 0;
        foreach (self::pairs() as [$one, $other]) {
            $both = array_intersect(self::held($one), self::held($other));
            $overlap = $one->overlap($other);
            self::assertSame(array_values($both), $overlap === null ? [] : self::held($overlap));
            self::assertSame([$both !== [], $both !== []], [$one->touches($other), $other->touches($one)]);
            $apart += $both === [] ? 1 : 0;
        }
        self::assertGreaterThan(20, $apart);
    }

    public function test_the_smallest_box_round_both_holds_all_that_they_hold_and_reaches_no_further(): void
    {
        foreach (self::pairs() as [$one, $other]) {
            self::assertEquals(Box::round([...$one->corners(), ...$other->corners()]), $one->with($other));
            self::assertSame([], array_diff([...self::held($one), ...self::held($other)], self::held($one->with($other))));
        }
        $alone = new Box(1, 2, 3, 4);
        self::assertSame($alone, $alone->with(null));
    }

    public function test_the_box_of_an_outline_touches_its_outermost_corners(): void
    {
        $diamond = ConvexPolygon::of([new Point(2, 1), new Point(5, 3), new Point(3, 8), new Point(0, 4)]);
        self::assertEquals(new Box(0, 1, 5, 8), $diamond->box());
        self::assertEquals(new Box(-2, -1, 7, 10), $diamond->box()->wider(2));
        self::assertSame([[0.0, 1.0], [5.0, 1.0], [5.0, 8.0], [0.0, 8.0]], $diamond->box()->corners());
    }

    public function test_how_far_it_reaches_in_a_direction_is_told_by_its_corners(): void
    {
        $random = new Randomizer(new Mt19937(1));
        for ($try = 0; $try < 50; ++$try) {
            [$x, $y] = [$random->getInt(-3, 3) / 2, $random->getInt(-3, 3) / 2];
            $box = self::box($random);
            $along = array_map(static fn (array $corner): float => $x * $corner[0] + $y * $corner[1], $box->corners());
            self::assertEqualsWithDelta([min($along), max($along)], $box->range($x, $y), 1e-12);
        }
    }

    public function test_boxes_are_found_by_where_they_are(): void
    {
        $random = new Randomizer(new Mt19937(2));
        foreach ([0, 1, 2, 15, 40] as $count) {
            $boxes = $count === 0 ? [] : array_map(static fn (): Box => self::box($random)->wider($random->getInt(0, 3) / 4), range(1, $count));
            $whereabouts = new Whereabouts($boxes);
            for ($x = -1.0; $x <= self::SIZE + 1; $x += 0.25) {
                for ($y = -1.0; $y <= self::SIZE + 1; $y += 0.5) {
                    self::assertSame(array_keys(array_filter($boxes, static fn (Box $box): bool => $box->holds($x, $y))), $whereabouts->at($x, $y));
                }
            }
            $touching = [];
            foreach ($boxes as $one => $box) {
                foreach ($boxes as $other => $next) {
                    if ($one < $other && $box->touches($next)) {
                        $touching[] = [$one, $other];
                    }
                }
            }
            self::assertSame($touching, $whereabouts->touching());
        }
    }

    /** Squares are as large as the boxes are: a place in a row of many asks few of them. */
    public function test_few_are_asked(): void
    {
        $row = array_map(static fn (int $number): Box => new Box($number, 0, $number + 0.5, 0.5), range(0, 999));
        $squares = (new \ReflectionClass(Whereabouts::class))->getProperty('inSquare')->getValue(new Whereabouts($row));
        self::assertIsArray($squares);
        self::assertLessThan(4, max(array_map(count(...), $squares)));
        self::assertLessThan(3000, array_sum(array_map(count(...), $squares)));
    }

    /** @return list<array{Box, Box}> */
    private static function pairs(): array
    {
        $random = new Randomizer(new Mt19937(3));

        return array_map(static fn (): array => [self::box($random), self::box($random)], range(1, 200));
    }

    private static function box(Randomizer $random): Box
    {
        return Box::ofPoints([new Point($random->getInt(0, self::SIZE), $random->getInt(0, self::SIZE)), new Point($random->getInt(0, self::SIZE), $random->getInt(0, self::SIZE))]);
    }

    /** @return list<string> places of the grid */
    private static function held(Box $box): array
    {
        $held = [];
        for ($x = 0; $x <= self::SIZE; ++$x) {
            for ($y = 0; $y <= self::SIZE; ++$y) {
                if ($box->holds($x, $y)) {
                    $held[] = $x.' '.$y;
                }
            }
        }

        return $held;
    }
}
