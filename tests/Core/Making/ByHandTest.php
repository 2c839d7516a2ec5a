<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Making\InnerTrim;
use KeenSeam\Core\Making\Internal\StripSearch;
use KeenSeam\Core\Making\LargestBlock;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\StripSet;
use KeenSeam\Core\Making\Template;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** What can be worked out on paper, or by trying everything there is. */
final class ByHandTest extends TestCase
{
    /** @return array<string, array{array<string, mixed>, list<string>, list<list<string>>}> */
    public static function sizes(): array
    {
        $inches = Blocks::file('pA pB pA', 'pB pA pB');

        return [
            // 10 in three is 3 1/3 in, 26 2/3 eighths: 26 of them are 3 1/4 and 27 are 3 3/8.
            'thirds of ten inches' => [['finished' => ['width' => '10', 'height' => '20/3']] + $inches, ['3 1/3'], [['9 3/4', '6 1/2'], ['10 1/8', '6 3/4']]],
            'thirds of 100 mm' => [['units' => 'mm', 'finished' => ['width' => '100', 'height' => '200/3'], 'seam_allowance' => '6'] + $inches, ['33 1/3'], [['99', '66'], ['102', '68']]],
            'one column twice as wide' => [['finished' => ['width' => '10', 'height' => '20'], 'columns' => ['1', '2', '3']] + $inches, ['1 2/3', '3 1/3'], [['9 3/4', '19 1/2'], ['10 1/2', '21']]],
            'on the marks' => [['finished' => ['width' => '9', 'height' => '6']] + $inches, [], []],
            'less than a mark: only larger' => [['finished' => ['width' => '1/4', 'height' => '1/6']] + $inches, ['1/12'], [['3/8', '1/4']]],
        ];
    }

    /**
     * @param array<string, mixed> $file
     * @param list<string>         $awkward
     * @param list<list<string>>   $nearest
     */
    #[DataProvider('sizes')]
    public function test_sides_between_the_marks_and_the_nearest_sizes_on_them(array $file, array $awkward, array $nearest): void
    {
        $face = Face::of(BlockFile::read($file));
        $text = static fn (Length $length): string => $length->in($face->block->unit)->toText();
        $sizes = FriendlySizes::of($face);

        self::assertSame($awkward, array_map($text, $sizes->awkward));
        self::assertSame($nearest, array_map(static fn (array $size): array => array_map($text, $size), $sizes->nearest));
    }

    public function test_the_largest_block_lies_on_the_marks_of_its_unit(): void
    {
        $square = static fn (string $unit, string $side, string $allowance): ?LargestBlock => LargestBlock::from(
            Construction::of(Face::of(BlockFile::read(['units' => $unit, 'finished' => ['width' => $side, 'height' => $side], 'seam_allowance' => $allowance] + Blocks::file('pA pB', 'pB pA'))), Order::Rows),
            Length::parse($unit === 'in' ? '3 11/16' : '90.5', LengthUnit::from($unit))->in(LengthUnit::from($unit)),
            false,
            new CutQuestion(),
        );

        // Half a side and two allowances: (3 11/16 - 1/2) · 2 = 6 3/8, of which halves lie between the eighths; 6 1/4 is the next.
        self::assertSame('6 1/4', $square('in', '6', '1/4')?->block->finishedWidth->toText());
        // (90.5 - 14) · 2 = 153, halves between the millimetres; 152 is the next.
        self::assertSame('152', $square('mm', '150', '7')?->block->finishedWidth->in(LengthUnit::Millimetre)->toText());
    }

