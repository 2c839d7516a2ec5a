<?php

declare(strict_types=1);

namespace Tests\Core\Block;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\KeenSeamProblem;
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
