<?php

declare(strict_types=1);

namespace App\BlockFiles;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\KeenSeamProblem;

/** From the text of a block file to a block: JSON, then the schema, then the rules of the trade. */
final readonly class BlockFileReader
{
    private const MOST_BYTES = 2 * 1024 * 1024;

    /** Grids nest two levels of JSON each; deeper text is refused before it is looked at. */
    private const DEEPEST_JSON = 64;

    public function __construct(private BlockSchema $schema) {}

    /**
     * A file that was read before and is kept since: its form need not be checked again.
     *
     * @throws KeenSeamProblem when an earlier version kept what this one does not take, or the file is damaged
     */
    public function readAgain(string $text): Block
    {
        try {
            $decoded = json_decode(self::withoutMark($text), true, self::DEEPEST_JSON, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw FileNotReadable::notJson($exception->getMessage());
        }

        return BlockFile::read(is_array($decoded) ? $decoded : []);
    }

    /** @throws KeenSeamProblem */
    public function read(string $text): Block
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw FileNotReadable::tooLarge(strlen($text), self::MOST_BYTES);
        }
        $text = self::withoutMark($text);
        try {
            $data = json_decode($text, false, self::DEEPEST_JSON, JSON_THROW_ON_ERROR);
            $decoded = json_decode($text, true, self::DEEPEST_JSON, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw $exception->getCode() === JSON_ERROR_DEPTH ? FileNotReadable::tooDeep(BlockFile::DEEPEST_NESTING) : FileNotReadable::notJson($exception->getMessage());
        }
        $twice = DuplicateKeys::first($text);
        if ($twice !== null) {
            throw FileNotReadable::keyTwice($twice);
        }
        if (! is_object($data) || ! is_array($decoded)) {
            throw FileNotReadable::notAnObject();
        }
        $this->schema->ensure($data);

        return BlockFile::read($decoded);
    }

    /** A byte order mark is common in files saved by hand. */
    private static function withoutMark(string $text): string
    {
        return str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
    }
}
