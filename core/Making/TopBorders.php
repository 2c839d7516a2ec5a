<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;
use KeenSeam\Core\Top\Border;
use KeenSeam\Core\Top\Top;

/**
 * The strips of a top's borders as they are planned: sides first, then top and bottom, from the inside out. Each is cut to
 * what the top really measures through its middle when it comes to that.
 */
final class TopBorders
{
    /**
     * @return list<array{Piece, int, string}> what is cut, how many of it, and for which border
     */
    public static function pieces(Top $top): array
    {
        [$width, $height] = $top->hanging();
        $seams = Surd::of($top->allowance->times(2)->in($top->unit));
        $pieces = [];
        foreach ($top->borders as $number => $border) {
            $for = 'border '.($number + 1);
            $strip = $border->width->in($top->unit);
            $across = $seams->plus(Surd::of($strip));
            $wider = Surd::of($strip->times(Fraction::of(2)));
            $pieces[] = [self::strip($border, $height->plus($seams), $across), 2, $for];
            $pieces[] = [self::strip($border, ($border->corners === null ? $width->plus($wider) : $width)->plus($seams), $across), 2, $for];
            if ($border->corners !== null) {
                $pieces[] = [new Piece($border->corners->key, CutShape::Square, $across, $across, 1, Then::None, $across->whole), 4, $for];
            }
            [$width, $height] = [$width->plus($wider), $height->plus($wider)];
        }

        return $pieces;
    }

    /**
     * The seams by which borders come to the top, two alike of each: the sides first, then top and bottom.
     *
     * @return list<array{border: int, isSide: bool, length: Surd}> borders from 1; finished lengths
     */
    public static function seams(Top $top): array
    {
        [$width, $height] = $top->hanging();
        $seams = [];
        foreach ($top->borders as $number => $border) {
            $wider = Surd::of($border->width->in($top->unit)->times(Fraction::of(2)));
            $seams[] = ['border' => $number + 1, 'isSide' => true, 'length' => $height];
            // Strips with squares at their ends are as long as those that run over the sides.
            $seams[] = ['border' => $number + 1, 'isSide' => false, 'length' => $width->plus($wider)];
            [$width, $height] = [$width->plus($wider), $height->plus($wider)];
        }

        return $seams;
    }

    /**
     * Width and height of the top in its borders, as it hangs; with those of them that are sewn already.
     *
     * @return array{Surd, Surd} finished
     */
    public static function size(Top $top): array
    {
        $more = array_reduce($top->borders, static fn (Fraction $sum, Border $border): Fraction => $sum->plus($border->width->in($top->unit)->times(Fraction::of(2))), Fraction::zero());

        [$width, $height] = $top->hanging();

        return [$width->plus(Surd::of($more)), $height->plus(Surd::of($more))];
    }

    private static function strip(Border $border, Surd $length, Surd $across): Piece
    {
        return new Piece($border->fabric->key, CutShape::Rectangle, $length, $across, 1, Then::None, $across->whole);
    }
}
