<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** A piece that no ruler and no fabric gives, whatever the quilter answers; the seams may still be sewn. */
class PieceNotPossible extends CutNotPossible
{
    public static function tooSmall(string $what, Fraction $side, Fraction $least, LengthUnit $unit): self
    {
        return new self(sprintf('A %s here is only %s %s finished; nothing under %s %s can be cut and sewn. Make the block larger, or its units fewer.', $what, $side->toText(), $unit->value, $least->toText(), $unit->value), '/finished');
    }

    public static function allowanceTooLarge(Fraction $allowance, Fraction $side, LengthUnit $unit): self
    {
        return new self(sprintf('The seam allowance of %s %s is larger than a patch that is %s %s. Make the allowance smaller, or the block larger.', $allowance->toText(), $unit->value, $side->toText(), $unit->value), '/seam_allowance');
    }
}
