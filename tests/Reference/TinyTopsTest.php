<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlanner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

/** Tops of four blocks, planned and tried through: every way to press them is priced one by one. Too slow to stand among the quick tests. */
final class TinyTopsTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<list<int>>}> block, and ways to turn four of it in which its face stays the same */
    public static function tops(): iterable
    {
        // Of the 64 ways of pinwheels (all were tried once) the one that is best, and some that are near it.
        yield 'pinwheel' => [Tops::PINWHEEL, [[0, 0, 0, 0], [0, 90, 180, 0], [0, 90, 90, 0], [0, 180, 180, 0], [90, 0, 0, 90]]];
        yield 'four-patch' => [['pA', 'pB', '/', 'pB', 'pA'], array_map(static fn (int $way): array => [0, 180 * ($way & 1), 180 * ($way >> 1 & 1), 180 * ($way >> 2)], range(0, 7))];
        // Laid as the best lies; the laying in which all stand alike was tried once, too, and is worse.
        yield 'nine-patch' => [['pA', 'pB', 'pA', '/', 'pB', 'pA', 'pB', '/', 'pA', 'pB', 'pA'], [[0, 90, 90, 0]]];
    }

    /**
     * @param list<string>    $block
     * @param list<list<int>> $ways
     */
    #[DataProvider('tops')]
    public function test_no_turn_and_no_pressing_is_better(array $block, array $ways): void
    {
        $best = (new TopPlanner(Tops::sewn(Tops::file([], $block))))->best(new PressQuestion(PressStyle::Nest));

        self::assertTrue($best->plan->proved);
        self::assertSame(Tops::leastOfAll($block, $ways)->figures(PressStyle::Nest), $best->plan->cost->figures(PressStyle::Nest));
    }
}
