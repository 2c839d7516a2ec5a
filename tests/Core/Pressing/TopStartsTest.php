<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Pressing\Internal\Descent;
use KeenSeam\Core\Pressing\Internal\JunctionTables;
use KeenSeam\Core\Pressing\Internal\TopModel;
use KeenSeam\Core\Pressing\Internal\TopStarts;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Pressing\TopPlanner;
use KeenSeam\Core\Top\TopFace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

/** Where the search for a top begins: patterns, the best of them, and a corner laid over all. */
final class TopStartsTest extends TestCase
{
    /** @return iterable<string, array{TopConstruction}> */
    public static function tops(): iterable
    {
        yield 'pinwheels' => [Tops::sewn(Tops::file(['rows' => 2, 'columns' => 3], Tops::PINWHEEL))];
        yield 'two piles' => [Tops::sewn(Tops::file(['columns' => 3, 'turns' => 'fixed', 'piles' => ['one' => 2]], ['pA', 'pB', '/', 'pB', 'pA']))];
        yield 'on point' => [Tops::sewn(Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C']], Tops::PINWHEEL))];
    }

    #[DataProvider('tops')]
    public function test_patterns_lay_blocks_alike_that_stand_alike(TopConstruction $top): void
    {
        $model = self::model($top);
        $seen = [];
        foreach ($model->variables->patterns() as $decided) {
            $lies = [];
            foreach ($top->copies as $number => $copy) {
                $variable = $model->variables->choiceOf($number);
                if ($variable === null) {
                    continue;
                }
                self::assertArrayHasKey($decided[$variable], $model->variables->choices($number));
                // The first block of a symmetric top has fewer ways: what the whole top does turned round is tried once.
                $lies[implode(' ', [...($copy->place->place?->parity() ?? []), count($model->variables->choices($number))])][] = $decided[$variable];
            }
            foreach ($lies as $alike) {
                self::assertCount(1, array_unique($alike), 'blocks of one parity lie alike');
            }
            $seen[implode(' ', array_map(static fn (array $alike): int => $alike[0], $lies))] = true;
        }
        // Any two ways there are come side by side, and each alone.
        $ways = max(array_map(static fn (int $number): int => count($model->variables->choices($number)), array_keys($top->copies)));
        self::assertGreaterThanOrEqual($ways * $ways, count($seen));
    }

    public function test_only_where_blocks_may_turn_or_change_piles_is_there_a_choice(): void
    {
        $isFree = static fn (array $more): bool => ! self::model(Tops::sewn(Tops::file(['rows' => 1, 'columns' => 2] + $more, Tops::PINWHEEL)))->variables->hasNoChoice();
        self::assertSame([true, false, true], [$isFree([]), $isFree(['turns' => 'fixed']), $isFree(['turns' => 'fixed', 'piles' => ['one' => 2]])]);
    }

    /** Of any two ways: all alike, a checkerboard, every other row, every other column. */
    public function test_patterns_are_checkerboards_and_every_other_row_and_column(): void
    {
        $top = Tops::sewn(Tops::file(['rows' => 3, 'columns' => 3], ['pA', 'pB', 'pA', '/', 'pB', 'pA', 'pB', '/', 'pA', 'pB', 'pA']));
        $model = self::model($top);
        $ways = max(array_map(static fn (int $number): int => count($model->variables->choices($number)), array_keys($top->copies)));
        self::assertGreaterThan(2, $ways);
        $seen = [];
        foreach ($model->variables->patterns() as $decided) {
            $lie = [];
            foreach ($top->copies as $number => $copy) {
                if (count($model->variables->choices($number)) === $ways) {
                    $lie[implode(' ', $copy->place->place?->parity() ?? [])] = $decided[$model->variables->choiceOf($number) ?? -1];
                }
            }
            ksort($lie);
            $seen[] = implode('', $lie);
        }
        $expected = [];
        for ($one = 0; $one < $ways; ++$one) {
            for ($other = 0; $other < $ways; ++$other) {
                // Even and even, even and odd, odd and even, odd and odd rows and columns.
                array_push($expected, ...($one === $other ? ["$one$one$one$one"] : ["$one$other$other$one", "$one$one$other$other", "$one$other$one$other"]));
            }
        }
        self::assertSame($expected, $seen);
    }

    #[DataProvider('tops')]
    public function test_a_start_keeps_what_is_decided_and_is_only_bettered(TopConstruction $top): void
    {
        $model = self::model($top);
        $starts = new TopStarts($model);
        $weigh = static fn (array $values): array => Descent::weigh($model->factors(), $values, $model->domains());
        $best = $starts->inPattern(static fn (): bool => false);
        $optimum = $model->solve(static fn (): bool => false, static fn (): null => null);
        self::assertTrue($optimum->exact);
        self::assertGreaterThanOrEqual([$optimum->boundHigh, $optimum->boundLow], $weigh($best));
        foreach ($best as $variable => $value) {
            self::assertLessThan($model->domains()[$variable], $value);
        }
        $patterns = iterator_to_array($model->variables->patterns(), false);
        foreach ([0, intdiv(count($patterns), 2), count($patterns) - 1] as $number) {
            $values = $starts->completed($patterns[$number]);
            self::assertSame(array_keys($model->domains()), array_keys($values));
            self::assertSame($patterns[$number], array_intersect_key($values, $patterns[$number]));
            $bettered = $starts->bettered($values, $patterns[$number], static fn (): bool => false);
            self::assertSame($patterns[$number], array_intersect_key($bettered, $patterns[$number]), 'what is held stays');
            self::assertLessThanOrEqual($weigh($values), $weigh($bettered));
            self::assertLessThanOrEqual($weigh($bettered), $weigh($best), 'the best pattern is no worse than any of them');
            self::assertLessThanOrEqual($weigh($bettered), $weigh($starts->bettered($bettered, [], static fn (): bool => false)));
        }
        // Hurried, the first pattern has to do; it is still one.
        self::assertSame(array_keys($model->domains()), array_keys($starts->inPattern(static fn (): bool => true)));
    }

    public function test_a_corner_is_laid_over_the_whole(): void
    {
        $file = Tops::file(['rows' => 4, 'columns' => 5], Tops::PINWHEEL);
        $top = Tops::sewn($file);
        $corner = $top->top->top->corner(2);
        self::assertNotNull($corner);
        $small = self::model($sewn = TopConstruction::of(TopFace::of($corner), $top->order));
        $large = self::model($top);
        $values = (new TopStarts($small))->inPattern(static fn (): bool => false);
        $decided = $large->variables->laidFrom($small->variables, $values);
        $standing = [];
        foreach ($sewn->copies as $number => $copy) {
            $standing[$copy->standing()] = $small->variables->chosenFor($number, $values);
        }
        self::assertCount(4, $standing);
        foreach ($top->copies as $number => $copy) {
            $chosen = $large->variables->choices($number)[$decided[$large->variables->choiceOf($number) ?? -1]];
            self::assertSame([$standing[$copy->standing()]->pile, $standing[$copy->standing()]->turn->turn], [$chosen->pile, $chosen->turn->turn]);
        }
        foreach (array_keys($large->variables->ofPiles()) as $variable) {
            self::assertArrayHasKey($variable, $decided, 'piles are pressed as in the corner');
        }
        // Seams between blocks are left to be decided.
        self::assertLessThan(count($large->domains()), count($decided));
    }

    /** Told again by its pile, a block is pressed as its copies are, furls and all; held so, nothing changes. */
    public function test_what_a_pile_is_pressed_like_can_be_told_and_held(): void
    {
        foreach ([[PressStyle::Nest, 4], [PressStyle::NestFurl, 5]] as [$style, $seed]) {
            $file = Tops::generated($seed);
            $top = Tops::sewn($file);
            $plan = (new TopPlanner($top))->best(new PressQuestion($style));
            $pressed = [];
            foreach ($plan->sewn->copies as $number => $copy) {
                $name = TopHolds::pile($copy->made, $plan->piles[$number]);
                [$design, $directions] = $plan->pressedOf($name) ?? self::fail('There is such a pile.');
                self::assertSame($copy->design, $design);
                self::assertSame(array_map(static fn ($join): int => $join->segmentCount(), $design->joins), array_map(count(...), $directions));
                $pressed[$name] ??= $directions;
                self::assertSame($pressed[$name], $directions);
            }
            self::assertNull($plan->pressedOf('nobody 1'));
            $held = (new TopPlanner($top, new TopHolds([], $pressed)))->best(new PressQuestion($style));
            self::assertSame($plan->plan->cost->figures($style), $held->plan->cost->figures($style));
        }
    }

    public function test_a_block_is_held_where_a_seam_of_it_is_or_its_place(): void
    {
        $top = Tops::sewn(Tops::file([], Tops::PINWHEEL));
        $holds = new TopHolds([$top->copies[1]->place->place?->key() ?? '']);
        $locks = [new Lock($top->copies[2]->joins[0], PressDirection::Left)];

        self::assertSame([false, true, true, false], array_map(static fn ($copy): bool => $holds->hold($copy, $locks), $top->copies));
        self::assertSame(['one 1', 'one 3'], [TopHolds::pile('one', 0), TopHolds::pile('one', 2)]);
    }

    private static function model(TopConstruction $top): TopModel
    {
        $question = new PressQuestion(PressStyle::Nest);

        return new TopModel($top, Junction::allOn($top->construction->face), new JunctionTables($top->construction, $question->allowsFurls(), $top->others), $question, $top->top->top->turns);
    }
}
