<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\KeenSeamProblem;

/** A pattern's cutting list with a line nobody can read. */
final class PatternNotReadable extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function line(int $number, string $line): self
    {
        return new self(sprintf('Line %d, "%s", is no fabric, size and count. Write it like "Harbour ink, 2 7/8, 6".', $number, mb_substr(trim($line), 0, 60)), '/lines/'.$number);
    }

    public static function then(int $number, string $then): self
    {
        return new self(sprintf('Line %d ends with "%s". Write "cut once" or "cut twice", or leave it out.', $number, mb_substr($then, 0, 40)), '/lines/'.$number);
    }

    public static function size(int $number, string $size): self
    {
        return new self(sprintf('"%s" in line %d is no size. Write it like 2 7/8, or 2 1/2 x 4 1/2.', mb_substr($size, 0, 40), $number), '/lines/'.$number);
    }

    public static function nothing(): self
    {
        return new self('There is no line in this list. Write one for every piece, like "Harbour ink, 2 7/8, 6".', '/lines');
    }

    public static function noText(): self
    {
        return new self('This is no list of text. Write a line for every piece, like "Harbour ink, 2 7/8, 6".', '/lines');
    }

    public static function tooLong(int $most): self
    {
        return new self(sprintf('This list has more than %d lines. Check a part of it at a time.', $most), '/lines');
    }

    public function problemCode(): string
    {
        return 'pattern-not-readable';
    }

    public function where(): string
    {
        return $this->where;
    }
}
