<?php

declare(strict_types=1);

namespace Tests\Core\Block;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Fields;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** What a block file may just hold is taken, and the next larger thing is refused with its place and its reason. */
final class FileLimitsTest extends TestCase
{
    private const PLAIN = ['unit' => 'plain', 'fabrics' => ['A']];

    /** @return iterable<string, array{array<string, mixed>, string|null, string}> fields of the file; null where it is taken */
    public static function limits(): iterable
    {
        yield '4096 cells' => [self::field(64, 64), null, ''];
        $grid = ['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => [['row' => 1, 'column' => 1] + self::PLAIN, ['row' => 1, 'column' => 2] + self::PLAIN]];
        $nested = static fn (int $rows): array => ['cells' => [$grid, ...array_slice(self::field($rows, 64)['cells'], 1)]] + self::field($rows, 64);
        yield 'no cell more in a grid' => [$nested(64), '/cells', 'There are more than 4096 cells. Split the work into smaller blocks.'];
        yield 'a grid and its cells among them' => [$nested(63), null, ''];
        yield '65 columns' => [self::field(1, 65), '/columns', 'There are more than 64 columns.'];
        yield '65 rows' => [self::field(65, 1), '/rows', 'There are more than 64 rows.'];
        yield '12 grids inside each other' => [['cells' => [self::nested(12)]], null, ''];
        yield '13 grids inside each other' => [['cells' => [self::nested(13)]], '/cells/0'.str_repeat('/cells/0', 12), 'Grids are nested more than 12 deep here.'];
        yield '144 in wide' => [['finished' => ['width' => '144', 'height' => '144']], null, ''];
        yield 'wider' => [['finished' => ['width' => '144 1/8', 'height' => '4']], '/finished/width', '144 1/8 in is larger than any top, which is at most 144 in. Make it smaller, or set "units" to "mm" if these are millimetres.'];
        yield 'higher' => [['finished' => ['width' => '4', 'height' => '145']], '/finished/height', '145 in is larger than any top'];
        $metric = static fn (string $width): array => ['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => $width, 'height' => '3660']];
        yield '3660 mm wide' => [$metric('3660'), null, ''];
        yield 'wider in millimetres' => [$metric('3661'), '/finished/width', '3661 mm is larger than any top, which is at most 3660 mm. Make it smaller.'];
        yield 'another format' => [['format' => 'somebody/block'], '/format', 'This is not a Keen Seam block file.'];
        yield 'no number as a format' => [['format' => 7], '/format', '"format" at /format must be a text.'];
        yield 'a long colour' => [['fabrics' => [['key' => 'A', 'name' => 'x', 'color' => str_repeat('0123456789', 3), 'value' => 'light']]], '/fabrics/0/color', '"01234567890123456789" is not a colour.'];
        yield 'a place past any grid' => [['cells' => [['row' => 4097, 'column' => 1] + self::PLAIN]], '/cells/0/row', '"row" is larger than any grid. Count rows and columns from 1.'];
        yield 'a place past this grid' => [['cells' => [['row' => 1, 'column' => 4096] + self::PLAIN]], '/cells/0', 'The cell at row 1, column 4096 reaches past the grid of 1 rows and 1 columns.'];
        yield 'a place before the first' => [['cells' => [['row' => 0, 'column' => 1] + self::PLAIN]], '/cells/0/row', '"row" at /cells/0/row must be a whole number from 1 up.'];
        yield 'a place in words' => [['cells' => [['row' => '1', 'column' => 1] + self::PLAIN]], '/cells/0/row', 'must be a whole number.'];
        yield 'a long unit' => [['cells' => [['row' => 1, 'column' => 1, 'unit' => str_repeat('kite ', 10)]]], '/cells/0/unit', '"'.str_repeat('kite ', 8).'" is not a unit.'];
        yield 'a long key' => [['cells' => [['row' => 1, 'column' => 1, 'unit' => 'plain', 'fabrics' => [str_repeat('K', 30)]]]], '/cells/0/fabrics/0', 'There is no fabric "'.str_repeat('K', 20).'".'];
        $half = ['fabric' => 'A', 'points' => [['0', '0'], ['1', '0'], ['0', '1']]];
        $drawn = static fn (array $patch): array => ['cells' => [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [$half, $patch]]]];
        yield 'a long key of a patch' => [$drawn(['fabric' => str_repeat('K', 30)] + $half), '/cells/0/patches/1/fabric', 'There is no fabric "'.str_repeat('K', 20).'".'];
        foreach (['one text' => ['1'], 'three texts' => ['1', '0', '1'], 'a number across' => [1, '0'], 'a number down' => ['1', 0]] as $what => $corner) {
            yield "a corner of $what" => [$drawn(['fabric' => 'A', 'points' => [$corner, ['1', '1'], ['0', '1']]]), '/cells/0/patches/1/points/0', 'A corner of a patch is two texts, like ["0", "1/2"].'];
        }
        yield 'a share in words' => [$drawn(['fabric' => 'A', 'points' => [['1', '0'], ['1', str_repeat('far ', 20)], ['0', '1']]]), '/cells/0/patches/1/points/1/1', '"'.str_repeat('far ', 10).'" is not a fraction of the cell.'];
        yield 'a patch that reaches out' => [$drawn(['fabric' => 'A', 'points' => [['1', '0'], ['9/8', '1'], ['0', '1']]]), '/cells/0/patches/1/points/1', 'Patch 2 reaches out of its cell.'];
        yield 'a patch with a dent' => [$drawn(['fabric' => 'A', 'points' => [['1', '0'], ['1', '1'], ['3/4', '3/4'], ['0', '1']]]), '/cells/0/patches/1/points', 'Patch 2'];
        yield '401 patches' => [['cells' => [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_fill(0, 401, $half)]]], '/cells/0/patches', 'There are more than 400 patches in one unit.'];
        yield '400 patches, all in one place' => [['cells' => [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_fill(0, 400, $half)]]], '/cells/0/patches/1', 'Patches 1 and 2 overlap.'];
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('limits')]
    public function test_a_file_is_taken_up_to_its_limits(array $fields, ?string $where, string $words): void
    {
        try {
            BlockFile::read($fields + Blocks::file('pA'));
            self::assertNull($where, 'It was taken.');
        } catch (KeenSeamProblem $problem) {
            self::assertSame($where, $problem->where());
            self::assertStringContainsString($words, $problem->getMessage());
        }
    }

    public function test_what_a_file_must_say_is_missed(): void
    {
        foreach (['format' => 'This is not a Keen Seam block file.', 'version' => 'This block file has another version.', 'units' => '"units" at /units must be a text.'] as $field => $words) {
            try {
                BlockFile::read(array_diff_key(Blocks::file('pA'), [$field => true]));
                self::fail("It was taken without $field.");
            } catch (KeenSeamProblem $problem) {
                self::assertSame('/'.$field, $problem->where());
                self::assertStringContainsString($words, $problem->getMessage());
            }
        }
    }

    public function test_every_empty_place_of_a_grid_is_found(): void
    {
        $file = Blocks::file('pA pB pA', 'pB pA pB');
        for ($gone = 0; $gone < 6; ++$gone) {
            try {
                BlockFile::read(['cells' => array_values(array_diff_key($file['cells'], [$gone => true]))] + $file);
                self::fail('A hole was taken.');
            } catch (KeenSeamProblem $problem) {
                self::assertStringContainsString(sprintf('Row %d, column %d is empty.', intdiv($gone, 3) + 1, $gone % 3 + 1), $problem->getMessage());
            }
        }
    }

    public function test_as_many_patches_as_a_top_has_and_no_more(): void
    {
        $file = self::field(40, 60) + Blocks::file('pA');
        foreach ($file['cells'] as $i => $cell) {
            $file['cells'][$i] = ['unit' => 'square-in-square', 'fabrics' => ['A', 'B', 'B', 'B', 'B']] + $cell;
        }
        self::assertCount(12_000, Face::of(BlockFile::read($file))->patches);

        $file['cells'][7] = ['unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => [['row' => 1, 'column' => 1, 'unit' => 'square-in-square', 'fabrics' => ['A', 'B', 'B', 'B', 'B']], ['row' => 1, 'column' => 2] + self::PLAIN]] + $file['cells'][7];
        $this->expectExceptionMessage('There are more than 12000 patches.');
        Face::of(BlockFile::read($file));
    }

    /** Some programs close an outline with its first corner, or write one twice. */
    public function test_a_corner_that_is_written_twice_counts_once(): void
    {
        foreach ([[0, 1, 2, 0], [0, 0, 1, 2], [0, 1, 1, 2], [0, 1, 2, 2]] as $order) {
            $corners = array_map(static fn (int $i): array => [['0', '0'], ['1', '0'], ['0', '1']][$i], $order);
            $unit = BlockFile::read(['cells' => [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [['fabric' => 'A', 'points' => $corners], ['fabric' => 'B', 'points' => [['1', '0'], ['1', '1'], ['0', '1']]]]]]] + Blocks::file('pA'))->grid->cells[0]->unit;
            self::assertInstanceOf(PatchesUnit::class, $unit);
            self::assertCount(3, $unit->pieces[0][1]);
        }
    }

    public function test_cells_fabrics_and_blocks_are_read_alone_as_in_a_file(): void
    {
        $file = Blocks::file('hAB90 pA', 'pB gABB180m');
        $block = BlockFile::read($file);

        self::assertEquals($block->grid->cells, BlockFile::cells($file['cells'], $block));
        self::assertEquals($block->fabrics, BlockFile::fabricsOfFile(new Fields($file)));
        self::assertEquals($block, BlockFile::embedded(new Fields($file), $block->name, LengthUnit::Inch, Length::parse('1/4'), $block->fabrics));
        // As deep as in a block of their own.
        BlockFile::cells([self::nested(12)], $block);
        BlockFile::embedded(new Fields(['cells' => [self::nested(12)]] + Blocks::file('pA')), 'x', LengthUnit::Inch, Length::parse('1/4'), $block->fabrics);
        $this->expectExceptionMessage('Grids are nested more than 12 deep here.');
        BlockFile::cells([self::nested(13)], $block);
    }

    public function test_a_list_may_be_empty_where_nothing_needs_to_be_in_it(): void
    {
        $fields = new Fields(['none' => [], 'one' => [['a' => 1]]]);

        self::assertSame([], $fields->entries('none'));
        self::assertSame([1], array_map(static fn (Fields $entry): int => $entry->count('a'), $fields->entries('one')));
        $this->expectExceptionMessage('"missing" at /missing must be a list');
        $fields->entries('missing');
    }

    /** @return array{columns: list<string>, rows: list<string>, cells: list<array<string, mixed>>} plain cells */
    private static function field(int $rows, int $columns): array
    {
        $cells = [];
        for ($i = 0; $i < $rows * $columns; ++$i) {
            $cells[] = ['row' => intdiv($i, $columns) + 1, 'column' => $i % $columns + 1] + self::PLAIN;
        }

        return ['columns' => array_fill(0, $columns, '1'), 'rows' => array_fill(0, $rows, '1'), 'cells' => $cells];
    }

    /** @return array<string, mixed> a cell of so many grids inside each other */
    private static function nested(int $depth): array
    {
        return ['row' => 1, 'column' => 1] + ($depth === 0 ? self::PLAIN : ['unit' => 'grid', 'columns' => ['1'], 'rows' => ['1'], 'cells' => [self::nested($depth - 1)]]);
    }
}
