<?php

declare(strict_types=1);

namespace Tests\Core\Block;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FaceKind;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\SewableSizes;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class FaceTest extends TestCase
{
    /** @return array<string, array{string, list<string>}> */
    public static function placements(): array
    {
        return [
            'half-square at turn 0' => ['hAB', ['A 0,0 1,0 0,1', 'B 1,0 1,1 0,1']],
            'turned a quarter clockwise' => ['hAB90', ['A 1,0 1,1 0,0', 'B 1,1 0,1 0,0']],
            'mirrored, then turned' => ['sABC90m', ['A 1,1 0,1 1,0', 'B 1,0 0,0 0.5,0.5', 'C 0,0 0,1 0.5,0.5']],
            'goose points up' => ['gABC', ['A 0,1 0.5,0 1,1', 'B 0,0 0.5,0 0,1', 'C 0.5,0 1,0 1,1']],
            'goose points right' => ['gABC90', ['A 0,0 1,0.5 0,1', 'B 1,0 1,0.5 0,0', 'C 1,0.5 1,1 0,1']],
        ];
    }

    /** @param list<string> $expected fabric and corners in cells */
    #[DataProvider('placements')]
    public function test_units_lie_as_placed(string $cell, array $expected): void
    {
        $face = Face::of(Blocks::of($cell));

        $found = array_map(static fn (Patch $patch): string => $patch->fabric->key.' '.implode(' ', array_map(
            static fn ($point): string => $point->x / 2 / $face->lattice->steps.','.$point->y / 2 / $face->lattice->steps,
            $patch->outline->points,
        )), $face->patches);

        self::assertEqualsCanonicalizing(self::sortedCorners($expected), self::sortedCorners($found));
    }

