<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Whatever the block and the order: what a construction says of itself is found again from its patches and seams alone. */
final class TakenApartTest extends TestCase
{
    #[DataProvider('constructions')]
    public function test_every_join_makes_one_convex_part_of_two_on_either_side_of_it(Construction $construction): void
    {
        $made = [];
        foreach ($construction->joins as $id => $join) {
            self::assertSame($id, $join->id);
            foreach ($join->children() as $child) {
                self::assertTrue(! $child instanceof Join || ($child->id < $id && isset($made[$child->id])), 'parts come first');
            }
            $made[$id] = true;
            self::assertSame($join->outline()->areaDoubled(), $join->left->outline()->areaDoubled() + $join->right->outline()->areaDoubled());
            $ids = [...$join->left->patchIds(), ...$join->right->patchIds()];
            self::assertSame(count($ids), count(array_unique($ids)));
            self::assertEqualsCanonicalizing($ids, $join->patchIds());
            self::assertSame($join->outline()->areaDoubled(), array_sum(array_map(static fn (int $patch): int => $construction->face->patches[$patch]->outline->areaDoubled(), $ids)));
            foreach ([[$join->left, $join->leftSide], [$join->right, -$join->leftSide]] as [$part, $side]) {
                foreach ($part->outline()->points as $point) {
                    self::assertContains($join->seam->sideOf($point), [0, $side]);
                }
                self::assertTrue($part->outline()->touches($join->seam->from) && $part->outline()->touches($join->seam->to));
            }
        }
        self::assertSame(range(0, count($construction->face->patches) - 1), $construction->root->patchIds());
        self::assertCount(count($construction->face->patches) - 1, $construction->joins);
    }

    #[DataProvider('constructions')]
    public function test_what_meets_along_a_join_is_what_ends_there_on_either_side(Construction $construction): void
    {
        self::assertSame($construction->joins === [], count($construction->face->patches) === 1);
        foreach ($construction->joins as $join) {
            $expected = [];
            foreach (['left' => $join->left, 'right' => $join->right] as $side => $part) {
                foreach (self::joinsIn($part) as $earlier) {
                    foreach ([$earlier->seam->from, $earlier->seam->to] as $end) {
                        if ($join->seam->contains($end)) {
                            $expected[$end->key()][$side][] = $earlier->id;
                        }
                    }
                }
            }
            self::assertEqualsCanonicalizing(array_keys($expected), array_map(static fn (Meeting $meeting): string => $meeting->at->key(), $join->meetings));
            $before = -1;
            foreach ($join->meetings as $meeting) {
                $here = $expected[$meeting->at->key()];
                self::assertSame([count($here['left'] ?? []), count($here['right'] ?? [])], [$meeting->seamsOfLeft, $meeting->seamsOfRight]);
                // The one sewn last is that which the others are parts of.
                foreach ([[$here['left'] ?? [], $meeting->lastOfLeft], [$here['right'] ?? [], $meeting->lastOfRight]] as [$ids, $last]) {
                    self::assertSame($ids === [], $last === null);
                    self::assertTrue($last === null || array_filter($ids, static fn (int $id): bool => $id !== $last->id && ! in_array($id, array_map(static fn (Join $inner): int => $inner->id, self::joinsIn($last)), true)) === []);
                }
                $along = $join->seam->along($meeting->at);
                self::assertGreaterThan($before, $along, 'in order along the seam');
                $before = $along;
                self::assertSame($meeting->lastOfLeft !== null && $meeting->lastOfRight !== null, $meeting->isOfBothSides());
            }
            $isEnd = static fn (Meeting $meeting): bool => $meeting->at->equals($join->seam->from) || $meeting->at->equals($join->seam->to);
            $both = array_filter($join->meetings, static fn (Meeting $meeting): bool => $meeting->isOfBothSides());
            self::assertEquals(array_values(array_filter($both, static fn (Meeting $meeting): bool => ! $isEnd($meeting))), $join->matchPoints());
            self::assertEquals(array_values(array_filter($both, $isEnd)), $join->endMeetings());
        }
    }

