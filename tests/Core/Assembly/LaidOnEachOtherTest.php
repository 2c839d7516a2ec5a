<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;
use Tests\Support\Tops;

/**
 * What is alike, laid on each other: a unit or a part is turned until its patches cover those of the other, and then every
 * seam must lie where the other's lies, with its sides and its ends as they were told.
 */
final class LaidOnEachOtherTest extends TestCase
{
    /** @return iterable<string, array{Construction}> */
    public static function grids(): iterable
    {
        for ($seed = 0; $seed < 16; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $words = ['qABAB', 'qABCB', 'dABBBB', 'dABCBC', 'sABB', 'hAB', 'gABB', 'pA'];
            $used = array_map(static fn (): string => $words[$random->getInt(0, 7)], [1, 2]);
            $rows = array_map(static fn (): string => implode(' ', array_map(static fn (): string => $used[$random->getInt(0, 1)].(90 * $random->getInt(0, 3)).($random->getInt(0, 3) === 0 ? 'm' : ''), [1, 2, 3])), [1, 2, 3]);
            yield "units, seed $seed" => [Blocks::sewn(...$rows)];
        }
        for ($seed = 0; $seed < 8; ++$seed) {
            $file = Blocks::file('pA pA pA', 'pA pA pA');
            foreach ($file['cells'] as $i => $cell) {
                $file['cells'][$i] = ['unit' => 'patches', 'turn' => 90 * (($seed + $i * $i) % 4)] + self::fourTimes($seed, 2 + $seed % 2) + $cell;
            }
            yield "drawn units, seed $seed" => [Construction::of(Face::of(BlockFile::read($file)), Order::Rows)];
        }
        foreach (['pA pB|pB pA', 'hAB hAB90|hAB270 hAB180', 'pA gABB|gABB180 pB', 'pA pB|pC pA'] as $small) {
            $file = Blocks::file('pA pA pA');
            $inner = Blocks::file(...explode('|', $small));
            foreach ($file['cells'] as $i => $cell) {
                $file['cells'][$i] = ['unit' => 'grid', 'turn' => 90 * $i, 'columns' => $inner['columns'], 'rows' => $inner['rows'], 'cells' => $inner['cells']] + $cell;
            }
            yield "grids of $small" => [Construction::of(Face::of(BlockFile::read($file)), Order::Rows)];
        }
    }

    /** @return iterable<string, array{Construction}> */
    public static function gridsAndTops(): iterable
    {
        yield from self::grids();
        for ($seed = 0; $seed < 8; ++$seed) {
            yield "top, seed $seed" => [Tops::sewn(Tops::generated($seed))->construction];
        }
    }

    #[DataProvider('gridsAndTops')]
    public function test_every_unit_of_a_class_is_sewn_like_the_first(Construction $sewn): void
    {
        $byUnit = self::byUnit($sewn);
        foreach ($sewn->classes as $class) {
            foreach ($byUnit[$class->index] as $member => $joins) {
                self::assertSame(array_keys($byUnit[$class->index][0]), array_keys($joins));
                $fits = array_filter([0, 1, 2, 3], static function (int $turns) use ($sewn, $class, $member, $joins, $byUnit): bool {
                    $move = self::move($sewn, end($byUnit[$class->index][0]), end($joins), $turns);

                    return $move !== null && array_filter(array_keys($joins), static fn (int $number): bool => self::lies($byUnit[$class->index][0][$number], $joins[$number], $move) !== [false, $class->isReversed($member, $number)]) === [];
                });
                self::assertNotSame([], $fits, "{$class->label()}, member $member");
            }
        }
    }

    #[DataProvider('gridsAndTops')]
    public function test_a_unit_may_be_turned_where_it_then_lies_on_itself_seams_and_all(Construction $sewn): void
    {
        $byUnit = self::byUnit($sewn);
        foreach ($sewn->classes as $class) {
            $joins = $byUnit[$class->index][0];
            $expected = [];
            foreach ([Turn::Quarter, Turn::Half, Turn::ThreeQuarters] as $turn) {
                $move = self::move($sewn, end($joins), end($joins), $turn->quarters());
                $origins = [];
                foreach ($move === null ? [] : $joins as $to => $there) {
                    foreach ($joins as $from => $here) {
                        $lies = self::lies($here, $there, $move);
                        if ($lies !== null) {
                            $origins[$to] = ['join' => $from, 'swapped' => $lies[0], 'reversed' => $lies[1]];
                        }
                    }
                }
                if ($move !== null && count($origins) === count($joins)) {
                    $expected[$turn->value] = $origins;
                }
            }
            self::assertEquals($expected, array_column(array_map(static fn ($turn): array => [$turn->turn->value, $turn->origins], $class->turns), 1, 0));
        }
    }

