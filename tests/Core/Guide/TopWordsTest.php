<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Guide\BorderSteps;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\TopWords;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Pressing\TopPlanner;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopFile;
use KeenSeam\Core\Top\TopPlace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

final class TopWordsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, array<string, int>, string}> setting, by how much which places are turned, and the sentence */
    public static function turns(): iterable
    {
        $square = ['rows' => 2, 'columns' => 2];
        yield 'none' => [$square, [], 'Lay them as they are placed.'];
        yield 'one' => [$square, ['2,4' => 90], 'Turn the block at row 1, column 2 a quarter to the right.'];
        yield 'two by the same' => [['rows' => 1, 'columns' => 3], ['2,2' => 180, '2,4' => 180], 'Turn the blocks at row 1, column 1; row 1, column 2 half round.'];
        yield 'two by different turns' => [$square, ['2,4' => 90, '4,2' => 270], 'Turn every other block as the picture shows.'];
        yield 'a checkerboard' => [$square, ['2,4' => 180, '4,2' => 180], 'Turn every other block half round.'];
        yield 'a checkerboard that begins at the corner' => [$square, ['2,2' => 270, '4,4' => 270], 'Turn every other block a quarter to the left.'];
        yield 'the outer two of three' => [['rows' => 1, 'columns' => 3], ['2,2' => 180, '2,6' => 180], 'Turn the blocks at row 1, column 1; row 1, column 3 half round.'];
        yield 'every other one of four in a row' => [['rows' => 1, 'columns' => 4], ['2,2' => 180, '2,6' => 180], 'Turn every other block half round.'];
        $coloured = [];
        foreach ([2, 4, 6, 8] as $row) {
            foreach ($row % 4 === 2 ? [2, 6] : [4, 8] as $column) {
                $coloured["$row,$column"] = 180;
            }
        }
        yield 'a checkerboard of four by four' => [['rows' => 4, 'columns' => 4], $coloured, 'Turn every other block half round.'];
        yield 'many' => [['rows' => 2, 'columns' => 4], array_fill_keys(['2,2', '2,4', '2,6', '2,8', '4,2', '4,4', '4,6'], 90), 'Turn 7 of the 8 blocks a quarter to the right: they are marked in the picture.'];
        yield 'on point' => [['rows' => 2, 'columns' => 2, 'setting' => 'on-point', 'sides' => ['fabric' => 'C']], ['3,3' => 180], 'Turn the block at row 1 1/2, column 1 1/2 half round.'];
    }

    /**
     * @param array<string, mixed> $over
     * @param array<string, int>   $turned
     */
    #[DataProvider('turns')]
    public function test_what_is_to_be_turned_is_said_as_shortly_as_it_can_be(array $over, array $turned, string $sentence): void
    {
        $top = TopFile::read(Tops::file(['turns' => 'fixed'] + $over, ['pA', 'pB', '/', 'pB', 'pA']));
        $lying = $top->withPlaces(array_map(static fn (TopPlace $place): TopPlace => isset($turned[$place->key()]) ? $place->lying(new Placement(Turn::from($turned[$place->key()]))) : $place, $top->places));

        self::assertSame($sentence, (new TopWords(self::planned($lying), $top))->sentences()[1]);
    }

    public function test_each_block_is_told_by_how_many_and_in_which_piles(): void
    {
        $several = TopFile::read(Tops::file(['rows' => 1, 'columns' => 3, 'places' => [['row' => 1, 'column' => 2, 'block' => 'two'], ['row' => 1, 'column' => 3, 'block' => 'one', 'mirrored' => true]]], ['pA', 'hAB', '/', 'pB', 'pC'], ['pA', 'pB']));
        self::assertSame(['Make 1 of one.', 'Make 1 of two.', 'Make 1 of one mirrored.'], array_slice((new TopWords(self::planned($several), $several))->sentences(), 0, 3));

        $piles = TopFile::read(Tops::file(['columns' => 3, 'turns' => 'fixed', 'piles' => ['one' => 2]], ['pA', 'pB', '/', 'pB', 'pA']));
        self::assertMatchesRegularExpression('~^Make \d pressed as pile 1 and \d pressed as pile 2\.$~D', (new TopWords(self::planned($piles), $piles))->sentences()[0]);
        $both = TopFile::read(Tops::file(['rows' => 1, 'columns' => 4, 'turns' => 'fixed', 'piles' => ['one' => 2], 'places' => [['row' => 1, 'column' => 4, 'block' => 'two']]], ['pA', 'pB', '/', 'pB', 'pA'], ['pA', 'pC']));
        self::assertMatchesRegularExpression('~^Make \d of one pressed as pile 1 and \d pressed as pile 2\.$~D', (new TopWords(self::planned($both), $both))->sentences()[0]);

        $two = TopFile::read(Tops::file(['rows' => 1, 'columns' => 2, 'turns' => 'fixed'], ['pA', 'pB']));
        self::assertSame('Make 2 blocks, both pressed alike.', (new TopWords(self::planned($two), $two))->sentences()[0]);
    }

    public function test_crossings_that_stay_ridge_on_ridge_and_doubt_are_told(): void
    {
        $top = TopFile::read(Tops::file(['turns' => 'fixed', 'rows' => 3, 'columns' => 3], Tops::PINWHEEL));
        $plan = self::planned($top);
        $words = (new TopWords($plan, $top))->sentences();
        $stacked = intdiv($plan->plan->cost->mismatch, 2);

        self::assertSame(sprintf('%d of %d crossings nest; %d lie ridge on ridge.', count($plan->plan->matches) - $stacked, count($plan->plan->matches), $stacked), $words[2]);
        self::assertSame('No other way to press them is better, lying so.', $words[3]);
        self::assertSame('With what you hold, no other way to press them is better, lying so.', (new TopWords($plan, $top, true))->sentences()[3]);
        $open = new TopPlan($plan->sewn, $plan->plan->found([], $plan->plan->bound, false), $plan->piles, $plan->made);
        self::assertSame('Found in the time there was; a better way may exist.', (new TopWords($open, $top))->sentences()[3]);
    }

    public function test_where_all_crossings_nest_that_is_said(): void
    {
        $sentence = static function (array $over, array $block): string {
            $top = TopFile::read(Tops::file($over, $block));

            return (new TopWords(self::planned($top), $top))->sentences()[2] ?? '';
        };

        self::assertSame('The one crossing nests, the outer seams of the blocks too.', $sentence([], ['pA']));
        self::assertSame('All 2 crossings nest, the outer seams of the blocks too.', $sentence(['columns' => 3], ['pA']));
        self::assertStringNotContainsString('crossing', $sentence(['rows' => 1], ['pA']));
    }

    /** What hangs on point is as wide as the diagonals of its blocks: two of 6 in, 16.97 in, and half an inch of allowances. */
    public function test_a_top_on_point_is_squared_up_as_it_hangs(): void
    {
        $top = TopFile::read(Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C']], ['pA', 'pB']));
        $last = array_values(array_filter(WorkSteps::of(self::planned($top)->plan, new CutQuestion()), static fn (Step $step): bool => $step->do === StepKind::SquareUp));

        self::assertStringStartsWith('Square up the top to 17 15/32 x 17 15/32 in:', $last[count($last) - 1]->text);
    }

    public function test_borders_come_sides_first_each_cut_to_what_the_top_measures(): void
    {
        $top = TopFile::read(Tops::file(['columns' => 3, 'borders' => [['width' => '2', 'fabric' => 'C'], ['width' => '3', 'fabric' => 'A', 'corners' => 'squares', 'square' => 'B']]], ['pA']));
        $steps = BorderSteps::of($top);
        $texts = array_map(static fn (Step $step): string => $step->do->value.': '.$step->text, $steps);

        self::assertSame([
            'measure: Measure the top through its middle from top to bottom, three times; raw it should be 12 1/2 in.',
            'cut: Cut both side strips of border 1 as long as the middle of the three, 2 1/2 in wide.',
            'measure: Measure the top through its middle from side to side, the new strips too, three times; raw it should be 22 1/2 in.',
            'measure: Measure the top through its middle from top to bottom, three times; raw it should be 16 1/2 in.',
            'measure: Measure the top through its middle from side to side, without the new strips, three times; raw it should be 22 1/2 in.',
            'cut: Cut the upper and the lower strip of border 2 as long as the middle of the three, 3 1/2 in wide, and sew a square of 3 1/2 in of Harbour ink to each of their ends; press toward the strip.',
        ], [$texts[0], $texts[1], $texts[4], $texts[8], $texts[12], $texts[13]]);
        self::assertCount(16, $steps);
        self::assertSame(['Border 1', 'Border 2'], array_values(array_unique(array_map(static fn (Step $step): string => $step->title, $steps))));
        self::assertSame([], BorderSteps::of(TopFile::read(Tops::file([], ['pA']))));
        $onPoint = TopFile::read(Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C'], 'borders' => [['width' => '1', 'fabric' => 'A']]], ['pA']));
        self::assertSame('Measure the top through its middle from top to bottom, three times; raw it should be 17 15/32 in.', BorderSteps::of($onPoint)[0]->text);
        self::assertStringContainsString('side strips of the border', BorderSteps::of($onPoint)[1]->text);
    }

    private static function planned(Top $top): TopPlan
    {
        return (new TopPlanner(TopConstruction::of(TopFace::of($top))))->best(new PressQuestion(PressStyle::Nest));
    }
}
