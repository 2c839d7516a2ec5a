<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\KeenSeamProblem;

/** A top that reads well but cannot be sewn so. */
final class TopNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function because(string $sentence, string $where): self
    {
        return new self($sentence, $where);
    }

    public static function differentSizes(Design $first, Design $other, string $where): self
    {
        return new self(sprintf(
            'Block "%s" finishes %s and block "%s" %s. All blocks of a top are of one size: change one of the two, or add a border to the smaller.',
            $first->key,
            self::size($first),
            $other->key,
            self::size($other),
        ), $where);
    }

    public static function notSquare(Design $design, string $where): self
    {
        return new self(sprintf('Block "%s" finishes %s. On point only square blocks fit: use a square one, or set the top straight.', $design->key, self::size($design)), $where);
    }

    public static function turnedOblong(Design $design, string $where): self
    {
        return new self(sprintf('Block "%s" finishes %s and does not fit its place after a quarter turn. Turn it by 0 or 180.', $design->key, self::size($design)), $where);
    }

    public static function placeOutside(string $place, string $least, string $rows, string $columns, string $where): self
    {
        return new self(sprintf('%s is outside the top, which has rows %s to %s and columns %s to %s. Move it or take it away.', ucfirst($place), $least, $rows, $least, $columns), $where);
    }

    public static function placeTakenTwice(string $place, string $where): self
    {
        return new self(sprintf('%s is filled twice. Keep one of the two.', ucfirst($place)), $where);
    }

    public static function unknownBlock(string $key, string $where): self
    {
        return new self(sprintf('There is no block "%s" in "blocks". Add it, or use one that is there.', $key), $where);
    }

    private static function size(Design $design): string
    {
        [$block, $unit] = [$design->block, $design->block->unit];

        return sprintf('%s by %s %s', $block->finishedWidth->toText($unit), $block->finishedHeight->toText($unit), $unit->value);
    }

    public function problemCode(): string
    {
        return 'top-not-possible';
    }

    public function where(): string
    {
        return $this->where;
    }
}
