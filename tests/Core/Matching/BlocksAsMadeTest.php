<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Matching\BlocksAsMade;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Tops;

final class BlocksAsMadeTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 16; ++$seed) {
            yield "top $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_after_the_swaps_no_other_swap_helps_and_nothing_is_lost(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        // Some lie turned by a quarter: of the same size as others, they are as wide as those are high.
        $places = array_map(static fn (int $column): array => ['row' => 1, 'column' => $column, 'block' => 'one', 'turn' => 90 * $random->getInt(0, 3)], $seed > 4 ? [1, 2, 3] : []);
        $top = Tops::sewn(Tops::file(['rows' => 2, 'columns' => 3, 'setting' => $seed % 2 === 0 ? 'on-point' : 'straight', 'sides' => ['fabric' => 'C'], 'places' => $places], Tops::PINWHEEL));
        $raw = [];
        $two = [self::near($random), self::near($random)];
        foreach ($top->copies as $copy) {
            $raw[$copy->place->place?->key() ?? ''] = $seed > 4 ? ($random->getInt(0, 1) === 1 ? $two : array_reverse($two)) : [self::near($random), self::near($random)];
        }
        $blocks = new BlocksAsMade($top->top->top, $top->copies, $raw);
        $piles = array_map(static fn (): int => 0, $top->copies);
        $swaps = $blocks->swaps($piles);
        $after = $blocks->swapped($swaps);
        self::assertLessThanOrEqual($blocks->differences() + 1e-9, $after->differences());
        self::assertEqualsWithDelta($blocks->cutOff(), $after->cutOff(), 1e-9, 'the same blocks');
        foreach ($top->copies as $one) {
            foreach ($top->copies as $other) {
                self::assertGreaterThanOrEqual($after->differences() - 1e-9, $after->swapped([[$one->place->place?->key() ?? '', $other->place->place?->key() ?? '']])->differences());
            }
        }
        self::assertSame([], $blocks->swaps(array_keys($top->copies)), 'blocks pressed otherwise do not change');
        self::assertEqualsWithDelta($blocks->differences(), $after->swapped(array_reverse($swaps))->differences(), 1e-9);
    }

    public function test_small_ones_come_to_stand_beside_small_ones(): void
    {
        // In a row of four every other block is 1/8 in too small: together they differ once instead of three times.
        $blocks = self::row(['columns' => 4], ['6 3/8', '6 1/2', '6 3/8', '6 1/2']);
        self::assertEqualsWithDelta(3 / 8, $blocks->differences(), 1e-9);
        $swaps = $blocks->swaps([0, 0, 0, 0]);
        self::assertCount(1, $swaps);
        self::assertEqualsWithDelta(1 / 8, $blocks->swapped($swaps)->differences(), 1e-9);
    }

    /** @return iterable<string, array{array<string, mixed>, string, int, float}> over, place, the side that is 1/8 in larger, and what that differs by */
    public static function edges(): iterable
    {
        yield 'straight, its width meets the one below' => [[], '2,2', 0, 1 / 8];
        yield 'straight, its height meets the one beside it' => [[], '2,2', 1, 1 / 8];
        yield 'straight, the last one meets the one above' => [[], '4,4', 0, 1 / 8];
        $onPoint = ['setting' => 'on-point', 'sides' => ['fabric' => 'C']];
        yield 'on point, the one between meets two along one edge' => [$onPoint, '3,3', 0, 2 / 8];
        yield 'on point, and two along the other' => [$onPoint, '3,3', 1, 2 / 8];
        yield 'on point, the upper left one meets none up there' => [$onPoint, '2,2', 0, 0.0];
        yield 'on point, it meets the one between' => [$onPoint, '2,2', 1, 1 / 8];
        yield 'on point, the lower left one meets it along the other edge' => [$onPoint, '4,2', 0, 1 / 8];
    }

    /** @param array<string, mixed> $over */
    #[DataProvider('edges')]
    public function test_blocks_meet_along_the_edge_they_share(array $over, string $place, int $side, float $differences): void
    {
        $top = TopConstruction::of(Tops::face(Tops::file($over, Tops::PINWHEEL)));
        $size = [Fraction::of(13, 2), Fraction::of(13, 2)];
        $size[$side] = Fraction::of(53, 8);
        self::assertEqualsWithDelta($differences, (new BlocksAsMade($top->top->top, $top->copies, [$place => [$size[0], $size[1]]]))->differences(), 1e-9);
    }

    public function test_a_block_that_goes_to_a_place_turned_by_a_quarter_is_turned(): void
    {
        $top = TopConstruction::of(Tops::face(Tops::file(['rows' => 1, 'places' => [['row' => 1, 'column' => 1, 'block' => 'one', 'turn' => 90]]], Tops::PINWHEEL)));
        $blocks = new BlocksAsMade($top->top->top, $top->copies, ['2,2' => [Fraction::of(51, 8), Fraction::of(13, 2)]]);
        self::assertEqualsWithDelta(0.0, $blocks->differences(), 1e-9);
        self::assertEqualsWithDelta(1 / 8, $blocks->swapped([['2,2', '2,4']])->differences(), 1e-9, 'what was across is now down');
    }

    /**
     * @param array<string, mixed> $over
     * @param list<string>         $sizes raw
     */
    private static function row(array $over, array $sizes): BlocksAsMade
    {
        $top = TopConstruction::of(Tops::face(Tops::file(['rows' => 1] + $over, Tops::PINWHEEL)));
        $raw = [];
        foreach ($top->copies as $number => $copy) {
            $size = Length::parse($sizes[$number])->inches;
            $raw[$copy->place->place?->key() ?? ''] = [$size, $size];
        }

        return new BlocksAsMade($top->top->top, $top->copies, $raw);
    }

    private static function near(Randomizer $random): Fraction
    {
        return Fraction::of(13, 2)->plus(Fraction::of($random->getInt(-4, 4), 32));
    }
}
