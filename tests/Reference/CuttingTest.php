<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\CutSizes;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\PatchCutter;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Measure\Fraction;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

/** Cutting sizes against outlines moved out by JSTS, and strips against the optimum of HiGHS. */
final class CuttingTest extends TestCase
{
    public function test_cutting_sizes_are_the_outlines_moved_out_by_the_allowance(): void
    {
        $asked = $cut = [];
        $cases = [];
        foreach (['1/4', '3/8', '1/8'] as $allowance) {
            foreach (['1', '1 1/2', '2', '3 1/8', '3 1/3', '140'] as $finished) {
                $cases[] = ['in', $allowance, $finished];
            }
        }
        foreach (['6', '7', '7.5'] as $allowance) {
            foreach (['40', '63.5', '250'] as $finished) {
                $cases[] = ['mm', $allowance, $finished];
            }
        }
        foreach ($cases as [$units, $allowance, $finished]) {
            foreach (['hAB' => 0, 'qABAB' => 0, 'dABABA' => 0] as $unit => $patch) {
                $file = ['units' => $units, 'seam_allowance' => $allowance, 'finished' => ['width' => $finished, 'height' => $finished]] + Blocks::file($unit);
                $construction = Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
                $block = $construction->face->block;
                $cutter = new PatchCutter(new CutSizes($block->seamAllowance->in($block->unit), $block->unit), $construction);
                $steps = $construction->face->lattice->steps;
                $asked[] = [
                    'points' => array_map(static fn (Point $point): array => [$point->x / $steps, $point->y / $steps], $construction->face->patches[$patch]->outline->points),
                    'distance' => $block->seamAllowance->in($block->unit)->toFloat(),
                    'sharp' => true,
                ];
                $cut[] = [$unit, $cutter->piece($construction->face->patches[$patch])];
            }
        }
        foreach (self::ask('geometry.mjs', $asked) as $i => $answer) {
            [$unit, $piece] = $cut[$i];
            $xs = array_column($answer['offset'], 0);
            // Triangles have a side along the weave, as long as the square they are cut from; a square on its point is told by its area.
            $found = $unit === 'dABABA' ? sqrt($answer['offsetArea']) : max($xs) - min($xs);
            self::assertSame(['hAB' => Then::Once, 'qABAB' => Then::Twice, 'dABABA' => Then::None][$unit], $piece->then);
            self::assertEqualsWithDelta($found, $piece->width->toFloat(), 1e-6, $unit.json_encode($asked[$i], JSON_THROW_ON_ERROR));
            $raised = $piece->width->raisedTo(8)->toFloat();
            self::assertGreaterThanOrEqual($found - 1e-9, $raised);
            self::assertLessThan($found + 1 / 8, $raised);
        }
    }

    public function test_ways_give_as_many_of_each_hand_as_folding_and_cutting_with_the_library(): void
    {
        $cases = $expected = [];
        foreach ([
            ['hAB', ['two-at-a-time', 'four-at-a-time', 'eight-at-a-time']], ['hAB90m', ['two-at-a-time']],
            ['gABB', ['four-at-once']], ['gABC', ['four-at-once']], ['gCBAm', ['four-at-once']],
            ['sABC', ['crossed']], ['sBCAm', ['crossed']], ['sABB', ['crossed']],
        ] as [$word, $keys]) {
            $file = Blocks::file($word);
            $file['finished'] = $word[0] === 'g' ? ['width' => '4', 'height' => '2'] : ['width' => '4', 'height' => '4'];
            $plan = CuttingPlan::of(Construction::of(Face::of(BlockFile::read($file)), Order::Rows), new CutQuestion());
            $unit = $plan->units[0]->unit;
            foreach ($plan->units[0]->ways as $way) {
                if (in_array($way->key, $keys, true)) {
                    $cases[] = ['way' => $way->key, 'fabrics' => array_map(static fn ($fabric): string => $fabric->key, $unit->fabrics()), 'unit' => array_map(
                        static fn (array $patch): array => [$patch[0], array_map(static fn (array $point): array => [$point[0] * $unit->width->toFloat(), $point[1] * $unit->height->toFloat()], $patch[1])],
                        $unit->picture->toShares(),
                    )];
                    // One pair of squares makes two of the half squares that are crossed, so a batch is two of the library's.
                    $expected[] = $way->key === 'crossed' ? [intdiv($way->own, 2), intdiv($way->other(), 2)] : [$way->own, $way->other()];
                }
            }
        }

        self::assertCount(10, $cases);
        self::assertSame(self::ask('yields.mjs', $cases), $expected);
    }

    public function test_small_lists_are_packed_as_short_as_strips_allow(): void
    {
        $cases = $lengths = [];
        for ($seed = 0; $seed < 20; ++$seed) {
            $packing = self::packed($seed, 6 + $seed % 7);
            self::assertTrue($packing->isProved(), "seed $seed");
            $cases[] = ['width' => 42 * 8, 'sizes' => self::sizes($packing)];
            $lengths[] = $packing->length->times(Fraction::of(8))->numerator;
        }

        self::assertSame(self::ask('packing.mjs', $cases), $lengths);
    }

    public function test_long_lists_are_never_below_their_bound_nor_above_twice_it(): void
    {
        for ($seed = 100; $seed < 106; ++$seed) {
            $packing = self::packed($seed, 60);
            $area = array_sum(array_map(static fn (array $size): int => $size[0] * $size[1], self::sizes($packing)));
            self::assertGreaterThanOrEqual($packing->bound->toFloat(), $packing->length->toFloat());
            self::assertLessThanOrEqual(2 * $packing->bound->toFloat(), $packing->length->toFloat());
            self::assertLessThanOrEqual($packing->length->toFloat() * 8 * 42 * 8, $area, 'the pieces are never more than the fabric asked for');
        }
    }

    private static function packed(int $seed, int $pieces): Packing
    {
        $random = new Randomizer(new Mt19937($seed));
        $cuts = [];
        for ($left = $pieces; $left > 0; $left -= $count) {
            $count = min($left, $random->getInt(1, 4));
            $cuts[] = new Cut('a', 'A', CutShape::Rectangle, Fraction::of($random->getInt(10, 160), 8), Fraction::of($random->getInt(10, 160), 8), $count, Then::None, []);
        }

        return Packing::of($cuts, Fraction::of(42));
    }

    /** @return list<array{int, int}> height and width in eighths, the highest first */
    private static function sizes(Packing $packing): array
    {
        $sizes = [];
        foreach ($packing->strips as $strip) {
            $used = Fraction::zero();
            foreach ($strip['pieces'] as $piece) {
                $used = $used->plus($piece['width']);
                $sizes[] = [$piece['height']->times(Fraction::of(8))->numerator, $piece['width']->times(Fraction::of(8))->numerator];
                self::assertLessThanOrEqual(0, $piece['height']->compareTo($strip['height']));
            }
            self::assertLessThanOrEqual(0, $used->compareTo($packing->width), 'no strip is longer than the fabric is wide');
        }
        usort($sizes, static fn (array $a, array $b): int => $b <=> $a);

        return $sizes;
    }

    /**
     * @param list<mixed> $cases
     *
     * @return list<mixed>
     */
    private static function ask(string $script, array $cases): array
    {
        $process = new Process(['node', __DIR__.'/'.$script], timeout: 120);
        $process->setInput(json_encode($cases, JSON_THROW_ON_ERROR));
        $process->mustRun();

        return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
    }
}