    #[DataProvider('grids')]
    public function test_parts_of_a_drawn_unit_are_equal_where_one_lies_on_the_other(Construction $sewn): void
    {
        $alike = $sewn->alikeWithinUnits();
        $groups = [];
        foreach (self::byUnit($sewn) as $class => $members) {
            $joins = $members[0];
            foreach ($sewn->classes[$class]->members[0]->cell->unit->kind() === 'patches' ? $joins : [] as $number => $join) {
                $equal = array_filter($joins, static fn (Join $other): bool => array_filter([0, 1, 2, 3], static fn (int $turns): bool => self::isEqual($sewn, $join, $other, $turns)) !== []);
                if (count($equal) > 1) {
                    $groups[$class][array_key_first($equal)] = array_map(static fn (Join $one): int => $one->id, array_values($equal));
                }
                // What is told to be alike lies so after some turn of one part that is equal to another.
                $told = $alike[$class][$number] ?? null;
                if ($told !== null) {
                    self::assertNotSame([], array_filter([0, 1, 2, 3], static function (int $turns) use ($sewn, $joins, $join, $told): bool {
                        $move = self::move($sewn, $joins[$told['join']], $join, $turns);

                        return $move !== null && self::lies($joins[$told['join']], $join, $move) === [$told['swapped'], $told['reversed']];
                    }), "join $number");
                }
            }
        }
        $parts = [];
        foreach ($sewn->equalParts() as $part) {
            $parts[$part->unitClass][$part->label] = array_map(static fn (Join $join): int => $join->id, $part->members);
        }
        self::assertSame(array_keys($groups), array_keys($parts));
        foreach ($groups as $class => $ofUnit) {
            self::assertEqualsCanonicalizing(array_values($ofUnit), array_values($parts[$class]));
            // The largest first, then as they are sewn, told by letters.
            $order = array_map(static fn (array $ids): array => [-count($sewn->joins[$ids[0]]->patchIds()), $ids[0]], array_values($parts[$class]));
            $sorted = $order;
            sort($sorted);
            self::assertSame($sorted, $order);
            self::assertSame(array_map(static fn (int $i): string => $sewn->classes[$class]->label().chr(ord('a') + $i), array_keys($order)), array_keys($parts[$class]));
            // All of equal parts have one of them that they are alike.
            foreach ($ofUnit as $ids) {
                $numbers = array_map(static fn (int $id): int => $sewn->joins[$id]->tie->join ?? -1, $ids);
                self::assertCount(1, array_unique(array_map(static fn (int $number): int => $alike[$class][$number]['join'] ?? $number, $numbers)));
            }
        }
    }

    public function test_units_of_turned_and_flipped_blocks_are_sewn_like_the_first(): void
    {
        $this->test_every_unit_of_a_class_is_sewn_like_the_first(Tops::sewn(self::pinwheels())->construction);
    }

    public function test_units_of_a_copy_are_numbered_after_those_of_the_copies_before(): void
    {
        $sewn = Tops::sewn(self::pinwheels())->construction;
        $numbers = [];
        foreach ($sewn->joins as $join) {
            if ($join->tie !== null) {
                $numbers[$join->tie->unitClass][] = $join->tie->member;
                self::assertNotNull($sewn->classes[$join->tie->unitClass]->members[$join->tie->member] ?? null);
            }
        }
        // Four half squares to a block, those of the flipped blocks for themselves: three blocks lie as they are drawn.
        $counts = array_map(static function (array $of): array {
            sort($of);

            return array_values(array_unique($of));
        }, $numbers);
        self::assertEqualsCanonicalizing([range(0, 11), range(0, 2), range(0, 11), range(0, 2)], $counts);
    }

    /** @return array<string, mixed> six pinwheels, three of them flipped, turned anyhow */
    private static function pinwheels(): array
    {
        $places = [];
        foreach ([[0, false], [90, true], [180, false], [270, true], [270, false], [0, true]] as $i => [$turn, $mirrored]) {
            $places[] = ['row' => intdiv($i, 3) + 1, 'column' => $i % 3 + 1, 'block' => 'one', 'turn' => $turn, 'mirrored' => $mirrored];
        }

        return Tops::file(['rows' => 2, 'columns' => 3, 'places' => $places], Tops::PINWHEEL);
    }

