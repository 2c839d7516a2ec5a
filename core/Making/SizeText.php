<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;

/** How a size is written: one length for a square, else width by height. */
final class SizeText
{
    public static function of(Fraction $width, Fraction $height): string
    {
        return $width->equals($height) ? $width->toText() : $width->toText().' x '.$height->toText();
    }
}
