<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SashesSewn;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Assembly\TopTurn;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Top\Laying;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

final class TopConstructionTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 0; $seed < 16; ++$seed) {
            yield "top $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_every_copy_is_sewn_as_its_design_is_wherever_it_lies(int $seed): void
    {
        $top = Tops::sewn(Tops::generated($seed));
        foreach ($top->copies as $copy) {
            foreach ($copy->turns as $turn) {
                self::assertSame(count($copy->design->joins), count($turn->seams));
                foreach ($copy->design->joins as $number => $inDesign) {
                    self::assertLiesAs($top, $copy, $turn, $inDesign, $turn->seams[$number]);
                }
            }
            self::assertSame($copy->joins, array_column($copy->turns[0]->seams, 'join'));
        }
        self::assertSame(range(0, count($top->construction->joins) + count($top->others) - 1), array_map(static fn (Join $join): int => $join->id, [...$top->construction->joins, ...$top->others]));
    }

    public function test_sashes_are_sewn_to_their_blocks_first_where_that_is_asked(): void
    {
        foreach ([true, false] as $outer) {
            $file = Tops::file(['rows' => 2, 'columns' => 3, 'sashes' => ['width' => '1', 'fabric' => 'C', 'cornerstone' => 'B', 'outer' => $outer]], Tops::PINWHEEL);
            $first = Tops::sewn($file, Order::Rows, SashesSewn::First)->construction;
            $between = Tops::sewn($file)->construction;
            self::assertSame(count($between->joins), count($first->joins));
            // A block of 6 in with the sash of 1 in at its right and the one below with its cornerstone: 7 in both ways.
            $square = 7 * $first->face->lattice->steps;
            $withSash = array_filter($first->joins, static fn (Join $join): bool => $join->outline()->areaDoubled() === 2 * $square ** 2);
            self::assertCount($outer ? 6 : 2, $withSash, 'each has both sashes, but the last ones of a row or column');
            self::assertCount(0, array_filter($between->joins, static fn (Join $join): bool => $join->outline()->areaDoubled() === 2 * $square ** 2));
        }
        $running = Tops::sewn(Tops::file(['rows' => 2, 'columns' => 2, 'sashes' => ['width' => '1', 'fabric' => 'C', 'outer' => false]], Tops::PINWHEEL), Order::Columns, SashesSewn::Between);
        self::assertNotSame([], $running->copies);
        $this->expectExceptionMessage('There are no sashes to sew first.');
        Tops::sewn(Tops::file([], Tops::PINWHEEL), Order::Rows, SashesSewn::First);
    }

    /** The ways of those that are only placed are what all others begin with. */
    #[DataProvider('seeds')]
    public function test_what_is_only_placed_is_sewn_alike(int $seed): void
    {
        $top = Tops::sewn(Tops::generated($seed));
        $placed = TopConstruction::asPlaced($top->top);
        self::assertEquals($top->construction->joins, $placed->construction->joins);
        foreach ($placed->copies as $number => $copy) {
            self::assertEquals([$top->copies[$number]->turns[0]], $copy->turns);
        }
        self::assertSame([], $placed->others);
    }

    #[DataProvider('seeds')]
    public function test_ties_hold_within_what_is_made_alike(int $seed): void
    {
        $top = Tops::sewn(Tops::generated($seed));
        $made = $ties = [];
        foreach ($top->copies as $copy) {
            foreach ($copy->joins as $number => $id) {
                $tie = $top->construction->joins[$id]->tie;
                self::assertNotNull($tie);
                $made[$tie->unitClass][$copy->made] = true;
                $ties[$tie->unitClass.' '.$tie->member.' '.$tie->join][] = $id;
                $inDesign = $copy->design->joins[$number]->tie;
                self::assertSame($inDesign === null ? count($copy->design->classes) : $inDesign->unitClass, self::classWithin($top, $copy, $tie->unitClass));
            }
        }
        self::assertSame([], array_filter($made, static fn (array $of): bool => count($of) > 1));
        self::assertSame([], array_filter($ties, static fn (array $ids): bool => count($ids) > 1), 'no two joins are one');
        foreach ($top->construction->classes as $class) {
            self::assertCount(count(array_filter($top->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === $class->index && $join->tie->join === 0)), $class->members);
            foreach ($top->construction->joins as $join) {
                if ($join->tie?->unitClass === $class->index) {
                    self::assertTrue($class->members[$join->tie->member]->outline->touches($join->seam->from) && $class->members[$join->tie->member]->outline->touches($join->seam->to));
                }
            }
        }
    }

