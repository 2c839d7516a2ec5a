<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\StageKind;
use KeenSeam\Core\Making\Way;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** The order of work: common practice, no published source. */
final class WorkStepsTest extends TestCase
{
    public function test_four_triangle_squares_are_worked_from_cloth_to_block(): void
    {
        $steps = WorkSteps::of(self::plan(Blocks::file('hAB90 hAB180', 'hAB hAB270')), new CutQuestion());

        self::assertSame([
            'cut Cut Sailcloth: 2 squares 2 7/8 in, stack a.',
            'cut Cut Harbour ink: 2 squares 2 7/8 in, stack b.',
            'mark Draw a line corner to corner on the wrong side of Sailcloth.',
            'join Start the half-square triangles with one batch, to be measured before the rest: two from two squares; Harbour ink to Sailcloth, 1 pair. Sew on both sides of the line, one allowance away. Take stacks a and b.',
            'cut-apart Cut on the line.',
            'press Set the seam flat, open, and press toward Harbour ink.',
            'measure Measure the first half-square triangle before you sew the others: at least 2 1/2 x 2 1/2 in.',
            'mark Draw a line corner to corner on the wrong side of Sailcloth.',
            'join Now the rest of the half-square triangles: two from two squares; Harbour ink to Sailcloth, 1 pair. Sew on both sides of the line, one allowance away. Take stacks a and b.',
            'cut-apart Cut on the line.',
            'press Set the seam flat, open, and press toward Harbour ink.',
            'square-up Square up 4 half-square triangles to 2 1/2 x 2 1/2 in and take the dog ears off.',
            'lay-out Lay the whole block out, face up, and compare it with the picture: every unit, its turn, which fabric lies where.',
            'join Sew row 1: flip each unit onto the one before it, right sides together, and sew the upright edge between them, 1 seam.',
            'join Sew row 2: flip each unit onto the one before it, right sides together, and sew the upright edge between them, 1 seam.',
            'press Press the seam toward its last unit.',
            'press Press the seam toward its first unit.',
            'measure Measure row 1: 4 1/2 x 2 1/2 in from raw edge to raw edge.',
            'measure Measure row 2: 4 1/2 x 2 1/2 in from raw edge to raw edge.',
            'join Flip row 2 onto row 1, right sides together, and sew, matching 1 crossing. Slow down by hand over the lump at 2, 2.',
            'check Open it and look at the face. Does the crossing meet well enough to leave, or do you unpick a few stitches?',
            'press Press the seam toward row 1. Press the lump flat and lay a weight on it until it is cold.',
            'square-up Square up the block to 4 1/2 x 4 1/2 in: straight edges, and not into the allowance of a point.',
            'measure Measure the block: 4 1/2 x 4 1/2 in from raw edge to raw edge.',
        ], array_map(static fn (Step $step): string => $step->do->value.' '.$step->text, $steps));
    }

    public function test_six_blocks_are_sewn_in_one_chain(): void
    {
        $times = [];
        foreach (WorkSteps::of(self::plan(Blocks::file('hAB90 hAB180', 'hAB hAB270')), new CutQuestion(6)) as $step) {
            $times[$step->do->value][] = $step->times;
        }

        // 24 units are 12 batches of two: one to try, eleven more; two seams in rows and one between them for each block.
        self::assertSame([1, 11, 6, 6, 6], $times['join']);
        self::assertSame([24, 6], $times['square-up']);
    }

    public function test_rows_stay_webbed_when_all_first_pairs_go_in_one_chain(): void
    {
        $joins = array_values(array_filter(
            WorkSteps::of(self::plan(Blocks::file('pA pB pA', 'pB pA pB')), new CutQuestion(), Chain::Webbed),
            static fn (Step $step): bool => $step->do === StepKind::Join,
        ));

        self::assertSame([[0, 2], [1, 3], [4]], array_map(static fn (Step $step): array => $step->joins, $joins));
        self::assertStringContainsString('uncut', $joins[0]->text);
    }

    public function test_the_ears_of_a_unit_from_triangles_stay_where_the_next_piece_is_laid_to_them(): void
    {
        $texts = array_map(
            static fn (Step $step): string => $step->text,
            WorkSteps::of(self::plan(Blocks::file('tABA pA')), new CutQuestion(ways: [])),
        );

        self::assertNotEmpty(array_filter($texts, static fn (string $text): bool => str_contains($text, 'the V') || str_contains($text, 'dog ears')));
    }

