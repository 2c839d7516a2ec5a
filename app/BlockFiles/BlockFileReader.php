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

    /** A file that was read before and is kept since: its form need not be checked again. */
    public function readAgain(string $text): Block
    {
        $decoded = json_decode($text, true, self::DEEPEST_JSON, JSON_THROW_ON_ERROR);

        return BlockFile::read(is_array($decoded) ? $decoded : []);
    }

    /** @throws KeenSeamProblem */
    public function read(string $text): Block
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw FileNotReadable::tooLarge(strlen($text), self::MOST_BYTES);
        }
        // A byte order mark is common in files saved by hand.
        $text = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        try {
            $data = json_decode($text, false, self::DEEPEST_JSON, JSON_THROW_ON_ERROR);
            $decoded = json_decode($text, true, self::DEEPEST_JSON, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw $exception->getCode() === JSON_ERROR_DEPTH ? FileNotReadable::tooDeep(BlockFile::DEEPEST_NESTING) : FileNotReadable::notJson($exception->getMessage());
        }
        if (! is_object($data) || ! is_array($decoded)) {
            throw FileNotReadable::notAnObject();
        }
        $this->schema->ensure($data);

        return BlockFile::read($decoded);
    }
}