    public function test_segments_count_the_other_way_where_a_copy_is_turned_so(): void
    {
        $places = array_map(static fn (int $column, int $turn): array => ['row' => 1, 'column' => $column, 'block' => 'one', 'turn' => $turn], [1, 2, 3, 4], [0, 90, 180, 270]);
        $top = Tops::sewn(Tops::file(['rows' => 1, 'columns' => 4, 'places' => $places], ['pA', 'pB', '/', 'pC', 'pA']));
        $class = $top->construction->classes[0];
        $reversed = array_map(static fn (int $member): array => array_map(static fn (int $join): bool => $class->isReversed($member, $join), [0, 1, 2]), [0, 1, 2, 3]);

        // Two upright seams and the level one between the rows; upright ones are read from above, level ones from the left.
        self::assertSame([[false, false, false], [true, true, false], [true, true, true], [false, false, true]], $reversed);
    }

    public function test_turns_that_keep_the_face_share_seams_where_they_can(): void
    {
        $ways = static function (array $block): array {
            $copy = Tops::sewn(Tops::file([], $block))->copies[0];

            return array_map(static fn (TopTurn $turn): string => $turn->turn->value.($turn->root === $copy->root ? ' same seams' : ' other seams'), $copy->turns);
        };

        self::assertSame(['0 same seams', '180 same seams'], $ways(['pA', 'pB', '/', 'pB', 'pA']));
        self::assertSame(['0 same seams', '90 other seams', '180 same seams', '270 other seams'], $ways(Tops::PINWHEEL));
        self::assertSame(['0 same seams'], $ways(['pA', 'pB', '/', 'pC', 'pA']));
        // One that is longer than wide looks the same only half turned.
        $oblong = Tops::file(['rows' => 1], ['pA', 'pB', '/', 'pB', 'pA']);
        $oblong['blocks']['one']['finished'] = ['width' => '8', 'height' => '4'];
        self::assertSame(['0 same seams', '180 same seams'], array_map(static fn (TopTurn $turn): string => $turn->turn->value.' same seams', Tops::sewn($oblong)->copies[0]->turns));
        $pinwheel = Tops::sewn(Tops::file([], Tops::PINWHEEL));
        self::assertSame($pinwheel->copies[0]->turns[1]->root, $pinwheel->copies[0]->turns[3]->root, 'both are sewn by columns');
        self::assertCount(4 * count($pinwheel->copies[0]->joins), $pinwheel->others);
    }

    public function test_units_that_look_alike_after_a_turn_keep_that_in_every_copy(): void
    {
        $places = [['row' => 1, 'column' => 1, 'block' => 'one', 'turn' => 90], ['row' => 1, 'column' => 2, 'block' => 'one', 'mirrored' => true]];
        $top = Tops::sewn(Tops::file(['rows' => 1, 'places' => $places], ['qABAB', 'pA', '/', 'pB', 'pC']));
        $turns = array_map(static fn (UnitClass $class): array => array_map(static fn ($turn): int => $turn->turn->value, $class->turns), $top->construction->classes);

        self::assertSame([[180], [], [180], []], $turns);
    }

    public function test_as_placed_each_copy_lies_as_it_is_placed_and_no_other_way(): void
    {
        $face = Tops::face(Tops::file(['rows' => 2, 'columns' => 2], Tops::PINWHEEL));
        $free = array_map(static fn (TopCopy $copy): int => count($copy->turns), TopConstruction::of($face)->copies);
        self::assertGreaterThan(1, min($free));
        self::assertSame([1, 1, 1, 1], array_map(static fn (TopCopy $copy): int => count($copy->turns), TopConstruction::asPlaced($face)->copies));
    }