    #[DataProvider('constructions')]
    public function test_units_of_a_class_are_those_that_are_equal_after_a_turn(Construction $construction): void
    {
        $keys = [];
        foreach ($construction->classes as $class) {
            $ofClass = array_map(static fn (PlacedUnit $unit): string => self::turnedPicture($unit), $class->members);
            self::assertCount(1, array_unique($ofClass));
            $keys[] = $ofClass[0];
            foreach ($class->turns as $turn) {
                self::assertSame(self::picture($class->members[0], 0), self::picture($class->members[0], $turn->turn->quarters()));
            }
        }
        self::assertCount(count($construction->classes), $keys);
        // The same picture twice only where it is sewn in two ways.
        foreach (array_count_values($keys) as $key => $count) {
            self::assertLessThanOrEqual(2, $count, (string) $key);
        }
        foreach ($construction->joins as $join) {
            if ($join->tie !== null) {
                $unit = array_values(array_filter($construction->classes[$join->tie->unitClass]->members, static fn (PlacedUnit $member): bool => array_diff($join->patchIds(), array_map(static fn (Patch $patch): int => $patch->id, $member->patches())) === []));
                self::assertCount(1, $unit, 'a tied join lies in one unit of its class');
            }
        }
    }

    #[DataProvider('constructions')]
    public function test_the_figures_of_an_order_are_those_of_its_joins(Construction $construction): void
    {
        $report = OrderReport::of($construction);
        $lengths = array_map(static fn (Join $join): float => $join->seam->length() / $construction->face->lattice->steps, $construction->joins);
        $slanting = array_filter($construction->joins, static fn (Join $join): bool => $join->seam->from->x !== $join->seam->to->x && $join->seam->from->y !== $join->seam->to->y);
        self::assertSame(
            [count($construction->joins), array_sum(array_map(static fn (Join $join): int => count($join->matchPoints()), $construction->joins)), count($slanting)],
            [$report->joins, $report->matchPoints, $report->biasJoins],
        );
        $printed = (static fn (array $parts): float => array_sum(array_map(static fn (string $part): float => str_contains($part, '/') ? (float) explode('/', $part)[0] / (float) explode('/', $part)[1] : (float) $part, $parts)))(explode(' ', ltrim($report->longestJoin, '≈')));
        self::assertEqualsWithDelta(max([0, ...$lengths]), $printed, 1 / 32 + 1e-9);
        // How many rounds of chaining: each join waits for its parts.
        $round = static function (Assembly $part) use (&$round): int {
            return $part instanceof Join ? 1 + max($round($part->left), $round($part->right)) : 0;
        };
        self::assertSame(array_map($round, $construction->joins), $report->batchOf);
        self::assertSame($round($construction->root), $report->chainBatches);
        $presses = static function (Assembly $part) use (&$presses): int {
            if (! $part instanceof Join) {
                return 0;
            }
            $count = 0;
            foreach ([$part->left, $part->right] as $child) {
                $isMet = $child instanceof Join && ($part->seam->contains($child->seam->from) || $part->seam->contains($child->seam->to));
                $count = max($count, $presses($child) + ($isMet ? 1 : 0));
            }

            return $count;
        };
        self::assertSame($construction->joins === [] ? 0 : 1 + max(array_map($presses, $construction->joins)), $report->presses);
    }

    /** @return iterable<string, array{Construction}> */
    public static function constructions(): iterable
    {
        for ($seed = 0; $seed < 5; ++$seed) {
            foreach (['generated' => Blocks::generated($seed, 4, 3), 'square' => self::square($seed), 'slanted' => Blocks::slantedPatches($seed, 7)] as $what => $file) {
                foreach (Order::cases() as $order) {
                    try {
                        yield "$what $seed $order->value" => [Construction::of(Face::of(BlockFile::read($file)), $order)];
                    } catch (OrderNotPossible|SetInSeamNeeded) {
                        continue;
                    }
                }
            }
        }
        yield 'known units in a drawn one' => [Blocks::construction(Blocks::knownUnitsInADrawnOne())];
        yield 'geese' => [Blocks::construction(Blocks::inwardGeese())];
        yield 'one patch' => [Blocks::sewn('pA')];
    }

