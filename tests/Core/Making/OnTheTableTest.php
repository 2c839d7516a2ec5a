<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Making\Table\Cloth;
use KeenSeam\Core\Making\Table\Line;
use KeenSeam\Core\Making\Table\Place;
use KeenSeam\Core\Making\Table\RootTwo;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Cutting and folding in exact numbers, against the same in floating ones. */
final class OnTheTableTest extends TestCase
{
    public function test_exact_lengths_count_like_numbers(): void
    {
        $random = new Randomizer(new Mt19937(1));
        for ($i = 0; $i < 400; ++$i) {
            [$a, $b] = [RootTwo::of(2 * $random->getInt(-9, 9), 2 * $random->getInt(-9, 9)), RootTwo::of($random->getInt(-9, 9), $random->getInt(-9, 9))];
            [$x, $y] = [$a->toFloat(), $b->toFloat()];
            $delta = static fn (float $expected, RootTwo $found) => self::assertEqualsWithDelta($expected, $found->toFloat(), 1e-9);
            $delta($x + $y, $a->plus($b));
            $delta($x - $y, $a->minus($b));
            $delta(-3 * $x, $a->times(-3));
            $delta($x * sqrt(2), $a->timesRoot());
            $delta($x / sqrt(2), $a->overRoot());
            $delta($x / 2, $a->halved());
            self::assertSame(abs($x) < 1e-9 ? 0 : ($x > 0 ? 1 : -1), $a->sign());
            self::assertSame(abs($x - $y) < 1e-9 ? 0 : $x <=> $y, $a->compareTo($b));
            self::assertSame(abs($x - $y) < 1e-9, $a->equals($b));
        }
        // Seven fifths of a whole are a hair less than the root of two, seventeen twelfths a hair more.
        self::assertSame([1, -1, -1, 1], [RootTwo::of(-7, 5)->sign(), RootTwo::of(7, -5)->sign(), RootTwo::of(-17, 12)->sign(), RootTwo::of(17, -12)->sign()]);
        $this->expectExceptionMessage('measured too coarsely');
        RootTwo::of(3)->halved();
    }

    /** A convex piece is cut along a line: what is kept lies on its side, both sides together are the piece, and the stretch lies on the line. */
    public function test_a_line_parts_a_piece_in_two(): void
    {
        $random = new Randomizer(new Mt19937(2));
        $parted = 0;
        for ($i = 0; $i < 300; ++$i) {
            $corners = self::piece($random);
            [$right, $down] = [[1, 0], [1, 1], [0, 1], [-1, 1], [-1, 0], [-1, -1], [0, -1], [1, -1]][$random->getInt(0, 7)];
            $through = self::place(2 * $random->getInt(-3, 12), 2 * $random->getInt(-3, 12));
            $line = Line::through($through, $right, $down);
            $aside = static fn (Place $place): float => $right * ($place->y->toFloat() - $through->y->toFloat()) - $down * ($place->x->toFloat() - $through->x->toFloat());
            [$kept, $rest] = [$line->clipped($corners), $line->reversed()->clipped($corners)];
            // To the right of the way, with y down.
            foreach ($kept as $place) {
                self::assertGreaterThanOrEqual(-1e-9, $aside($place));
                self::assertSame($aside($place) > 1e-9 ? -1 : 0, $line->side($place));
            }
            foreach ($rest as $place) {
                self::assertLessThanOrEqual(1e-9, $aside($place));
            }
            self::assertEqualsWithDelta(self::area($corners), self::area($kept) + self::area($rest), 1e-6);
            self::assertTrue(($kept === [] || self::area($kept) > 1e-9) && ($rest === [] || self::area($rest) > 1e-9), 'nothing without area is kept');
            $stretch = $line->within($corners);
            if ($kept !== [] && $rest !== []) {
                ++$parted;
                self::assertNotNull($stretch);
                self::assertFalse($stretch[0]->equals($stretch[1]));
            }
            foreach ($stretch ?? [] as $place) {
                self::assertEqualsWithDelta(0.0, $aside($place), 1e-9);
            }
            // Folding over twice is where it was; half way between a place and its image lies the line.
            foreach ($corners as $place) {
                $image = $line->mirrored($place);
                self::assertTrue($line->mirrored($image)->equals($place));
                self::assertEqualsWithDelta(-$aside($place), $aside($image), 1e-9);
                self::assertEqualsWithDelta(abs($aside($place)) * 2 / hypot($right, $down), hypot($image->x->toFloat() - $place->x->toFloat(), $image->y->toFloat() - $place->y->toFloat()), 1e-9);
            }
            $in = $line->movedIn(RootTwo::of(3));
            self::assertEqualsWithDelta(0.0, self::gap($in, $line, $through, $right, $down) - 3, 1e-9);
        }
        self::assertGreaterThan(60, $parted);
    }

