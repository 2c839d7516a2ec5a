<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/**
 * Whole pieces of work as they are told, each step with what lies on the table; kept in told/ and read there as a quilter
 * would read them. READ_ALOUD=write writes them anew: a changed sentence is read again there before it is kept.
 */
final class ReadAloudTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, Order|OwnOrder, PressStyle, CutQuestion, Chain}> */
    public static function works(): iterable
    {
        $wide = ['finished' => ['width' => '8', 'height' => '4']];
        $grid = static fn (string ...$rows): array => ['unit' => 'grid', 'columns' => Blocks::file(...$rows)['columns'], 'rows' => Blocks::file(...$rows)['rows'], 'cells' => Blocks::file(...$rows)['cells']];
        $patch = static fn (string $fabric, string $points): array => ['fabric' => $fabric, 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', $points))];
        $with = static function (array $file, array ...$cells): array {
            foreach ($cells as $i => $cell) {
                $file['cells'][$i] = array_intersect_key($file['cells'][$i], ['row' => 0, 'column' => 0]) + $cell;
            }

            return $file;
        };
        $rows = Order::Rows;
        yield from self::named('left-and-right-of-two-blocks', Blocks::file('sABC sABCm', 'sABC180m hAB'), $rows, PressStyle::Nest, new CutQuestion(2, ways: ['U1' => 'crossed']), Chain::RowByRow);
        yield from self::named('geese-four-at-once', $wide + Blocks::file('gABB gABB', 'gABB180 gABB180'), $rows, PressStyle::Nest, new CutQuestion(3, ways: ['U1' => 'four-at-once']), Chain::RowByRow);
        yield from self::named('one-goose-from-triangles', ['finished' => ['width' => '80', 'height' => '40'], 'units' => 'mm', 'seam_allowance' => '6'] + Blocks::file('gABC'), $rows, PressStyle::Nest, new CutQuestion(ways: ['U1' => 'from-triangles']), Chain::RowByRow);
        yield from self::named('corners-sewn-and-flipped', $with(['finished' => ['width' => '8', 'height' => '4']] + Blocks::file('pA dABBBB'), ['unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => array_fill_keys(['tl', 'br'], ['fabric' => 'B', 'size' => '1'])]), Order::Columns, PressStyle::Dark, new CutQuestion(2, ways: ['U2' => 'flipped']), Chain::Webbed);
        yield from self::named('four-patches-from-strips', $with($wide + Blocks::file('pA hAB', 'hAB90 pA'), $grid('pA pB', 'pB pA'), ['unit' => 'half-square-triangle', 'fabrics' => ['A', 'B']], ['unit' => 'half-square-triangle', 'turn' => 90, 'fabrics' => ['A', 'B']], $grid('pA pB', 'pB pA')), Order::Quarters, PressStyle::NestFurl, new CutQuestion(2, ways: ['U1' => 'strip-sets']), Chain::RowByRow);
        yield from self::named('drawn-with-a-half-square-within', $with(['finished' => ['width' => '6', 'height' => '6']] + Blocks::file('pA'), ['unit' => 'patches', 'patches' => [$patch('A', '0,0 1/2,0 0,1/2'), $patch('B', '1/2,0 1/2,1/2 0,1/2'), $patch('C', '1/2,0 1,0 1,1/2 1/2,1/2'), $patch('A', '0,1/2 1,1/2 1,1'), $patch('B', '0,1/2 1,1 0,1')]]), $rows, PressStyle::Nest, new CutQuestion(), Chain::RowByRow);
        yield from self::named('eight-at-a-time-in-long-rows', Blocks::file('hAB hAB90 hAB hAB90', 'hAB180 hAB270 hAB180 hAB270'), $rows, PressStyle::Nest, new CutQuestion(2, ways: ['U1' => 'eight-at-a-time']), Chain::Webbed);
        yield from self::named('round-a-centre-pressed-open', Blocks::file('pA pB pA', 'pB qABAB pB', 'pA pB pA'), Order::Around, PressStyle::Open, new CutQuestion(), Chain::RowByRow);
        yield from self::named('quarter-squares-that-leave-halves', Blocks::file('qABCB qABCB90 qABCB180'), Order::Twos, PressStyle::Dark, new CutQuestion(ways: ['U1' => 'crossed']), Chain::RowByRow);
        yield from self::named('in-an-order-of-her-own', Blocks::file('hAB pA', 'pB hAB180'), OwnOrder::of('Across the middle', [['1,1', '2,1'], ['1,2', '2,2']]), PressStyle::Nest, new CutQuestion(2), Chain::RowByRow);
        yield from self::named('columns-of-three-blocks', Blocks::file('hAB hAB90 hAB', 'hAB90 qABAB hAB90', 'hAB hAB90 hAB'), Order::Columns, PressStyle::Nest, new CutQuestion(3), Chain::Webbed);
        yield from self::named('halves-of-halves-of-two-blocks', Blocks::file('hAB hAB90 hAB hAB90', 'hAB270 hAB180 hAB270 hAB180', 'hAB hAB90 hAB hAB90', 'hAB270 hAB180 hAB270 hAB180'), Order::Quarters, PressStyle::NestFurl, new CutQuestion(2), Chain::RowByRow);
        yield from self::named('fives-in-twos', Blocks::file('pA pB pA pB pA', 'pB pA hAB pA pB', 'pA pB pA pB pA'), Order::Twos, PressStyle::Mixed, new CutQuestion(3), Chain::Twos);
        yield from self::named('fours-in-twos-of-one-block', Blocks::file('pA pB pA pB', 'pB pA pB pA'), Order::Twos, PressStyle::Nest, new CutQuestion(), Chain::Twos);
        yield from self::named('geese-one-by-one', $wide + Blocks::file('gABB gABB', 'gABB180 gABB180'), $rows, PressStyle::Nest, new CutQuestion(ways: ['U1' => 'from-triangles']), Chain::RowByRow);
        yield from self::named('slanting-rows', Blocks::file('hAB hAC', 'hBC hAB'), Order::Diagonal, PressStyle::Nest, new CutQuestion(2), Chain::RowByRow);
        yield from self::named('rows-without-squaring-up', $with($wide + Blocks::file('pA gABB', 'gABC180 pB'), $grid('pA pB pC'), ['unit' => 'flying-geese', 'fabrics' => ['A', 'B', 'B']]), $rows, PressStyle::Dark, new CutQuestion(2), Chain::RowByRow);
        yield from self::named('one-square', Blocks::file('pA'), $rows, PressStyle::Nest, new CutQuestion(), Chain::RowByRow);
        yield from self::named('tips-of-triangles-in-squares', Blocks::file('tABC tABC90', 'tABC270 tABC180'), $rows, PressStyle::Nest, new CutQuestion(), Chain::RowByRow);
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('works')]
    public function test_it_is_told_from_cloth_to_block(string $name, array $file, Order|OwnOrder $order, PressStyle $style, CutQuestion $question, Chain $chain): void
    {
        $plan = (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), $order)))->best(new PressQuestion($style));
        $told = self::told($plan, $question, $chain);
        if (getenv('READ_ALOUD') === 'write') {
            file_put_contents(__DIR__."/told/$name.txt", $told);
        }

        self::assertStringEqualsFile(__DIR__."/told/$name.txt", $told);
    }

    /** The work step by step; then what each seam is called and each row is said to be, and the plan in short. */
    private static function told(PressingPlan $plan, CutQuestion $question, Chain $chain): string
    {
        $seams = array_map(static fn (SeamName $name, int $id): string => sprintf('%d: %s makes %s of %s and %s; with %s', $id, $name->title, $name->made, $name->left, $name->right, self::ranges($name->pressedToo)), SeamName::all($plan->construction), array_keys($plan->construction->joins));
        $rows = array_map(static fn (RowWords $row): string => sprintf('%s: %s%s (joins %s; %s)', $row->title, $row->way, $row->why === null ? '' : ', '.$row->why, self::ranges($row->joins), $row->say), RowWords::of($plan, new Rules($plan->construction)));
        $short = array_map(static fn (Step $step): string => sprintf('%s, %s: %s', $step->title, $step->do->value, $step->text), PlanSteps::of($plan));

        return implode("\n", [...array_map(self::step(...), WorkSteps::of($plan, $question, $chain)), '', 'Seams', ...$seams, '', 'Rows', ...$rows, '', 'In short', ...$short])."\n";
    }

    private static function step(Step $step): string
    {
        $ids = static fn (array $ids): string => self::ranges($ids);

        return implode("\n", array_filter([
            sprintf('%s, %s%s: %s', $step->title, $step->do->value, $step->times === 1 ? '' : " $step->times times", $step->text),
            '    '.implode('; ', array_filter([
                $step->unitClass === null ? '' : "units $step->unitClass",
                $step->first === null ? '' : "$step->first first",
                $step->joins === [] ? '' : 'joins '.$ids($step->joins),
                $step->made === [] ? '' : 'shows '.$ids($step->made),
                $step->patchIds === [] ? '' : 'patches '.$ids($step->patchIds),
                $step->sets === [] ? '' : implode(' | ', array_map($ids, $step->sets)),
                $step->size === null ? '' : implode(' x ', $step->size),
                $step->way === null ? '' : "way $step->way",
                $step->stage === null ? '' : 'stage '.$step->stage->value.' of '.count($step->stages),
            ])),
        ], static fn (string $line): bool => trim($line) !== ''));
    }

    /** @param list<int> $ids */
    private static function ranges(array $ids): string
    {
        $ranges = [];
        foreach ($ids as $id) {
            $last = count($ranges) - 1;
            if ($last >= 0 && $ranges[$last][1] === $id - 1) {
                $ranges[$last][1] = $id;
            } else {
                $ranges[] = [$id, $id];
            }
        }

        return implode(',', array_map(static fn (array $range): string => $range[0] === $range[1] ? (string) $range[0] : "$range[0]-$range[1]", $ranges));
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return iterable<string, array{string, array<string, mixed>, Order|OwnOrder, PressStyle, CutQuestion, Chain}>
     */
    private static function named(string $name, array $file, Order|OwnOrder $order, PressStyle $style, CutQuestion $question, Chain $chain): iterable
    {
        yield $name => [$name, $file, $order, $style, $question, $chain];
    }
}
