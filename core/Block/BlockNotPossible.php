<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;

/** A block description that reads well but cannot be a block. */
final class BlockNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function because(string $sentence, string $where): self
    {
        return new self($sentence, $where);
    }

    public static function placeEmpty(int $row, int $column, string $where): self
    {
        return new self(sprintf('Row %d, column %d is empty. Put a unit there, or a plain patch.', $row, $column), $where);
    }

    public static function placeTakenTwice(int $row, int $column, string $where): self
    {
        return new self(sprintf('Row %d, column %d is filled twice. Keep one of the two cells.', $row, $column), $where);
    }

    public static function cellOutside(Cell $cell, int $rows, int $columns, string $where): self
    {
        return new self(sprintf(
            'The cell at row %d, column %d reaches past the grid of %d rows and %d columns. Move it or make its span smaller.',
            $cell->row,
            $cell->column,
            $rows,
            $columns,
        ), $where);
    }

    public static function unknownFabric(string $key, string $where): self
    {
        return new self(sprintf('There is no fabric "%s". Add it to "fabrics", or use one that is there.', $key), $where);
    }

    public static function fabricCount(string $kind, int $needed, int $given, string $where): self
    {
        return new self(sprintf('A %s takes %d fabrics but %d are given. List one fabric a patch.', $kind, $needed, $given), $where);
    }

    public static function cornerTooLarge(Corner $corner, Fraction $leg, Fraction $side, string $where): self
    {
        return new self(sprintf(
            'The %s corner has a leg of %s, but the side it lies on is only %s. Make the corner smaller.',
            $corner->words(),
            $leg->toText(),
            $side->toText(),
        ), $where.'/'.$corner->value);
    }

    public static function cornersOverlap(Corner $a, Corner $b, string $where): self
    {
        return new self(sprintf('The %s and the %s corner overlap. Make one of them smaller.', $a->words(), $b->words()), $where.'/'.$b->value);
    }

    public static function tooMany(string $what, int $limit, string $where): self
    {
        return new self(sprintf('There are more than %d %s. Split the work into smaller blocks.', $limit, $what), $where);
    }

    public function problemCode(): string
    {
        return 'block-not-possible';
    }

    public function where(): string
    {
        return $this->where;
    }
}
