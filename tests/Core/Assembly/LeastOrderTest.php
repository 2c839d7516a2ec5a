<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
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
            $face = Face::of(Blocks::of(...$rows));
            $corners = $face->outline()->points;
            [$width, $height] = [max(array_map(static fn (Point $corner): int => $corner->x, $corners)), max(array_map(static fn (Point $corner): int => $corner->y, $corners))];
            $share = static fn (int $steps, int $whole): string => Fraction::of($steps, $whole)->toText();
            $file = Blocks::file('pA');
            $file['finished'] = ['width' => $face->lattice->toLengthNumber($width)->toText(), 'height' => $face->lattice->toLengthNumber($height)->toText()];
            $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (Patch $patch): array => [
                'fabric' => $patch->fabric->key,
                'points' => array_map(static fn (Point $corner): array => [$share($corner->x, $width), $share($corner->y, $height)], $patch->outline->points),
            ], $face->patches)]];
            $drawn = Face::of(BlockFile::read($file));
            $this->assertLeast($drawn, array_map(static fn (Patch $patch): Piece => new Piece($patch), $drawn->patches), implode(' / ', $rows));
        }
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

    /** @param list<Assembly> $parts */
    private function assertLeast(Face $face, array $parts, string $what): void
    {
        try {
            $report = OrderReport::of(Construction::of($face, Order::Best));
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
