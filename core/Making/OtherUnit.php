<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** A block measured in the other unit of length: as large as it is, or as large as one would have made it there. */
final class OtherUnit
{
    /** A size that is handy may be larger or smaller by one in so many. */
    private const MOST_CHANGED = 16;

    /** The same lengths, written in the other unit. */
    public static function exactly(Block $block, LengthUnit $unit): Block
    {
        return new Block($block->name, $unit, $block->finishedWidth, $block->finishedHeight, $block->seamAllowance, $block->fabrics, $block->grid);
    }

    /**
     * The nearest size of the same proportions at which the sides of all units are handy in the other unit: 5 mm or half
     * inches where they are long enough, else 1 mm or 1/8 in. Where that would make the block another one by more than a
     * sixteenth, only the block's own width becomes handy.
     *
     * @param Length $allowance as it is usual there
     */
    public static function sensibly(Block $block, LengthUnit $unit, Length $allowance): Block
    {
        $face = Face::of($block);
        // Every side of a unit is a whole number of these.
        $common = Length::of(Fraction::of(FriendlySizes::commonStep($face), $face->lattice->steps), $block->unit)->in($unit);
        [$coarse, $fine] = $unit === LengthUnit::Inch ? [Fraction::of(1, 2), Fraction::of(1, 8)] : [Fraction::of(5), Fraction::of(1)];
        $mark = $common->compareTo($coarse->times(Fraction::of(4))) >= 0 ? $coarse : $fine;
        $scale = self::toWhole($common->dividedBy($mark));
        if ($scale->minus(Fraction::of(1))->absolute()->compareTo(Fraction::of(1, self::MOST_CHANGED)) > 0) {
            $scale = self::toWhole($block->finishedWidth->in($unit)->dividedBy($fine));
        }
        $size = static fn (Length $side): Length => Length::of($side->in($unit)->times($scale), $unit);

        return new Block($block->name, $unit, $size($block->finishedWidth), $size($block->finishedHeight), $allowance, $block->fabrics, $block->grid->scaled($scale, $unit));
    }

    /** By how much the marks grow until they are a whole number of them, the nearest. */
    private static function toWhole(Fraction $marks): Fraction
    {
        return Fraction::of(max(1, intdiv(2 * $marks->numerator + $marks->denominator, 2 * $marks->denominator)))->dividedBy($marks);
    }
}
