<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\StageKind;
use KeenSeam\Core\Making\Way;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;
use Tests\Support\Fit;

/** Ways to make a unit, carried out on modelled cloth. */
final class RecipesTest extends TestCase
{
    /**
     * What a batch gives, by how it is built. Common practice, no published source.
     *
     * @return array<string, array{string, string, array{int, int, int}}>
     */
    public static function builds(): array
    {
        return [
            'two half squares' => ['hAB', 'two-at-a-time', [2, 0, 0]],
            'a split quarter-square, faces unlike' => ['sABC', 'crossed', [2, 2, 0]],
            'faces alike, seams not: the large triangle has the fabric of a small one' => ['sABA', 'crossed', [2, 0, 2]],
            'its own mirror image' => ['sABB', 'crossed', [4, 0, 0]],
            'mirrored on the wall' => ['sABAm', 'crossed', [2, 0, 2]],
            'four geese with two skies' => ['gABC', 'four-at-once', [2, 2, 0]],
            'four of one hand' => ['sABA', 'stepped', [4, 0, 0]],
            'quarter-squares of four fabrics' => ['qABCA', 'crossed', [2, 2, 0]],
        ];
    }

    /** @param array{int, int, int} $yields */
    #[DataProvider('builds')]
    public function test_a_batch_is_counted_by_how_its_units_are_built(string $word, string $key, array $yields): void
    {
        $way = self::way(self::plan($word), $key);

        self::assertSame($yields, [$way->own, $way->mirror, $way->lookAlike]);
        self::assertSame(array_sum($yields), $way->yields());
    }

    /** Every way at awkward sizes: the carrying-out itself refuses cloth that does not come out at the unit's size. */
    public function test_sizes_hold_in_thirds_in_millimetres_and_with_other_allowances(): void
    {
        $ways = 0;
        foreach ([['1 1/3', '1/4', 'in'], ['5', '3/8', 'in'], ['73', '7.5', 'mm'], ['2 11/16', '3/16', 'in']] as [$side, $allowance, $unit]) {
            foreach (['hAB', 'qABAC', 'sABC', 'dABABC', 'gABC', 'tABC'] as $word) {
                $file = ['units' => $unit, 'seam_allowance' => $allowance, 'finished' => ['width' => $side, 'height' => $side]] + Blocks::file($word[0] === 'g' ? 'gABC' : $word);
                if ($word[0] === 'g') {
                    $file['cells'][0]['turn'] = 90;
                    $file['rows'] = ['1'];
                    $file['finished'] = ['width' => (string) (explode(' ', $side)[0]), 'height' => (string) (2 * (int) explode(' ', $side)[0])];
                }
                foreach (CuttingPlan::of(Blocks::construction($file), new CutQuestion())->units[0]->ways as $way) {
                    ++$ways;
                    foreach ($way->pieces as $piece) {
                        [[$width], [$larger]] = [$piece->exact($unit === 'in' ? 8 : 1), $piece->larger($unit === 'in' ? 8 : 1)];
                        self::assertGreaterThan($width->toFloat(), $larger->toFloat(), "$word $way->key: larger is always more");
                        self::assertGreaterThanOrEqual($piece->width->toFloat() - 1e-9, $width->toFloat());
                    }
                }
            }
        }
        self::assertGreaterThan(60, $ways);
    }