    public function test_known_units_in_a_drawn_one_are_squared_up_before_they_are_sewn_on(): void
    {
        $plan = self::plan(Blocks::knownUnitsInADrawnOne());
        $steps = WorkSteps::of($plan, new CutQuestion(2));
        self::assertSound($plan, $steps, 'a drawn unit');
        $inner = array_values(array_filter($steps, static fn (Step $step): bool => str_ends_with($step->text, 'before the next seam.')));
        self::assertEqualsCanonicalizing(['Square up 2 flying geese to 4 1/2 x 2 1/2 in before the next seam.', 'Square up 4 half-square triangles to 2 1/2 x 2 1/2 in before the next seam.', 'Square up 2 four-patches to 2 1/2 x 2 1/2 in before the next seam.'], array_map(static fn (Step $step): string => $step->text, $inner));
        foreach ($inner as $step) {
            $at = (int) array_search($step, $steps, true);
            foreach ($step->sets as $set) {
                // What is squared up is sewn and pressed by then, and nothing is sewn to it yet.
                $own = array_filter($plan->construction->joins, static fn (Join $join): bool => array_diff($join->patchIds(), $set) === []);
                $larger = array_filter($plan->construction->joins, static fn (Join $join): bool => array_diff($set, $join->patchIds()) === [] && count($join->patchIds()) > count($set));
                foreach ($steps as $i => $other) {
                    self::assertFalse($i > $at && $other->do === StepKind::Join && array_intersect($other->joins, array_map(static fn (Join $join): int => $join->id, $own)) !== []);
                    self::assertFalse($i < $at && $other->do === StepKind::Join && array_intersect($other->joins, array_map(static fn (Join $join): int => $join->id, $larger)) !== []);
                }
            }
        }
    }