    public function test_a_template_is_known_by_its_sides_however_it_lies(): void
    {
        $corners = [[0.0, 0.0], [3.0, 0.0], [3.0, 4.0]];
        $template = new Template($corners, [[0.0, 0.0], [6.0, 0.0], [6.0, 8.0]], true);
        self::assertEqualsWithDelta([3.0, 4.0, 5.0], $template->sides(Margin::Exact), 1e-12);
        self::assertEqualsWithDelta([6.0, 8.0, 10.0], $template->sides(Margin::Larger), 1e-12);
        $turned = new Template(array_map(static fn (array $corner): array => [-$corner[1], $corner[0]], $corners), $corners, true);
        $mirrored = new Template(array_map(static fn (array $corner): array => [-$corner[0], $corner[1]], array_reverse($corners)), $corners, true);
        self::assertSame([$template->key, $template->key], [$turned->key, $mirrored->key]);
        self::assertSame($template->isMirrored, $turned->isMirrored);
        self::assertSame([true, false], [($template->isMirrored xor $mirrored->isMirrored), $template->isMirrored === null]);
        $level = new Template([[0.0, 0.0], [4.0, 0.0], [2.0, 3.0]], $corners, true);
        self::assertNull($level->isMirrored, 'two equal sides: turning it over changes nothing');
        self::assertNotSame($template->key, $level->key);
        self::assertNotSame((new Template([[0.0, 0.0], [2.0, 0.0], [2.0, 1.0], [0.0, 1.0]], $corners, false))->key, (new Template([[0.0, 0.0], [2.0, 0.0], [2.5, 0.866], [0.5, 0.866]], $corners, false))->key, 'the same sides at other angles');
    }

    public function test_pieces_are_counted_and_outlined_once_they_are_cut_further(): void
    {
        $cut = static fn (Then $then, int $count = 3): Cut => new Cut('a', 'A', CutShape::Square, Fraction::of(4), Fraction::of(2), $count, $then, ['U1']);
        self::assertSame([3, 6, 12], array_map(static fn (Then $then): int => $cut($then)->pieces(), [Then::None, Then::Once, Then::Twice]));
        self::assertSame([[[0.0, 0.0], [4.0, 0.0], [4.0, 2.0], [0.0, 2.0]], [[0.0, 0.0], [4.0, 0.0], [0.0, 2.0]], [[0.0, 0.0], [4.0, 0.0], [2.0, 1.0]]], array_map(static fn (Then $then): array => $cut($then)->outline(), [Then::None, Then::Once, Then::Twice]));
        self::assertSame(['24', '4'], [$cut(Then::None)->area()->toText(), $cut(Then::None)->longerSide()->toText()]);
        self::assertSame([1, 2, 2, 1, 3, 3], [Then::Once->wholes(1), Then::Once->wholes(3), Then::Twice->wholes(5), Then::Twice->wholes(4), Then::None->wholes(3), Then::Twice->wholes(9)]);
        $template = new Template([[0.0, 0.0], [3.0, 0.0], [3.0, 4.0]], [[0.0, 0.0], [3.5, 0.0], [3.5, 4.5]], true);
        $words = static fn (int $count, int $mirrored): string => (new Cut('a', 'A', CutShape::Template, Fraction::of(3), Fraction::of(4), $count, Then::None, ['U1'], mirrored: $mirrored, template: $template))->cuttingWords();
        self::assertSame([
            '', 'Cut them head to tail along a strip 4 high.', 'Turn the template over for it.', 'Turn the template over for all of them.',
            'Cut 1 pair from cloth folded right sides together: one of each hand.', 'Cut 2 pairs from cloth folded right sides together: then 1 more as the template lies.', 'Cut 1 pair from cloth folded right sides together: then 2 more with the template turned over.',
        ], [$words(1, 0), $words(2, 0), $words(1, 1), $words(2, 2), $words(2, 1), $words(5, 2), $words(4, 3)]);
    }

    public function test_an_edge_is_trimmed_where_seams_end_on_it_before_the_next_seam(): void
    {
        $needed = static function (string $cell): array {
            $joins = Blocks::sewn($cell)->joins;

            return array_map(static fn (Join $join): bool => InnerTrim::isNeededAfter($join, $joins), $joins);
        };
        self::assertSame([true, false], $needed('sABC'), 'the two quarters meet on the long edge');
        self::assertSame([false, false], $needed('gABB'), 'the second sky is sewn to the goose alone');
        self::assertSame([true, true, false], $needed('qABAB'), 'both halves');
        self::assertSame([false], $needed('hAB'));
    }