    /**
     * Each way stage by stage, gone through by hand: what is done, to how many pieces; after a colon lines drawn, sewn and cut.
     *
     * @return array<string, array{string, string, int, string}> unit, way, seams of a batch, stages
     */
    public static function stages(): array
    {
        return [
            'hAB two-at-a-time' => ['hAB', 'two-at-a-time', 2, 'lay1 mark1:100 sew1:120 cut1:121 press2 trim2'],
            'hAB from-triangles' => ['hAB', 'from-triangles', 1, 'cut2 lay1 sew1:010 press1 trim1'],
            'hAB eight-at-a-time' => ['hAB', 'eight-at-a-time', 4, 'lay1 mark1:200 sew1:240 cut1:244 press8 trim8'],
            'hAB four-at-a-time' => ['hAB', 'four-at-a-time', 4, 'lay1 sew1:040 cut1:042 press4 trim4'],
            'hAB foundation-sheets' => ['hAB', 'foundation-sheets', 2, 'lay1 mark1:100 sew1:120 cut1:123 press2 trim2'],
            'qABAC crossed' => ['qABAC', 'crossed', 8, 'lay1 mark1:100 sew1:120 cut1:121 lay1 mark1:100 sew1:120 cut1:121 press4 lay2 mark2:100 sew2:120 cut2:121 press4 trim4'],
            'qABAC from-triangles' => ['qABAC', 'from-triangles', 3, 'cut4 lay1 sew1:010 press1 sew1:010 press1 sew1:010 press1 trim1'],
            'sABC crossed' => ['sABC', 'crossed', 6, 'lay1 mark1:100 sew1:120 cut1:121 press2 lay2 mark2:100 sew2:120 cut2:121 press4 trim4'],
            'sABC from-triangles' => ['sABC', 'from-triangles', 2, 'cut3 lay1 sew1:010 press1 sew1:010 press1 trim1'],
            'sABC stepped' => ['sABC', 'stepped', 8, 'lay1 mark1:200 sew1:240 cut1:242 press4 sew4 press4 trim4'],
            'gABC four-at-once' => ['gABC', 'four-at-once', 6, 'lay1 mark1:100 sew1:120 cut1:121 press2 lay2 mark2:100 sew2:120 cut2:121 press4 trim4'],
            'gABC flipped' => ['gABC', 'flipped', 2, 'lay1 mark1:100 sew1:110 press1 lay1 mark1:100 sew1:110 press1 trim1'],
            'gABC from-triangles' => ['gABC', 'from-triangles', 2, 'cut3 lay1 sew1:010 press1 sew1:010 press1 trim1'],
            'gABC two-half-squares' => ['gABC', 'two-half-squares', 6, 'lay2 mark2:100 sew2:120 cut2:121 press4 lay2 sew2:010 press2'],
            'dABBBB flipped' => ['dABBBB', 'flipped', 4, 'lay1 mark1:100 sew1:110 press1 lay1 mark1:100 sew1:110 press1 lay1 mark1:100 sew1:110 press1 lay1 mark1:100 sew1:110 press1 trim1'],
            'dABBBB from-triangles' => ['dABBBB', 'from-triangles', 4, 'cut5 lay1 sew1:010 press1 sew1:010 press1 sew1:010 press1 sew1:010 press1 trim1'],
            'tABC template' => ['tABC', 'template', 2, 'cut3 lay1 sew1:010 press1 sew1:010 press1 trim1'],
        ];
    }

    #[DataProvider('stages')]
    public function test_every_way_is_done_stage_by_stage(string $word, string $key, int $seams, string $stages): void
    {
        $file = Blocks::file($word);
        $file['finished'] = ['width' => '4', 'height' => $word[0] === 'g' ? '2' : '4'];
        $plan = CuttingPlan::of(Blocks::construction($file), new CutQuestion());
        $way = self::way($plan, $key);
        $told = array_map(static function ($stage): string {
            $lines = count($stage->marks).count($stage->stitches).count($stage->knives);

            return $stage->do->value.$stage->count.($lines === '000' ? '' : ':'.$lines);
        }, $way->stages);

        self::assertSame([$seams, $stages], [$way->seams, implode(' ', $told)]);
        $area = static fn (array $thing): float => array_sum(array_map(static fn (array $patch): float => abs(Fit::area($patch['points'])), $thing));
        $raw = 4.5 * ($word[0] === 'g' ? 2.5 : 4.5);
        $last = $way->stages[count($way->stages) - 1];
        foreach ($last->cloth as $unit) {
            // Where small squares of four geese overlap a little cloth lies double, within the seam that comes next.
            self::assertEqualsWithDelta($raw, $area($unit), $key === 'four-at-once' ? 0.1 : 0.01, 'a unit at its raw size, nothing of it twice');
        }
        $lay = array_values(array_filter($way->stages, static fn ($stage): bool => $stage->do === StageKind::Lay))[0];
        if ($way->pieces[0]->patch === null) {
            $cut = array_sum(array_map(static fn ($piece): float => $piece->isLate ? 0.0 : $piece->width->toFloat() * $piece->height->toFloat(), array_slice($way->pieces, 0, 2)));
            self::assertLessThanOrEqual($cut * 2 + 0.01, $area($lay->cloth[0]), 'what is laid was cut');
        }
        self::assertSame(in_array($key, ['foundation-sheets', 'two-half-squares', 'strip-sets', 'rejoined'], true), $way->isByChoice);
        self::assertSame($key === 'four-at-a-time', $way->isOuterBias);
        self::assertCount(count($plan->units[0]->ways), array_unique(array_map(static fn (Way $one): string => $one->words, $plan->units[0]->ways)), 'ways are told apart');
    }

