<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

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

    /** @param float $width of a patch across its narrowest way, in the unit */
    public static function allowanceTooLarge(Length $allowance, float $width, LengthUnit $unit): self
    {
        return new self(sprintf(
            'The seam allowance, %s %s, is wider than a patch that is %s %s across when it is finished. Make the allowance smaller, or the patch wider.',
            $allowance->toText($unit),
            $unit->value,
            rtrim(rtrim(number_format($width, 3, '.', ''), '0'), '.'),
            $unit->value,
        ), '/seam_allowance');
    }

    public static function allSeam(Length $allowance, LengthUnit $unit): self
    {
        return new self(sprintf(
            'With a seam allowance of %s %s a block this small is mostly seam. Make the block larger, or the allowance smaller.',
            $allowance->toText($unit),
            $unit->value,
        ), '/finished');
    }

    public static function tooLargeABlock(Length $side, Length $most, LengthUnit $unit, string $where): self
    {
        return new self(sprintf('%s %s is larger than any top, which is at most %s %s. Make it smaller%s.', $side->toText($unit), $unit->value, $most->toText($unit), $unit->value, $unit === LengthUnit::Inch ? ', or set "units" to "mm" if these are millimetres' : ''), $where);
    }

    public static function noName(string $field, string $where): self
    {
        return new self(sprintf('"%s" at %s is blank. Write a name.', $field, $where), $where);
    }

    public static function unseenCharacter(string $field, string $where): self
    {
        return new self(sprintf('"%s" at %s holds a character that cannot be seen or printed. Write it again.', $field, $where), $where);
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
