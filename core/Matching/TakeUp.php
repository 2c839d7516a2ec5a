<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/** What one seam really takes from the width: two allowances and the cloth in the fold. */
final class TakeUp
{
    /** A measured take-up further from two allowances than by so much of them is taken for a slip. */
    private const MOST_OFF = [1, 2];

    /** What a seam should take: two allowances, in the block's unit. */
    public static function ideal(Block $block): Fraction
    {
        return $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
    }

    /**
     * @param string|null $text as the quilter measured it; what it should be, where she did not
     *
     * @throws \KeenSeam\Core\KeenSeamProblem as read() does
     */
    public static function readOrIdeal(?string $text, Block $block): Fraction
    {
        return $text === null ? self::ideal($block) : self::read($text, $block);
    }

    /**
     * @throws \KeenSeam\Core\KeenSeamProblem when the text is no length, or one that no seam takes
     */
    public static function read(string $text, Block $block): Fraction
    {
        $takeUp = Length::parse($text, $block->unit)->in($block->unit);
        $ideal = self::ideal($block);
        if ($takeUp->minus($ideal)->absolute()->compareTo($ideal->times(Fraction::of(...self::MOST_OFF))) > 0) {
            throw TakeUpNotLikely::of($text, $ideal, $block->unit);
        }

        return $takeUp;
    }
}