    public function test_stages_are_told_in_the_order_they_are_done_with_pictures_at_raw_size(): void
    {
        $way = self::way(self::plan('hAB'), 'two-at-a-time');
        self::assertSame([StageKind::Lay, StageKind::Mark, StageKind::Sew, StageKind::Cut, StageKind::Press, StageKind::Trim], array_map(static fn ($stage): StageKind => $stage->do, $way->stages));
        self::assertSame([1, 1, 1, 1, 2, 2], array_map(static fn ($stage): int => $stage->count, $way->stages), 'one pair under the needle, two units at the iron');
        self::assertSame([[0, 0, 0], [1, 0, 0], [1, 2, 0], [1, 2, 1], [0, 0, 0], [0, 0, 0]], array_map(static fn ($stage): array => [count($stage->marks), count($stage->stitches), count($stage->knives)], $way->stages));
        // Two squares of 2 + 2 1/4 · (2 + √2) in, the upper one face down; two seams one allowance beside the diagonal.
        $side = 2 + 0.25 * (2 + M_SQRT2);
        self::assertSame([false, true], array_column($way->stages[0]->cloth[0], 'isBack'));
        self::assertEqualsWithDelta($side ** 2, abs(Fit::area($way->stages[0]->cloth[0][0]['points'])), 1e-3);
        [$from] = $way->stages[2]->stitches[0];
        self::assertEqualsWithDelta(0.25, abs($from[0] - $from[1]) / M_SQRT2, 1e-3);
        foreach ($way->stages[5]->cloth as $unit) {
            self::assertEqualsWithDelta(2.5 ** 2, array_sum(array_map(static fn (array $patch): float => abs(Fit::area($patch['points'])), $unit)), 2e-3, 'squared up, a unit shows both patches and nothing twice');
        }
    }

    public function test_a_line_across_a_seam_is_drawn_once_that_seam_is_pressed(): void
    {
        $marks = static fn (string $cell, string $way): array => array_map(static fn (int $round): int => count(self::way(self::plan($cell), $way)->stagesOf(StageKind::Mark, $round)), [0, 1, 2]);
        self::assertSame([[1, 0, 0], [1, 1, 0], [1, 1, 0]], [$marks('hAB', 'two-at-a-time'), $marks('gABB', 'four-at-once'), $marks('sABC', 'crossed')]);
        self::assertCount(2, self::way(self::plan('sABC'), 'crossed')->stagesOf(StageKind::Mark));
        self::assertSame([1, 2, 3], [self::way(self::plan('hAB'), 'two-at-a-time')->rounds(), self::way(self::plan('sABC'), 'crossed')->rounds(), self::way(self::plan('qABCA'), 'from-triangles')->rounds()]);
    }

    public function test_what_is_half_made_and_not_needed_is_told(): void
    {
        $made = static fn (array $file, string $way): array => (static fn (MadeUnit $one): array => [$one->batches(), $one->makes(), $one->spare(), $one->halfMade()])(CuttingPlan::of(Blocks::construction($file), new CutQuestion(ways: ['U1' => $way]))->units[0]);
        // One split quarter-square: a pair of squares gives two half squares, one of them is crossed and gives two units.
        self::assertSame([1, 2, 1, 1], $made(Blocks::file('sABC'), 'crossed'));
        self::assertSame([1, 4, 2, 0], $made(Blocks::file('sABC sABC90'), 'crossed'));
        self::assertSame([1, 2, 1, 2], $made(Blocks::file('qABCB'), 'crossed'));
        self::assertSame([1, 2, 1, 0], $made(Blocks::file('hAB'), 'two-at-a-time'));
        // The large squares are taken up one by one: one is cut, not two.
        $plan = CuttingPlan::of(Blocks::construction(Blocks::file('sABC')), new CutQuestion(ways: ['U1' => 'crossed']));
        self::assertSame([['A', 1], ['B', 1], ['C', 1]], array_map(static fn ($cut): array => [$cut->fabric, $cut->count], $plan->cuts));
    }

