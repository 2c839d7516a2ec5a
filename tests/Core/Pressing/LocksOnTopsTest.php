<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Pressing\TopPlanner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

/** A quilter's word for one seam of a top: it is kept, and of the two ways to press a seam the better one is the best there is. */
final class LocksOnTopsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, PressStyle}> */
    public static function tops(): iterable
    {
        $places = [['row' => 1, 'column' => 1, 'block' => 'one', 'turn' => 90], ['row' => 1, 'column' => 2, 'block' => 'one', 'mirrored' => true]];
        yield 'pinwheels that may turn' => [Tops::file(['rows' => 1, 'columns' => 2], Tops::PINWHEEL), PressStyle::Nest];
        yield 'pinwheels as they are placed' => [Tops::file(['rows' => 1, 'columns' => 2, 'turns' => 'fixed'], Tops::PINWHEEL), PressStyle::Nest];
        yield 'one turned, one flipped' => [Tops::file(['rows' => 1, 'places' => $places, 'turns' => 'fixed'], ['qABAB', 'pA', '/', 'pB', 'hBC']), PressStyle::Nest];
        yield 'with a sash between' => [Tops::file(['rows' => 1, 'columns' => 2, 'turns' => 'fixed', 'sashes' => ['width' => '1', 'fabric' => 'C', 'outer' => false]], Tops::PINWHEEL), PressStyle::Nest];
        yield 'toward the dark' => [Tops::file(['rows' => 1, 'columns' => 2, 'turns' => 'fixed'], Tops::PINWHEEL), PressStyle::Dark];
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('tops')]
    public function test_of_the_two_ways_to_press_a_seam_the_better_one_is_the_best(array $file, PressStyle $style): void
    {
        $top = Tops::sewn($file);
        $planned = static fn (Lock ...$locks): TopPlan => (new TopPlanner($top))->best(new PressQuestion($style, array_values($locks)));
        $free = $planned();
        self::assertTrue($free->plan->proved);
        $least = $free->plan->cost->figures($style);
        $within = array_merge(...array_map(static fn (TopCopy $copy): array => $copy->joins, $top->copies));
        foreach ($top->construction->joins as $join) {
            $figures = [];
            foreach ([PressDirection::Left, PressDirection::Right] as $direction) {
                $plan = $planned(new Lock($join->id, $direction));
                self::assertTrue($plan->plan->proved);
                self::assertSame([$direction], array_values(array_unique($plan->plan->pressing->directions[$join->id], SORT_REGULAR)), "join $join->id");
                $figures[] = $plan->plan->cost->figures($style);
                self::assertGreaterThanOrEqual($least, end($figures), 'a lock makes nothing better');
            }
            // A seam within a block holds the block where it lies; one between blocks, or where none may turn, decides nothing else.
            if ($style === PressStyle::Nest && (($file['turns'] ?? '') === 'fixed' || ! in_array($join->id, $within, true))) {
                self::assertSame($least, min($figures), "join $join->id");
            }
        }
    }

    public function test_two_locks_on_what_is_one_pile_hold_together_or_are_refused(): void
    {
        $top = Tops::sewn(Tops::file(['rows' => 1, 'columns' => 2, 'turns' => 'fixed'], ['hAB', 'pA']));
        [$one, $other] = array_map(static fn (TopCopy $copy): int => $copy->joins[0], $top->copies);
        self::assertSame($top->construction->joins[$one]->tie?->unitClass, $top->construction->joins[$other]->tie?->unitClass);
        $best = static fn (PressDirection $first, PressDirection $second): TopPlan => (new TopPlanner($top))->best(new PressQuestion(PressStyle::Nest, [new Lock($one, $first), new Lock($other, $second)]));
        $plan = $best(PressDirection::Left, PressDirection::Left)->plan->pressing->directions;
        self::assertSame([[PressDirection::Left], [PressDirection::Left]], [$plan[$one], $plan[$other]]);
        $this->expectExceptionMessage('contradict each other');
        $best(PressDirection::Left, PressDirection::Right);
    }

    /** Where the best plan changes sides along a seam between blocks, her word for all of it holds for every stretch. */
    public function test_a_seam_between_blocks_is_held_stretch_by_stretch(): void
    {
        $top = Tops::sewn(Tops::file(['turns' => 'fixed'], ['pA', 'pB', '/', 'pB', 'pA']));
        $pressed = static fn (Lock ...$locks): array => (new TopPlanner($top))->best(new PressQuestion(PressStyle::NestFurl, array_values($locks)))->plan->pressing->directions;
        $furled = array_filter($pressed(), static fn (array $directions): bool => count(array_unique($directions, SORT_REGULAR)) > 1);
        $between = array_diff(array_keys($furled), ...array_map(static fn (TopCopy $copy): array => $copy->joins, $top->copies));
        self::assertNotSame([], $between);
        foreach ($between as $join) {
            foreach ([array_fill(0, count($furled[$join]), PressDirection::Left), $furled[$join]] as $directions) {
                self::assertSame($directions, $pressed(new Lock($join, ...$directions))[$join]);
            }
        }
    }
}
