<?php

declare(strict_types=1);

namespace App\BlockFiles;

use KeenSeam\Core\KeenSeamProblem;

/** A file that is not JSON at all, or JSON that does not have the shape of a block file. */
final class FileNotReadable extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function missing(string $path): self
    {
        return new self(sprintf('There is no file "%s" to read. Give the path of a block file.', mb_substr($path, 0, 120)), '');
    }

    public static function tooLarge(int $bytes, int $most): self
    {
        return new self(sprintf('The file has %d KB; a block file has at most %d KB. Choose another file.', intdiv($bytes, 1024), intdiv($most, 1024)), '');
    }

    public static function notJson(string $reason): self
    {
        return new self(sprintf('The file is not JSON (%s). Choose a file that was exported as a block.', lcfirst($reason)), '');
    }

    public static function tooDeep(int $grids): self
    {
        return new self(sprintf('Grids are nested too deep in this file, more than %d deep. Put fewer grids inside one another.', $grids), '');
    }

    public static function notAnObject(): self
    {
        return new self('The file holds no block. Choose a file that was exported as a block.', '');
    }

    public static function keyTwice(string $key): self
    {
        return new self(sprintf('The file says "%s" twice in one place. Keep one of the two.', mb_substr($key, 0, 40)), '');
    }

    public static function shape(string $sentence, string $where): self
    {
        return new self($sentence, $where);
    }

    public function problemCode(): string
    {
        return 'file-not-readable';
    }

    public function where(): string
    {
        return $this->where;
    }
}
