<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Matching\Scatter;
use KeenSeam\Core\Matching\Sensitivity;
use KeenSeam\Core\Matching\Spread;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/**
 * The simulation against the variance of a sum: for independent errors it is the sum of their variances. Source: W. Feller,
 * An Introduction to Probability Theory and Its Applications, volume 1, chapter IX (from memory).
 */
final class SpreadTest extends TestCase
{
    public function test_the_width_of_a_row_scatters_with_the_root_of_its_seams(): void
    {
        foreach ([2, 4, 9] as $n) {
            $spread = Spread::of(Sensitivity::of(self::plan(implode(' ', array_fill(0, $n, 'pA'))), SquareUp::Units), new Scatter(3 / 64, 0.0), 1 / 8);
            self::assertEqualsWithDelta(3 / 64 * sqrt($n - 1), $spread->sizes[0], 1e-9);
            self::assertEqualsWithDelta(0.0, $spread->sizes[1], 1e-9);
            // Cut edges lie on both sides of a seam.
            $cut = Spread::of(Sensitivity::of(self::plan(implode(' ', array_fill(0, $n, 'pA'))), SquareUp::Units), new Scatter(0.0, 1 / 64), 1 / 8);
            self::assertEqualsWithDelta(sqrt(2 * ($n - 1)) / 64, $cut->sizes[0], 1e-9);
        }
    }

    public function test_the_simulated_chance_lies_within_its_standard_error_of_the_normal_law(): void
    {
        foreach ([[2, 1 / 32, 1 / 32], [5, 1 / 64, 1 / 32], [9, 1 / 32, 1 / 8]] as [$n, $sewing, $tolerance]) {
            $spread = Spread::of(Sensitivity::of(self::plan(implode(' ', array_fill(0, $n, 'pA'))), SquareUp::Units), new Scatter($sewing, 0.0), $tolerance);
            $expected = self::within($tolerance / ($sewing * sqrt($n - 1)));

            self::assertLessThan(3 * sqrt($expected * (1 - $expected) / Spread::RUNS), abs($spread->block - $expected), "$n pieces");
        }
    }

    public function test_one_crossing_of_two_rows_misses_by_the_seams_that_differ(): void
    {
        $plan = self::plan('pA pA', 'pA pA');
        $last = $plan->construction->joins[2];
        // Half of each row's seam error shifts its crossing, and the whole of it the row's end: the end decides.
        $spread = Spread::of(Sensitivity::of($plan, SquareUp::Units), new Scatter(1 / 32, 0.0), 1 / 32);
        $expected = self::within(1 / sqrt(2));

        self::assertLessThan(3 * sqrt($expected * (1 - $expected) / Spread::RUNS), abs($spread->joins[$last->id] - $expected));
    }

    /** A seam pressed open has no turn of cloth, so opening one of n seams takes its fold out of the variance. */
    public function test_opening_a_seam_takes_the_scatter_of_its_fold_away(): void
    {
        $sensitivity = Sensitivity::of(self::plan('pA pA pA pA'), SquareUp::Units);
        $scatter = new Scatter(1 / 64, 1 / 128, 1 / 32);
        $one = (1 / 64) ** 2 + 2 * (1 / 128) ** 2;
        $fold = (1 / 32) ** 2;

        self::assertEqualsWithDelta(sqrt(3 * $one + 3 * $fold), Spread::of($sensitivity, $scatter, 1 / 8)->sizes[0], 1e-9);
        self::assertEqualsWithDelta(sqrt(3 * $one + 2 * $fold), Spread::of($sensitivity, $scatter, 1 / 8, [1])->sizes[0], 1e-9);
        self::assertGreaterThan(Spread::of($sensitivity, $scatter, 1 / 16)->block, Spread::of($sensitivity, $scatter, 1 / 16, [0, 1, 2])->block);
    }

    /** The chance that a normal deviate lies within so many standard deviations, by Abramowitz and Stegun's formula 7.1.26. */
    private static function within(float $deviations): float
    {
        $x = $deviations / M_SQRT2;
        $t = 1 / (1 + 0.3275911 * $x);

        return 1 - ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - 0.284496736) * $t + 0.254829592) * $t * exp(-$x * $x);
    }

    private static function plan(string ...$rows): PressingPlan
    {
        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read(Blocks::file(...$rows))), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));
    }
}
