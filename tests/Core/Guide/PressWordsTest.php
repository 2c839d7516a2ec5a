<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\PressWords;
use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Guide\RuleWords;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\OpenedSeams;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\SchoolProposal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class PressWordsTest extends TestCase
{
    /** @return array<string, array{list<string>, list<string>, list<string>, list<string|null>}> rows of the block, rules, ways, why */
    public static function toldRows(): array
    {
        $three = ['hAB pA hAB90', 'pB hAB pB', 'hAB pA hAB90'];

        return [
            'out, in, out' => [$three, ['rows: out in out'], ['out', 'in', 'out'], ['toward the half-square triangles', null, 'toward the half-square triangles']],
            'in, toward the plain ones' => [$three, ['rows: in out in'], ['in', 'out', 'in'], ['toward the plain squares', 'toward the plain squares', 'toward the plain squares']],
            'one way' => [$three, ['rows: left right left'], ['left', 'right', 'left'], [null, null, null]],
            'open' => [$three, ['rows: open out'], ['open', 'out', 'open'], [null, 'toward the plain squares', null]],
            'two seams, the middle one has no outer end' => [['pA pB'], ['rows: right'], ['right'], [null]],
            'four units: the middle seam goes either way' => [['hAB pA pB hAB'], ['rows: out'], ['out'], [null]],
        ];
    }

    /**
     * @param list<string>      $block
     * @param list<string>      $rules
     * @param list<string>      $ways
     * @param list<string|null> $why
     */
    #[DataProvider('toldRows')]
    public function test_rows_are_said_as_they_were_told(array $block, array $rules, array $ways, array $why): void
    {
        $plan = self::told(Blocks::sewn(...$block), $rules);
        $words = RowWords::of($plan, new Rules($plan->construction));

        self::assertSame($ways, array_map(static fn (RowWords $row): string => $row->way, $words));
        if ($why !== [null] && $why !== [null, null, null]) {
            self::assertSame($why[0], $words[0]->why);
        }
        foreach ($words as $i => $row) {
            self::assertSame('Row '.($i + 1), $row->title);
            // Said again by itself it presses that row and no other.
            $said = (new Rules($plan->construction))->saidBy(Rule::parse(str_replace('%', 'open', $row->say)));
            self::assertEqualsCanonicalizing($row->joins, array_map(static fn (Lock $lock): int => $lock->join, $said));
        }
    }

    public function test_columns_are_said_up_and_down_and_mixed_rows_seam_by_seam(): void
    {
        $columns = Construction::of(Face::of(Blocks::of('pA pB', 'pB pA', 'pA pB')), Order::Columns);
        $plan = self::told($columns, ['columns: up down']);
        self::assertSame([['Column 1', 'up'], ['Column 2', 'down']], array_map(static fn (RowWords $row): array => [$row->title, $row->way], RowWords::of($plan, new Rules($columns))));

        $row = Blocks::sewn('pA pB pA pB');
        $mixed = (new PressingPlanner($row))->best(new PressQuestion(PressStyle::Nest, [Lock::parse('0:left'), Lock::parse('1:right'), Lock::parse('2:left')]));
        self::assertSame('left, right, left', RowWords::of($mixed, new Rules($row))[0]->way);
        self::assertSame([], RowWords::of(self::told(Construction::of(Face::of(Blocks::of('pA pB pA', 'pB pA pB', 'pA pB pA')), Order::Around), []), new Rules(Construction::of(Face::of(Blocks::of('pA pB pA', 'pB pA pB', 'pA pB pA')), Order::Around))));
    }

    public function test_habit_turned_round_is_told_with_what_it_saves(): void
    {
        $construction = Blocks::sewn('hAB pA hAB90', 'pB hAB pB', 'hAB pA hAB90');
        $rules = new Rules($construction);
        $in = self::told($construction, ['rows: in out in']);
        $usual = PressWords::usualRows($in, $rules);
        self::assertSame('rows: out in out', $usual?->toText());
        $out = self::told($construction, ['rows: out in out']);
        self::assertStringStartsWith('Most press three rows out, in, out. Here in, out, in is better; the other way round there would be ', PressWords::unlikeUsual($in, $out, $rules));
        self::assertSame('Most press three rows out, in, out; here that is as good.', PressWords::unlikeUsual($in, $in, $rules));
        self::assertNull(PressWords::usualRows($out, $rules));
    }

    public function test_the_same_block_is_advised_by_its_size(): void
    {
        $file = Blocks::file('hAB hAB90 hAB', 'hAB270 hAB180 hAB90', 'hAB hAB hAB');
        $large = Blocks::construction(['finished' => ['width' => '12', 'height' => '12']] + $file);
        $small = Blocks::construction(['finished' => ['width' => '4', 'height' => '4']] + $file);

        self::assertSame([PressStyle::Mixed, PressStyle::NestFurl], [SchoolProposal::of($large)->style, SchoolProposal::of($small)->style]);
        self::assertSame(PressStyle::Nest, SchoolProposal::of(Blocks::sewn('pA pB', 'pB pA'))->style);
        self::assertSame([], OpenedSeams::of($large)->short);
        self::assertCount(count($small->joins) - 2, OpenedSeams::of($small)->short, 'all but the two last seams of 4 in');
        self::assertGreaterThan(OpenedSeams::of($large)->covered, OpenedSeams::of($small)->covered);
        self::assertStringContainsString('units of 4 in leave room', PressWords::proposal($large, SchoolProposal::of($large)));
        self::assertStringContainsString('units of about 1 3/8 in', PressWords::proposal($small, SchoolProposal::of($small)));
        self::assertSame(sprintf('%d seams are shorter than 2 in, the shortest about 1 3/8 in: too short to hold open at the iron.', count($small->joins) - 2), PressWords::opened($small, OpenedSeams::of($small))[0]);
    }

    public function test_seams_nearer_than_their_opened_allowances_are_found_and_no_others(): void
    {
        $file = Blocks::file('pA pB pA', 'pA pB pA');
        // Of 4 in, the strip in the middle takes its share: 4/9 in, a hair under half an inch, and half an inch. Each row has two seams beside it, and they are near to those of the other row as well.
        foreach (['1/4' => 4, '0.2857' => 4, '2/7' => 0, '1' => 0] as $middle => $pairs) {
            $construction = Blocks::construction(['finished' => ['width' => '4', 'height' => '4'], 'columns' => ['1', (string) $middle, '1']] + $file);
            self::assertCount($pairs, OpenedSeams::of($construction)->near, "a strip of $middle beside two of 1");
        }
        // An eighth of the block in plain seams: four strips of half an inch along 8 in, crossing once.
        $cross = Blocks::construction(['finished' => ['width' => '8', 'height' => '8']] + Blocks::file('pA pB', 'pB pA'));
        self::assertEqualsWithDelta((2 * 8 * 0.5 - 0.25) / 64, OpenedSeams::of($cross)->covered, 0.01);
    }

    public function test_rules_are_sentences(): void
    {
        $fabrics = Blocks::of('pA pB')->fabrics;
        foreach ([
            'rows: out in out' => 'Rows: out, in, out',
            'columns: free up' => 'Columns: as planned, up',
            'last: open' => 'The last seams: open',
            'units flying-geese: away from B' => 'Flying geese: away from Harbour ink',
            'units four-patch: toward Teal' => 'Four-patches: toward Teal',
            'units grid: dark' => 'Small grids: toward the darker side',
            'units patches: light' => 'Drawn units: toward the lighter side',
            'units flipped-corners: open' => 'Units with flipped corners: open',
            'cell 2,3: open' => 'The unit at row 2, column 3 and its likes: open',
        ] as $rule => $words) {
            self::assertSame($words, RuleWords::of(Rule::parse($rule), $fabrics));
        }
    }

    public function test_look_alikes_say_which_copy_is_which(): void
    {
        $file = Blocks::file('pA pA', 'pA pA');
        $half = static fn (int $row, int $column, string ...$columns): array => ['row' => $row, 'column' => $column, 'unit' => 'grid', 'columns' => $columns, 'rows' => ['1'], 'cells' => array_map(static fn (int $i): array => ['row' => 1, 'column' => $i + 1, 'unit' => 'plain', 'fabrics' => ['A']], array_keys($columns))];
        $file['cells'][0] = $half(1, 1, '1', '1');
        $file['cells'][3] = $half(2, 2, '1', '2', '1');
        $words = PressWords::lookAlikes(Construction::of(Face::of(BlockFile::read($file)), Order::Rows));

        self::assertCount(1, $words);
        self::assertStringContainsString('at row 1, column 1 and at row 2, column 2 look alike and are built two ways', $words[0]);
    }

    /** @param list<string> $rules */
    private static function told(Construction $construction, array $rules): PressingPlan
    {
        $locks = $rules === [] ? [] : (new Rules($construction))->locks(array_map(Rule::parse(...), $rules), new Locks($construction, []));

        return (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest, $locks));
    }
}
