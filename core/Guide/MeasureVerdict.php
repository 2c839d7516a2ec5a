<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Matching\Verdict;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;

/** What a measured size means: for the part itself, and for every later join that takes it in. */
final readonly class MeasureVerdict
{
    /**
     * @param array<int, array{float, float}> $kept  what is measured now, this part included, by join: raw width and height
     * @param list<array{int, float}>         $later joins that cannot be left alone, and by how much each is off, the worst first
     */
    private function __construct(
        public array $kept,
        public array $later,
        public string $words,
    ) {}

    /**
     * @param Fraction                        $takeUp   of every seam, in the block's unit
     * @param array<int, array{float, float}> $measured parts measured before, by join
     * @param int                             $join     that made the part
     * @param array{float, float}             $size     raw, in the block's unit
     */
    public static function of(PressingPlan $plan, Fraction $takeUp, SquareUp $squareUp, array $measured, Tolerance $tolerance, int $join, array $size): self
    {
        $made = $plan->construction->joins[$join];
        $meant = Remedy::rawSize($plan, $join);
        $off = [$size[0] - $meant[0], $size[1] - $meant[1]];
        $isToBeSquaredUp = $made->tie !== null && $squareUp === SquareUp::Units;
        // What is too large of a unit comes off before it is sewn on.
        $kept = [$join => $isToBeSquaredUp ? [min($size[0], $meant[0]), min($size[1], $meant[1])] : $size] + $measured;
        $later = self::later($made, new Drift($plan, $takeUp, $squareUp, [], $kept), $tolerance);
        $unit = $plan->construction->face->block->unit;
        $names = SeamName::all($plan->construction);
        $worst = $isToBeSquaredUp ? min($off) : (abs($off[0]) >= abs($off[1]) ? $off[0] : $off[1]);
        $verdict = $tolerance->verdict($worst);
        $amount = static fn (float $length): string => Amount::rounded(abs($length), $unit).' '.$unit->value;
        $where = $later === [] ? '' : lcfirst($names[$later[0][0]]->title).match (count($later)) {
            1 => '',
            2 => ', and one more join,',
            default => sprintf(', and %d more joins,', count($later) - 1),
        };
        $words = match (true) {
            $isToBeSquaredUp => self::ofUnit($verdict, $worst, $amount($worst), self::firstWith($plan, $made, $names)),
            $made === $plan->construction->root => $verdict->afterMeasuring($worst),
            $later === [] && $verdict === Verdict::Leave => $verdict->afterMeasuring($worst),
            $later === [] => sprintf('%s too %s, but so is what it is sewn to: leave it.', $amount($worst), $worst > 0 ? 'large' : 'small'),
            $tolerance->verdict($later[0][1]) === Verdict::Ease => sprintf('Ease it in, or pin it; %s will be off by %s.', $where, $amount($later[0][1])),
            default => rtrim(sprintf(
                '%s%s would be off by %s, more than can be eased. %s',
                $verdict === Verdict::Leave ? '' : sprintf('%s too %s: ', $amount($worst), $worst > 0 ? 'large' : 'small'),
                $verdict === Verdict::Leave ? ucfirst($where) : $where,
                $amount($later[0][1]),
                RemedyWords::of(Remedy::find($plan, $takeUp, $squareUp, $kept, $tolerance), $names),
            )),
        };

        return new self($kept, $later, $words);
    }

    /**
     * @param string $first the join that takes it in first, '' for none
     */
    private static function ofUnit(Verdict $verdict, float $worst, string $amount, string $first): string
    {
        $words = match (true) {
            $verdict === Verdict::Leave => 'Fine: square it up.',
            $worst > 0 => 'Large enough: square it up.',
            $verdict === Verdict::Ease => sprintf('%s too small: ease this one in, and sew the others narrower.', $amount),
            default => sprintf('%s too small to be eased: make it again, narrower or from larger pieces, before the others.', $amount),
        };

        return $first === '' || $worst > 0 || $verdict === Verdict::Leave ? $words : sprintf('%s It would show first at %s.', $words, $first);
    }

    /**
     * @param list<SeamName> $names
     *
     * @return string '' where the unit is the whole block
     */
    private static function firstWith(PressingPlan $plan, Join $made, array $names): string
    {
        foreach ($plan->construction->joins as $join) {
            if ($join !== $made && array_diff($made->patchIds(), $join->patchIds()) === []) {
                return lcfirst($names[$join->id]->title);
            }
        }

        return '';
    }

    /** @return list<array{int, float}> */
    private static function later(Join $made, Drift $drift, Tolerance $tolerance): array
    {
        $patches = $made->patchIds();
        $later = [];
        foreach ($drift->sheets as $sheet) {
            if ($sheet->join !== $made && array_diff($patches, $sheet->join->patchIds()) === []) {
                $miss = self::worst($sheet);
                if ($tolerance->verdict($miss) !== Verdict::Leave) {
                    $later[] = [$sheet->join->id, abs($miss)];
                }
            }
        }
        usort($later, static fn (array $a, array $b): int => $b[1] <=> $a[1] ?: $a[0] <=> $b[0]);

        return $later;
    }

    private static function worst(JoinSheet $sheet): float
    {
        $worst = $sheet->endsDiffer();
        foreach ($sheet->marks as $mark) {
            $worst = abs($mark->miss ?? 0.0) > abs($worst) ? (float) $mark->miss : $worst;
        }

        return $worst;
    }
}