    public function test_copies_stand_alike_where_they_lie_alike_in_squares_of_two_by_two(): void
    {
        $places = [['row' => 1, 'column' => 1, 'block' => 'one', 'turn' => 90]];
        $straight = Tops::sewn(Tops::file(['rows' => 3, 'columns' => 3, 'places' => $places], Tops::PINWHEEL))->copies;
        $standing = array_map(static fn (TopCopy $copy): string => $copy->standing(), $straight);
        [$first, , $third] = $standing;
        self::assertNotSame($first, $third, 'the first is turned');
        self::assertSame([$third, $third], [$standing[6], $standing[8]], 'corners of squares of two by two');
        self::assertCount(4, array_unique(array_slice($standing, 1)), 'four places in such a square');
        $onPoint = Tops::sewn(Tops::file(['rows' => 3, 'columns' => 3, 'setting' => 'on-point', 'sides' => ['fabric' => 'C']], Tops::PINWHEEL))->copies;
        $between = array_filter($onPoint, static fn (TopCopy $copy): bool => ($copy->place->place->rowDoubled ?? 0) % 2 === 1);
        $others = array_map(static fn (TopCopy $copy): string => $copy->standing(), array_diff_key($onPoint, $between));
        self::assertNotSame([], $between);
        foreach ($between as $copy) {
            self::assertNotContains($copy->standing(), $others, 'what stands between the rows is nowhere in them');
        }
    }

    public function test_orders_of_tops(): void
    {
        $file = Tops::file(['rows' => 3, 'columns' => 4], ['pA']);
        $last = static fn (array $file, Order $order): int => count(Tops::sewn($file, $order)->construction->strands[count(Tops::sewn($file, $order)->construction->strands) - 1]->parts);
        self::assertSame([3, 4, 2, 2], array_map(static fn (Order $order): int => $last($file, $order), [Order::Rows, Order::Columns, Order::Quarters, Order::Twos]));
        $onPoint = Tops::file(['rows' => 2, 'columns' => 3, 'setting' => 'on-point', 'sides' => ['fabric' => 'C']], ['pA']);
        self::assertSame(6, $last($onPoint, Order::Diagonal), 'a slanting row for every corner of the places, from one side to the other');
        foreach ([Order::Diagonal, Order::Best, Order::Around] as $order) {
            try {
                Tops::sewn($file, $order);
                self::fail($order->value);
            } catch (OrderNotPossible $problem) {
                self::assertStringContainsString('hoose', $problem->getMessage());
            }
        }
    }

    /**
     * Where the block comes to lie, every seam of the design is the seam it is told to be, its parts on the sides that are told.
     *
     * @param array{join: int, swapped: bool, reversed: bool} $seam
     */
    private static function assertLiesAs(TopConstruction $top, TopCopy $copy, TopTurn $turn, Join $inDesign, array $seam): void
    {
        $placed = $copy->place->place->placement ?? new Placement();
        $after = new Placement(Turn::ofQuarters($placed->turn->quarters() + $turn->turn->quarters()), $placed->mirrored);
        $scale = intdiv($top->construction->face->lattice->steps, $copy->design->face->lattice->steps);
        $lay = Laying::of($copy->design->face, $after, $scale);
        $corner = $copy->place->units[0]->outline->corner();
        $laid = static fn (Point $point): string => (new Point($lay($point)->x + $corner->x, $lay($point)->y + $corner->y))->key();
        $join = [...$top->construction->joins, ...$top->others][$seam['join']];

        $ends = [$laid($inDesign->seam->from), $laid($inDesign->seam->to)];
        self::assertSame($seam['reversed'] ? array_reverse($ends) : $ends, [$join->seam->from->key(), $join->seam->to->key()]);
        $left = $seam['swapped'] ? $join->right : $join->left;
        $corners = array_map($laid, $inDesign->left->outline()->points);
        sort($corners);
        $found = array_map(static fn (Point $point): string => $point->key(), $left->outline()->points);
        sort($found);
        self::assertSame($corners, $found, 'the left part of the design lies on the side that is told');
    }

    private static function classWithin(TopConstruction $top, TopCopy $copy, int $class): int
    {
        $first = PHP_INT_MAX;
        foreach ($copy->joins as $id) {
            $first = min($first, $top->construction->joins[$id]->tie->unitClass ?? PHP_INT_MAX);
        }
        $classes = array_values(array_unique(array_map(static fn (int $id): int => $top->construction->joins[$id]->tie->unitClass ?? -1, $copy->joins)));
        sort($classes);

        return $class === max($classes) && count($classes) > count($copy->design->classes) ? count($copy->design->classes) : $class - $first;
    }
}
