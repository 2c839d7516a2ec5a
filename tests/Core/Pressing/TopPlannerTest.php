<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Pressing\Internal\JunctionTables;
use KeenSeam\Core\Pressing\Internal\TopModel;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Pressing\TopPlanner;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopFile;
use KeenSeam\Core\Top\TopPlace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

final class TopPlannerTest extends TestCase
{
    private const FOUR_PATCH = ['pA', 'pB', '/', 'pB', 'pA'];

    /** What the search finds over all turns is the best that it finds with any turns held. */
    public function test_free_turns_are_as_good_as_the_best_held_ones(): void
    {
        foreach ([[Tops::PINWHEEL, 2], [['pA', 'pB', 'pA', '/', 'pB', 'pA', 'pB', '/', 'pA', 'pB', 'pA'], 2]] as [$block, $columns]) {
            $best = self::planned(Tops::file(['rows' => 1, 'columns' => $columns], $block));
            $least = null;
            for ($turns = 0; $turns < 4 ** $columns; ++$turns) {
                $places = [];
                for ($column = 1; $column <= $columns; ++$column) {
                    $places[] = ['row' => 1, 'column' => $column, 'block' => 'one', 'turn' => 90 * intdiv($turns, 4 ** ($column - 1)) % 360];
                }
                $cost = self::planned(Tops::file(['rows' => 1, 'columns' => $columns, 'turns' => 'fixed', 'places' => $places], $block))->plan->cost;
                $least = $least === null || $cost->compareTo($least, PressStyle::Nest) < 0 ? $cost : $least;
            }
            self::assertSame($least->figures(PressStyle::Nest), $best->plan->cost->figures(PressStyle::Nest));
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach ([2, 3, 4, 5] as $seed) {
            yield "top $seed" => [$seed];
        }
    }

    /** @return iterable<string, array{array<string, mixed>, PressStyle}> */
    public static function weighed(): iterable
    {
        foreach ([2 => PressStyle::Open, 3 => PressStyle::Dark, 4 => PressStyle::Mixed, 9 => PressStyle::Nest] as $seed => $style) {
            yield "top $seed, $style->value" => [Tops::generated($seed), $style];
        }
        $mixed = ['pA', 'hAB', 'pB', '/', 'gABC', 'pA', 'pC', '/', 'hBC', 'pB', 'sABC'];
        yield 'seams between that furl' => [Tops::file([], self::FOUR_PATCH), PressStyle::NestFurl];
        yield 'the same where blocks turn' => [Tops::file(['columns' => 3], Tops::PINWHEEL), PressStyle::NestFurl];
        yield 'the same of blocks of many units' => [Tops::file(['turns' => 'fixed'], $mixed), PressStyle::NestFurl];
        yield 'in two piles' => [Tops::file(['turns' => 'fixed', 'columns' => 3, 'piles' => ['one' => 2]], self::FOUR_PATCH), PressStyle::Mixed];
        yield 'many units in two piles' => [Tops::file(['rows' => 1, 'turns' => 'fixed', 'piles' => ['one' => 2]], $mixed), PressStyle::Nest];
        yield 'one mirrored, sashes between' => [Tops::file(['turns' => 'fixed', 'sashes' => ['width' => '1', 'fabric' => 'C', 'outer' => true, 'cornerstone' => 'B'], 'places' => [['row' => 1, 'column' => 2, 'block' => 'one', 'mirrored' => true], ['row' => 2, 'column' => 1, 'block' => 'one', 'turn' => 90]]], $mixed), PressStyle::Dark];
    }

    /**
     * But for shadow, which is weighed in millionths.
     *
     * @param array<string, mixed> $file
     */
    #[DataProvider('weighed')]
    public function test_what_the_search_weighs_is_what_is_priced_on_the_whole_top(array $file, PressStyle $style): void
    {
        $top = Tops::sewn($file);
        $question = new PressQuestion($style);
        $model = new TopModel($top, Junction::allOn($top->construction->face), new JunctionTables($top->construction, $question->allowsFurls(), $top->others), $question, $top->top->top->turns);
        $optimum = $model->solve(static fn (): bool => false, static fn (): null => null);
        self::assertTrue($optimum->exact);
        $weighed = $model->weight->toCost($optimum->boundHigh, $optimum->boundLow)->figures($style);
        $plan = (new TopPlanner($top))->best($question)->plan;
        $priced = $plan->cost->figures($style);
        self::assertEqualsWithDelta($priced['shadow'], $weighed['shadow'], 1e6);
        self::assertSame(array_diff_key($priced, ['shadow' => true]), array_diff_key($weighed, ['shadow' => true]));
        self::assertTrue($plan->proved);
        self::assertSame($priced, $plan->bound?->figures($style));
        foreach ($plan->junctions as $number => $junction) {
            self::assertEqualsWithDelta(count($junction->patchIds), array_sum($plan->plies[$number]) / count($plan->plies[$number]), 2 / 64 + 1e-9, 'cloth is conserved');
        }
    }

    #[DataProvider('seeds')]
    public function test_a_top_that_is_half_turned_or_mirrored_costs_the_same(int $seed): void
    {
        $top = TopFile::read(Tops::generated($seed));
        $moved = static fn (Placement $move, \Closure $place): Top => $top->withPlaces(array_map(static function (TopPlace $one) use ($move, $place): TopPlace {
            [$row, $column] = $place($one->rowDoubled, $one->columnDoubled);

            return new TopPlace($row, $column, $one->holds, $move->around($one->placement));
        }, $top->places));
        [$rows, $columns] = [2 * $top->rows + 2, 2 * $top->columns + 2];
        $turned = $moved(new Placement(Turn::Half), static fn (int $row, int $column): array => [$rows - $row, $columns - $column]);
        // What hangs on point is mirrored by swapping across and down in the frame; its rows are columns then.
        $isOnPoint = $top->setting === Setting::OnPoint;
        $mirrored = $moved(new Placement($isOnPoint ? Turn::ThreeQuarters : Turn::None, true), static fn (int $row, int $column): array => [$row, $columns - $column]);
        $cost = static fn (Top $top, Order $order): array => (new TopPlanner(TopConstruction::of(TopFace::of($top), new TopOrder($order))))->best(new PressQuestion(PressStyle::Nest))->plan->cost->figures(PressStyle::Nest);

        self::assertEqualsWithDelta($cost($top, Order::Rows), $cost($turned, Order::Rows), 2000.0, 'shadow is weighed in millionths');
        // What lies along the rows of the frame lies along them in the mirror image too.
        $runsInRows = $isOnPoint && ($top->sides?->float->isPositive() === true || ($top->sashes !== null && $top->sashes->cornerstone === null));
        if (! $runsInRows) {
            self::assertEqualsWithDelta($cost($top, Order::Rows), $cost($mirrored, $isOnPoint ? Order::Columns : Order::Rows), 2000.0);
        }
    }

    public function test_larger_triangles_run_along_the_rows(): void
    {
        $this->expectExceptionMessage('The larger triangles at the sides, or the sashes without cornerstones, run along the rows of this top. Sew it by rows.');
        $this->expectException(OrderNotPossible::class);
        Tops::sewn(Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C', 'float' => '1']], Tops::PINWHEEL), Order::Columns);
    }

    public function test_copies_of_a_pile_are_pressed_alike_and_piles_apart(): void
    {
        $plan = self::planned(Tops::file(['columns' => 3, 'turns' => 'fixed', 'piles' => ['one' => 2]], self::FOUR_PATCH));
        $pressed = [];
        foreach ($plan->sewn->copies as $number => $copy) {
            $directions = array_map(static fn (int $join): string => implode(',', array_column($plan->plan->pressing->directions[$join], 'value')), $copy->joins);
            $pressed[$plan->piles[$number]][] = implode(' ', $directions);
        }

        self::assertSame([0, 1], array_keys($pressed));
        self::assertSame([1, 1], array_map(static fn (array $ways): int => count(array_unique($ways)), $pressed));
        self::assertNotSame($pressed[0][0], $pressed[1][0]);
        self::assertLessThan(
            array_values(self::planned(Tops::file(['columns' => 3, 'turns' => 'fixed'], self::FOUR_PATCH))->plan->cost->figures(PressStyle::Nest)),
            array_values($plan->plan->cost->figures(PressStyle::Nest)),
        );
    }

    public function test_where_the_face_may_change_every_turn_is_tried(): void
    {
        $best = self::planned(Tops::file(['turns' => 'any'], self::FOUR_PATCH));
        $least = null;
        for ($turns = 0; $turns < 16; ++$turns) {
            [$layed] = iterator_to_array(Tops::layings([array_map(static fn (int $place): int => 90 * (($turns >> $place) & 1), [0, 1, 2, 3])]), false);
            $cost = self::planned(['turns' => 'same-face'] + $layed + Tops::file([], self::FOUR_PATCH))->plan->cost;
            $least = $least === null || $cost->compareTo($least, PressStyle::Nest) < 0 ? $cost : $least;
        }

        self::assertTrue($best->plan->proved);
        self::assertSame($least->figures(PressStyle::Nest), $best->plan->cost->figures(PressStyle::Nest));
        self::assertLessThan(self::planned(Tops::file([], self::FOUR_PATCH))->plan->cost->shadowSteps, $best->plan->cost->shadowSteps);
    }

    public function test_where_there_are_too_many_faces_the_distance_is_told(): void
    {
        $file = Tops::file(['turns' => 'any', 'rows' => 1, 'columns' => 5], ['pA', 'hAB', '/', 'hBC', 'pC']);
        $plan = (new TopPlanner(Tops::sewn($file)))->best(new PressQuestion(PressStyle::Nest), (new Looks(60))->timeIsUp(...))->plan;

        self::assertFalse($plan->proved);
        self::assertSame(0, $plan->bound?->peakSquared);
        self::assertLessThanOrEqual(array_values(self::planned(['turns' => 'same-face'] + $file)->plan->cost->figures(PressStyle::Nest)), array_values($plan->cost->figures(PressStyle::Nest)));
    }

    /** What is told of a pile by itself is how its copies lie in the top, as far as the two can be compared. */
    #[DataProvider('seeds')]
    public function test_each_pile_is_told_as_its_copies_are_pressed(int $seed): void
    {
        $plan = self::planned(Tops::generated($seed));
        $told = [];
        foreach ($plan->made as $pile) {
            $told[$pile->design->key.($pile->mirrored ? ' mirrored' : '').' '.$pile->pile] = $pile;
        }
        $counts = [];
        foreach ($plan->sewn->copies as $number => $copy) {
            $name = $copy->made.' '.$plan->piles[$number];
            $counts[$name] = ($counts[$name] ?? 0) + 1;
            $inTop = $alone = [];
            foreach ($copy->joins as $design => $join) {
                $inTop[implode(' ', $copy->design->joins[$design]->patchIds())] = $plan->plan->pressing->directions[$join][0]->value;
            }
            foreach ($told[$name]->plan->construction->joins as $join) {
                $alone[implode(' ', $join->patchIds())] = $told[$name]->plan->pressing->directions[$join->id][0]->value;
            }
            ksort($inTop);
            ksort($alone);
            self::assertSame($inTop, $alone);
        }
        self::assertSame($counts, array_map(static fn ($pile): int => $pile->count, $told));
    }

    public function test_a_seam_that_is_held_holds_its_block_too(): void
    {
        $file = Tops::file([], Tops::PINWHEEL);
        $top = Tops::sewn($file);
        $copy = $top->copies[3];
        $free = self::planned($file);
        $held = $copy->joins[count($copy->joins) - 1];
        $wanted = $free->plan->pressing->directions[$held][0]->swapped();
        $plan = (new TopPlanner($top))->best(new PressQuestion(PressStyle::Nest, [new Lock($held, $wanted)]));

        self::assertSame($wanted, $plan->plan->pressing->directions[$held][0]);
        self::assertSame($copy->place->place?->placement->turn, $plan->sewn->copies[3]->place->place?->placement->turn);

        $this->expectException(LockNotPossible::class);
        $other = $top->copies[0]->joins[0];
        (new TopPlanner($top))->best(new PressQuestion(PressStyle::Nest, [new Lock($copy->joins[0], PressDirection::Left), new Lock($other, PressDirection::Right)]));
    }

    /** Whichever pile its block is made for: the seam lies as it is held. */
    public function test_a_seam_is_held_where_blocks_are_in_two_piles(): void
    {
        $file = Tops::file(['columns' => 3, 'turns' => 'fixed', 'piles' => ['one' => 2]], self::FOUR_PATCH);
        $top = Tops::sewn($file);
        $free = self::planned($file);
        foreach ([0, 3] as $number) {
            foreach ([0, 2] as $inBlock) {
                $join = $top->copies[$number]->joins[$inBlock];
                foreach ([PressDirection::Left, PressDirection::Right] as $way) {
                    $plan = (new TopPlanner($top))->best(new PressQuestion(PressStyle::Nest, [new Lock($join, $way)]))->plan;
                    self::assertSame($way, $plan->pressing->directions[$join][0]);
                    self::assertTrue($plan->proved);
                    self::assertGreaterThanOrEqual(0, $plan->cost->compareTo($free->plan->cost, PressStyle::Nest));
                }
            }
        }
    }

    public function test_places_that_are_held_lie_as_they_are_placed_and_cost_no_more_than_that(): void
    {
        $file = Tops::file(['rows' => 1, 'columns' => 3], Tops::PINWHEEL);
        $top = Tops::sewn($file);
        $keys = array_map(static fn (TopCopy $copy): string => $copy->place->place?->key() ?? '', $top->copies);
        $cost = static fn (TopPlan $plan): array => $plan->plan->cost->figures(PressStyle::Nest);
        $holding = static fn (array $places): TopPlan => (new TopPlanner($top, new TopHolds($places)))->best(new PressQuestion(PressStyle::Nest));
        $free = $holding([]);
        foreach ($keys as $number => $key) {
            $held = $holding([$key]);
            self::assertSame(Turn::None, $held->sewn->copies[$number]->place->place?->placement->turn);
            self::assertTrue($held->plan->proved);
            self::assertSame($cost($free), $cost($held), 'all the others can turn instead, whichever it is');
        }
        self::assertSame($cost(self::planned(['turns' => 'fixed'] + $file)), $cost($holding($keys)));
    }

    public function test_a_pile_is_pressed_as_it_is_held_and_the_rest_as_well_as_that_allows(): void
    {
        $file = Tops::file(['rows' => 2, 'columns' => 2], Tops::PINWHEEL);
        $top = Tops::sewn($file);
        $cost = static fn (TopPlan $plan): array => $plan->plan->cost->figures(PressStyle::Nest);
        $free = self::planned($file);
        $own = $free->made[0]->plan->pressing->directions;
        $name = TopHolds::pile($top->copies[0]->made, 0);
        $holding = static fn (array $pressed): TopPlan => (new TopPlanner($top, new TopHolds([], [$name => $pressed])))->best(new PressQuestion(PressStyle::Nest));
        self::assertSame($cost($free), $cost($holding($own)));
        $seen = [];
        foreach ($own as $join => $directions) {
            $other = [$join => array_map(static fn (PressDirection $direction): PressDirection => $direction->swapped(), $directions)];
            $held = $holding($other);
            self::assertSame($other[$join], $held->made[0]->plan->pressing->directions[$join]);
            self::assertGreaterThanOrEqual(0, $held->plan->cost->compareTo($free->plan->cost, PressStyle::Nest));
            $seen[] = $held->made[0]->plan->pressing->directions;
            // Held throughout as it then is, it stays so at the same cost.
            self::assertSame($cost($held), $cost($holding($held->made[0]->plan->pressing->directions)));
        }
        self::assertNotContains($own, $seen);
        $this->expectException(LockNotPossible::class);
        $holding([0 => [PressDirection::Open]]);
    }

    public function test_a_top_of_quarter_turned_blocks_nests_throughout_where_alike_it_does_not(): void
    {
        $file = Tops::file(['rows' => 5, 'columns' => 5], Tops::PINWHEEL);
        $free = self::planned($file)->plan;

        self::assertGreaterThan(0, self::planned(['turns' => 'fixed'] + $file)->plan->cost->mismatch);
        self::assertSame(0, $free->cost->mismatch);
        self::assertTrue($free->proved);
    }

    /** @param array<string, mixed> $file */
    private static function planned(array $file, PressStyle $style = PressStyle::Nest): TopPlan
    {
        return (new TopPlanner(Tops::sewn($file)))->best(new PressQuestion($style));
    }
}
