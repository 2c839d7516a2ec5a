<?php

declare(strict_types=1);

namespace Tests\Core\Block;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PieceUnit;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\KeenSeamProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** Every kind of unit where the block format says its patches lie, and files that come back as they went out. */
final class UnitKindsTest extends TestCase
{
    /** As the format describes them: corners by their fractions of the cell, fabrics in the order given. */
    private const PICTURES = [
        'plain' => [['A', '0,0 1,0 1,1 0,1']],
        'half-square-triangle' => [['A', '0,0 1,0 0,1'], ['B', '1,0 1,1 0,1']],
        'quarter-square-triangle' => [['A', '0,0 1,0 .5,.5'], ['B', '1,0 1,1 .5,.5'], ['C', '1,1 0,1 .5,.5'], ['D', '0,1 0,0 .5,.5']],
        'split-quarter-square-triangle' => [['A', '0,0 1,0 0,1'], ['B', '1,0 1,1 .5,.5'], ['C', '1,1 0,1 .5,.5']],
        'flying-geese' => [['A', '0,1 .5,0 1,1'], ['B', '0,0 .5,0 0,1'], ['C', '.5,0 1,0 1,1']],
        'triangle-in-square' => [['A', '0,1 .5,0 1,1'], ['B', '0,0 .5,0 0,1'], ['C', '.5,0 1,0 1,1']],
        'square-in-square' => [['A', '.5,0 1,.5 .5,1 0,.5'], ['B', '0,0 .5,0 0,.5'], ['C', '.5,0 1,0 1,.5'], ['D', '1,.5 1,1 .5,1'], ['E', '.5,1 0,1 0,.5']],
    ];

    /** @param list<array{string, string}> $patches */
    #[DataProvider('kinds')]
    public function test_a_kind_lies_as_the_format_says_at_every_turn(string $kind, array $patches): void
    {
        $keys = array_column($patches, 0);
        foreach ([0, 90, 180, 270] as $turn) {
            foreach ([false, true] as $mirrored) {
                $face = Face::of(BlockFile::read(self::file(['row' => 1, 'column' => 1, 'unit' => $kind, 'turn' => $turn, 'mirrored' => $mirrored, 'fabrics' => $keys])));
                $expected = array_map(static fn (array $patch): string => $patch[0].' '.self::named(array_map(static fn (string $at): array => self::placed(array_map(floatval(...), explode(',', $at)), $turn, $mirrored), explode(' ', $patch[1]))), $patches);
                $steps = 6 * $face->lattice->steps;
                $shown = array_map(static fn (Patch $patch): string => $patch->fabric->key.' '.self::named(array_map(static fn (Point $point): array => [$point->x / $steps, $point->y / $steps], $patch->outline->points)), $face->patches);
                self::assertSame($expected, $shown, "$kind $turn ".($mirrored ? 'mirrored' : ''));
                self::assertSame(range(0, count($keys) - 1), array_map(static fn (Patch $patch): int => $patch->id, $face->patches));
            }
        }
    }

    /** @param list<array{string, string}> $patches */
    #[DataProvider('kinds')]
    public function test_a_kind_is_sewn_from_its_patches_by_straight_seams_as_quilters_do(string $kind, array $patches): void
    {
        $sewn = Construction::of(Face::of(BlockFile::read(self::file(['row' => 1, 'column' => 1, 'unit' => $kind, 'fabrics' => array_column($patches, 0)]))), Order::Rows);
        $orders = [
            'plain' => [],
            'half-square-triangle' => ['0+1'],
            // Pairs first, then the long seam.
            'quarter-square-triangle' => ['0+1', '2+3', '01+23'],
            'split-quarter-square-triangle' => ['1+2', '0+12'],
            'flying-geese' => ['0+1', '01+2'],
            'triangle-in-square' => ['0+1', '01+2'],
            // Opposite corners first.
            'square-in-square' => ['0+1', '01+3', '013+2', '0123+4'],
        ];
        $told = array_map(static function ($join): string {
            [$left, $right] = [$join->left->patchIds(), $join->right->patchIds()];
            sort($left);
            sort($right);
            $parts = [implode('', $left), implode('', $right)];
            usort($parts, static fn (string $a, string $b): int => [$a[0] === '0' ? 0 : 1, $a] <=> [$b[0] === '0' ? 0 : 1, $b]);

            return implode('+', $parts);
        }, $sewn->joins);
        self::assertSame($orders[$kind], $told);
    }

    /** @return iterable<string, array{string, list<array{string, string}>}> */
    public static function kinds(): iterable
    {
        foreach (self::PICTURES as $kind => $patches) {
            yield $kind => [$kind, $patches];
        }
    }

