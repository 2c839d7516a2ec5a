<?php

declare(strict_types=1);

namespace App\BlockFiles;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFile;

/** From the text of a block file to a block: JSON, then the schema, then the rules of the trade. */
final readonly class BlockFileReader
{
    private const MOST_BYTES = 2 * 1024 * 1024;

    private const MOST_OBJECTS_OF_A_CELL = 20;

    /** Cells of blocks and places of the top together. */
    private const MOST_ROWS_OF_TOP = 2 * BlockFile::MOST_CELLS;

    /** Grids nest two levels of JSON each; deeper text is refused before it is looked at. */
    private const DEEPEST_JSON = 64;

    /** Orders of a quilter's own nest a level for every part that is sewn to the ones before. */
    private const DEEPEST_ORDER = 4200;

    public function __construct(private BlockSchema $schema) {}

    /**
     * A file that was read before and is kept since: its form need not be checked again.
     *
     * @throws KeenSeamProblem when an earlier version kept what this one does not take, or the file is damaged
     */
    public function readAgain(string $text): Block
    {
        try {
            $decoded = json_decode(self::withoutMark($text), true, self::DEEPEST_ORDER, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw FileNotReadable::notJson($exception->getMessage());
        }

        return BlockFile::read(is_array($decoded) ? $decoded : []);
    }

    /** @throws KeenSeamProblem */
    public function read(string $text): Block
    {
        return $this->readWithPlan($text)[0];
    }

    /**
     * @return array{Block, FilePlan} the block, and what the file keeps of its sewing, pressing and making
     *
     * @throws KeenSeamProblem
     */
    public function readWithPlan(string $text): array
    {
        $decoded = $this->checked($text, BlockSchema::FILE);

        return [BlockFile::read($decoded), FilePlan::read(is_array($decoded['plan'] ?? null) ? $decoded['plan'] : [])];
    }

    /**
     * A top file.
     *
     * @throws KeenSeamProblem
     */
    public function readTop(string $text): Top
    {
        return TopFile::read($this->checked($text, BlockSchema::TOP_FILE));
    }

    /** Whether a text says of itself that it is a top; whether it is a good one is another thing. */
    public static function saysTop(string $text): bool
    {
        return preg_match('~"format"\s*:\s*"keen-seam(?:/|\\\\/)top"~', $text) === 1;
    }

    /**
     * @return array<array-key, mixed> the file's JSON, which has the form of its schema
     *
     * @throws KeenSeamProblem
     */
    private function checked(string $text, string $file): array
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw FileNotReadable::tooLarge(strlen($text), self::MOST_BYTES);
        }
        $text = self::withoutMark($text);
        self::ensureCount($text, $file === BlockSchema::FILE ? BlockFile::MOST_CELLS : self::MOST_ROWS_OF_TOP);
        try {
            $data = json_decode($text, false, self::DEEPEST_ORDER, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw $exception->getCode() === JSON_ERROR_DEPTH ? FileNotReadable::tooDeep(BlockFile::DEEPEST_NESTING) : FileNotReadable::notJson($exception->getMessage());
        }
        if (! is_object($data)) {
            throw FileNotReadable::notAnObject();
        }
        if (self::isDeeper($data, self::DEEPEST_JSON)) {
            throw FileNotReadable::tooDeep(BlockFile::DEEPEST_NESTING);
        }
        $this->schema->ensure($data, $file);
        unset($data);
        $twice = DuplicateKeys::first($text);
        if ($twice !== null) {
            throw FileNotReadable::keyTwice($twice);
        }
        $decoded = json_decode($text, true, self::DEEPEST_ORDER, JSON_THROW_ON_ERROR);

        return is_array($decoded) ? $decoded : [];
    }

    /** Whether anything but an order of one's own is nested deeper. */
    private static function isDeeper(mixed $data, int $levels): bool
    {
        if (! is_object($data) && ! is_array($data)) {
            return false;
        }
        foreach ($levels === 0 ? [] : (array) $data as $key => $inner) {
            if ($key !== 'sew' && self::isDeeper($inner, $levels - 1)) {
                return true;
            }
        }

        return $levels === 0;
    }

    /** Refuses at a glance what would take seconds to be refused in full: each cell says its row and opens few objects. */
    private static function ensureCount(string $text, int $most): void
    {
        $isTooMany = substr_count($text, '{') > self::MOST_OBJECTS_OF_A_CELL * $most || preg_match_all('~"row"\s*:~', $text) > $most;
        if ($isTooMany) {
            throw BlockNotPossible::tooMany('cells', $most, '/cells');
        }
    }

    /** A byte order mark is common in files saved by hand. */
    private static function withoutMark(string $text): string
    {
        return str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
    }
}
