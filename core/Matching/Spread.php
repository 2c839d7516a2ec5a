<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The chance that joins and the block come out within tolerance, when every seam and every cut is off by a little.
 *
 * All misses are sums of the errors of seams with known signs (Sensitivity), so each seam's error is drawn and they are added up.
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
     * @param float     $tolerance largest miss that needs no easing, in the block's unit
     * @param list<int> $opened    joins that are pressed open, whatever the plan says of them
     */
    public static function of(Sensitivity $sensitivity, Scatter $scatter, float $tolerance, array $opened = [], int $seed = 1, int $runs = self::RUNS): self
    {
        [$ofJoins, $ofBlock] = [$sensitivity->ofJoins, $sensitivity->ofBlock];
        $scatters = [];
        foreach ($sensitivity->plan->construction->joins as $join) {
            $scatters[] = $scatter->ofSeam(in_array($join->id, $opened, true) || $sensitivity->isOpen($join));
        }
        $random = new Randomizer(new Mt19937($seed));
        $good = array_fill_keys(array_keys($ofJoins), 0);
        $goodBlocks = 0;
        for ($run = 0; $run < $runs; ++$run) {
            $errors = self::normals($random, $scatters);
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
            array_map(static fn (array $parts): float => sqrt(array_sum(array_map(static fn (float $part, int $seam): float => ($part * $scatters[$seam]) ** 2, $parts, array_keys($parts)))), $ofBlock),
        );
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
     * @param list<float> $scatters standard deviations
     *
     * @return list<float> one of each
     */
    private static function normals(Randomizer $random, array $scatters): array
    {
        $drawn = [];
        [$radius, $angle] = [0.0, 0.0];
        foreach ($scatters as $i => $scatter) {
            if ($i % 2 === 0) {
                [$a, $b] = [$random->getInt(1, 1_000_000_000) / 1_000_000_000, $random->getInt(0, 999_999_999) / 1_000_000_000];
                $radius = sqrt(-2 * log($a));
                $angle = 2 * M_PI * $b;
            }
            $drawn[] = $scatter * $radius * ($i % 2 === 0 ? cos($angle) : sin($angle));
        }

        return $drawn;
    }
}