    public function test_a_file_comes_back_as_it_went_out(): void
    {
        $small = static fn (int $row, int $column, string $fabric): array => ['row' => $row, 'column' => $column, 'unit' => 'plain', 'fabrics' => [$fabric]];
        $cells = [
            ['row' => 1, 'column' => 1, 'row_span' => 2, 'unit' => 'half-square-triangle', 'turn' => 90, 'mirrored' => true, 'label' => 'Bollard', 'fabrics' => ['A', 'B']],
            ['row' => 1, 'column' => 2, 'column_span' => 2, 'unit' => 'flipped-corners', 'turn' => 180, 'fabrics' => ['C'], 'corners' => ['tl' => ['fabric' => 'A', 'size' => '1/2'], 'br' => ['fabric' => 'B', 'size' => '7/8']]],
            ['row' => 2, 'column' => 2, 'unit' => 'grid', 'turn' => 270, 'columns' => ['1', '2'], 'rows' => ['1'], 'cells' => [$small(1, 1, 'D'), ['row' => 1, 'column' => 2, 'unit' => 'grid', 'columns' => ['1'], 'rows' => ['1', '3'], 'cells' => [$small(1, 1, 'A'), $small(2, 1, 'E')]]]],
            ['row' => 2, 'column' => 3, 'unit' => 'patches', 'mirrored' => true, 'patches' => [['fabric' => 'A', 'points' => [['0', '0'], ['1/3', '0'], ['0', '1']]], ['fabric' => 'B', 'points' => [['1/3', '0'], ['1', '0'], ['1', '1'], ['0', '1']]]]],
        ];
        foreach (['in', 'mm'] as $units) {
            $file = ['units' => $units, 'columns' => ['1', '1', '2'], 'rows' => ['3/2', '1'], 'finished' => ['width' => $units === 'in' ? '7 1/2' : '190', 'height' => '6'], 'seam_allowance' => '1/4', 'cells' => $cells] + self::file([]);
            $file['finished']['height'] = $units === 'in' ? '6' : '150.5';
            $file['seam_allowance'] = $units === 'in' ? '1/4' : '6';
            $block = BlockFile::read($file);
            $written = BlockFileWriter::write($block);
            self::assertEquals($block, BlockFile::read($written));
            self::assertEqualsCanonicalizing($file['cells'][0], $written['cells'][0]);
            self::assertSame(['grid', 270], [$written['cells'][2]['unit'], $written['cells'][2]['turn']]);
            self::assertArrayNotHasKey('mirrored', $written['cells'][1]);
            self::assertArrayNotHasKey('row_span', $written['cells'][2]);
            self::assertSame([2, 2], [$written['cells'][0]['row_span'], $written['cells'][1]['column_span']]);
        }
    }

    public function test_a_picture_is_drawn_as_shares_of_its_cell_and_turns_as_the_cell_does(): void
    {
        for ($seed = 0; $seed < 12; ++$seed) {
            $face = Face::of(BlockFile::read(Blocks::generated($seed, 3, 2)));
            $far = static fn (string $axis): int => max(array_map(static fn (Point $point): int => $point->{$axis}, $face->outline()->points));
            $shares = Picture::of($face->whole)->toShares();
            foreach ($face->patches as $i => $patch) {
                self::assertSame($patch->fabric->key, $shares[$i][0]);
                foreach ($patch->outline->points as $c => $point) {
                    self::assertEqualsWithDelta([$point->x / $far('x'), $point->y / $far('y')], $shares[$i][1][$c], 1e-4);
                }
            }
        }
    }