    #[DataProvider('knownKinds')]
    public function test_a_known_shape_is_found_at_any_size_turn_and_order_of_its_patches(string $kind, int $wide, int $high): void
    {
        $pattern = UnitPatterns::all()[$kind];
        foreach ([0, 1, 2, 3] as $turns) {
            foreach ([1, 2, 5] as $scale) {
                foreach ([false, true] as $mirrored) {
                    $outlines = array_map(static function (array $corners) use ($wide, $high, $turns, $scale, $mirrored): ConvexPolygon {
                        $points = array_map(static fn ($corner): Point => new Point((int) round($corner[0]->toFloat() * $wide * 2 * $scale), (int) round($corner[1]->toFloat() * $high * 2 * $scale)), $corners);
                        $outline = ConvexPolygon::of($points);

                        return ($mirrored ? $outline->mirrored() : $outline)->seenFrom(new Point(7, -3))->turned($turns);
                    }, $pattern->outlines);
                    foreach ([$outlines, array_reverse($outlines)] as $given) {
                        $shape = KnownShape::of($given);
                        self::assertNotNull($shape);
                        self::assertSame($kind, $shape->kind);
                        self::assertEqualsCanonicalizing(array_keys($given), $shape->order);
                        // In its own frame it is as wide as it was made, however it lies now.
                        self::assertSame([$wide * 2 * $scale, $high * 2 * $scale], [$shape->width, $shape->height]);
                    }
                    // One patch less, or one that lies elsewhere, is none of them.
                    self::assertNull(KnownShape::of(array_slice($outlines, 1)) === null || count($outlines) > 3 ? null : 'still known');
                    self::assertNull(KnownShape::of([...array_slice($outlines, 1), $outlines[0]->seenFrom(new Point(500, 0))]));
                }
            }
        }
    }

    /** @return iterable<string, array{string, int, int}> */
    public static function knownKinds(): iterable
    {
        foreach (['half-square-triangle' => [4, 4], 'quarter-square-triangle' => [4, 4], 'split-quarter-square-triangle' => [4, 4], 'flying-geese' => [8, 4], 'triangle-in-square' => [4, 4], 'square-in-square' => [4, 4]] as $kind => [$wide, $high]) {
            yield $kind => [$kind, $wide, $high];
        }
    }

    /** @return array<string, mixed> cells of one size, so that diagonals can be followed */
    private static function square(int $seed): array
    {
        return ['columns' => ['1', '1', '1'], 'rows' => ['1', '1', '1']] + Blocks::generated($seed, 3, 3);
    }

    /** @return list<Join> */
    private static function joinsIn(Assembly $part): array
    {
        return $part instanceof Join ? [$part, ...self::joinsIn($part->left), ...self::joinsIn($part->right)] : [];
    }

    private static function turnedPicture(PlacedUnit $unit): string
    {
        return min(array_map(static fn (int $turns): string => self::picture($unit, $turns), [0, 1, 2, 3]));
    }

    /** Fabrics and corners after quarter turns, from the upper left corner. */
    private static function picture(PlacedUnit $unit, int $turns): string
    {
        $turned = array_map(static fn (Patch $patch): array => [$patch->fabric->key, array_map(static function (Point $point) use ($turns): array {
            [$x, $y] = [$point->x, $point->y];
            for ($i = 0; $i < $turns; ++$i) {
                [$x, $y] = [-$y, $x];
            }

            return [$x, $y];
        }, $patch->outline->points)], $unit->patches());
        $corners = array_merge(...array_column($turned, 1));
        [$left, $top] = [min(array_column($corners, 0)), min(array_column($corners, 1))];
        $names = array_map(static function (array $patch) use ($left, $top): string {
            $places = array_map(static fn (array $at): string => sprintf('%05d,%05d', $at[0] - $left, $at[1] - $top), $patch[1]);
            sort($places);

            return $patch[0].' '.implode(' ', $places);
        }, $turned);
        sort($names);

        return implode(' | ', $names);
    }
}