    public function test_lines_run_along_the_weave_or_halfway_between(): void
    {
        foreach ([[4, 0], [0, -4], [4, 4], [-4, 4]] as [$x, $y]) {
            self::assertSame([0, 0], [Line::between(self::place(2, 2), self::place(2 + $x, 2 + $y))->side(self::place(2, 2)), Line::between(self::place(2, 2), self::place(2 + $x, 2 + $y))->side(self::place(2 + $x, 2 + $y))]);
        }
        $this->expectExceptionMessage('along the weave or halfway between');
        Line::between(self::place(0, 0), self::place(4, 2));
    }

    public function test_cloth_is_turned_and_turned_over_where_it_lies(): void
    {
        $cloth = Cloth::rectangle('A', RootTwo::of(8), RootTwo::of(4))->movedBy(RootTwo::of(2), RootTwo::of(6));
        $box = static fn (Cloth $one): array => array_map(static fn (RootTwo $side): float => round($side->toFloat(), 6), $one->bounds());

        self::assertSame([2.0, 6.0, 10.0, 10.0], $box($cloth));
        self::assertSame([2.0, 6.0, 6.0, 14.0], $box($cloth->turned(1)), 'its upper left corner stays');
        self::assertSame($box($cloth), $box($cloth->turned(2)));
        self::assertSame([0.0, 0.0, 8.0, 4.0], $box($cloth->atOrigin()));
        self::assertSame([$box($cloth), true], [$box($cloth->faceDown()), $cloth->faceDown()->patches[0][2]]);
        self::assertFalse($cloth->faceDown()->faceDown()->patches[0][2]);
        self::assertTrue($cloth->liesSquare());
        self::assertFalse($cloth->cutTo(Line::between(self::place(2, 10), self::place(6, 6)))->liesSquare());
        self::assertFalse($cloth->eighthTurned()->liesSquare());
        self::assertSame([], $cloth->cutTo(Line::through(self::place(2, 0), 0, 1))->patches, 'what only touches the line is not kept');
        self::assertSame([2.0, 6.0, 4.0, 10.0], $box($cloth->cutTo(Line::through(self::place(4, 0), 0, 1))));
        // Folded over its right edge, it lies beyond that, its back up.
        $folded = $cloth->foldedOver(Line::through(self::place(10, 0), 0, 1));
        self::assertSame([[10.0, 6.0, 18.0, 10.0], true], [$box($folded), $folded->patches[0][2]]);
        self::assertSame(2, count($cloth->with($folded)->patches));
        $centre = self::place(6, 8);
        self::assertTrue(self::place(8, 8)->quarterTurnedAbout($centre)->equals(self::place(6, 10)), 'clockwise, with y down');
        self::assertEqualsWithDelta([0.0, 4.0], [self::place(2, 2)->eighthTurned()->x->toFloat(), self::place(2, 2)->eighthTurned()->y->toFloat() * sqrt(2)], 1e-9);
    }

    /** @return list<Place> a rectangle or a half of a square, clockwise */
    private static function piece(Randomizer $random): array
    {
        [$x, $y, $w, $h] = [4 * $random->getInt(0, 3), 4 * $random->getInt(0, 3), 4 * $random->getInt(1, 3), 4 * $random->getInt(1, 3)];

        return $random->getInt(0, 1) === 0
            ? [self::place($x, $y), self::place($x + $w, $y), self::place($x + $w, $y + $h), self::place($x, $y + $h)]
            : [self::place($x, $y), self::place($x + $w, $y), self::place($x, $y + $w)];
    }

    private static function place(int $x, int $y): Place
    {
        return new Place(RootTwo::of($x), RootTwo::of($y));
    }

    /** How far a line lies from a parallel one on that one's kept side. */
    private static function gap(Line $moved, Line $line, Place $on, int $right, int $down): float
    {
        // From the place straight into the kept side, until it is on the moved line: found by its mirror image.
        $image = $moved->mirrored($on);
        self::assertSame(-1, $line->side($image));

        return (($image->x->toFloat() - $on->x->toFloat()) * -$down + ($image->y->toFloat() - $on->y->toFloat()) * $right) / hypot($right, $down) / 2;
    }

    /** @param list<Place> $corners */
    private static function area(array $corners): float
    {
        $sum = 0.0;
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % count($corners)];
            $sum += $corner->x->toFloat() * $next->y->toFloat() - $corner->y->toFloat() * $next->x->toFloat();
        }

        return abs($sum) / 2;
    }
}
