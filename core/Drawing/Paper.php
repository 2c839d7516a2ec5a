<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

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

    /**
     * ISO 216; letter is 8 1/2 by 11 inches (ANSI/ASME Y14.1, A).
     *
     * @return array{float, float} width and height in millimetres
     */
    public function size(): array
    {
        return $this === self::Letter ? [215.9, 279.4] : [210.0, 297.0];
    }
}