    public function test_two_left_and_two_right_that_look_alike_come_from_two_crossings(): void
    {
        // A left one, and a right one: two each. Their faces can be the same; their builds are not.
        $plan = CuttingPlan::of(Blocks::construction(Blocks::file('sABA sABAm', 'sABA90 sABA90m')), new CutQuestion(ways: ['U1' => 'crossed']));
        self::assertSame([2, 2, 1, 4, 0], [$plan->units[0]->unit->need, $plan->units[0]->unit->mirrored, $plan->units[0]->batches(), $plan->units[0]->makes(), $plan->units[0]->spare()]);
    }

    public function test_eight_of_one_build_need_twice_the_batches_or_are_used_as_they_come(): void
    {
        $figures = static fn (BuildChoice $build): array => (static fn (MadeUnit $one): array => [$one->batches(), $one->makes(), $one->wrongHand(), $one->isAsTheyCome()])(CuttingPlan::of(Blocks::construction(Blocks::file('sABA sABA sABA sABA', 'sABA90 sABA sABA180 sABA')), new CutQuestion(ways: ['U1' => 'crossed'], builds: ['U1' => $build]))->units[0]);
        self::assertSame([4, 16, 8, false], $figures(BuildChoice::Alike));
        self::assertSame([2, 8, 0, true], $figures(BuildChoice::AsTheyCome));
    }

    public function test_a_half_square_cut_and_sewn_again_gives_either_hand(): void
    {
        foreach ([false, true] as $isMirrored) {
            $file = Blocks::file('pA');
            $x = static fn (string $at): string => $isMirrored ? ['0' => '1', '1' => '0', '1/2' => '1/2'][$at] : $at;
            $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (array $patch): array => ['fabric' => $patch[0], 'points' => array_map(static fn (string $point): array => [$x(explode(',', $point)[0]), explode(',', $point)[1]], explode(' ', $patch[1]))], [
                ['A', '0,0 1/2,0 1/2,1/2 0,1'], ['B', '0,1 1/2,1/2 1/2,1'], ['B', '1/2,0 1,0 1,1/2 1/2,1'], ['A', '1,1/2 1,1 1/2,1'],
            ])]];
            $way = self::way(CuttingPlan::of(Blocks::construction($file), new CutQuestion()), 'rejoined');
            self::assertSame([true, 2], [$way->isEitherHand, $way->own]);
            // 2 in finished: the half square measures 3 in and is cut at 1 1/2; 1/2 in comes off one edge.
            $words = implode(' ', array_map(static fn ($stage): string => $stage->words, $way->stages));
            self::assertStringContainsString('Cut each through at half of 3, at 1 1/2, along the weave.', $words);
            self::assertStringContainsString('take the 1/2 that is too high off the', $words);
            // Laid to be sewn again, the upper half lies face down and just covers the lower one: 1 1/2 by 3 in.
            foreach ($way->stagesOf(StageKind::Lay)[1]->cloth as $thing) {
                $box = static fn (bool $isBack): array => (static function (array $points): array {
                    return [max(array_column($points, 0)) - min(array_column($points, 0)), max(array_column($points, 1)) - min(array_column($points, 1)), min(array_column($points, 0)), min(array_column($points, 1))];
                })(array_merge(...array_map(static fn (array $patch): array => $patch['points'], array_values(array_filter($thing, static fn (array $patch): bool => $patch['isBack'] === $isBack)))));
                self::assertEqualsWithDelta($box(false), $box(true), 1e-3);
                self::assertEqualsWithDelta([1.5, 3.0], array_slice($box(true), 0, 2), 1e-3);
            }
        }
    }

    private static function plan(string $word): CuttingPlan
    {
        $file = Blocks::file($word);
        $file['finished'] = ['width' => $word[0] === 'g' ? '4' : '2', 'height' => '2'];

        return CuttingPlan::of(Blocks::construction($file), new CutQuestion());
    }

    private static function way(CuttingPlan $plan, string $key): Way
    {
        return array_values(array_filter($plan->units[0]->ways, static fn (Way $way): bool => $way->key === $key))[0];
    }
}
