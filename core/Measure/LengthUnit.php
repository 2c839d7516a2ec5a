<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

/** What a bare number means. An inch is exactly 25.4 mm (international yard and pound agreement, 1959). */
enum LengthUnit: string
{
    case Inch = 'in';
    case Millimetre = 'mm';

    /** How many inches one of this unit is. */
    public function inInches(): Fraction
    {
        return match ($this) {
            self::Inch => Fraction::of(1),
            self::Millimetre => Fraction::of(5, 127),
        };
    }
}