    public function test_fabrics_change_where_they_are_asked_for_with_the_number_of_the_piece(): void
    {
        $file = self::file(['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [['fabric' => 'A', 'points' => [['0', '0'], ['1', '0'], ['0', '1']]], ['fabric' => 'B', 'points' => [['1', '0'], ['1', '1'], ['0', '1']]]]]);
        $flipped = self::file(['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['C'], 'corners' => ['tl' => ['fabric' => 'A', 'size' => '2'], 'br' => ['fabric' => 'B', 'size' => '1']]]);
        $geese = self::file(['row' => 1, 'column' => 1, 'unit' => 'flying-geese', 'fabrics' => ['A', 'B', 'C']]);
        foreach ([[$file, ['A', 'B']], [$flipped, ['C', 'A', 'B']], [$geese, ['A', 'B', 'C']]] as [$one, $keys]) {
            $block = BlockFile::read($one);
            $unit = $block->grid->cells[0]->unit;
            self::assertInstanceOf(PieceUnit::class, $unit);
            $asked = [];
            $changed = $unit->inFabrics(static function (Fabric $fabric, int $number) use (&$asked, $block): Fabric {
                $asked[$number] = $fabric->key;

                return $number === 1 ? $block->fabrics['E'] : $fabric;
            });
            self::assertSame($keys, $asked);
            $after = [];
            $changed->inFabrics(static function (Fabric $fabric) use (&$after): Fabric {
                $after[] = $fabric->key;

                return $fabric;
            });
            self::assertSame(array_replace($keys, [1 => 'E']), $after);
        }
    }

    /** @param array<string, mixed> $cell */
    #[DataProvider('spoiled')]
    public function test_what_no_cell_can_hold_is_refused_with_the_reason(array $cell, string $words): void
    {
        $this->expectException(KeenSeamProblem::class);
        $this->expectExceptionMessage($words);
        Face::of(BlockFile::read(self::file($cell)));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function spoiled(): iterable
    {
        $cell = static fn (array $more): array => ['row' => 1, 'column' => 1] + $more;
        $patches = static fn (array ...$outlines): array => $cell(['unit' => 'patches', 'patches' => array_map(static fn (array $points): array => ['fabric' => 'A', 'points' => $points], $outlines)]);
        yield 'a gap' => [$patches([['0', '0'], ['1', '0'], ['0', '1']]), 'leave a gap'];
        yield 'an overlap' => [$patches([['0', '0'], ['1', '0'], ['1', '1'], ['0', '1']], [['0', '0'], ['1', '0'], ['0', '1']]), 'overlap'];
        yield 'out of the cell' => [$patches([['0', '0'], ['2', '0'], ['0', '1']]), 'reaches out of its cell'];
        yield 'too large a corner' => [$cell(['unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '7']]]), 'corner'];
        yield 'corners that overlap' => [$cell(['unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '4'], 'tr' => ['fabric' => 'B', 'size' => '3']]]), 'overlap'];
        yield 'no corner' => [$cell(['unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => []]), 'No corner is flipped'];
        yield 'too few fabrics' => [$cell(['unit' => 'flying-geese', 'fabrics' => ['A', 'B']]), '3'];
        yield 'a fabric nobody has' => [$cell(['unit' => 'plain', 'fabrics' => ['Q']]), 'Q'];
        yield 'a kind nobody has' => [$cell(['unit' => 'kite', 'fabrics' => ['A']]), 'kite'];
        yield 'outside the grid' => [['row' => 2, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['A']], 'row'];
    }

    public function test_corners_that_just_fit_are_kept(): void
    {
        $corners = static fn (array $corners): int => count(Face::of(BlockFile::read(self::file(['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => array_map(static fn (string $size): array => ['fabric' => 'B', 'size' => $size], $corners)])))->patches);
        foreach (['tl', 'tr', 'bl', 'br'] as $corner) {
            self::assertSame(2, $corners([$corner => '6']));
        }
        self::assertSame([3, 5], [$corners(['tl' => '3', 'tr' => '3']), $corners(['tl' => '3', 'tr' => '3', 'bl' => '3', 'br' => '3'])]);
    }

    public function test_shares_of_lines_and_spans_are_exact(): void
    {
        for ($seed = 0; $seed < 20; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $file = Blocks::generated($seed, 4, 3);
            $file['rows'] = array_map(static fn (): string => (string) $random->getInt(1, 3), $file['rows']);
            $grid = BlockFile::read($file)->grid;
            foreach ([[$file['columns'], $grid->columnLine(...)], [$file['rows'], $grid->rowLine(...)]] as [$widths, $line]) {
                $sum = 0;
                foreach ([...$widths, '0'] as $i => $width) {
                    self::assertEqualsWithDelta($sum / array_sum($widths), $line($i + 1)->toFloat(), 1e-12);
                    $sum += (int) $width;
                }
            }
            foreach ($grid->cells as $cell) {
                self::assertSame($cell, $grid->cellAt($cell->lastRow(), $cell->lastColumn()));
            }
            self::assertNull($grid->cellAt(9, 1));
        }
    }

    /**
     * @param array<string, mixed> $cell
     *
     * @return array<string, mixed>
     */
    private static function file(array $cell): array
    {
        return [
            'format' => 'keen-seam/block', 'version' => 1, 'name' => 'x', 'units' => 'in',
            'finished' => ['width' => '6', 'height' => '6'], 'seam_allowance' => '1/4',
            'fabrics' => array_map(static fn (string $key): array => ['key' => $key, 'name' => "Cloth $key", 'color' => '#3b5b7a', 'value' => 'dark'], ['A', 'B', 'C', 'D', 'E']),
            'columns' => ['1'], 'rows' => ['1'], 'cells' => [$cell],
        ];
    }

    /**
     * Flipped left to right if asked, then turned clockwise.
     *
     * @param array<int, float> $at
     *
     * @return array{float, float}
     */
    private static function placed(array $at, int $turn, bool $mirrored): array
    {
        [$x, $y] = [$mirrored ? 1 - $at[0] : $at[0], $at[1]];
        for ($i = 0; $i < $turn; $i += 90) {
            [$x, $y] = [1 - $y, $x];
        }

        return [$x, $y];
    }

    /** @param array<array{float, float}> $corners */
    private static function named(array $corners): string
    {
        $names = array_map(static fn (array $at): string => sprintf('%.3f,%.3f', $at[0] + 0.0, $at[1] + 0.0), $corners);
        sort($names);

        return implode(' ', $names);
    }
}
