<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * The inverse of a cutting list: how large a block comes out when the cloth at hand is squares, or strips, of one size.
 *
 * Its smaller side is a multiple of 1/8 in, or 1 mm.
 */
final readonly class LargestBlock
{
    /** Steps of the block's smaller side to the inch or millimetre. */
    private const STEPS = [LengthUnit::Inch->value => 8, LengthUnit::Millimetre->value => 1];

    /** A block is not looked for beyond so many times its size. */
    private const MOST_TIMES = 20;

    private function __construct(
        public Block $block,
        public CuttingPlan $plan,
    ) {}

    /**
     * @param Fraction $side    of the squares, or width of the strips, in the block's unit
     * @param bool     $isStrip whether only the shorter side of a piece is limited
     *
     * @return self|null null when even the smallest block would need larger ones
     */
    public static function from(Construction $construction, Fraction $side, bool $isStrip, CutQuestion $question): ?self
    {
        $block = $construction->face->block;
        $sides = [$block->finishedWidth->in($block->unit), $block->finishedHeight->in($block->unit)];
        [$now, $larger] = $sides[0]->compareTo($sides[1]) < 0 ? $sides : array_reverse($sides);
        $steps = self::STEPS[$block->unit->value];
        $mostTimes = min(self::MOST_TIMES, Block::longestSide($block->unit)->in($block->unit)->dividedBy($larger)->toFloat());
        [$fits, $tooLarge] = [0, (int) floor($now->toFloat() * $steps * $mostTimes + 1e-6) + 1];
        $best = null;
        while ($tooLarge - $fits > 1) {
            $middle = intdiv($fits + $tooLarge, 2);
            $scale = Fraction::of($middle, $steps)->dividedBy($now);
            try {
                $plan = Scaled::plan($construction, $scale, $question);
                $isFit = self::fits($plan, $side, $isStrip);
                $best = $isFit ? new self(Scaled::block($block, $scale), $plan) : $best;
            } catch (WiderThanFabric) {
                $isFit = false;
            } catch (CutNotPossible) {
                $isFit = true; // too small to be cut: a larger one may be cut and fit
            }
            [$fits, $tooLarge] = $isFit ? [$middle, $tooLarge] : [$fits, $middle];
        }

        return $best === null ? null : self::onTheRuler($best, $construction, $question);
    }

    /** The next smaller size at which all units lie on the ruler's marks, where there is one. */
    private static function onTheRuler(self $found, Construction $construction, CutQuestion $question): self
    {
        $sizes = FriendlySizes::of($found->plan->construction->face);
        $smaller = $sizes->nearest[0][0] ?? null;
        if ($sizes->awkward === [] || $smaller === null || $smaller->inches->compareTo($found->block->finishedWidth->inches) > 0) {
            return $found;
        }
        $scale = $smaller->inches->dividedBy($construction->face->block->finishedWidth->inches);
        try {
            return new self(Scaled::block($construction->face->block, $scale), Scaled::plan($construction, $scale, $question));
        } catch (CutNotPossible) {
            return $found;
        }
    }

    private static function fits(CuttingPlan $plan, Fraction $side, bool $isStrip): bool
    {
        foreach ($plan->cuts as $cut) {
            $limited = $isStrip && $cut->width->compareTo($cut->height) > 0 ? $cut->height : ($isStrip ? $cut->width : $cut->longerSide());
            if ($limited->compareTo($side) > 0) {
                return false;
            }
        }

        return true;
    }
}
