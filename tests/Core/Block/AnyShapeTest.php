<?php

declare(strict_types=1);

namespace Tests\Core\Block;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\KeenSeamProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** Units without corners of their own: flipped corners of any size, and any convex patches. */
final class AnyShapeTest extends TestCase
{
    public function test_flipped_corners_take_their_own_sizes_and_lie_as_placed(): void
    {
        $cell = ['unit' => 'flipped-corners', 'turn' => 90, 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '1/2'], 'br' => ['fabric' => 'C', 'size' => '1']]];

        self::assertSame(
            ['A 0,0 3,0 4,1 4,4 2,4 0,2', 'B 3,0 4,0 4,1', 'C 0,2 2,4 0,4'],
            self::patches(self::face($cell)),
        );
    }

    public function test_on_a_rectangle_the_legs_stay_what_they_are(): void
    {
        $file = Blocks::file('pA pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'column_span' => 2, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '2'], 'tr' => ['fabric' => 'B', 'size' => '2']]]];
        $face = Face::of(BlockFile::read($file));

        self::assertSame(['A 0,2 2,0 4,2', 'B 0,0 2,0 0,2', 'B 2,0 4,0 4,2'], self::patches($face));
    }

    /** @return array<string, array{array<string, array{fabric: string, size: string}>, string, string}> */
    public static function impossibleCorners(): array
    {
        $of = static fn (string $size): array => ['fabric' => 'B', 'size' => $size];

        return [
            'larger than its cell' => [['tl' => $of('3')], '/cells/0/corners/tl', 'leg of 3, but the side it lies on is only 2'],
            'two that overlap' => [['tl' => $of('1 1/2'), 'tr' => $of('1')], '/cells/0/corners/tr', 'overlap'],
            'nothing left' => [['tl' => $of('2'), 'br' => $of('2')], '/cells/0/corners', 'leave nothing'],
            'none' => [[], '/cells/0/corners', 'No corner is flipped'],
            'unknown fabric' => [['tl' => ['fabric' => 'Q', 'size' => '1']], '/cells/0/corners/tl/fabric', 'no fabric "Q"'],
            'no size' => [['tl' => $of('big')], '/cells/0/corners/tl/size', 'is not a length'],
        ];
    }

    /** @param array<string, mixed> $corners */
    #[DataProvider('impossibleCorners')]
    public function test_corners_that_cannot_be_are_refused(array $corners, string $where, string $words): void
    {
        self::assertRefused(['unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => $corners], $where, $words);
    }

    /** @return array<string, array{list<list<array{string, string}>>, string, string}> */
    public static function impossiblePatches(): array
    {
        $square = static fn (string $left, string $right): array => [[$left, '0'], [$right, '0'], [$right, '1'], [$left, '1']];

        return [
            'overlap' => [[$square('0', '2/3'), $square('1/3', '1')], '/cells/0/patches/1', 'Patches 1 and 2 overlap'],
            'gap' => [[$square('0', '1/3'), $square('2/3', '1')], '/cells/0/patches', 'leave a gap'],
            'dent' => [[[['0', '0'], ['1', '0'], ['1/4', '1/4'], ['0', '1']], [['1', '0'], ['1', '1'], ['0', '1'], ['1/4', '1/4']]], '/cells/0/patches/0/points', 'not convex'],
            'no area' => [[$square('0', '1'), [['0', '0'], ['1/2', '1/2'], ['1', '1']]], '/cells/0/patches/1/points', 'no area'],
            'outside' => [[$square('0', '1.5')], '/cells/0/patches/0/points/1', 'reaches out of its cell'],
            'no number' => [[[['0', '0'], ['one', '0'], ['0', '1']]], '/cells/0/patches/0/points/1/0', '"one" is not a fraction of the cell'],
        ];
    }

    /** @param list<list<array{string, string}>> $outlines */
    #[DataProvider('impossiblePatches')]
    public function test_patches_that_cannot_be_are_refused(array $outlines, string $where, string $words): void
    {
        self::assertRefused(self::cellOf($outlines), $where, $words);
    }

    /** Any way of cutting a square apart by straight cuts is found again: every order builds exactly its patches. */
    public function test_random_straight_partitions_are_sewn_whatever_the_order(): void
    {
        for ($seed = 0; $seed < 25; ++$seed) {
            $outlines = self::cutAtRandom(new Randomizer(new Mt19937($seed)), 3 + $seed % 6);
            $face = self::face(self::cellOf($outlines));
            foreach (Order::cases() as $order) {
                if ($order === Order::Diagonal) {
                    continue; // not every partition has a slanting line from edge to edge
                }
                $construction = Construction::of($face, $order);
                self::assertSame(range(0, count($outlines) - 1), $construction->root->patchIds(), "seed $seed, {$order->value}");
                self::assertCount(count($outlines) - 1, $construction->joins);
                foreach ($construction->joins as $join) {
                    self::assertSame($join->outline()->areaDoubled(), $join->left->outline()->areaDoubled() + $join->right->outline()->areaDoubled());
                }
            }
        }
    }

    public function test_four_rectangles_round_a_square_need_a_set_in_seam(): void
    {
        $spiral = [
            [['0', '0'], ['2/3', '0'], ['2/3', '1/3'], ['0', '1/3']],
            [['2/3', '0'], ['1', '0'], ['1', '2/3'], ['2/3', '2/3']],
            [['1/3', '2/3'], ['1', '2/3'], ['1', '1'], ['1/3', '1']],
            [['0', '1/3'], ['1/3', '1/3'], ['1/3', '1'], ['0', '1']],
            [['1/3', '1/3'], ['2/3', '1/3'], ['2/3', '2/3'], ['1/3', '2/3']],
        ];

        $this->expectException(SetInSeamNeeded::class);
        $this->expectExceptionMessage('No straight seam takes patches 1, 2, 3, 4, 5 of a unit apart; they need a set-in or partial seam.');
        Construction::of(self::face(self::cellOf($spiral)), Order::Rows);
    }

    /**
     * @return list<list<array{string, string}>> outlines of the pieces of a square, cut apart by lines through lattice points of its edges
     */
    private static function cutAtRandom(Randomizer $random, int $pieces): array
    {
        $outlines = [[[0, 0], [4096, 0], [4096, 4096], [0, 4096]]];
        while (count($outlines) < $pieces) {
            $i = $random->getInt(0, count($outlines) - 1);
            $outline = $outlines[$i];
            $a = $random->getInt(0, count($outline) - 1);
            $b = ($a + $random->getInt(1, count($outline) - 1)) % count($outline);
            [$a, $b] = [min($a, $b), max($a, $b)];
            $middle = static fn (int $edge): array => [
                intdiv($outline[$edge][0] + $outline[($edge + 1) % count($outline)][0], 2),
                intdiv($outline[$edge][1] + $outline[($edge + 1) % count($outline)][1], 2),
            ];
            [$p, $q] = [$middle($a), $middle($b)];
            $one = [$p, ...array_slice($outline, $a + 1, $b - $a), $q];
            $other = [$q, ...array_slice($outline, $b + 1), ...array_slice($outline, 0, $a + 1), $p];
            array_splice($outlines, $i, 1, [$one, $other]);
        }

        return array_map(static fn (array $outline): array => array_map(static fn (array $corner): array => [$corner[0].'/4096', $corner[1].'/4096'], $outline), $outlines);
    }

    /**
     * @param list<list<array{string, string}>> $outlines
     *
     * @return array<string, mixed>
     */
    private static function cellOf(array $outlines): array
    {
        return ['unit' => 'patches', 'patches' => array_map(static fn (array $points, int $i): array => ['fabric' => ['A', 'B', 'C'][$i % 3], 'points' => $points], $outlines, array_keys($outlines))];
    }

    /** @param array<string, mixed> $cell */
    private static function face(array $cell): Face
    {
        $file = Blocks::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1] + $cell];

        return Face::of(BlockFile::read($file));
    }

    /** @param array<string, mixed> $cell */
    private static function assertRefused(array $cell, string $where, string $words): void
    {
        try {
            self::face($cell);
            self::fail('It was taken.');
        } catch (KeenSeamProblem $problem) {
            self::assertStringContainsString($words, $problem->getMessage());
            self::assertSame($where, $problem->where());
        }
    }

    /** @return list<string> fabric and corners in lattice steps, starting at the corner whose text comes first */
    private static function patches(Face $face): array
    {
        return array_map(static fn (Patch $patch): string => $patch->fabric->key.' '.$patch->outline->key(), $face->patches);
    }
}
