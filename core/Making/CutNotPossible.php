<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** A block that cannot be cut as it was asked. */
final class CutNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function tooSmall(string $what, Fraction $side, Fraction $least, LengthUnit $unit): self
    {
        return new self(sprintf('A %s here is only %s %s finished; nothing under %s %s can be cut and sewn. Make the block larger, or its units fewer.', $what, $side->toText(), $unit->value, $least->toText(), $unit->value), '/finished');
    }

    public static function allowanceTooLarge(Fraction $allowance, Fraction $side, LengthUnit $unit): self
    {
        return new self(sprintf('The seam allowance of %s %s is larger than a patch that is %s %s. Make the allowance smaller, or the block larger.', $allowance->toText(), $unit->value, $side->toText(), $unit->value), '/seam_allowance');
    }

    public static function blocks(int $most): self
    {
        return new self(sprintf('The number of blocks must be from 1 to %d. Correct it.', $most), '/blocks');
    }

    public static function widerThanFabric(string $fabric, Fraction $piece, Fraction $width, LengthUnit $unit): self
    {
        return new self(sprintf('A piece of %s is %s %s long, but the fabric is only %s %s wide. Choose another way to make its unit, or wider fabric.', $fabric, $piece->toText(), $unit->value, $width->toText(), $unit->value), '/width');
    }

    /** @param list<string> $offered */
    public static function unknownWay(string $way, string $label, array $offered): self
    {
        return new self(sprintf('There is no way "%s" to make %s. Choose one of these: %s.', mb_substr($way, 0, 40), $label, implode(', ', $offered)), '/ways/'.$label);
    }

    /** @param list<string> $labels */
    public static function unknownUnit(string $label, array $labels): self
    {
        return new self(sprintf('This block has no unit "%s". %s', mb_substr($label, 0, 40), $labels === [] ? 'It has only plain patches.' : 'Choose one of these: '.implode(', ', array_slice($labels, 0, 40)).'.'), '/ways');
    }

    /** @param list<string> $letters */
    public static function unknownStack(string $letter, array $letters): self
    {
        return new self(sprintf('This block has no stack "%s". Choose one of these: %s.', mb_substr($letter, 0, 40), implode(', ', array_slice($letters, 0, 40))), '/stacks');
    }

    public function problemCode(): string
    {
        return 'cut-not-possible';
    }

    public function where(): string
    {
        return $this->where;
    }
}
