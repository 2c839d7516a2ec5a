<?php

declare(strict_types=1);

namespace App\House;

use KeenSeam\Core\Measure\LengthUnit;

/** The paper that sheets are made for. */
enum Paper: string
{
    case Letter = 'letter';
    case A4 = 'a4';

    public static function usualWith(LengthUnit $unit): self
    {
        return $unit === LengthUnit::Inch ? self::Letter : self::A4;
    }
}