    public function test_the_lowest_layout_in_strips_is_found_by_trying_all(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($i = 0; $i < 60; ++$i) {
            $sizes = [];
            for ($n = $random->getInt(1, 6); $n > 0; --$n) {
                $sizes[] = [$random->getInt(1, 6), $random->getInt(1, 9)];
            }
            rsort($sizes);
            $search = new StripSearch($sizes, 9, 100_000);
            $apart = array_keys($sizes);
            $height = static function (array $strips) use ($sizes): int {
                $heights = [];
                foreach ($strips as $item => $strip) {
                    $heights[$strip] = max($heights[$strip] ?? 0, $sizes[$item][0]);
                }

                return array_sum($heights);
            };
            $found = $search->shorterThan($apart);
            $filled = [];
            foreach ($found as $item => $strip) {
                $filled[$strip] = ($filled[$strip] ?? 0) + $sizes[$item][1];
            }
            self::assertLessThanOrEqual(9, max($filled));
            self::assertSame(self::lowest($sizes, [], $height), $height($found), json_encode($sizes, JSON_THROW_ON_ERROR));
            self::assertLessThanOrEqual($height($found), $search->leastHeight());
            self::assertTrue($search->isDone);
        }
        self::assertSame(4 + 2, (new StripSearch([[4, 5], [3, 4], [2, 1]], 9, 10))->leastHeight(), 'two fill the first strip');
        $hurried = new StripSearch([[5, 5], [4, 5], [3, 4], [2, 4], [2, 2]], 9, 1);
        $hurried->shorterThan([0, 1, 2, 3, 4]);
        self::assertFalse($hurried->isDone);
    }

    public function test_sets_of_strips_are_as_long_as_their_pieces_need_and_as_wide_as_they_are_sewn(): void
    {
        $set = static function (int $blocks, string $width, string ...$rows): StripSet {
            $checks = Blocks::file(...$rows);
            $file = ['finished' => ['width' => (string) count($checks['columns']), 'height' => (string) count($rows)]] + Blocks::file('pC');
            $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => $checks['columns'], 'rows' => $checks['rows'], 'cells' => $checks['cells']]];