    public function test_every_kind_fills_its_cell_exactly(): void
    {
        foreach (UnitPatterns::all() as $kind => $pattern) {
            $file = Blocks::file('pA');
            $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => $kind, 'fabrics' => array_fill(0, count($pattern->outlines), 'A')];
            self::assertTiled(Face::of(BlockFile::read($file)), $kind);
        }
    }

    public function test_generated_blocks_are_tiled(): void
    {
        for ($seed = 0; $seed < 20; ++$seed) {
            self::assertTiled(Face::of(BlockFile::read(Blocks::generated($seed, 3, 2))), "seed $seed");
        }
    }

    public function test_uneven_columns_spans_and_nested_grids_stay_exact(): void
    {
        $file = Blocks::file('pA hAB', 'pA pA');
        $file['columns'] = ['1', '1 1/2'];
        $file['finished'] = ['width' => '7', 'height' => '4 1/3'];
        $file['cells'] = [
            ['row' => 1, 'column' => 1, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']],
            ['row' => 1, 'column' => 2, 'unit' => 'grid', 'turn' => 90, 'mirrored' => true, 'columns' => ['1', '2'], 'rows' => ['1'], 'cells' => [
                ['row' => 1, 'column' => 1, 'unit' => 'half-square-triangle', 'fabrics' => ['A', 'B']],
                ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['C']],
            ]],
            ['row' => 2, 'column' => 2, 'unit' => 'quarter-square-triangle', 'fabrics' => ['A', 'B', 'C', 'B']],
        ];
        $face = Face::of(BlockFile::read($file));

        self::assertTiled($face, 'uneven');
        self::assertSame(['2 4/5', '0'], $face->lattice->toText($face->whole->parts[1]->outline->corner()));
    }

    public function test_what_hangs_is_measured_across_its_points_when_it_hangs_on_point(): void
    {
        $file = ['columns' => ['1', '1/2']] + Blocks::file('pA gABC');
        $face = Face::of(BlockFile::read(['finished' => ['width' => '6', 'height' => '2']] + $file));
        $hung = new Face($face->block, $face->lattice, $face->patches, $face->whole, FaceKind::TopOnPoint);

        self::assertSame([6.0, 2.0], $face->finishedSize());
        // A rectangle turned by half a right angle is as wide, and as high, as its two sides together over the root of two.
        self::assertEqualsWithDelta([8 / sqrt(2), 8 / sqrt(2)], $hung->finishedSize(), 1e-9);
        self::assertEqualsWithDelta([2.0, 1.0], array_map(static fn (Patch|PlacedUnit $unit): float => $unit instanceof PlacedUnit ? $unit->ratio() : 0.0, $face->whole->parts), 1e-9);
        foreach ($hung->measuredAlong() as $i => [$x, $y, $long]) {
            self::assertEqualsWithDelta($long, hypot($x, $y), 1e-9);
            self::assertSame(1, $x);
            self::assertSame($i === 0 ? -1 : 1, $y, 'across runs to the upper right, down to the lower right');
        }
        self::assertSame([[1, 0, 1.0], [0, 1, 1.0]], $face->measuredAlong());
    }

    public function test_a_block_of_one_fabric_is_still_to_be_laid_out(): void
    {
        self::assertFalse(Face::of(Blocks::of('pA hAA', 'gAAA pA'))->isLaidOut());
        self::assertTrue(Face::of(Blocks::of('pA hAA', 'gAAB pA'))->isLaidOut());
    }

    public function test_rows_of_a_top_are_not_made_of_units(): void
    {
        self::assertSame(
            [['block', 'unit'], ['top', 'piece'], ['top', 'piece']],
            array_map(static fn (FaceKind $kind): array => [$kind->word(), $kind->piece()], FaceKind::cases()),
        );
    }

    public function test_lengths_of_their_own_grow_with_a_grid(): void
    {
        $flipped = ['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '1/2']]];
        $file = Blocks::file('pA pB');
        $file['cells'][0] = $flipped;
        $file['cells'][1] = ['column' => 2, 'unit' => 'grid', 'columns' => ['1'], 'rows' => ['1'], 'cells' => [$flipped]] + $flipped;
        $block = BlockFile::read($file);
        $legs = static fn (Grid $grid): array => array_map(static function (Cell $cell): string {
            $unit = $cell->unit instanceof GridUnit ? $cell->unit->grid->cells[0]->unit : $cell->unit;

            return $unit instanceof FlippedCornersUnit ? $unit->corners[0]->finishedLeg->toText() : '';
        }, $grid->cells);

        self::assertSame(['1/2', '1/2'], $legs($block->grid));
        self::assertSame(['3/4', '3/4'], $legs($block->grid->scaled(Fraction::of(3, 2), $block->unit)));
    }

    public function test_an_allowance_that_eats_a_patch_is_told_with_the_width_that_is_left(): void
    {
        // The narrowest way across half of a 1/4 in square is half its diagonal: 0.1768 in.
        $this->expectExceptionMessage('The seam allowance, 3/16 in, is wider than a patch that is 0.177 in across when it is finished.');
        SewableSizes::ensure(Face::of(BlockFile::read(['finished' => ['width' => '1', 'height' => '1'], 'seam_allowance' => '3/16', 'columns' => ['1', '3'], 'rows' => ['1', '3']] + Blocks::file('hAB pA', 'pA pB'))));
    }

    /** @return array<string, array{\Closure(array<string, mixed>): array<string, mixed>, string, string}> */
    public static function impossible(): array
    {
        $with = static fn (string $path, mixed $value): \Closure => static function (array $file) use ($path, $value): array {
            $at = &$file;
            foreach (explode('/', $path) as $step) {
                $at = &$at[$step];
            }
            $at = $value;

            return $file;
        };

        return [
            'a hole' => [static fn (array $file): array => array_merge($file, ['cells' => array_slice($file['cells'], 1)]), '/cells', 'Row 1, column 1 is empty'],
            'two in one place' => [$with('cells/1/column', 1), '/cells/1', 'filled twice'],
            'past the grid' => [$with('cells/3/row_span', 2), '/cells/3', 'reaches past the grid'],
            'unknown unit' => [$with('cells/0/unit', 'kite'), '/cells/0/unit', '"kite" is not a unit. Use one of'],
            'unknown fabric' => [$with('cells/0/fabrics', ['Z']), '/cells/0/fabrics/0', 'no fabric "Z"'],
            'too few fabrics' => [$with('cells/1/fabrics', ['A']), '/cells/1/fabrics', 'takes 2 fabrics but 1'],
            'a turn of 45' => [$with('cells/0/turn', 45), '/cells/0/turn', '0, 90, 180 or 270'],
            'no length' => [$with('finished/width', 'wide'), '/finished/width', '"wide" is not a length'],
            'no width' => [$with('columns/1', '0'), '/columns/1', 'above zero'],
            'two fabrics of one key' => [$with('fabrics/1/key', 'A'), '/fabrics/1/key', 'Two fabrics have the key "A"'],
            'no colour' => [$with('fabrics/1/color', 'blue'), '/fabrics/1/color', '"blue" is not a colour'],
            'another version' => [$with('version', 2), '/version', 'version 1'],
            'a grid without cells' => [$with('cells/0/unit', 'grid'), '/cells/0/columns', 'must be a list'],
            'too fine together' => [$with('finished', ['width' => '4 1/9967', 'height' => '4 1/9973']), '', 'no common step'],
        ];
    }

    /** @param \Closure(array<string, mixed>): array<string, mixed> $spoil */
    #[DataProvider('impossible')]
    public function test_an_impossible_block_is_refused_with_its_place(\Closure $spoil, string $where, string $words): void
    {
        try {
            Face::of(BlockFile::read($spoil(Blocks::file('pA hAB', 'pA pB'))));
            self::fail('It was taken.');
        } catch (KeenSeamProblem $problem) {
            self::assertSame($where, $problem->where());
            self::assertStringContainsString($words, $problem->getMessage());
        }
    }

    public function test_nesting_and_number_of_cells_are_bounded(): void
    {
        $cell = ['row' => 1, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['A']];
        for ($i = 0; $i < 200; ++$i) {
            $cell = ['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1'], 'rows' => ['1'], 'cells' => [$cell]];
        }
        $file = Blocks::file('pA');
        $file['cells'] = [$cell];

        $this->expectException(BlockNotPossible::class);
        $this->expectExceptionMessage('nested more than');
        BlockFile::read($file);
    }

    private static function assertTiled(Face $face, string $message): void
    {
        $area = 0;
        foreach ($face->patches as $i => $patch) {
            $area += $patch->outline->areaDoubled();
            foreach (array_slice($face->patches, $i + 1) as $other) {
                self::assertFalse($patch->outline->overlaps($other->outline), "$message: patches overlap");
            }
        }
        self::assertSame($face->outline()->areaDoubled(), $area, "$message: areas add up");
    }

    /**
     * @param list<string> $patches
     *
     * @return list<string>
     */
    private static function sortedCorners(array $patches): array
    {
        return array_map(static function (string $patch): string {
            [$fabric, $corners] = explode(' ', $patch, 2);
            $corners = explode(' ', $corners);
            sort($corners);

            return $fabric.' '.implode(' ', $corners);
        }, $patches);
    }
}
