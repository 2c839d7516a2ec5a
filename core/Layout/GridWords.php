<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** What rows and columns come to, said before there is a block. */
final class GridWords
{
    /**
     * "4 columns of 3 in", "3 columns: 3, 6 and 3 in".
     *
     * @param non-empty-list<Fraction> $shares relative widths
     * @param Length                   $whole  finished
     */
    public static function of(Axis $axis, array $shares, Length $whole, LengthUnit $unit): string
    {
        $sum = OpenGrid::sum($shares);
        $sizes = array_map(static fn (Fraction $share): string => $whole->in($unit)->times($share)->dividedBy($sum)->toText(), $shares);
        $name = count($sizes) === 1 ? '1 '.$axis->one() : count($sizes).' '.$axis->value;
        if (count(array_unique($sizes)) === 1) {
            return sprintf('%s of %s %s', $name, $sizes[0], $unit->value);
        }
        $last = array_pop($sizes);

        return sprintf('%s: %s and %s %s', $name, implode(', ', $sizes), $last, $unit->value);
    }
}
