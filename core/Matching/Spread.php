<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The chance that joins and the block come out within tolerance, when every seam and every cut is off by a little.
 *
 * Each seam's error is the sum of three: how it was sewn, and the cut edges on both sides of it. All later misses are sums
 * of such errors with known signs, so each is found once per seam and then drawn for many times.
 */
final readonly class Spread
{
    /** Runs of the simulation: the chance is then told to within one in a hundred, two times in three within half of it. */
    public const RUNS = 4000;

    /** A plan of more joins takes too long to be drawn for; a top is made of blocks. */
    public const MOST_JOINS = 160;

    /**
     * @param array<int, float> $joins chance by join that its marks and ends need no easing
     * @param float             $block chance that all of them do, and the block has its size
     * @param float             $error standard error of the block's chance
     * @param list<float>       $sizes standard deviation of the block's width and height, from the sum of variances
     */
    private function __construct(
        public array $joins,
        public float $block,
        public float $error,
        public array $sizes,
    ) {}

    /**
     * @param float $sewing    standard deviation of how a seam is sewn, in the block's unit
     * @param float $cutting   standard deviation of a cut edge
     * @param float $tolerance largest miss that needs no easing
     */
    public static function of(PressingPlan $plan, SquareUp $squareUp, float $sewing, float $cutting, float $tolerance, int $seed = 1, int $runs = self::RUNS): self
    {
        [$ofJoins, $ofBlock] = self::sensitivities($plan, $squareUp);
        $scatter = sqrt($sewing ** 2 + 2 * $cutting ** 2);
        $random = new Randomizer(new Mt19937($seed));
        $count = count($plan->construction->joins);
        $good = array_fill_keys(array_keys($ofJoins), 0);
        $goodBlocks = 0;
        for ($run = 0; $run < $runs; ++$run) {
            $errors = self::normals($random, $count, $scatter);
            $isGood = true;
            foreach ($ofJoins as $join => $outcomes) {
                if (self::areWithin($outcomes, $errors, $tolerance)) {
                    ++$good[$join];
                } else {
                    $isGood = false;
                }
            }
            $goodBlocks += $isGood && self::areWithin($ofBlock, $errors, $tolerance) ? 1 : 0;
        }
        $chance = $goodBlocks / $runs;

        return new self(
            array_map(static fn (int $times): float => $times / $runs, $good),
            $chance,
            sqrt($chance * (1 - $chance) / $runs),
            array_map(static fn (array $parts): float => $scatter * sqrt(array_sum(array_map(static fn (float $part): float => $part ** 2, $parts))), $ofBlock),
        );
    }

    /**
     * How every miss, every difference of ends and the block's size change with the error of each seam.
     *
     * @return array{array<int, list<array<int, float>>>, list<array<int, float>>} by join and for the block: outcomes, each by seam
     */
    private static function sensitivities(PressingPlan $plan, SquareUp $squareUp): array
    {
        $block = $plan->construction->face->block;
        $ideal = $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
        $joins = $plan->construction->joins;
        $meant = new Drift($plan, $ideal, $squareUp);
        [$ofJoins, $ofBlock] = [array_fill_keys(array_map(static fn (Join $join): int => $join->id, $joins), []), [[], []]];
        foreach ($joins as $seam) {
            $drift = new Drift($plan, $ideal, $squareUp, [$seam->id => 1.0]);
            foreach ($drift->sheets as $i => $sheet) {
                foreach (self::outcomes($sheet) as $number => $outcome) {
                    $change = $outcome - self::outcomes($meant->sheets[$i])[$number];
                    $ofJoins[$sheet->join->id][$number] ??= [];
                    if (abs($change) > 1e-9) {
                        $ofJoins[$sheet->join->id][$number][$seam->id] = $change;
                    }
                }
            }
            foreach ([0, 1] as $axis) {
                $change = $drift->expected[$axis] - $meant->expected[$axis];
                if (abs($change) > 1e-9) {
                    $ofBlock[$axis][$seam->id] = $change;
                }
            }
        }

        return [array_map(array_values(...), $ofJoins), $ofBlock];
    }

    /** @return list<float> the misses of a join, then how far its ends differ */
    private static function outcomes(JoinSheet $sheet): array
    {
        $misses = array_map(static fn (Mark $mark): float => $mark->miss ?? 0.0, $sheet->marks);

        return [...$misses, $sheet->endsDiffer()];
    }

    /**
     * @param list<array<int, float>> $outcomes
     * @param list<float>             $errors   by seam
     */
    private static function areWithin(array $outcomes, array $errors, float $tolerance): bool
    {
        foreach ($outcomes as $parts) {
            $sum = 0.0;
            foreach ($parts as $seam => $part) {
                $sum += $part * $errors[$seam];
            }
            if (abs($sum) > $tolerance) {
                return false;
            }
        }

        return true;
    }

    /**
     * Box and Muller's pairs. Source: G. E. P. Box and M. E. Muller, "A Note on the Generation of Random Normal Deviates", 1958.
     *
     * @return list<float>
     */
    private static function normals(Randomizer $random, int $count, float $scatter): array
    {
        $drawn = [];
        while (count($drawn) < $count) {
            [$a, $b] = [($random->getInt(1, 1_000_000_000)) / 1_000_000_000, $random->getInt(0, 999_999_999) / 1_000_000_000];
            $radius = $scatter * sqrt(-2 * log($a));
            $drawn[] = $radius * cos(2 * M_PI * $b);
            $drawn[] = $radius * sin(2 * M_PI * $b);
        }

        return $drawn;
    }
}
