<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PlacedLock;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class FilePlanTest extends TestCase
{
    private const PLAN = [
        'order' => ['name' => 'Mine', 'sew' => [['1,1', '1,2'], ['2,1', '2,2']]],
        'style' => 'mixed',
        'lump' => 9,
        'rules' => ['rows: out'],
        'locks' => [['seam' => [['0', '1/2'], ['1', '1/2']], 'press' => ['up', 'down']]],
        'piles' => ['1,1' => 2],
        'ways' => ['1,1' => 'eight-at-a-time'],
        'margins' => ['1,1' => 'larger', 'b' => 'exact'],
        'build' => ['1,1' => 'alike'],
    ];

    public function test_what_is_written_is_read_again(): void
    {
        self::assertSame(self::PLAN, FilePlan::read(self::PLAN)->toArray());
        self::assertSame([], (new FilePlan())->toArray());
        self::assertEquals(new FilePlan(order: Order::Around), FilePlan::read(['order' => 'around']));
    }

    public function test_locks_outlive_another_size_and_are_read_from_either_end(): void
    {
        for ($seed = 1; $seed <= 6; ++$seed) {
            $file = Blocks::generated($seed, 3, 3);
            $small = Blocks::construction($file);
            $large = Blocks::construction(['finished' => ['width' => '17', 'height' => '5 1/2']] + $file);
            foreach ($small->joins as $join) {
                if ($join->tie !== null) {
                    continue;
                }
                $words = array_map(static fn (int $i): string => $i % 2 === 0 ? 'left' : 'right', range(0, $join->segmentCount() - 1));
                $lock = Lock::parse($join->id.':'.implode(',', $words));
                $placed = PlacedLock::of($lock, SeamPlaces::of($small));
                $told = $placed->toArray();
                $turned = ['seam' => array_reverse($told['seam']), 'press' => array_reverse($told['press'])];

                self::assertEquals($lock, PlacedLock::fromArray($told)->on(SeamPlaces::of($large), $large));
                self::assertEquals($lock, PlacedLock::fromArray($turned)->on(SeamPlaces::of($small), $small));
            }
        }
    }

    public function test_what_fits_nothing_is_left_out_with_a_sentence(): void
    {
        $plan = FilePlan::read([
            'order' => ['name' => 'Hers', 'sew' => ['1,1', '9,9']],
            'rules' => ['rows: left', 'units flying-geese: dark'],
            'locks' => [
                ['seam' => [['0', '0.5'], ['1', '1/2']], 'press' => ['down']],
                ['seam' => [['0', '1/3'], ['1', '1/3']], 'press' => ['up']],
                ['seam' => [['0', '1/2'], ['1', '1/2']], 'press' => ['left']],
                ['seam' => [['0', '1/2'], ['1', '1/2']], 'press' => ['up', 'down', 'up']],
            ],
            'piles' => ['1,1' => 2, '2,2' => 1, '5,5' => 2],
            'ways' => ['1,1' => 'eight-at-a-time', '1,2' => 'eight-at-a-time', '2,1' => 'by-magic'],
            'margins' => ['1,1' => 'larger', 'c' => 'larger', '7,7' => 'exact'],
            'build' => ['1,1' => 'alike', '8,8' => 'alike'],
        ]);
        $face = Face::of(Blocks::of('hAB pA', 'hAB90 pB'));
        [$construction, $leftOut] = $plan->takenApart(static fn (ChosenOrder $order): Construction => Construction::of($face, $order));
        self::assertSame(Order::Rows, $construction->order);
        self::assertCount(1, $leftOut);
        self::assertStringContainsString('"Hers"', $leftOut[0]);

        $places = SeamPlaces::of($construction);
        [$locks, $leftOut] = $plan->pressing($construction, $places, []);
        self::assertSame(['last', 'row 1', 'row 2'], array_map(static fn (Lock $lock): string => match ($lock->join) {
            count($construction->joins) - 1 => 'last',
            count($construction->joins) - 3 => 'row 1',
            count($construction->joins) - 2 => 'row 2',
            default => 'another',
        }, $locks));
        self::assertCount(4, $leftOut);

        [$classes, $leftOut] = $plan->twoPiles($places);
        self::assertSame([[0], 2], [$classes, count($leftOut)], 'a plain patch has no pile');

        [$ways, $builds, $margins, $stacks, $leftOut] = $plan->making(CuttingPlan::of($construction, new CutQuestion()), $places);
        self::assertSame([['U1' => 'eight-at-a-time'], ['U1' => BuildChoice::Alike], ['U1' => Margin::Larger], ['c' => Margin::Larger]], [$ways, $builds, $margins, $stacks]);
        self::assertCount(4, $leftOut);
        self::assertStringContainsString('two-at-a-time', implode(' ', $leftOut), 'it says which ways there are');
    }

    public function test_what_was_said_before_wins_over_the_file(): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        $plan = FilePlan::read(['rules' => ['rows: left'], 'locks' => [['seam' => [['0', '1/2'], ['1', '1/2']], 'press' => ['up']]]]);
        [$locks] = $plan->pressing($construction, SeamPlaces::of($construction), [Lock::parse('2:open'), Lock::parse('0:open')]);

        self::assertEquals([Lock::parse('2:open'), Lock::parse('0:open'), Lock::parse('1:left')], $locks);
    }

    public function test_classes_are_told_by_cells_small_grids_within_too(): void
    {
        $file = Blocks::file('pA pB', 'hAB pA');
        $file['cells'][3] = ['row' => 2, 'column' => 2, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => Blocks::file('sABC90 pA')['cells']];
        $construction = Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
        $places = SeamPlaces::of($construction);

        self::assertSame(['2,1', '2,2/1,1', '2,2'], $places->cells);
        foreach ($construction->classes as $class) {
            self::assertSame($class->label(), FilePlan::labelAt($places->cells[$class->index], $places));
            self::assertSame($places->cells[$class->index].'.2', FilePlan::cellOf($class->label().'.2', $places));
            self::assertSame($class->label().'.2', FilePlan::labelAt($places->cells[$class->index].'.2', $places));
        }
        self::assertNull(FilePlan::labelAt('1,1', $places));
        self::assertNull(FilePlan::cellOf('U9', $places));
    }
}
