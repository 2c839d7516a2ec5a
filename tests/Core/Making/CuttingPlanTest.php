<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Making\Way;
use KeenSeam\Core\Measure\Fraction;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class CuttingPlanTest extends TestCase
{
    /**
     * Inches. Common practice, no published source.
     *
     * @return array<string, array{string, string, string, string, list<string>, list<string>}> unit, its width and height, way, sizes exact and oversize
     */
    public static function sizes(): array
    {
        return [
            'half-square triangle of 2' => ['hAB', '2', '2', 'two-at-a-time', ['2 7/8', '2 7/8'], ['3', '3']],
            'half-square triangle of 3, eight' => ['hAB', '3', '3', 'eight-at-a-time', ['7 3/4', '7 3/4'], ['8', '8']],
            'half-square triangle of 4, round the edge' => ['hAB', '4', '4', 'four-at-a-time', ['6 7/8', '6 7/8'], ['7 1/4', '7 1/4']],
            'half-square triangle of 2, from triangles' => ['hAB', '2', '2', 'from-triangles', ['2 7/8', '2 7/8'], ['3', '3']],
            'geese of 2 x 4, four at once' => ['gABB', '4', '2', 'four-at-once', ['5 1/4', '2 7/8'], ['5 3/4', '3 1/4']],
            'geese of 2 x 4, flipped' => ['gABB', '4', '2', 'flipped', ['4 1/2 x 2 1/2', '2 1/2'], ['4 3/4 x 2 3/4', '2 3/4']],
            'geese of 2 x 4, from triangles' => ['gABB', '4', '2', 'from-triangles', ['5 1/4', '2 7/8'], ['5 3/8', '3']],
            'quarter-square triangle of 2, from triangles' => ['qABAB', '2', '2', 'from-triangles', ['3 1/4', '3 1/4'], ['3 3/8', '3 3/8']],
            'quarter-square triangle of 4, crossed' => ['qABAB', '4', '4', 'crossed', ['5 1/4', '5 1/4'], ['5 1/2', '5 1/2']],
            'split quarter-square of 3, crossed' => ['sABC', '3', '3', 'crossed', ['4 1/4', '4 1/4', '3 7/8'], ['4 1/2', '4 1/2', '4']],
            'square on its point in 4' => ['dABBBB', '4', '4', 'from-triangles', ['3 3/8', '2 7/8'], ['3 1/2', '3']],
        ];
    }

    /**
     * @param list<string> $exact
     * @param list<string> $oversize
     */
    #[DataProvider('sizes')]
    public function test_check_values_of_the_trade(string $unit, string $width, string $height, string $way, array $exact, array $oversize): void
    {
        $file = Blocks::file($unit);
        $file['finished'] = ['width' => $width, 'height' => $height];

        self::assertSame($exact, self::told(self::way(self::plan($file), $way), false));
        self::assertSame($oversize, self::told(self::way(self::plan($file), $way), true));
    }

    public function test_checks_of_one_inch_and_plain_squares_grow_by_two_allowances(): void
    {
        $file = Blocks::file('pA pB', 'pB pA');
        $file['finished'] = ['width' => '2', 'height' => '2'];
        $cuts = self::plan($file)->cuts;

        self::assertSame([['A', '1 1/2', 2], ['B', '1 1/2', 2]], array_map(static fn (Cut $cut): array => [$cut->fabric, $cut->width->toText(), $cut->count], $cuts));
    }

    /** @return array<string, array{string, string, int, int}> unit, way, what a batch makes of this hand and of the other */
    public static function yields(): array
    {
        return [
            'two' => ['hAB', 'two-at-a-time', 2, 0],
            'eight' => ['hAB', 'eight-at-a-time', 8, 0],
            'four round the edge' => ['hAB', 'four-at-a-time', 4, 0],
            'geese with one sky' => ['gABB', 'four-at-once', 4, 0],
            'geese with two skies' => ['gABC', 'four-at-once', 2, 2],
            'split quarter-squares, crossed' => ['sABC', 'crossed', 2, 2],
            'split quarter-squares, stepped' => ['sABC', 'stepped', 4, 0],
            'the other hand, stepped' => ['sABCm', 'stepped', 4, 0],
            'quarter-squares of two fabrics' => ['qABAB', 'crossed', 2, 0],
            'quarter-squares of three' => ['qABAC', 'crossed', 4, 0],
        ];
    }

    #[DataProvider('yields')]
    public function test_what_a_way_gives_in_each_hand(string $unit, string $way, int $own, int $other): void
    {
        $file = Blocks::file($unit);
        $file['finished'] = ['width' => $unit[0] === 'g' ? '4' : '2', 'height' => '2'];
        $made = self::way(self::plan($file), $way);

        self::assertSame([$own, $other], [$made->own, $made->mirror]);
    }

    public function test_five_two_at_a_time_are_six_and_six_eight_at_a_time_are_eight(): void
    {
        $plan = self::plan(Blocks::file('hAB hAB hAB hAB hAB'));
        self::assertSame(['two-at-a-time', 3, 6, 1], self::figures($plan->units[0]));
        $plan = self::plan(Blocks::file('hAB hAB hAB', 'hAB hAB hAB'), new CutQuestion(ways: ['U1' => 'eight-at-a-time']));
        self::assertSame(['eight-at-a-time', 1, 8, 2], self::figures($plan->units[0]));
    }

    public function test_a_class_and_its_mirror_twin_are_made_together(): void
    {
        $file = Blocks::file('gABC gABCm', 'gABC180 gABC180m');
        $file['finished'] = ['width' => '8', 'height' => '4'];
        $plan = self::plan($file);

        self::assertCount(1, $plan->units);
        self::assertSame([2, 2, ['four-at-once', 1, 4, 0]], [$plan->units[0]->unit->need, $plan->units[0]->unit->mirrored, self::figures($plan->units[0])]);
    }

    public function test_where_one_hand_is_needed_a_way_of_both_makes_spares_and_is_not_chosen(): void
    {
        $file = Blocks::file('gABC gABC', 'gABC180 gABC180');
        $file['finished'] = ['width' => '8', 'height' => '4'];
        self::assertSame(['from-triangles', 4, 4, 0], self::figures(self::plan($file)->units[0]));
        self::assertSame(['four-at-once', 2, 8, 4], self::figures(self::plan($file, new CutQuestion(ways: ['U1' => 'four-at-once']))->units[0]));
    }

    public function test_preferences_weigh_ways_differently(): void
    {
        $file = Blocks::file('gABC gABC', 'gABC180 gABC180');
        $file['finished'] = ['width' => '8', 'height' => '4'];
        $ways = array_map(static fn (Preference $one): string => self::plan($file, new CutQuestion(preference: $one))->units[0]->way->key, Preference::cases());

        self::assertSame(['from-triangles', 'flipped', 'from-triangles'], $ways);
    }

    public function test_geese_from_half_squares_sheets_and_strips_are_there_when_asked_for(): void
    {
        $geese = self::plan(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('gABC'));
        self::assertSame(['2 7/8', '2 7/8', '2 7/8'], self::told(self::way($geese, 'two-half-squares'), false));
        $sheets = self::plan(Blocks::file('hAB hAB hAB', 'hAB hAB hAB'), new CutQuestion(ways: ['U1' => 'foundation-sheets']));
        self::assertSame([['foundation-sheets', 1, 6, 0], ['8 5/8 x 2 7/8', '8 5/8 x 2 7/8']], [self::figures($sheets->units[0]), self::told($sheets->units[0]->way, false)]);
    }

    public function test_checks_from_strips_take_the_place_of_their_single_patches(): void
    {
        $file = ['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('pC pC');
        $checks = ['columns' => ['1', '1'], 'rows' => ['1', '1'], 'cells' => [
            ['row' => 1, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['A']], ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['B']],
            ['row' => 2, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['B']], ['row' => 2, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['A']],
        ]];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'grid'] + $checks, ['row' => 1, 'column' => 2, 'unit' => 'grid', 'turn' => 90] + $checks];
        $told = static fn (CuttingPlan $plan): array => array_map(static fn (Cut $cut): string => "{$cut->fabric} {$cut->shape->value} {$cut->width->toText()} x {$cut->height->toText()}, {$cut->count}", $plan->cuts);

        self::assertSame(['A square 1 1/2 x 1 1/2, 4', 'B square 1 1/2 x 1 1/2, 4'], $told(self::plan($file)));
        // Checks of 1 in: strips of 1 1/2 in, cut across at 1 1/2 in. The second row is the first turned round, so both come from one set.
        self::assertSame(['A strip 1 1/2 x 6, 1', 'B strip 1 1/2 x 6, 1'], $told(self::plan($file, new CutQuestion(ways: ['U1' => 'strip-sets']))));
    }

    public function test_the_waste_of_flipped_squares_gives_small_half_squares(): void
    {
        $geese = self::plan(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('gABB'));

        // Common practice, no published source: raw about 1 3/4 from a 2 1/2 in square, the second seam 1/2 in away.
        self::assertSame([], self::way($geese, 'from-triangles')->offcuts);
        self::assertEqualsWithDelta([1.7929, 1.7929], array_map(static fn (array $one): float => $one[1]->toFloat(), self::way($geese, 'flipped')->offcuts), 1e-4);
        $offcuts = self::plan(['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('gABB'), new CutQuestion(blocks: 3, ways: ['U1' => 'flipped']))->offcuts();
        self::assertSame([6, '1 3/4', ['U1']], [$offcuts['count'] ?? 0, isset($offcuts['size']) ? $offcuts['size']->toText() : '', $offcuts['for'] ?? []]);
    }

    public function test_a_half_square_cut_and_sewn_again(): void
    {
        $file = Blocks::file('pA');
        // The right half of a half-square triangle turned round: two rectangles, each split the same way.
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (array $patch): array => ['fabric' => $patch[0], 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', $patch[1]))], [
            ['A', '0,0 1/2,0 1/2,1/2 0,1'], ['B', '0,1 1/2,1/2 1/2,1'], ['B', '1/2,0 1,0 1,1/2 1/2,1'], ['A', '1,1/2 1,1 1/2,1'],
        ])]];
        $way = array_filter(self::plan($file)->units[0]->ways, static fn (Way $way): bool => $way->key === 'rejoined');

        self::assertCount(1, $way);
    }

    public function test_more_blocks_take_more_of_everything_and_nearly_equal_sizes_are_told(): void
    {
        $plan = self::plan(Blocks::file('hAB pA', 'pA hAB'), new CutQuestion(blocks: 3));
        self::assertSame([6, 3], [$plan->units[0]->unit->need, $plan->units[0]->batches()]);
        self::assertSame([['a', '2 7/8', 3], ['b', '2 1/2', 6], ['c', '2 7/8', 3]], array_map(static fn (Cut $cut): array => [$cut->letter, $cut->width->toText(), $cut->count], $plan->cuts));
        self::assertSame([['a', 'b']], array_map(static fn (array $pair): array => [$pair[0]->letter, $pair[1]->letter], $plan->nearlyEqual()));
    }

    public function test_pieces_are_never_more_than_the_fabric_asked_for(): void
    {
        for ($seed = 0; $seed < 10; ++$seed) {
            $file = Blocks::generated($seed, 3, 3);
            $plan = self::plan($file, new CutQuestion(blocks: 1 + $seed % 3));
            foreach ($plan->fabric as $fabric => $packing) {
                $area = array_sum(array_map(static fn (Cut $cut): float => $cut->fabric === $fabric ? $cut->area()->toFloat() : 0.0, $plan->cuts));
                self::assertLessThanOrEqual($packing->length->times($packing->width)->toFloat() + 1e-9, $area);
            }
            self::assertSame([], array_filter($plan->cuts, static fn (Cut $cut): bool => $cut->mirrored > ($cut->template === null ? 0 : $cut->count)), 'only what is cut round a template has another hand');
            foreach ($plan->units as $made) {
                self::assertGreaterThanOrEqual(0, $made->spare());
            }
        }
    }

    public function test_each_piece_of_a_unit_is_known_by_the_stack_it_lies_in(): void
    {
        for ($seed = 0; $seed < 8; ++$seed) {
            $plan = self::plan(Blocks::generated($seed, 3, 3));
            foreach ($plan->units as $made) {
                foreach ($made->way->pieces as $piece) {
                    $cut = $plan->cutOf($piece, $made->unit->label) ?? self::fail($made->unit->label);
                    self::assertSame([$piece->fabric, $piece->then], [$cut->fabric, $cut->then]);
                    self::assertContains($made->unit->label, $cut->for);
                    self::assertGreaterThanOrEqual($piece->exact(8)[0]->toFloat(), $cut->width->toFloat());
                }
            }
        }
        $plan = self::plan(Blocks::file('hAB hAB hAC pB'));
        $piece = $plan->units[0]->way->pieces[0];
        self::assertNotNull($plan->cutOf($piece, $plan->units[0]->unit->label));
        self::assertNull($plan->cutOf($piece, 'U9'), 'no unit of that name');
        $dark = array_values(array_filter($plan->units[0]->way->pieces, static fn ($one): bool => $one->fabric === 'B'))[0];
        self::assertNull($plan->cutOf($dark, $plan->units[1]->unit->label), 'a unit without that fabric');
    }

    public function test_a_patch_that_is_too_narrow_is_refused_wherever_it_lies(): void
    {
        foreach ([['15', '1'], ['1', '15']] as $widths) {
            foreach (['columns', 'rows'] as $way) {
                $file = $way === 'columns' ? Blocks::file('pA pB') : Blocks::file('pA', 'pB');
                $this->expectsRefusal([$way => $widths, 'finished' => ['width' => '3', 'height' => '3']] + $file, 'nothing under 1/4 in can be cut and sewn');
            }
        }
    }

    public function test_strips_are_cut_for_grids_of_either_hand(): void
    {
        $file = ['finished' => ['width' => '4', 'height' => '2']] + Blocks::file('pA pA');
        $inner = Blocks::file('pA pB', 'pC pA', 'pB pC');
        $grid = ['unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1', '1', '1'], 'cells' => $inner['cells']];
        $file['cells'] = [['row' => 1, 'column' => 1] + $grid, ['row' => 1, 'column' => 2, 'mirrored' => true] + $grid];
        $plan = self::plan($file, new CutQuestion(2, ways: ['U1' => 'strip-sets']));
        // Two blocks of one and its mirror image: four of each row, whichever end is first.
        self::assertSame([4, 4, 4], array_map(static fn (array $strip): int => array_sum(array_column($strip['set']->cuts, 'count')), $plan->strips));
    }

    public function test_waste_that_is_sewn_first_is_counted_to_the_mark_below(): void
    {
        $corner = static fn (string ...$sizes): array => ['finished' => ['width' => '6', 'height' => '6'], 'cells' => [['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => array_map(static fn (string $size): array => ['fabric' => 'B', 'size' => $size], $sizes)]]] + Blocks::file('pA');
        $one = self::plan($corner(tl: '2'))->offcuts();
        $two = self::plan($corner(tl: '2', br: '1 1/2'))->offcuts();
        self::assertSame([1, 2], [$one['count'] ?? 0, $two['count'] ?? 0]);
        self::assertTrue(isset($one, $two) && $two['size']->compareTo($one['size']) < 0, 'all are squared up to the size of the smallest');
    }

    public function test_metric_blocks_are_cut_to_the_millimetre(): void
    {
        $file = ['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '80', 'height' => '80']] + Blocks::file('hAB');

        // 80 + 6 (2 + √2) = 100.49 mm
        self::assertSame(['101', '101'], self::told(self::way(self::plan($file), 'two-at-a-time'), false, 1));
    }

    public function test_what_cannot_be_cut_is_refused_with_a_sentence(): void
    {
        $small = ['finished' => ['width' => '1/4', 'height' => '1/4']] + Blocks::file('hAB hAB', 'hAB hAB');
        $wide = ['seam_allowance' => '3'] + Blocks::file('hAB');
        foreach ([
            [$small, new CutQuestion(), 'nothing under 1/4 in can be cut and sewn'],
            [$wide, new CutQuestion(), 'The seam allowance of 3 in is larger than a patch that is 2 in.'],
            [Blocks::file('hAB'), new CutQuestion(blocks: 401), 'from 1 to 400'],
            [Blocks::file('hAB'), new CutQuestion(ways: ['U1' => 'by-magic']), 'There is no way "by-magic" to make U1.'],
            [Blocks::file('hAB'), new CutQuestion(usableWidth: Fraction::of(2)), 'the fabric is only 2 in wide'],
        ] as [$file, $question, $words]) {
            try {
                self::plan($file, $question);
                self::fail($words);
            } catch (CutNotPossible $problem) {
                self::assertStringContainsString($words, $problem->getMessage());
            }
        }
    }

    /** @param array<string, mixed> $file */
    private function expectsRefusal(array $file, string $words): void
    {
        try {
            self::plan($file);
            self::fail($words);
        } catch (CutNotPossible $problem) {
            self::assertStringContainsString($words, $problem->getMessage());
        }
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file, CutQuestion $question = new CutQuestion()): CuttingPlan
    {
        return CuttingPlan::of(Construction::of(Face::of(BlockFile::read($file)), Order::Rows), $question);
    }

    private static function way(CuttingPlan $plan, string $key): Way
    {
        return array_values(array_filter($plan->units[0]->ways, static fn (Way $way): bool => $way->key === $key))[0];
    }

    /** @return list<string> */
    private static function told(Way $way, bool $isOversize, int $marks = 8): array
    {
        return array_map(static function (Piece $piece) use ($isOversize, $marks): string {
            return SizeText::of(...($isOversize ? $piece->larger($marks) : $piece->exact($marks)));
        }, $way->pieces);
    }

    /** @return array{string, int, int, int} */
    private static function figures(MadeUnit $made): array
    {
        return [$made->way->key, $made->batches(), $made->makes(), $made->spare()];
    }
}