    public function test_an_edge_of_several_pieces_is_trimmed_straight_before_the_next_piece_is_laid_to_it(): void
    {
        // A square with small triangles on two sides, then one large triangle over both: drawn as one cell of 4 in.
        $file = Blocks::file('pA');
        $file['finished'] = ['width' => '4', 'height' => '4'];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (string $patch): array => ['fabric' => $patch[0], 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', substr($patch, 2)))], [
            'A 0,0 1/2,0 1/2,1/2 0,1/2', 'B 1/2,0 1,0 1/2,1/2', 'B 0,1/2 1/2,1/2 0,1', 'C 1,0 1,1 0,1',
        ])]];
        $texts = array_map(static fn (Step $step): string => $step->text, WorkSteps::of(self::plan($file), new CutQuestion()));
        $trims = array_keys(array_filter($texts, static fn (string $text): bool => str_contains($text, 'Trim the edge where the next piece is laid straight')));

        self::assertCount(1, $trims);
        self::assertStringContainsString('sew Sea glass', $texts[$trims[0] + 1].$texts[$trims[0] + 2]);
    }

    public function test_what_is_left_over_is_told_when_the_units_are_squared_up(): void
    {
        $said = static fn (string $way, string ...$rows): string => implode(' ', array_map(static fn (Step $step): string => $step->text, array_filter(WorkSteps::of(self::plan(Blocks::file(...$rows)), new CutQuestion(1, ways: ['U1' => $way])), static fn (Step $step): bool => $step->do === StepKind::SquareUp && $step->unitClass !== null)));

        self::assertStringEndsWith('and take the dog ears off. 2 more are spare: square them up to the same size and keep them for another day.', $said('eight-at-a-time', 'hAB hAB hAB', 'hAB hAB hAB'));
        self::assertStringEndsWith('1 more is spare: square it up to the same size and keep it for another day.', $said('two-at-a-time', 'hAB hAB hAB'));
        self::assertStringEndsWith('and take the dog ears off.', $said('two-at-a-time', 'hAB hAB'));
    }

    public function test_pieces_say_which_end_goes_in_first_and_which_lies_on_top(): void
    {
        $sewn = static fn (string $row): array => array_values(array_map(static fn (Step $step): string => $step->text, array_filter(WorkSteps::of(self::plan(Blocks::file($row)), new CutQuestion(1)), static fn (Step $step): bool => $step->do === StepKind::Join && $step->unitClass !== null)));

        [$first, $second] = $sewn('sABC pA');
        self::assertStringContainsString('goes in first: it is the blunter one.', $first, '90 degrees at the middle of the square, 45 at its corner');
        self::assertStringNotContainsString('on top', $first, 'neither has more to steer by');
        self::assertStringContainsString(' on top: there you see the threads to steer by. Both ends are sharp: begin on a scrap of leader cloth.', $second);
        self::assertStringNotContainsString('leader', $sewn('sABC sABC90')[2] ?? '', 'a chain begins on a scrap already');
    }

    public function test_likes_are_one_chain_where_units_are_not_sewn_as_one_part(): void
    {
        foreach (range(1, 8) as $seed) {
            $plan = self::plan(Blocks::generated($seed, 3, 3), Order::Diagonal);
            $waves = [];
            foreach (WorkSteps::of($plan, new CutQuestion(2)) as $step) {
                if ($step->do !== StepKind::Join) {
                    $waves[] = [];
                    continue;
                }
                foreach ($step->joins as $id) {
                    $join = $plan->construction->joins[$id];
                    $patches = array_map(static fn (int $patch): Patch => $plan->construction->face->patches[$patch], $join->patchIds());
                    if (count($patches) === 2 && count(array_unique(array_map(static fn (PressDirection $one): string => $one->value, $plan->pressing->of($join)))) === 1 && ! str_starts_with($step->title, 'Slanting') && ! str_contains($step->text, 'Slanting row') && ! str_contains($step->text, 'slanting row')) {
                        $waves[count($waves) - 1][ClassKinship::handKeyOf($patches, $join->outline(), false)][] = $step->key();
                    }
                }
            }
            foreach ($waves as $wave) {
                foreach ($wave as $keys) {
                    self::assertCount(1, array_unique($keys), "seed $seed: likes stand apart");
                }
            }
        }
    }

    /** @return iterable<string, array{list<string>, Order, PressStyle, CutQuestion, Chain, list<string>}> block, how it is sewn, pressed, cut and chained, and what is told; read aloud beside the cloth */
    public static function told(): iterable
    {
        yield 'webbed rows of two blocks' => [['pA pB pA', 'pB pA pB'], Order::Rows, PressStyle::Nest, new CutQuestion(2), Chain::Webbed, [
            'join 4 Sew unit 2 onto the first in all rows, one after the other; leave the threads between them uncut.',
            'join 4 Sew unit 3 onto what is sewn in all rows, one after the other; the threads between them keep the rows in order.',
            'press 4 Row 1 in. Press seam 1 toward its last unit and seam 2 toward its first unit.',
            'press 4 Row 2 out. Press seam 1 toward its first unit and seam 2 toward its last unit.',
            'join 2 Flip row 2 onto row 1, right sides together, and sew, matching 2 crossings in each of the 2 blocks: all of them in one chain.',
            'check 2 Open it and look at the face. Do both crossings meet well enough to leave, or do you unpick a few stitches?',
            'press 2 Press the seam toward row 2.',
            'square-up 2 Square up the block to 6 1/2 x 4 1/2 in: straight edges, and not into the allowance of a point.',
        ]];
        yield 'twos and twos of twos' => [['pA pB pA pB', 'pB pA pB pA'], Order::Twos, PressStyle::Nest, new CutQuestion(2), Chain::Twos, [
            'join 8 Sew columns 1 and 2 of rows 1 and 2; and columns 3 and 4 of rows 1 and 2, one after the other as a chain: flip the right part of each onto the left, right sides together, and sew the upright edge in each of the 2 blocks: the first pair of every block, then the next.',
            'press 8 Press to the right in columns 1 and 2 of row 1; and columns 3 and 4 of row 1; to the left in columns 1 and 2 of row 2; and columns 3 and 4 of row 2.',
            'measure 2 Measure one of the pairs, row 1, columns 1 and 2: 4 1/2 x 2 1/2 in from raw edge to raw edge.',
            'join 4 Sew rows 1 and 2, one after the other as a chain: flip the right part of each onto the left, right sides together, and sew the upright edge in each of the 2 blocks: the first pair of every block, then the next.',
            'press 4 Press to the left in row 1; to the right in row 2.',
            'measure 2 Measure one of the pairs, row 1: 8 1/2 x 2 1/2 in from raw edge to raw edge.',
            'join 2 Flip row 2 onto row 1, right sides together, and sew, matching 3 crossings in each of the 2 blocks: all of them in one chain.',
            'check 2 Open it and look at the face. Do all 3 crossings meet well enough to leave, or do you unpick a few stitches?',
            'press 2 Press the seam toward row 1.',
            'square-up 2 Square up the block to 8 1/2 x 4 1/2 in: straight edges, and not into the allowance of a point.',
        ]];
        yield 'crossed pairs that give the other hand too' => [['sABC sABC90 sABC180'], Order::Rows, PressStyle::Nest, new CutQuestion(ways: ['U1' => 'crossed']), Chain::RowByRow, [
            'mark 1 Draw a line corner to corner on the wrong side of Sea glass.',
            'join 1 Start the split quarter-square triangles with one batch, to be measured before the rest: a half-square triangle and a square crossed; Sea glass to Harbour ink, 1 pair. Sew on both sides of the line, one allowance away. Take stacks a, b and c.',
            'cut-apart 1 Cut on the line.',
            'press 2 Set the seam flat, open, and press toward Harbour ink.',
            'mark 1 Draw a line corner to corner across the seam.',
            'join 1 Go on with the split quarter-square triangles: Harbour ink and Sea glass to Sailcloth, 1 pair. Sew on both sides of the line, one allowance away.',
            'cut-apart 1 Cut on the line.',
            'press 2 Set the seam flat, open, and press toward Sailcloth.',
            'mark 1 Draw a line corner to corner on the wrong side of Sea glass.',
            'join 1 Now the rest of the split quarter-square triangles: a half-square triangle and a square crossed; Sea glass to Harbour ink, 1 pair. Sew on both sides of the line, one allowance away. Take stacks a, b and c.',
            'cut-apart 1 Cut on the line.',
            'press 2 Set the seam flat, open, and press toward Harbour ink.',
            'mark 2 Draw a line corner to corner across the seam.',
            'join 2 Go on with the split quarter-square triangles: Harbour ink and Sea glass to Sailcloth, 2 pairs. Sew on both sides of the line, one allowance away.',
            'cut-apart 2 Cut on the line.',
            'press 4 Set the seam flat, open, and press toward Sailcloth.',
            'square-up 3 Square up 3 split quarter-square triangles to 2 1/2 x 2 1/2 in and take the dog ears off. Lay aside the 3 that came out the other way round: no place here takes them. 1 pair stays half made: keep it too.',
            'join 1 Flip column 2 onto column 1, right sides together, and sew.',
            'press 1 Press the seam toward column 1.',
            'join 1 Flip column 3 onto columns 1 and 2, right sides together, and sew.',
            'press 1 Press the seam toward column 3.',
            'square-up 1 Square up the block to 6 1/2 x 2 1/2 in: straight edges, and not into the allowance of a point.',
        ]];
        yield 'a furled four-patch' => [['pA pB', 'pB pA'], Order::Rows, PressStyle::NestFurl, new CutQuestion(), Chain::RowByRow, [
            'join 1 Sew row 1: flip each unit onto the one before it, right sides together, and sew the upright edge between them, 1 seam.',
            'join 1 Sew row 2: flip each unit onto the one before it, right sides together, and sew the upright edge between them, 1 seam.',
            'press 1 Press the seam toward its first unit.',
            'press 1 Press the seam toward its last unit.',
            'join 1 Flip row 2 onto row 1, right sides together, and sew, matching 1 crossing.',
            'check 1 Open it and look at the face. Does the crossing meet well enough to leave, or do you unpick a few stitches?',
            'press 1 Press the seam toward row 2 at first, furled at crossing 1. At each furl open the two or three stitches inside the allowance first. Then, looking at the back, lay the allowances round like a wheel with the finger, clockwise at 2, 2, and press. Laid the wrong way round they fight each other and will not lie flat.',
            'square-up 1 Square up the block to 4 1/2 x 4 1/2 in: straight edges, and not into the allowance of a point.',
        ]];
        yield 'halves of halves' => [['pA pB pA pB', 'pB pA pB pA', 'pA pB pA pB', 'pB pA pB pA'], Order::Quarters, PressStyle::Nest, new CutQuestion(), Chain::RowByRow, [
            'join 8 Sew columns 1 and 2 of rows 1 to 4; and columns 3 and 4 of rows 1 to 4, one after the other as a chain: flip the right part of each onto the left, right sides together, and sew the upright edge.',
            'press 8 Press to the right in columns 1 and 2 of rows 1 and 3; and columns 3 and 4 of rows 1 and 3; to the left in columns 1 and 2 of rows 2 and 4; and columns 3 and 4 of rows 2 and 4.',
            'measure 1 Measure one of the pairs, row 1, columns 1 and 2: 4 1/2 x 2 1/2 in from raw edge to raw edge.',
            'join 4 Sew the upper left quarter; the upper right quarter; the lower left quarter; and the lower right quarter, one after the other as a chain: flip the lower part of each onto the upper, right sides together, and sew the level edge.',
            'check 1 Open it and look at the face. Do all 4 crossings meet well enough to leave, or do you unpick a few stitches?',
            'press 4 Press up in the upper left quarter and the lower left quarter; down in the upper right quarter and the lower right quarter.',
            'measure 1 Measure one of the pairs, the upper left quarter: 4 1/2 x 4 1/2 in from raw edge to raw edge.',
            'join 2 Sew the upper half and the lower half, one after the other as a chain: flip the right part of each onto the left, right sides together, and sew the upright edge.',
            'check 1 Open it and look at the face. Do both crossings meet well enough to leave, or do you unpick a few stitches?',
            'press 2 Press to the left in the upper half; to the right in the lower half.',
            'measure 1 Measure one of the pairs, the upper half: 8 1/2 x 4 1/2 in from raw edge to raw edge.',
            'join 1 Flip the lower half onto the upper half, right sides together, and sew, matching 3 crossings.',
            'check 1 Open it and look at the face. Do all 3 crossings meet well enough to leave, or do you unpick a few stitches?',
            'press 1 Press the seam toward the upper half.',
            'square-up 1 Square up the block to 8 1/2 x 8 1/2 in: straight edges, and not into the allowance of a point.',
        ]];
    }

    /**
     * @param list<string> $rows
     * @param list<string> $told kind, times and words
     */
    #[DataProvider('told')]
    public function test_it_is_told_as_one_would_say_it(array $rows, Order $order, PressStyle $style, CutQuestion $question, Chain $chain, array $told): void
    {
        $plan = (new PressingPlanner(Construction::of(Face::of(BlockFile::read(Blocks::file(...$rows))), $order)))->best(new PressQuestion($style));
        $steps = array_filter(WorkSteps::of($plan, $question, $chain), static fn (Step $step): bool => ! in_array($step->do, [StepKind::Cut, StepKind::LayOut, StepKind::Measure], true) || str_contains($step->text, 'Measure one'));

        self::assertSame($told, array_values(array_map(static fn (Step $step): string => $step->do->value.' '.$step->times.' '.$step->text, $steps)));
    }

    /** What a way's stages say of one batch, as many times as there are batches: no batch is forgotten, whoever is made first. */
    public function test_every_batch_is_sewn_whichever_units_are_measured_first(): void
    {
        foreach ([['sABC sABCm', 'sABC180m hAB'], ['sABC sABC90 sABC180'], ['qABCB qABCB90', 'qABCBm pA'], ['qABAB qABAB pA'], ['sABCm', 'sABC'], ['hAB hAB hAB']] as $rows) {
            for ($blocks = 1; $blocks <= 4; ++$blocks) {
                $plan = self::plan(Blocks::file(...$rows));
                $question = new CutQuestion($blocks, ways: ['U1' => $rows[0][0] === 'h' ? 'two-at-a-time' : 'crossed']);
                $made = CuttingPlan::of($plan->construction, $question)->units[0];
                $sewn = 0;
                foreach (WorkSteps::of($plan, $question) as $step) {
                    $sewn += $step->way === $made->way->key && $step->unitClass === 'U1' && $step->do === StepKind::Join ? $step->times : 0;
                }
                $expected = 0;
                foreach ([0, 1] as $round) {
                    $ofBatch = array_sum(array_map(static fn (Stage $stage): int => $stage->count, $made->way->stagesOf(StageKind::Sew, $round)));
                    $expected += $round === 0 ? $ofBatch * $made->way->batchesFor($made->parts) : intdiv($ofBatch * $made->parts, $made->way->parts);
                }
                self::assertSame($expected, $sewn, implode(' / ', $rows).", $blocks blocks");
            }
        }
    }

    public function test_everything_is_done_once_where_small_grids_come_from_strips(): void
    {
        $random = new Randomizer(new Mt19937(4));
        $fromStrips = 0;
        for ($seed = 1; $seed <= 24; ++$seed) {
            $word = static fn (): string => 'p'.['A', 'B', 'C'][$random->getInt(0, 2)];
            $grid = static function () use ($word, $random): array {
                $columns = $random->getInt(1, 3);
                $inner = Blocks::file(...array_map(static fn (): string => implode(' ', array_map($word, range(1, $columns))), range(1, $columns === 1 ? 2 : $random->getInt(1, 3))));

                return ['unit' => 'grid', 'turn' => 90 * $random->getInt(0, 3), 'mirrored' => $random->getInt(0, 1) === 1, 'columns' => $inner['columns'], 'rows' => $inner['rows'], 'cells' => $inner['cells']];
            };
            $two = [$grid(), $grid()];
            $file = ['finished' => ['width' => '12', 'height' => '12']] + Blocks::file('pA pA', 'pA pA');
            $file['cells'] = array_map(static fn (array $cell): array => ['row' => $cell['row'], 'column' => $cell['column'], 'turn' => 90 * $random->getInt(0, 3)] + $two[$random->getInt(0, 1)], $file['cells']);
            $plan = self::plan($file, [Order::Rows, Order::Columns, Order::Quarters][$seed % 3]);
            $ways = [];
            foreach (CuttingPlan::of($plan->construction, new CutQuestion())->units as $made) {
                if (array_filter($made->ways, static fn (Way $way): bool => $way->key === 'strip-sets') !== []) {
                    $ways[$made->unit->label] = 'strip-sets';
                }
            }
            $fromStrips += count($ways);
            self::assertSound($plan, WorkSteps::of($plan, new CutQuestion(1 + $seed % 3, ways: $ways), Chain::cases()[$seed % count(Chain::cases())]), "seed $seed");
        }
        self::assertGreaterThan(20, $fromStrips);
    }

    public function test_strips_are_sewn_pressed_and_cut_across_before_the_rows_are_sewn(): void
    {
        $told = static function (string ...$rows): array {
            $inner = Blocks::file(...$rows);
            $file = ['finished' => ['width' => (string) (2 * count($inner['columns'])), 'height' => (string) count($rows)]] + Blocks::file('pC pC');
            $grid = ['unit' => 'grid', 'columns' => $inner['columns'], 'rows' => $inner['rows'], 'cells' => $inner['cells']];
            $file['cells'] = [['row' => 1, 'column' => 1] + $grid, ['row' => 1, 'column' => 2, 'mirrored' => true] + $grid];
            $steps = WorkSteps::of(self::plan($file), new CutQuestion(2, ways: ['U1' => 'strip-sets']));

            return array_values(array_map(static fn (Step $step): string => $step->do->value.' '.$step->times.' '.$step->text, array_filter($steps, static fn (Step $step): bool => in_array($step->do, [StepKind::Join, StepKind::Press, StepKind::CutApart], true) && $step->unitClass !== null)));
        };

        self::assertSame([
            'join 3 Start 4 small grids of both hands: sew the strips of each of the 3 sets together lengthwise, every other seam from the other end. Take stacks a, b and c.',
        ], array_slice($told('pA pB', 'pC pA', 'pB pC'), 0, 1));
        // Rails are cut from one set and there is nothing more to sew.
        self::assertSame(['join 2 Start 4 small grids: sew the strips of the set together lengthwise, every other seam from the other end. Take stacks a, b and c.', 'press 2', 'cut-apart 1 Cut the set of 3 across into 4 of 1 1/2.'], array_map(static fn (string $step): string => str_starts_with($step, 'press') ? substr($step, 0, 7) : $step, $told('pA pB pC')));
        // Rows cut from one set are pressed unlike: then they are cut first.
        self::assertSame(['join', 'cut-apart', 'press', 'join'], array_map(static fn (string $step): string => explode(' ', $step)[0], array_slice($told('pA pB pA', 'pA pB pA'), 0, 4)));
        self::assertSame(['join', 'press', 'cut-apart', 'join'], array_map(static fn (string $step): string => explode(' ', $step)[0], array_slice($told('pA pB', 'pB pA'), 0, 4)));
    }

    public function test_a_fabric_that_is_not_used_is_not_cut(): void
    {
        $cut = array_filter(WorkSteps::of(self::plan(Blocks::file('pB pC')), new CutQuestion()), static fn (Step $step): bool => $step->do === StepKind::Cut);

        self::assertSame(['Cut Harbour ink: 1 square 2 1/2 in, stack a.', 'Cut Sea glass: 1 square 2 1/2 in, stack b.'], array_values(array_map(static fn (Step $step): string => $step->text, $cut)));
    }

    public function test_patches_too_small_for_a_ruler_are_counted(): void
    {
        $cut = array_filter(WorkSteps::of(self::plan(['finished' => ['width' => '1/2', 'height' => '2']] + Blocks::file('pA pB pA')), new CutQuestion(3)), static fn (Step $step): bool => $step->do === StepKind::Cut);

        self::assertSame(['Cut Sailcloth: 6 patches, each with its allowance all round.', 'Cut Harbour ink: 3 patches, each with its allowance all round.'], array_values(array_map(static fn (Step $step): string => $step->text, $cut)));
    }

    public function test_absurd_numbers_of_blocks_are_refused(): void
    {
        $this->expectException(CutNotPossible::class);
        WorkSteps::of(self::plan(Blocks::file('pA pB')), new CutQuestion(0));
    }

    /** @return iterable<string, array{Order, Chain}> */
    public static function orders(): iterable
    {
        foreach (Order::cases() as $order) {
            foreach (Chain::cases() as $chain) {
                yield $order->value.' '.$chain->value => [$order, $chain];
            }
        }
    }

    #[DataProvider('orders')]
    public function test_everything_is_done_once_and_only_with_what_is_made(Order $order, Chain $chain): void
    {
        $tried = 0;
        // Every way of chaining has blocks of its own: all of them with all would take half a minute.
        for ($seed = 1 + (int) array_search($chain, Chain::cases(), true); $seed <= 15; $seed += count(Chain::cases())) {
            try {
                $plan = self::plan(Blocks::generated($seed, 2 + $seed % 4, 2 + intdiv($seed, 4) % 3), $order);
            } catch (SetInSeamNeeded|OrderNotPossible) {
                continue;
            }
            ++$tried;
            self::assertSound($plan, WorkSteps::of($plan, new CutQuestion(1 + $seed % 3), $chain), "seed $seed");
        }
        self::assertGreaterThan(1, $tried);
    }

    /** @return array<string, array{list<string>, string, int, array<string, int>}> a block, how its unit is made, how many blocks, and what lies under needle, knife and iron in all */
    public static function counted(): array
    {
        return [
            // Common practice, no published source: pairs are sewn, and each gives so many.
            'two at a time, four needed' => [['hAB hAB', 'hAB hAB'], 'two-at-a-time', 1, ['mark' => 2, 'sew' => 2, 'cut' => 2, 'press' => 4, 'trim' => 4]],
            'eight at a time, six needed' => [['hAB hAB hAB', 'hAB hAB hAB'], 'eight-at-a-time', 1, ['mark' => 1, 'sew' => 1, 'cut' => 1, 'press' => 8, 'trim' => 6]],
            'four round the edge, three blocks of two' => [['hAB hAB'], 'four-at-a-time', 3, ['mark' => 0, 'sew' => 2, 'cut' => 2, 'press' => 8, 'trim' => 6]],
            'crossed, four: two pairs, four half squares, two crossings' => [['qABAC qABAC', 'qABAC qABAC'], 'crossed', 1, ['mark' => 4, 'sew' => 4, 'cut' => 4, 'press' => 8, 'trim' => 4]],
            'crossed, two: two pairs all the same, and two half squares left over' => [['qABAC qABAC'], 'crossed', 1, ['mark' => 3, 'sew' => 3, 'cut' => 3, 'press' => 6, 'trim' => 2]],
            'four geese at once: one pair, two hearts' => [['gABB', 'gABB', 'gABB', 'gABB'], 'four-at-once', 1, ['mark' => 3, 'sew' => 3, 'cut' => 3, 'press' => 6, 'trim' => 4]],
            'eight geese, four at once' => [['gABB gABB', 'gABB gABB', 'gABB gABB', 'gABB gABB'], 'four-at-once', 1, ['mark' => 6, 'sew' => 6, 'cut' => 6, 'press' => 12, 'trim' => 8]],
        ];
    }

    /**
     * @param list<string>       $rows
     * @param array<string, int> $expected by stage
     */
    #[DataProvider('counted')]
    public function test_what_lies_under_needle_knife_and_iron_is_counted(array $rows, string $way, int $blocks, array $expected): void
    {
        $file = Blocks::file(...$rows);
        if (str_starts_with($rows[0], 'g')) {
            $file['finished']['width'] = (string) (4 * count($file['columns']));
        }
        $plan = self::plan($file, Order::Rows);
        $times = array_fill_keys(array_keys($expected), 0);
        foreach (WorkSteps::of($plan, new CutQuestion($blocks, ways: ['U1' => $way])) as $step) {
            if ($step->unitClass === null) {
                self::assertSame([null, null, null], [$step->way, $step->stage, $step->first]);
                continue;
            }
            self::assertSame(['U1', $way], [$step->unitClass, $step->way]);
            self::assertNotNull($step->stage);
            if ($step->do !== StepKind::Measure) {
                $times[$step->stage->value] += $step->times;
            }
            if ($step->first !== null) {
                self::assertLessThanOrEqual($step->times, $step->first);
            }
        }
        self::assertSame($expected, $times);
    }

    public function test_opposite_sides_share_one_trip_and_the_next_two_follow_after_the_iron(): void
    {
        $steps = self::stepsOf(Blocks::file('dABBBB pA', 'pB pA'));
        $unit = array_values(array_filter($steps, static fn (Step $step): bool => $step->unitClass !== null && $step->joins !== []));

        self::assertSame([['join', 2], ['press', 2], ['join', 2], ['press', 2]], array_map(static fn (Step $step): array => [$step->do->value, count($step->joins)], $unit));
        self::assertStringContainsString('sew Harbour ink to Sailcloth, 2 times', $unit[0]->text, 'the corner goes to the square, whichever side it is on');
    }

    public function test_who_trims_no_unit_cuts_the_whole_back_from_its_centre(): void
    {
        $plan = self::plan(Blocks::file('hAB hAB', 'hAB pA'), Order::Rows);
        $steps = WorkSteps::of($plan, new CutQuestion(), squareUp: SquareUp::None);
        $trims = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::SquareUp));

        self::assertCount(1, $trims);
        self::assertSame('Cut the whole block back evenly from its centre to 4 1/2 x 4 1/2 in: the middle of the ruler on the middle of the block, 2 1/4 in to each side and 2 1/4 in up and down.', $trims[0]->text);
        self::assertSame(['4 1/2', '4 1/2'], $trims[0]->size);
    }

    public function test_several_blocks_are_chained_and_the_first_is_looked_at(): void
    {
        $texts = array_map(static fn (Step $step): string => $step->text, self::stepsOf(Blocks::file('hAB pA hAB90', 'pB hAB pA'), 6));

        self::assertNotEmpty(preg_grep('/Sew row 1: .* 2 seams in each of the 6 blocks: the first of every block in one chain, then the next\.$/', $texts));
        self::assertNotEmpty(preg_grep('/Flip row 2 onto row 1, .* in each of the 6 blocks: all of them in one chain\.$/', $texts));
        self::assertNotEmpty(preg_grep('/best sewn to its end once, and looked at, before the others\.$/', $texts));
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return list<Step>
     */
    private static function stepsOf(array $file, int $blocks = 1): array
    {
        $plan = (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));

        return WorkSteps::of($plan, new CutQuestion($blocks));
    }

    /** @param list<Step> $steps */
    private static function assertSound(PressingPlan $plan, array $steps, string $what): void
    {
        $joins = $plan->construction->joins;
        [$sewn, $pressed, $squared] = [[], [], []];
        foreach ($steps as $step) {
            self::assertGreaterThan(0, $step->times, $what);
            foreach ($step->joins as $id) {
                if ($step->do === StepKind::Press) {
                    self::assertArrayHasKey($id, $sewn, "$what: join $id is pressed before it is sewn");
                    self::assertArrayNotHasKey($id, $pressed, "$what: join $id is pressed twice");
                    $pressed[$id] = true;

                    continue;
                }
                self::assertSame(StepKind::Join, $step->do, $what);
                self::assertArrayNotHasKey($id, $sewn, "$what: join $id is sewn twice");
                foreach ($joins[$id]->children() as $child) {
                    self::assertTrue(! $child instanceof Join || isset($sewn[$child->id]), "$what: join $id uses what is not made");
                }
                foreach (self::under($joins[$id]) as $below) {
                    if ($joins[$id]->seam->sideOf($below->seam->from) === 0 || $joins[$id]->seam->sideOf($below->seam->to) === 0) {
                        self::assertArrayHasKey($below->id, $pressed, "$what: join $id crosses {$below->id}, which is not pressed");
                    }
                }
                $sewn[$id] = true;
            }
            if ($step->do === StepKind::SquareUp || $step->do === StepKind::Measure) {
                self::assertNotNull($step->size, $what);
                foreach ($step->sets as $set) {
                    sort($set);
                    $key = implode(',', $set);
                    $made = array_filter(array_keys($sewn), static fn (int $id): bool => self::sorted($joins[$id]->patchIds()) === $key);
                    self::assertTrue($made !== [] || count($set) === 1, "$what: $key is measured before it is made");
                    if ($step->do === StepKind::SquareUp) {
                        self::assertArrayNotHasKey($key, $squared, "$what: $key is squared up twice");
                        $squared[$key] = true;
                    }
                }
            }
        }
        self::assertCount(count($joins), $sewn, $what);
        self::assertCount(count($joins), $pressed, $what);
    }

    /** @param list<int> $ids */
    private static function sorted(array $ids): string
    {
        sort($ids);

        return implode(',', $ids);
    }

    /** @return list<Join> */
    private static function under(Join $join): array
    {
        $found = [];
        foreach ($join->children() as $child) {
            if ($child instanceof Join) {
                $found = [...$found, $child, ...self::under($child)];
            }
        }

        return $found;
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file, Order $order = Order::Rows): PressingPlan
    {
        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), $order)))->best(new PressQuestion(PressStyle::Nest));
    }
}
