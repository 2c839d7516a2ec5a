<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class PlanStepsTest extends TestCase
{
    public function test_a_four_patch_of_triangles_is_told_step_by_step(): void
    {
        self::assertSame([
            'Start 4 half-square triangles: sew Harbour ink to Sailcloth, 4 times, as a chain.',
            'Press toward Harbour ink.',
            'Sew row 1: 2 units, one after the other.',
            'Press the seam toward its last unit.',
            'Sew row 2: 2 units, one after the other.',
            'Press the seam toward its first unit.',
            'Sew row 2 to row 1, matching 1 crossing.',
            'Press the seam toward row 1.',
        ], self::texts(PressStyle::Nest, 'hAB90 hAB180', 'hAB hAB270'));
    }

    public function test_one_unit_is_sewn_once_and_named_as_one(): void
    {
        $plan = (new PressingPlanner(Blocks::sewn('sABC pA', 'hAB hAB')))->best(new PressQuestion(PressStyle::Nest));

        self::assertSame([
            ['Split quarter-square triangle', 'Start 1 split quarter-square triangle: sew Sea glass to Harbour ink, once.'],
            ['Split quarter-square triangle', 'Go on with the split quarter-square triangle: sew Harbour ink and Sea glass to Sailcloth, once.'],
            ['Half-square triangles', 'Start 2 half-square triangles: sew Harbour ink to Sailcloth, 2 times, as a chain.'],
        ], array_values(array_map(static fn (Step $step): array => [$step->title, $step->text], array_filter(PlanSteps::of($plan), static fn (Step $step): bool => $step->do === StepKind::Join && str_contains($step->title, 'triangle')))));
    }

    public function test_a_furl_is_told_with_its_crossing(): void
    {
        self::assertMatchesRegularExpression(
            '~^Press the seam toward row [12] at first, furled at crossing 1\. At each furl open the two or three stitches inside the allowance first\. Then, looking at the back, lay the allowances round like a wheel with the finger, (anti)?clockwise at 2, 2, and press\.~',
            self::texts(PressStyle::NestFurl, 'pA pB', 'pB pA')[5],
        );
    }

    public function test_open_seams_are_told_open(): void
    {
        self::assertSame('Press open.', self::texts(PressStyle::Open, 'hAB hAB90')[1]);
    }

    /** @return list<string> */
    private static function texts(PressStyle $style, string ...$rows): array
    {
        $plan = (new PressingPlanner(Blocks::sewn(...$rows)))->best(new PressQuestion($style));

        return array_map(static fn (Step $step): string => $step->text, PlanSteps::of($plan));
    }
}
