<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Internal\PricedFactors;
use KeenSeam\Core\Pressing\Internal\SeamCosts;
use KeenSeam\Core\Pressing\Internal\Weight;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TooMuchToWeigh;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

final class WeightTest extends TestCase
{
    public function test_the_figures_of_a_check_of_large_squares_do_not_run_into_each_other(): void
    {
        // 20 x 20 squares of 100 mm: 76 m of seams, every one of them with a dark side.
        $cells = [];
        foreach (range(1, 20) as $row) {
            foreach (range(1, 20) as $column) {
                $cells[] = ['row' => $row, 'column' => $column, 'unit' => 'plain', 'fabrics' => [($row + $column) % 2 === 0 ? 'A' : 'B']];
            }
        }
        $file = ['units' => 'mm', 'finished' => ['width' => '2000', 'height' => '2000'], 'seam_allowance' => '7', 'columns' => array_fill(0, 20, '1'), 'rows' => array_fill(0, 20, '1'), 'cells' => $cells] + Blocks::file('pA');
        $plan = (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));

        self::assertTrue($plan->proved);
        self::assertNotNull($plan->bound);
        self::assertSame([$plan->cost->mismatch, $plan->cost->peakSquared, $plan->cost->folded, $plan->cost->furls], [$plan->bound->mismatch, $plan->bound->peakSquared, $plan->bound->folded, $plan->bound->furls]);
        self::assertEqualsWithDelta($plan->cost->shadowSteps, $plan->bound->shadowSteps, 1e-3 * Cost::SHADOW_STEPS * 400, 'shadow is rounded at every seam');
        self::assertGreaterThan(17_000, $plan->cost->shadowSteps / Cost::SHADOW_STEPS, 'more than had room before');
    }

    /** Of factors each of which fits, there may be too many. */
    public function test_what_runs_over_in_all_is_refused(): void
    {
        $weight = Weight::of(Construction::of(Face::of(BlockFile::read(Blocks::file('pA pB', 'pB pA'))), Order::Rows), PressStyle::Nest);
        $factors = new PricedFactors($weight, [[PressDirection::Left, PressDirection::Right]]);
        $half = static fn (array $chosen): Cost => new Cost(peakSquared: $chosen[0] === 0 ? 1 : intdiv(Weight::SECOND, 2));
        $factors->add([0], $half);
        self::assertCount(1, $factors->all());
        $factors->add([0], $half, 'of one kind');
        $this->expectException(TooMuchToWeigh::class);
        $factors->all();
    }

    /** @return iterable<string, array{array<string, mixed>, PressStyle}> */
    public static function blocks(): iterable
    {
        foreach (['qABAB hAB', 'pA pB pA pB'] as $row) {
            foreach ([['in', '4'], ['mm', '3600']] as [$units, $side]) {
                foreach (PressStyle::cases() as $style) {
                    yield "$row, $side $units, {$style->value}" => [['units' => $units, 'finished' => ['width' => $side, 'height' => $side], 'seam_allowance' => $units === 'mm' ? '6' : '1/4'] + Blocks::file($row, $row), $style];
                }
            }
        }
        yield 'fifty by fifty' => [['units' => 'mm', 'finished' => ['width' => '3600', 'height' => '3600'], 'seam_allowance' => '6'] + Blocks::file(...array_fill(0, 50, implode(' ', array_fill(0, 50, 'pA')))), PressStyle::Nest];
    }

    /**
     * The last is so large that its shadow is told in larger steps.
     *
     * @param array<string, mixed> $file
     */
    #[DataProvider('blocks')]
    public function test_weights_compare_as_the_costs_do_add_up_and_can_be_read_again(array $file, PressStyle $style): void
    {
        $construction = Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
        $weight = Weight::of($construction, $style);
        $matches = array_sum(array_map(static fn ($join): int => count($join->matchPoints()), $construction->joins));
        $ends = array_sum(array_map(static fn ($join): int => array_sum(array_map(static fn ($meeting): int => $meeting->seamsOfLeft + $meeting->seamsOfRight, $join->meetings)), $construction->joins));
        $length = array_sum(array_map(static fn ($join): float => $join->seam->length() / $construction->face->lattice->steps, $construction->joins));
        $random = new Randomizer(new Mt19937(9));
        // As much as the block can have, and anything below it; shadow in steps that are kept exactly.
        $cost = static fn (): Cost => new Cost(
            mismatch: $style->goesByTheLump() ? 0 : $random->getInt(0, 2 * $matches),
            peakSquared: $random->getInt(0, 9000),
            folded: $random->getInt(0, 2 * $ends),
            shadowSteps: $random->getInt(0, (int) $length) * Cost::SHADOW_STEPS,
            furls: $random->getInt(0, $matches),
            overLump: $style->goesByTheLump() ? $random->getInt(0, 900) : 0,
            unlocked: $style->goesByTheLump() ? $random->getInt(0, 3 * $matches) : 0,
        );
        for ($try = 0; $try < 60; ++$try) {
            [$a, $b] = [$cost(), $cost()];
            self::assertEquals($a, $weight->toCost($weight->high($a), $weight->low($a)));
            self::assertSame($a->compareTo($b, $style), [$weight->high($a), $weight->low($a)] <=> [$weight->high($b), $weight->low($b)]);
            self::assertSame([$weight->high($a) + $weight->high($b), $weight->low($a) + $weight->low($b)], [$weight->high($a->plus($b)), $weight->low($a->plus($b))]);
        }
    }

    public function test_costs_are_added_multiplied_and_compared_figure_by_figure(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $cost = static fn (): Cost => new Cost(...array_map(static fn (): int => $random->getInt(2, 99), range(1, 7)));
        for ($try = 0; $try < 20; ++$try) {
            [$a, $b] = [$cost(), $cost()];
            $figures = static fn (Cost $of): array => array_values(get_object_vars($of));
            $both = static fn (\Closure $of): array => array_map($of, $figures($a), $figures($b));
            self::assertSame($both(max(...)), $figures($a->most($b)));
            self::assertSame($both(static fn (int $one, int $other): int => $one + $other), $figures($a->plus($b)));
            self::assertSame(array_map(static fn (int $one): int => 3 * $one, $figures($a)), $figures($a->times(3)));
        }
    }

    public function test_a_plan_that_cannot_be_weighed_truly_is_refused(): void
    {
        $weight = Weight::of(Construction::of(Face::of(BlockFile::read(Blocks::file('hAB'))), Order::Rows), PressStyle::Nest);
        $weight->mustHold(new Cost(mismatch: 70_000, peakSquared: Weight::SECOND - 1));
        $this->expectException(TooMuchToWeigh::class);
        $weight->mustHold(new Cost(peakSquared: Weight::SECOND));
    }

    public function test_a_side_counts_as_folded_where_either_stretch_beside_a_crossing_folds_it(): void
    {
        $construction = Construction::of(Face::of(BlockFile::read(Blocks::file('hAB hAB', 'hAB hAB'))), Order::Rows);
        $root = $construction->joins[count($construction->joins) - 1];
        $match = $root->matchPoints()[0];
        self::assertGreaterThan(0, $match->seamsOfLeft);
        self::assertGreaterThan(0, $match->seamsOfRight);
        $folded = static fn (PressDirection $before, PressDirection $after): array => [SeamCosts::ofMatch($match, $before, $after)->folded, SeamCosts::ofMatch($match, $before, $after)->furls];
        $both = $match->seamsOfLeft + $match->seamsOfRight;

        // The side pressed toward is folded; open folds both; a furl folds one before the crossing and the other after it.
        self::assertSame([$match->seamsOfLeft, 0], $folded(PressDirection::Left, PressDirection::Left));
        self::assertSame([$match->seamsOfRight, 0], $folded(PressDirection::Right, PressDirection::Right));
        self::assertSame([$both, 0], $folded(PressDirection::Open, PressDirection::Open));
        self::assertSame([$both, 1], $folded(PressDirection::Left, PressDirection::Right));
        self::assertSame([$both, 1], $folded(PressDirection::Right, PressDirection::Left));
    }
}
