<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressStyle;

/** What is known of a plan beside the best there can be, in a quilter's words; it never says more than was proved. */
final class Standing
{
    /** @param PressingPlan $free the best that is known when no seam is locked */
    public static function words(PressingPlan $plan, PressingPlan $free, PressStyle $style): string
    {
        if ($plan->pressing->directions === $free->pressing->directions) {
            return $free->proved ? 'Proved: in this school no plan nests better or lies flatter.' : self::gap($free, $style);
        }
        $own = match (true) {
            $plan->proved => 'Proved: with these seams as they are, no plan nests better or lies flatter. ',
            $plan->bound === null => 'Your seams are laid over the plan, the others stay. ',
            default => 'With these seams as they are, the best found so far. ',
        };

        return $own.self::distance($plan, $free, $style);
    }

    private static function distance(PressingPlan $plan, PressingPlan $free, PressStyle $style): string
    {
        $best = $free->proved ? 'the best plan' : 'the best plan found so far';
        $words = Comparison::words($free, $plan);

        return match ($plan->cost->compareTo($free->cost, $style)) {
            0 => sprintf('They cost nothing: it is as good as %s without them.', $best),
            1 => sprintf('Beside %s without them: %s.', $best, $words),
            default => sprintf('It is better than %s of this school: %s.', $best, $words),
        };
    }

    /** How far at most it is from the best there can be. */
    private static function gap(PressingPlan $plan, PressStyle $style): string
    {
        $start = 'The best plan found so far';
        $bound = $plan->bound?->figures($style) ?? [];
        $figures = $plan->cost->figures($style);
        foreach ($figures as $figure => $value) {
            $least = $bound[$figure] ?? 0;
            if ($value === $least) {
                continue;
            }

            return match ($figure) {
                'mismatch' => sprintf('%s. At most %s more could be made to nest.', $start, Words::counted(intdiv($value - $least + 1, 2), 'crossing', 'crossings')),
                'peak_squared' => sprintf('%s. It nests as well as any; its lumps are within %s %% of the flattest there can be.', $start, self::percent(1 - $least / $value)),
                'over_lump' => sprintf('%s. Its lumps may have %s too many.', $start, Words::counted($value - $least, 'layer', 'layers')),
                default => sprintf('%s. It nests as well and lies as flat as any; only how the seam ends fold may be bettered.', $start),
            };
        }

        return $start.'.';
    }

    private static function percent(float $share): string
    {
        return (string) max(0.1, ceil(1000 * $share) / 10);
    }
}
