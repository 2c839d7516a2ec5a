<?php

declare(strict_types=1);

namespace App\Shelf;

use App\BlockFiles\BlockDoor;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use KeenSeam\Core\KeenSeamProblem;

/** All that is kept, those blocks too that are off the shelf, as one file; and that file brought back. */
final readonly class Everything
{
    public const FORMAT = 'keen-seam/everything';

    private const VERSION = 1;

    private const DEEPEST_JSON = 16;

    private const BLOCKS = 'shelf_blocks';

    /** Rows that belong to a block, by its number. */
    private const OF_BLOCKS = ['block_edits', 'work_events'];

    private const ALONE = ['swatches', 'seam_tests', 'habits', 'own_units', 'shelf_tops'];

    /** Tables that files of before do not have. */
    private const ADDED = ['own_units', 'shelf_tops'];

    public function __construct(private BlockDoor $door) {}

    public static function toText(): string
    {
        return DB::transaction(static function (): string {
            $tables = [];
            foreach ([self::BLOCKS, ...self::OF_BLOCKS, ...self::ALONE] as $table) {
                $tables[$table] = DB::table($table)->get()->map(static fn (object $row): array => self::written($table, (array) $row))->all();
            }

            return self::encoded(['format' => self::FORMAT, 'version' => self::VERSION, 'kept_at' => gmdate('Y-m-d\TH:i:s\Z'), 'sum' => self::sum($tables), 'tables' => $tables]);
        });
    }

    /**
     * Puts beside what stands here what does not stand here already: nothing is overwritten, and a second time changes
     * nothing.
     *
     * @return array{brought: list<string>, already: list<string>, refused: list<string>} names of blocks; refused is what cannot be opened
     *
     * @throws EverythingNotReadable
     */
    public function bringBack(string $text): array
    {
        $tables = self::read($text);
        $told = ['brought' => [], 'already' => [], 'refused' => []];
        DB::transaction(function () use ($tables, &$told): void {
            $numbers = [];
            foreach ($tables[self::BLOCKS] as $row) {
                $name = (string) ($row['name'] ?? '');
                $same = $this->same(self::BLOCKS, array_diff_key($row, ['updated_at' => true]));
                try {
                    $this->door->fromText((string) ($row['document'] ?? ''));
                } catch (KeenSeamProblem) {
                    $told['refused'][] = $name;

                    continue;
                }
                if ($same) {
                    $told['already'][] = $name;

                    continue;
                }
                $numbers[(string) ($row['id'] ?? '')] = DB::table(self::BLOCKS)->insertGetId(array_diff_key($row, ['id' => true]));
                $told['brought'][] = $name;
            }
            foreach (self::OF_BLOCKS as $table) {
                foreach ($tables[$table] as $row) {
                    $number = $numbers[(string) ($row['shelf_block_id'] ?? '')] ?? null;
                    if ($number !== null) {
                        // What was done at the machine is in the book once, whichever block it came back with.
                        DB::table($table)->insertOrIgnore(['shelf_block_id' => $number] + array_diff_key($row, ['id' => true]));
                    }
                }
            }
            foreach (self::ALONE as $table) {
                foreach ($tables[$table] as $row) {
                    // The numbers of a top's blocks are others here.
                    if (! $this->same($table, $table === 'shelf_tops' ? array_intersect_key($row, ['name' => true, 'document' => true, 'deleted_at' => true]) : $row)) {
                        DB::table($table)->insertOrIgnore(array_diff_key(self::withBlocks($row, $numbers), ['id' => true]));
                    }
                }
            }
        });

        return $told;
    }

    /**
     * A top with the numbers that its blocks have here; one that is not here is in the top's own file all the same.
     *
     * @param array<string, int|float|string|null> $row
     * @param array<array-key, int>                $numbers new numbers of blocks by those they had
     *
     * @return array<string, int|float|string|null>
     */
    private static function withBlocks(array $row, array $numbers): array
    {
        $blocks = is_string($row['blocks'] ?? null) ? json_decode($row['blocks'], true) : null;
        if (! is_array($blocks)) {
            return $row;
        }
        $here = [];
        foreach ($blocks as $key => $taken) {
            $number = is_array($taken) && is_int($taken['id'] ?? null) ? $numbers[(string) $taken['id']] ?? null : null;
            if ($number !== null) {
                $here[$key] = ['id' => $number] + $taken;
            }
        }

        return ['blocks' => json_encode((object) $here, JSON_THROW_ON_ERROR)] + $row;
    }

    /** @param array<string, int|float|string|null> $row */
    private function same(string $table, array $row): bool
    {
        $query = DB::table($table);
        foreach (array_diff_key($row, ['id' => true, 'image' => true]) as $column => $value) {
            $value === null ? $query->whereNull($column) : $query->where($column, $value);
        }

        return $query->exists();
    }

    /**
     * @return array<string, list<array<string, int|float|string|null>>>
     *
     * @throws EverythingNotReadable
     */
    private static function read(string $text): array
    {
        $file = json_decode($text, true, self::DEEPEST_JSON);
        if (! is_array($file) || ($file['format'] ?? null) !== self::FORMAT || ! is_array($file['tables'] ?? null)) {
            throw EverythingNotReadable::other();
        }
        if (($file['version'] ?? null) !== self::VERSION) {
            throw EverythingNotReadable::version();
        }
        if (($file['sum'] ?? null) !== self::sum($file['tables'])) {
            throw EverythingNotReadable::changed();
        }
        $tables = [];
        foreach ([self::BLOCKS, ...self::OF_BLOCKS, ...self::ALONE] as $table) {
            $columns = array_flip(Schema::getColumnListing($table));
            $tables[$table] = [];
            $rows = $file['tables'][$table] ?? (in_array($table, self::ADDED, true) ? [] : null);
            foreach (is_array($rows) ? $rows : throw EverythingNotReadable::other() as $row) {
                if (! is_array($row) || array_filter($row, static fn (mixed $value): bool => $value !== null && ! is_scalar($value)) !== []) {
                    throw EverythingNotReadable::other();
                }
                if (array_diff_key($row, $columns) !== []) {
                    throw EverythingNotReadable::version();
                }
                if (is_string($row['image'] ?? null)) {
                    $row['image'] = (string) base64_decode($row['image'], true);
                }
                $tables[$table][] = $row;
            }
        }

        return $tables;
    }

    /**
     * @param array<array-key, mixed> $row
     *
     * @return array<array-key, mixed>
     */
    private static function written(string $table, array $row): array
    {
        return $table === 'swatches' ? ['image' => base64_encode(is_string($row['image']) ? $row['image'] : '')] + $row : $row;
    }

    /** @param array<array-key, mixed> $tables */
    private static function sum(array $tables): string
    {
        return hash('sha256', self::encoded($tables));
    }

    /** @param array<array-key, mixed> $what */
    private static function encoded(array $what): string
    {
        return json_encode($what, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
    }
}