            return CuttingPlan::of(Blocks::construction($file), new CutQuestion($blocks, ways: ['U1' => 'strip-sets'], usableWidth: Length::parse($width)->inches))->strips[0]['set'];
        };
        $told = static fn (StripSet $set): array => [$set->sets(), $set->length()->toText(), $set->cutWords()];

        // Checks of 1 in: pieces of 1 1/2 in, 28 of them along 42 in.
        self::assertSame([1, '3', 'Cut the set of 2 across into 2 of 1 1/2.'], $told($set(1, '42', 'pA pB', 'pB pA')));
        self::assertSame([1, '42', 'Cut the set of 2 across into 28 of 1 1/2.'], $told($set(14, '42', 'pA pB', 'pB pA')));
        self::assertSame([2, '22 1/2', 'Cut 2 sets of 2 across into 30 of 1 1/2.'], $told($set(15, '42', 'pA pB', 'pB pA')));
        // Eighty: three sets of at least 27.
        self::assertSame([3, '40 1/2', 'Cut 3 sets of 2 across into 80 of 1 1/2.'], $told($set(40, '42', 'pA pB', 'pB pA')));

        // Sewn between the strips, cut after each piece but the last; of 28 in a full set 27 lines, of 15 in 22 1/2 in 14.
        self::assertSame([[[[0.0, 1.25], [3.0, 1.25]]], [[[1.5, 0.0], [1.5, 2.5]]]], [$set(1, '42', 'pA pB', 'pB pA')->seams(), $set(1, '42', 'pA pB', 'pB pA')->knives()]);
        self::assertSame([27, 14], [count($set(14, '42', 'pA pB', 'pB pA')->knives()), count($set(15, '42', 'pA pB', 'pB pA')->knives())]);
        self::assertCount(2, $set(1, '42', 'pA pB pA', 'pB pA pB', 'pA pB pA')->seams());

        $edges = static fn (StripSet $set): array => array_map(static fn (array $layer): array => [$layer['fabric'], $layer['points'][0][1], $layer['points'][2][1], $layer['points'][1][0]], $set->picture());
        self::assertSame([['A', 0.0, 1.25, 3.0], ['B', 1.25, 2.5, 3.0]], $edges($set(1, '42', 'pA pB', 'pB pA')));
        // The outer ones keep an allowance each.
        self::assertSame([['A', 0.0, 1.25, 3.0], ['B', 1.25, 2.25, 3.0], ['A', 2.25, 3.5, 3.0]], $edges($set(1, '42', 'pA pB pA', 'pB pA pB', 'pA pB pA')));
    }

    public function test_strips_are_offered_where_rows_or_columns_are_sewn_and_cut_as_these_run(): void
    {
        $inner = Blocks::file('pA pB pC', 'pB pA pB');
        $rails = Blocks::file('pA pB pC');
        $fabrics = static function (array $grid, Order $order): array {
            $file = ['finished' => ['width' => '6', 'height' => '3']] + Blocks::file('pC pC');
            $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => $grid['columns'], 'rows' => $grid['rows'], 'cells' => $grid['cells']];
            $construction = Construction::of(Face::of(BlockFile::read($file)), $order);
            $ways = array_map(static fn ($way): string => $way->key, CuttingPlan::of($construction, new CutQuestion())->units[0]->ways);

            return in_array('strip-sets', $ways, true) ? array_map(static fn (array $strip): string => implode('', $strip['set']->fabrics), CuttingPlan::of($construction, new CutQuestion(ways: ['U1' => 'strip-sets']))->strips) : ['none'];
        };
        self::assertSame(['ABC', 'BAB'], $fabrics($inner, Order::Rows));
        // A with B, B with A turned round, C with B: two sets.
        self::assertSame(['AB', 'BC'], array_map(static fn (string $set): string => min($set, strrev($set)), $fabrics($inner, Order::Columns)));
        self::assertSame(['ABC'], $fabrics($rails, Order::Rows));
        self::assertSame(['none'], $fabrics($rails, Order::Columns), 'each column is one patch');
        $four = Blocks::file('pA pB pA pB', 'pB pA pB pA', 'pA pB pA pB', 'pB pA pB pA');
        self::assertSame(['none'], $fabrics($four, Order::Quarters), 'neither rows nor columns are sewn whole');
    }

    public function test_what_is_preferred_is_had(): void
    {
        $file = ['finished' => ['width' => '8', 'height' => '4']] + Blocks::file('gABB gABB');
        $with = static fn (Preference $preference): CuttingPlan => CuttingPlan::of(Construction::of(Face::of(BlockFile::read($file)), Order::Rows), new CutQuestion(4, $preference));
        $cloth = static fn (CuttingPlan $plan): float => array_sum(array_map(static fn (Cut $cut): float => $cut->area()->toFloat(), $plan->cuts));
        $pieces = static fn (CuttingPlan $plan): int => array_sum(array_map(static fn (Cut $cut): int => $cut->count, $plan->cuts));
        $all = array_map($with, Preference::cases());
        foreach ($all as $plan) {
            self::assertGreaterThanOrEqual($cloth($with(Preference::LeastCloth)), $cloth($plan));
            self::assertGreaterThanOrEqual($pieces($with(Preference::FewestCuts)), $pieces($plan));
        }
        self::assertSame([], array_filter($with(Preference::Accuracy)->cuts, static fn (Cut $cut): bool => $cut->then !== Then::None), 'no triangle is cut that would stretch');
    }

    /**
     * @param list<array{int, int}>    $sizes
     * @param list<int>                $strips of the first ones
     * @param \Closure(list<int>): int $height
     */
    private static function lowest(array $sizes, array $strips, \Closure $height): int
    {
        if (count($strips) === count($sizes)) {
            return $height($strips);
        }
        $least = PHP_INT_MAX;
        foreach (range(0, count($strips)) as $strip) {
            $laid = $sizes[count($strips)][1];
            foreach ($strips as $item => $other) {
                $laid += $other === $strip ? $sizes[$item][1] : 0;
            }
            if ($laid <= 9) {
                $least = min($least, self::lowest($sizes, [...$strips, $strip], $height));
            }
        }

        return $least;
    }
}
