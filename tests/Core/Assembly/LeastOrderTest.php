<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Internal\ConstructionBuilder;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\OutlineNotConvex;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\Fraction;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** The order with the fewest points to match, against every order there is; and classes, against units laid on purpose. */
final class LeastOrderTest extends TestCase
{
    public function test_no_order_at_all_has_fewer_points_to_match_or_bias_seams(): void
    {
        for ($seed = 1; $seed <= 14; ++$seed) {
            $drawn = Face::of(BlockFile::read(Blocks::slantedPatches($seed, 4 + $seed % 3)));
            $this->assertLeast($drawn, array_map(static fn (Patch $patch): Piece => new Piece($patch), $drawn->patches), "drawn, seed $seed");
            $grid = Face::of(BlockFile::read(Blocks::generated($seed, 3, 2)));
            $units = [];
            foreach (Construction::of($grid, Order::Rows)->joins as $join) {
                if ($join->tie === null) {
                    foreach ($join->children() as $child) {
                        if (! $child instanceof Join || $child->tie !== null) {
                            $units[] = $child;
                        }
                    }
                }
            }
            $this->assertLeast($grid, $units, "grid, seed $seed");
        }
    }

    public function test_long_slanting_seams_are_sewn_at_once_where_that_saves_bias(): void
    {
        foreach ([['hAB90 hAB180', 'hAB hAB270'], ['hAB hAB', 'hAB hAB'], ['hAB90 hAB', 'hAB pA'], ['hAB90 pB', 'pA hBA90'], ['qABCA pA'], ['hAB hAB90 hAB']] as $rows) {
            $file = self::drawn(Face::of(Blocks::of(...$rows)));
            $drawn = Face::of(BlockFile::read($file));
            $this->assertLeast($drawn, array_map(static fn (Patch $patch): Piece => new Piece($patch), $drawn->patches), implode(' / ', $rows));
        }
    }

    /**
     * Then the fewest kinds of join (equal halves are learnt once) and the most known units whole, against the least that any
     * way of taking the patches apart has.
     */
    public function test_nor_fewer_kinds_of_join_or_more_known_units_whole(): void
    {
        $files = array_map(static fn (int $seed): array => Blocks::slantedPatches($seed, 4 + $seed % 4), range(20, 31));
        foreach ([['hAB90 hAB180', 'hAB hAB270'], ['pA pB', 'pB pA', 'pA pC'], ['gABB hAB'], ['hAB hBA90 pA', 'pB pA pB'], ['pA pA pA pA'], ['pA pB pA', 'pB hAB pA'], ['qABAB pA', 'pB hAB']] as $rows) {
            $files[] = self::drawn(Face::of(Blocks::of(...$rows)));
        }
        $seen = [];
        foreach ($files as $number => $file) {
            $face = Face::of(BlockFile::read($file));
            $least = self::leastFigures($face);
            try {
                $found = self::figures($face, Construction::of($face, Order::Best)->root);
            } catch (SetInSeamNeeded) {
                self::assertNull($least, "block $number");
                continue;
            }
            self::assertSame($least, $found, "block $number");
            $seen[$found[3]] = true;
        }
        self::assertGreaterThan(2, count($seen));
    }

    public function test_all_joins_together_are_as_long_in_every_order(): void
    {
        for ($seed = 1; $seed <= 6; ++$seed) {
            $face = Face::of(BlockFile::read(Blocks::generated($seed, 3, 3)));
            $lengths = array_map(static fn (Order $order): float => round(array_sum(array_map(static fn (Join $join): float => $join->seam->length(), Construction::of($face, $order)->joins)), 6), [Order::Rows, Order::Columns, Order::Quarters, Order::Best]);
            self::assertCount(1, array_unique($lengths), 'each inner edge is sewn once');
        }
    }

    /** @return array{int, int, int, int} match points, bias joins, kinds of join, known units less than none */
    private static function figures(Face $face, Assembly $part): array
    {
        return $part instanceof Join ? self::joined($face, $part, self::figures($face, $part->left), self::figures($face, $part->right)) : [0, 0, 0, 0];
    }