    /** @return array<int, array<int, array<int, Join>>> by class, member and number in the unit */
    private static function byUnit(Construction $sewn): array
    {
        $byUnit = [];
        foreach ($sewn->joins as $join) {
            if ($join->tie !== null) {
                $byUnit[$join->tie->unitClass][$join->tie->member][$join->tie->join] = $join;
            }
        }

        return $byUnit;
    }

    /** Whether the part lies on the other after so many quarter turns, with all seams inside it. */
    private static function isEqual(Construction $sewn, Join $part, Join $other, int $turns): bool
    {
        $move = self::move($sewn, $part, $other, $turns);
        if ($move === null) {
            return false;
        }
        $inside = static fn (Join $whole): array => array_filter($sewn->joins, static fn (Join $join): bool => array_diff($join->patchIds(), $whole->patchIds()) === []);
        foreach ($inside($part) as $join) {
            if (array_filter($inside($other), static fn (Join $there): bool => self::lies($join, $there, $move) !== null) === []) {
                return false;
            }
        }

        return true;
    }

    /** @return (\Closure(Point): Point)|null the turn that brings the one's patches onto the other's, fabrics and all */
    private static function move(Construction $sewn, Join $one, Join $other, int $turns): ?\Closure
    {
        $turned = static function (Point $point) use ($turns): Point {
            for ($i = 0; $i < $turns; ++$i) {
                $point = new Point(-$point->y, $point->x);
            }

            return $point;
        };
        $least = static fn (array $points): Point => new Point(min(array_map(static fn (Point $p): int => $p->x, $points)), min(array_map(static fn (Point $p): int => $p->y, $points)));
        $by = $least($other->outline()->points)->minus($least(array_map($turned, $one->outline()->points)));
        $move = static fn (Point $point): Point => new Point($turned($point)->x + $by->x, $turned($point)->y + $by->y);
        $pictures = static fn (Join $part, \Closure $moved): array => array_map(static fn (int $id): string => $sewn->face->patches[$id]->fabric->key.' '.self::corners($sewn->face->patches[$id]->outline, $moved), $part->patchIds());
        [$here, $there] = [$pictures($one, $move), $pictures($other, static fn (Point $point): Point => $point)];
        sort($here);
        sort($there);

        return $here === $there ? $move : null;
    }

    /**
     * @param \Closure(Point): Point $move
     *
     * @return array{bool, bool}|null whether its left part comes to lie on the right, and its start at the end; null when it lies elsewhere
     */
    private static function lies(Join $join, Join $there, \Closure $move): ?array
    {
        $same = static fn (Point $point): Point => $point;
        $sides = [self::corners($join->left->outline(), $move), self::corners($join->right->outline(), $move)];
        $others = [self::corners($there->left->outline(), $same), self::corners($there->right->outline(), $same)];
        [$from, $to] = [$move($join->seam->from), $move($join->seam->to)];
        $isReversed = $from->equals($there->seam->to) && $to->equals($there->seam->from);
        if ((! $isReversed && ! ($from->equals($there->seam->from) && $to->equals($there->seam->to))) || ($sides !== $others && $sides !== array_reverse($others))) {
            return null;
        }

        return [$sides !== $others, $isReversed];
    }

    /** @param \Closure(Point): Point $move */
    private static function corners(ConvexPolygon $outline, \Closure $move): string
    {
        $keys = array_map(static fn (Point $point): string => $move($point)->key(), $outline->points);
        sort($keys);

        return implode(' ', $keys);
    }

    /**
     * A square of four quarters, each the same few patches, turned anyhow.
     *
     * @return array{patches: list<array<string, mixed>>}
     */
    private static function fourTimes(int $seed, int $patches): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $quarter = Blocks::slantedPatches($seed, $patches)['cells'][0]['patches'];
        $shares = static fn (string $text): float => str_contains($text, '/') ? (int) explode('/', $text)[0] / (int) explode('/', $text)[1] : (float) $text;
        $all = [];
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as $i => [$right, $down]) {
            $turns = $seed % 3 === 0 ? $i : $random->getInt(0, 3);
            foreach ($quarter as $patch) {
                $all[] = ['fabric' => $patch['fabric'], 'points' => array_map(static function (array $point) use ($shares, $turns, $right, $down): array {
                    [$x, $y] = array_map($shares, $point);
                    for ($k = 0; $k < $turns; ++$k) {
                        [$x, $y] = [1 - $y, $x];
                    }

                    return array_map(static fn (float $place): string => ((int) round($place * 720)).'/1440', [$x + $right, $y + $down]);
                }, $patch['points'])];
            }
        }

        return ['patches' => $all];
    }
}
