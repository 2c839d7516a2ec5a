<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\EdgeTips;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Matching\Verdict;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class EdgesAndLimitsTest extends TestCase
{
    public function test_tips_at_the_outer_edge_are_found_each_place_once(): void
    {
        $tips = static fn (string ...$rows): array => (static function (Face $face): array {
            $far = [max(array_map(static fn (Point $p): int => $p->x, $face->outline()->points)), max(array_map(static fn (Point $p): int => $p->y, $face->outline()->points))];
            $told = array_map(static fn (Point $tip): string => round($tip->x / $far[0], 3).' '.round($tip->y / $far[1], 3), EdgeTips::on($face));
            sort($told);

            return $told;
        })(Face::of(BlockFile::read(Blocks::file(...$rows))));

        self::assertSame(['0.5 0'], $tips('gABB'));
        self::assertSame(['1 0.5'], $tips('gABB90'));
        self::assertSame(['0 0.5', '0.5 0', '0.5 1', '1 0.5'], $tips('dABBBB'));
        // Corners of the block are no tips, nor are those inside it; where two patches point to one place, here at both ends of the seam between the rows, it is one.
        self::assertSame([], $tips('hAB'));
        self::assertSame([], $tips('qABCA'));
        self::assertSame(['0 0.5', '0.5 0', '0.5 1', '1 0.5'], $tips('gABB', 'gABB180'));
        self::assertSame(['0 0.5', '0.25 0'], $tips('gABB pA', 'pA pB'));
    }

    public function test_a_take_up_may_be_half_as_much_again_or_half_as_little_and_no_further(): void
    {
        $block = Blocks::of('pA');
        $read = static function (string $text) use ($block): ?float {
            try {
                return TakeUp::read($text, $block)->toFloat();
            } catch (KeenSeamProblem) {
                return null;
            }
        };
        self::assertSame([0.25, 0.75, 0.5, null, null, null], array_map($read, ['1/4', '3/4', '1/2', '49/64', '15/64', 'much']));
        self::assertSame([0.5, 0.5, 0.625], [TakeUp::ideal($block)->toFloat(), TakeUp::readOrIdeal(null, $block)->toFloat(), TakeUp::readOrIdeal('5/8', $block)->toFloat()]);
    }

    public function test_limits_of_her_own_hold_to_the_hair(): void
    {
        $own = Tolerance::of(Length::ofInches(1, 16), Length::ofInches(1, 2), LengthUnit::Inch);
        self::assertSame([Verdict::Leave, Verdict::Ease, Verdict::Ease, Verdict::Unpick], array_map($own->verdict(...), [1 / 16, 1 / 16 + 1 / 512, -1 / 2, 1 / 2 + 1 / 512]));
        self::assertSame(Verdict::Leave, Tolerance::of(Length::ofInches(1, 8), Length::ofInches(1, 8), LengthUnit::Inch)->verdict(1 / 8));
        self::assertEqualsWithDelta([25.4 / 32, 25.4 / 8], [Tolerance::usual(LengthUnit::Millimetre)->leave, Tolerance::usual(LengthUnit::Millimetre)->ease], 1e-9);
        self::assertSame([0, 2, 6], [Verdict::Leave->risk(), Verdict::Ease->risk(), Verdict::Unpick->risk()]);
        self::assertSame(
            ['Fine: leave it.', 'Ease it in, or pin it, at the next join.', 'Too large to be eased: trim it, or unpick and take a wider seam.', 'Too small to be eased: unpick its seams and sew them narrower, or make it again.'],
            [Verdict::Leave->afterMeasuring(0.1), Verdict::Ease->afterMeasuring(-0.1), Verdict::Unpick->afterMeasuring(0.3), Verdict::Unpick->afterMeasuring(-0.3)],
        );
    }
}