    /**
     * @param array{int, int, int, int} $a of the left part
     * @param array{int, int, int, int} $b of the right one
     *
     * @return array{int, int, int, int}
     */
    private static function joined(Face $face, Join $join, array $a, array $b): array
    {
        $along = $join->seam->direction();
        $looks = static function (Assembly $part, int $turns) use ($face): array {
            $turned = array_map(static fn (int $id): array => [$face->patches[$id]->outline->turned($turns), $face->patches[$id]->fabric->key], $part->patchIds());
            [$left, $top] = [min(array_map(static fn (array $one): int => min(array_column($one[0]->points, 'x')), $turned)), min(array_map(static fn (array $one): int => min(array_column($one[0]->points, 'y')), $turned))];
            $texts = array_map(static function (array $one) use ($left, $top): string {
                $corners = array_map(static fn (Point $corner): string => ($corner->x - $left).','.($corner->y - $top), $one[0]->points);
                sort($corners);

                return $one[1].' '.implode(' ', $corners);
            }, $turned);
            sort($texts);

            return $texts;
        };
        $areAlike = array_filter([0, 1, 2, 3], static fn (int $turns): bool => $looks($join->left, $turns) === $looks($join->right, 0)) !== [];
        $isKnown = KnownShape::of(array_map(static fn (int $id): ConvexPolygon => $face->patches[$id]->outline, $join->patchIds())) !== null;

        return [
            $a[0] + $b[0] + count($join->matchPoints()),
            $a[1] + $b[1] + ($along->x !== 0 && $along->y !== 0 ? 1 : 0),
            $areAlike ? 1 + min($a[2], $b[2]) : 1 + $a[2] + $b[2],
            $a[3] + $b[3] - ($isKnown ? 1 : 0),
        ];
    }

    /** @return array{int, int, int, int}|null over all ways to part the patches in two, and each of the two again */
    private static function leastFigures(Face $face): ?array
    {
        $count = count($face->patches);
        /** @var array<int, array{array{int, int, int, int}, Assembly}|null> $best by the patches that are in, as bits */
        $best = [];
        for ($set = 1; $set < 2 ** $count; ++$set) {
            if (($set & ($set - 1)) === 0) {
                $best[$set] = [[0, 0, 0, 0], new Piece($face->patches[(int) log($set, 2)])];
                continue;
            }
            $best[$set] = null;
            for ($part = ($set - 1) & $set; $part > 0; $part = ($part - 1) & $set) {
                [$one, $other] = [$best[$part], $best[$set ^ $part]];
                if ($part < ($set ^ $part) || $one === null || $other === null) {
                    continue;
                }
                try {
                    $join = new Join(0, $one[1], $other[1]);
                } catch (SetInSeamNeeded|OutlineNotConvex) {
                    continue;
                }
                $figures = self::joined($face, $join, $one[0], $other[0]);
                if ($best[$set] === null || $figures < $best[$set][0]) {
                    $best[$set] = [$figures, $join];
                }
            }
        }

        return $best[2 ** $count - 1][0] ?? null;
    }

    public function test_rows_and_columns_are_numbered_from_the_first(): void
    {
        $face = Face::of(Blocks::of('pA pB pA', 'pB pA pB', 'pA pB pA'));
        foreach ([Order::Rows, Order::Columns] as $order) {
            $strands = Construction::of($face, $order)->strands;
            self::assertSame([[1, 1], [1, 2], [1, 3], [0, 1]], array_map(static fn (Strand $strand): array => [$strand->depth, $strand->number], $strands));
        }
    }

    public function test_a_unit_is_of_one_class_however_it_is_turned_and_of_another_hand_when_it_is_flipped(): void
    {
        $letters = ['half-square-triangle' => 'h', 'quarter-square-triangle' => 'q', 'split-quarter-square-triangle' => 's', 'triangle-in-square' => 't', 'square-in-square' => 'd'];
        foreach ($letters as $kind => $letter) {
            $count = count(UnitPatterns::all()[$kind]->outlines);
            foreach ([substr('ABCAB', 0, $count), substr('ABBBB', 0, $count), substr('ABCCC', 0, $count), substr('ABABA', 0, $count)] as $fabrics) {
                $turned = array_map(static fn (int $turn): string => $letter.$fabrics.$turn, [0, 90, 180, 270]);
                $flipped = array_map(static fn (string $word): string => $word.'m', $turned);
                $classes = Blocks::sewn(implode(' ', $turned), implode(' ', $flipped))->classes;
                $members = array_map(static fn (UnitClass $class): int => count($class->members), $classes);

                self::assertContains($members, [[8], [4, 4]], "$letter$fabrics: all turns are one class, all flipped ones too");
                self::assertSame($members === [8] ? [] : [0 => 1, 1 => 0], ClassKinship::twins($classes));
            }
        }
    }

