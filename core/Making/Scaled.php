<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/** The same block at another finished size; flipped corners grow with it. */
final class Scaled
{
    public static function block(Block $block, Fraction $scale): Block
    {
        $length = static fn (Length $length): Length => Length::of($length->in($block->unit)->times($scale), $block->unit);

        return new Block($block->name, $block->unit, $length($block->finishedWidth), $length($block->finishedHeight), $block->seamAllowance, $block->fabrics, $block->grid->scaled($scale, $block->unit));
    }

    /** @throws CutNotPossible when it is too small to be cut */
    public static function plan(Construction $construction, Fraction $scale, CutQuestion $question): CuttingPlan
    {
        return CuttingPlan::of(Construction::of(Face::of(self::block($construction->face->block, $scale)), $construction->order), $question);
    }
}
