<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Margins;
use KeenSeam\Core\Making\PatternCheck;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Making\Then;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** A pattern's own list: what explains it, and what nothing explains. */
final class PatternCheckTest extends TestCase
{
    private const REST = "\nA,2 1/2,2\nB,2 7/8,2\nC,2 1/2,2";

    /** Every way there is, every margin and both builds: a list written from it must be explained to the last line. */
    public function test_a_correct_list_in_any_offered_way_and_margin_gives_not_one_complaint(): void
    {
        $lists = 0;
        foreach ([['hAB hAB pC', 'gABC'], ['sABA sABA90', 'qABAC qABAC'], ['dABBBB tABC', 'hAC hAC']] as $i => $rows) {
            $file = $i === 0 ? ['columns' => ['1', '1', '2']] + Blocks::file('hAB hAB gABC', 'pA pC gABC') : Blocks::file(...$rows);
            $file['finished'] = $i === 0 ? ['width' => '8', 'height' => '4'] : ['width' => '8', 'height' => '8'];
            $plain = self::plan($file);
            foreach ($plain->units as $made) {
                foreach ($made->ways as $way) {
                    foreach (Margin::cases() as $margin) {
                        foreach (BuildChoice::cases() as $build) {
                            if ($way->partsFor($made->unit->need, $made->unit->mirrored, $build) === null) {
                                continue;
                            }
                            $plan = CuttingPlan::of($plain->construction, new CutQuestion(ways: [$made->unit->label => $way->key], margins: new Margins($margin), builds: [$made->unit->label => $build]));
                            $list = implode("\n", array_map(static fn ($cut): string => sprintf('%s; %s; %d%s', $cut->fabric, SizeText::of($cut->width, $cut->height), $cut->count, $cut->then === Then::None ? '' : '; '.$cut->then->value), $plan->cuts));
                            $check = PatternCheck::of($plain, $list);
                            self::assertSame([[], [], count($plan->cuts)], [$check->short, $check->unknown, count($check->explained)], "{$made->unit->label} $way->key $margin->value $build->value\n$list");
                            ++$lists;
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(60, $lists);
    }

    /** @return array<string, array{string, list<string>, list<array{int, string}>}> list, what is short, lines nothing needs */
    public static function patterns(): array
    {
        return [
            'as it should be, with a heading' => ["fabric,size,count\nSailcloth,2 7/8,2\nb,2 7/8,2\nA,2 1/2 x 2 1/2,2\nSea glass; 2 1/2; 2", [], []],
            'larger, and more of it, is no mistake' => ["A,3,2\nB,3,5\nA,2 1/2,2\nC,2 1/2,2", [], []],
            'to a finer ruler: 2 + 1/4 (2 + √2) is 2.8536' => ["A,2 55/64,2\nB,2 7/8,2\nA,2 1/2,2\nC,2 1/2,2", [], []],
            'a hair less than that' => ["A,2 27/32,2\nB,2 7/8,2\nA,2 1/2,2\nC,2 1/2,2", ['2 Sailcloth 2 7/8, for U1'], [[1, 'Too small: 2 7/8 is needed.']]],
            'more than an inch larger is another piece' => ['A,4,2'.self::REST, ['2 Sailcloth 2 7/8, for U1'], [[1, 'No way to make this block needs it.']]],
            'one line in two' => ['A,2 7/8,1'."\nA,2 7/8,1".self::REST, [], []],
            'too few' => ['A,2 7/8,1'.self::REST, ['1 Sailcloth 2 7/8, for U1'], []],
            'a line twice' => ['A,2 7/8,2'."\nA, 2 7/8, 2".self::REST, [], [[2, 'It stands there twice: line 1 says the same.']]],
            'too small counts as missing' => ['A,2 3/4,2'.self::REST, ['2 Sailcloth 2 7/8, for U1'], [[1, 'Too small: 2 7/8 is needed.']]],
            'the size of nothing' => ['A,2 7/8,2'.self::REST."\nC,9 x 2,7", [], [[5, 'No way to make this block needs it.']]],
            'a fabric of another block' => ['A,2 7/8,2'.self::REST."\n\nRust,2 1/2,1", [], [[6, 'This block has no fabric "Rust".']]],
            'cut once is another way' => ["A,2 7/8,2,cut once\nB,2 7/8,2,cut once corner to corner\nA,2 1/2,2\nC,2 1/2,2", [], []],
            'cut twice is none here' => ['A,2 7/8,2,cut twice'.self::REST, ['2 Sailcloth 2 7/8, for U1'], [[1, 'No way to make this block needs it.']]],
        ];
    }

    /**
     * @param list<string>             $short
     * @param list<array{int, string}> $unknown
     */
    #[DataProvider('patterns')]
    public function test_only_what_nothing_explains_is_told(string $list, array $short, array $unknown): void
    {
        $check = PatternCheck::of(self::plan(Blocks::file('hAB hAB hAB hAB', 'pA pA pC pC')), $list);

        self::assertSame($short, array_map(static fn (array $one): string => $one['count'].' '.$one['what'], $check->short));
        self::assertSame($unknown, array_map(static fn (array $one): array => [$one['line'], $one['reason']], $check->unknown));
    }

    public function test_the_way_and_the_margin_of_each_line_are_found(): void
    {
        $plan = self::plan(['finished' => ['width' => '8', 'height' => '4']] + Blocks::file('gABB gABB', 'gABB180 gABB180'));
        $told = static fn (string $list): array => array_map(static fn (array $one): string => "{$one['line']} {$one['way']} {$one['margin']->value}", PatternCheck::of($plan, $list)->explained);

        self::assertSame(['1 four-at-once exact', '2 four-at-once exact'], $told("A,5 1/4,1\nB,2 7/8,4"));
        self::assertSame(['1 four-at-once larger', '2 four-at-once larger'], $told("A,5 3/4,1\nB,3 1/4,4"));
        self::assertSame(['1 flipped exact', '2 flipped exact'], $told("A,2 1/2 x 4 1/2,4\nB,2 1/2,8"));
        self::assertSame(['1 from-triangles exact', '2 from-triangles larger'], $told("A,5 1/4,1,cut twice\nB,3,4,cut once"));
        self::assertSame([], PatternCheck::of($plan, "A,5 1/4,1,cut twice\nB,3,4,cut once")->short);
    }

    public function test_a_finer_ruler_may_come_nearer_to_the_true_size(): void
    {
        // Finished 2 1/3 x 2 and 2 1/3 x 3: to be cut 2 5/6, which is 2 7/8 on a ruler of eighths.
        foreach (['2' => '2 1/2', '3' => '3 1/2'] as $finished => $cut) {
            $plan = self::plan(['finished' => ['width' => '2 1/3', 'height' => (string) $finished]] + Blocks::file('pA'));
            foreach (['2 7/8' => 'exact', '2 27/32' => 'exact', '2 5/6' => 'exact', '2 29/32' => 'larger', '3' => 'larger'] as $size => $margin) {
                self::assertSame([[$margin], []], [array_map(static fn (array $one): string => $one['margin']->value, PatternCheck::of($plan, "A,$size x $cut,1")->explained), PatternCheck::of($plan, "A,$size x $cut,1")->short], "$size x $cut");
            }
            foreach (["2 13/16 x $cut", '2 5/6 x '.($finished === 2 ? '2 15/32' : '3 15/32')] as $small) {
                self::assertSame([['Too small: '.($finished === 2 ? '2 7/8 x 2 1/2' : '3 1/2 x 2 7/8').' is needed.'], 1], [array_column(PatternCheck::of($plan, "A,$small,1")->unknown, 'reason'), count(PatternCheck::of($plan, "A,$small,1")->short)], $small);
            }
        }
    }

    public function test_counts_of_units_are_looked_at_by_hand(): void
    {
        $plan = self::plan(['finished' => ['width' => '8', 'height' => '4']] + Blocks::file('gCAB gCABm', 'gCAB180 gCAB180m'));
        $told = static fn (string $list): array => [array_map(static fn (array $one): string => $one['count'].' '.$one['what'], PatternCheck::of($plan, $list)->short), array_column(PatternCheck::of($plan, $list)->unknown, 'reason')];

        self::assertSame([['2 U1 mirrored, flying geese'], []], $told('unit,U1,4'));
        self::assertSame([['1 U1, flying goose'], []], $told("unit,U1,1\nunit,U1 mirrored,2"));
        self::assertSame([[], ['This block has no unit "U9".']], $told("unit,U1,2\nunit,u1 mirrored,2\nunit,U9,1"));
        self::assertSame([[], ['It stands there twice: line 1 says the same.']], $told("unit,U1,2\nunit,u1,2\nunit,U1 mirrored,2"));
    }

    public function test_strips_take_the_place_of_single_squares(): void
    {
        $file = ['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('pC pC');
        $checks = ['columns' => ['1', '1'], 'rows' => ['1', '1'], 'cells' => []];
        foreach ([[1, 1, 'A'], [1, 2, 'B'], [2, 1, 'B'], [2, 2, 'A']] as [$row, $column, $fabric]) {
            $checks['cells'][] = ['row' => $row, 'column' => $column, 'unit' => 'plain', 'fabrics' => [$fabric]];
        }
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'grid'] + $checks, ['row' => 1, 'column' => 2, 'unit' => 'grid', 'turn' => 90] + $checks];
        foreach (["A,1 1/2,4\nB,1 1/2,4" => 'from-units', "A,1 1/2 x 6,1\nB,1 1/2 x 42,1" => 'strip-sets'] as $list => $way) {
            $check = PatternCheck::of(self::plan($file), $list);
            self::assertSame([[], [], [$way, $way]], [$check->short, $check->unknown, array_column($check->explained, 'way')]);
        }
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file): CuttingPlan
    {
        return CuttingPlan::of(Blocks::construction($file), new CutQuestion());
    }
}