    public function test_look_alikes_are_found_at_every_turn_of_either(): void
    {
        // A square of two halves of one fabric looks like a square of two quarters and a half of it, however either lies.
        foreach ([0, 90, 180, 270] as $one) {
            foreach ([0, 90, 180, 270] as $other) {
                $classes = Blocks::sewn("hAA$one sAAA$other", 'pB hAB')->classes;
                self::assertSame([0 => [1], 1 => [0]], ClassKinship::lookAlikes($classes));
                // Here the fabrics part along the same slant after a quarter turn.
                $slant = Blocks::sewn("hAB$one sABB$other")->classes;
                self::assertSame([0 => [1], 1 => [0]], ClassKinship::lookAlikes($slant));
                self::assertSame([], ClassKinship::lookAlikes(Blocks::sewn("hAB$one sAAB$other")->classes));
            }
        }
    }

    /** @return array<string, mixed> the same patches as one drawn unit */
    private static function drawn(Face $face): array
    {
        $corners = $face->outline()->points;
        [$width, $height] = [max(array_map(static fn (Point $corner): int => $corner->x, $corners)), max(array_map(static fn (Point $corner): int => $corner->y, $corners))];
        $share = static fn (int $steps, int $whole): string => Fraction::of($steps, $whole)->toText();
        $file = Blocks::file('pA');
        $file['finished'] = ['width' => $face->lattice->toLengthNumber($width)->toText(), 'height' => $face->lattice->toLengthNumber($height)->toText()];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (Patch $patch): array => [
            'fabric' => $patch->fabric->key,
            'points' => array_map(static fn (Point $corner): array => [$share($corner->x, $width), $share($corner->y, $height)], $patch->outline->points),
        ], $face->patches)]];

        return $file;
    }

    /** @param list<Assembly> $parts */
    private function assertLeast(Face $face, array $parts, string $what): void
    {
        try {
            // As the search alone finds it, before it is held against rows, columns and the like.
            $report = OrderReport::of((new ConstructionBuilder($face, Order::Best))->build());
        } catch (SetInSeamNeeded) {
            self::assertNull(self::least($parts), $what);

            return;
        }
        $inside = [0, 0];
        foreach ($parts as $part) {
            [$matches, $bias] = self::of($part);
            $inside = [$inside[0] + $matches, $inside[1] + $bias];
        }
        $least = self::least($parts);
        self::assertNotNull($least, $what);
        self::assertSame([$least[0] + $inside[0], $least[1] + $inside[1]], [$report->matchPoints, $report->biasJoins], $what);
    }

    /** @return array{int, int} match points and bias joins of what is sewn */
    private static function of(Assembly $part): array
    {
        if (! $part instanceof Join) {
            return [0, 0];
        }
        [[$a, $b], [$c, $d]] = [self::of($part->left), self::of($part->right)];
        $along = $part->seam->direction();

        return [$a + $c + count($part->matchPoints()), $b + $d + ($along->x !== 0 && $along->y !== 0 ? 1 : 0)];
    }

    /**
     * Over all trees: any two parts that can be sewn, and so on.
     *
     * @param list<Assembly> $parts
     *
     * @return array{int, int}|null the least match points, and bias joins with so many; null where nothing whole comes of it
     */
    private static function least(array $parts): ?array
    {
        $known = [];
        $search = static function (array $parts) use (&$search, &$known): ?array {
            if (count($parts) === 1) {
                return [0, 0];
            }
            usort($parts, static fn (Assembly $a, Assembly $b): int => $a->patchIds() <=> $b->patchIds());
            // What is sewn how matters only by where seams end on the outlines, and that follows from the patches.
            $key = implode('|', array_map(static fn (Assembly $part): string => implode(',', $part->patchIds()), $parts));
            if (array_key_exists($key, $known)) {
                return $known[$key];
            }
            $best = null;
            foreach ($parts as $i => $one) {
                for ($k = $i + 1; $k < count($parts); ++$k) {
                    try {
                        $join = new Join(0, $one, $parts[$k]);
                    } catch (SetInSeamNeeded|OutlineNotConvex) {
                        continue;
                    }
                    $rest = $search([...array_values(array_diff_key($parts, [$i => 0, $k => 0])), $join]);
                    if ($rest !== null) {
                        $along = $join->seam->direction();
                        $found = [$rest[0] + count($join->matchPoints()), $rest[1] + ($along->x !== 0 && $along->y !== 0 ? 1 : 0)];
                        $best = $best === null || $found < $best ? $found : $best;
                    }
                }
            }

            return $known[$key] = $best;
        };

        return $search($parts);
    }
}
