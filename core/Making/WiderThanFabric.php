<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** A piece that is too long for its fabric; of a smaller block it might be cut. */
final class WiderThanFabric extends PieceNotPossible
{
    public static function piece(string $fabric, Fraction $piece, Fraction $width, LengthUnit $unit): self
    {
        return new self(sprintf('A piece of %s is %s %s long, but the fabric is only %s %s wide. Choose another way to make its unit, or wider fabric.', $fabric, $piece->toText(), $unit->value, $width->toText(), $unit->value), '/width');
    }
}
