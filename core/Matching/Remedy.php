<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;

/**
 * The least work that brings every miss within what can be eased: seams to unpick, parts to trim or to make again.
 *
 * A small search over sets of at most two deeds, the cheapest first, each tried on the whole tree.
 */
final readonly class Remedy
{
    /** Work of each deed, as a quilter feels it. Common practice, no published source. */
    private const WORK = ['trim' => 1, 'unpick' => 2, 'remake' => 4];

    private const MOST_DEEDS = 14;

    /**
     * @param list<array{do: string, join: int}> $deeds    trim, unpick or remake, and the join whose seam or part it is
     * @param bool                               $isEnough whether all misses can be eased afterwards
     * @param int                                $before   joins that could not be eased before
     * @param int                                $after    joins that cannot be eased after
     */
    private function __construct(
        public array $deeds,
        public bool $isEnough,
        public int $before,
        public int $after,
    ) {}

    /**
     * @param array<int, array{float, float}> $measured by join
     * @param Drift|null                      $drift    of the same, where it is known already
     */
    public static function find(PressingPlan $plan, Fraction $takeUp, SquareUp $squareUp, array $measured, Tolerance $tolerance, ?Drift $drift = null): self
    {
        $wrong = static fn (Drift $drift): array => array_values(array_filter($drift->sheets, static fn (JoinSheet $sheet): bool => self::cannotBeEased($sheet, $tolerance)));
        $now = $wrong($drift ?? new Drift($plan, $takeUp, $squareUp, [], $measured));
        if ($now === []) {
            return new self([], true, 0, 0);
        }
        $best = new self([], false, count($now), count($now));
        $bestWork = PHP_INT_MAX;
        $deeds = self::deeds($plan, $takeUp, $measured, $now);
        foreach (self::sets($deeds) as $set) {
            $work = array_sum(array_map(static fn (array $deed): int => self::WORK[$deed['do']], $set));
            if ($best->isEnough && $work >= $bestWork) {
                continue;
            }
            $left = count($wrong(self::done($plan, $takeUp, $squareUp, $measured, $set)));
            if ($left < $best->after || ($left === $best->after && $best->deeds !== [] && $work < $bestWork)) {
                [$best, $bestWork] = [new self($set, $left === 0, count($now), $left), $work];
            }
        }

        return $best;
    }

    private static function cannotBeEased(JoinSheet $sheet, Tolerance $tolerance): bool
    {
        $misses = [$sheet->endsDiffer(), ...array_map(static fn (Mark $mark): float => $mark->miss ?? 0.0, $sheet->marks)];

        return array_filter($misses, static fn (float $miss): bool => $tolerance->verdict($miss) === Verdict::Unpick) !== [];
    }

    /**
     * Parts that were measured, and seams inside the joins that go wrong; other deeds would not help.
     *
     * @param array<int, array{float, float}> $measured
     * @param list<JoinSheet>                 $wrong
     *
     * @return list<array{do: string, join: int}>
     */
    private static function deeds(PressingPlan $plan, Fraction $takeUp, array $measured, array $wrong): array
    {
        $block = $plan->construction->face->block;
        $deeds = [];
        foreach (array_keys($measured) as $join) {
            array_push($deeds, ['do' => 'trim', 'join' => $join], ['do' => 'remake', 'join' => $join]);
        }
        $isOff = ! $takeUp->equals($block->seamAllowance->in($block->unit)->times(Fraction::of(2)));
        foreach ($isOff ? $wrong : [] as $sheet) {
            foreach ($sheet->join->children() as $part) {
                if ($part instanceof Join && $part->tie === null) {
                    $deeds[] = ['do' => 'unpick', 'join' => $part->id];
                }
            }
        }

        return array_slice(array_values(array_unique($deeds, SORT_REGULAR)), 0, self::MOST_DEEDS);
    }

    /**
     * @param list<array{do: string, join: int}> $deeds
     *
     * @return list<list<array{do: string, join: int}>> single deeds, then pairs
     */
    private static function sets(array $deeds): array
    {
        $sets = array_map(static fn (array $deed): array => [$deed], $deeds);
        foreach ($deeds as $i => $one) {
            foreach (array_slice($deeds, $i + 1) as $other) {
                $sets[] = [$one, $other];
            }
        }

        return $sets;
    }

    /**
     * @param array<int, array{float, float}>    $measured
     * @param list<array{do: string, join: int}> $set
     */
    private static function done(PressingPlan $plan, Fraction $takeUp, SquareUp $squareUp, array $measured, array $set): Drift
    {
        $block = $plan->construction->face->block;
        $errors = [];
        foreach ($set as ['do' => $do, 'join' => $join]) {
            if ($do === 'unpick') {
                $errors[$join] = $block->seamAllowance->in($block->unit)->toFloat() * 2 - $takeUp->toFloat();
            } elseif ($do === 'remake') {
                unset($measured[$join]);
            } elseif (isset($measured[$join])) {
                // Trimming takes away what is too much; it adds nothing.
                $meant = self::rawSize($plan, $join);
                $measured[$join] = [min($measured[$join][0], $meant[0]), min($measured[$join][1], $meant[1])];
            }
        }

        return new Drift($plan, $takeUp, $squareUp, $errors, $measured);
    }

    /** @return array{float, float} as it is meant to be */
    public static function rawSize(PressingPlan $plan, int $join): array
    {
        $face = $plan->construction->face;
        [$width, $height] = $plan->construction->joins[$join]->outline()->size();
        $allowances = 2 * $face->block->seamAllowance->in($face->block->unit)->toFloat();

        return [$width / $face->lattice->steps + $allowances, $height / $face->lattice->steps + $allowances];
    }
}
