<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;
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
        $asked = $sizes = [];
        foreach ([[1, 4], [3, 8], [1, 8], [7, 1], [15, 2]] as $allowance) {
            foreach ([[1, 1], [3, 2], [2, 1], [25, 8], [10, 3], [150, 1]] as $finished) {
                [$s, $f] = [Fraction::of(...$allowance), Fraction::of(...$finished)];
                [$two, $size] = [$s->times(Fraction::of(2)), $f->toFloat()];
                // A right triangle with its short sides along the weave: half of a square.
                $asked[] = ['points' => [[0, 0], [$size, 0], [0, $size]], 'distance' => $s->toFloat(), 'sharp' => true];
                $sizes[] = ['width', (new Surd($two, $s))->plus(Surd::of($f))];
                // One with its long side along the weave: a quarter of a square.
                $asked[] = ['points' => [[0, 0], [$size, 0], [$size / 2, $size / 2]], 'distance' => $s->toFloat(), 'sharp' => true];
                $sizes[] = ['width', (new Surd($two, $two))->plus(Surd::of($f))];
                // A square on its point in a cell of that side.
                $asked[] = ['points' => [[0, $size / 2], [$size / 2, 0], [$size, $size / 2], [$size / 2, $size]], 'distance' => $s->toFloat(), 'sharp' => true];
                $sizes[] = ['side', (new Surd($two, $f->times(Fraction::of(1, 2))))];
            }
        }
        foreach (self::ask('geometry.mjs', $asked) as $i => $answer) {
            $xs = array_column($answer['offset'], 0);
            $found = $sizes[$i][0] === 'width' ? max($xs) - min($xs) : sqrt($answer['offsetArea']);
            self::assertEqualsWithDelta($found, $sizes[$i][1]->toFloat(), 1e-6, json_encode($asked[$i], JSON_THROW_ON_ERROR));
            $raised = $sizes[$i][1]->raisedTo(8)->toFloat();
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
