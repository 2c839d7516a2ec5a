<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Matching\SeamsAcross;
use KeenSeam\Core\Matching\SeamTest;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** A part comes out as it does wherever it lies in the block, and what was measured counts for what was worked out. */
final class PlacedElsewhereTest extends TestCase
{
    /** The same three by two units, alone, and again to the right of and below plain cloth: all of their own joins are alike. */
    public function test_what_is_sewn_elsewhere_in_the_block_comes_out_alike(): void
    {
        for ($seed = 0; $seed < 12; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $alone = $seed % 3 === 2 ? Blocks::slantedPatches($seed, 6) : Blocks::generated($seed, 3, 2);
            $size = $alone['finished'];
            $inside = $seed % 3 === 2 ? $alone['cells'][0] : ['unit' => 'grid'] + array_intersect_key($alone, ['columns' => 1, 'rows' => 1, 'cells' => 1]);
            $around = [
                'finished' => ['width' => (string) (2 * (int) $size['width']), 'height' => (string) (2 * (int) $size['height'])],
                'columns' => ['1', '1'], 'rows' => ['1', '1'],
                'cells' => [...array_map(static fn (int $i): array => ['row' => intdiv($i, 2) + 1, 'column' => $i % 2 + 1, 'unit' => 'plain', 'fabrics' => ['A']], [0, 1, 2]), ['row' => 2, 'column' => 2] + $inside],
            ] + $alone;
            [$one, $other] = [self::plan($alone), self::plan($around)];
            $matching = [];
            foreach ($other->construction->joins as $join) {
                $matching[self::key($join->patchIds())] = $join;
            }
            $errors = [[], []];
            $measured = [[], []];
            foreach ($one->construction->joins as $join) {
                $again = $matching[self::key(array_map(static fn (int $id): int => $id + 3, $join->patchIds()))] ?? null;
                self::assertNotNull($again, "seed $seed");
                $errors[0][$join->id] = $errors[1][$again->id] = $random->getInt(-3, 3) / 64;
                if ($random->getInt(0, 2) === 0) {
                    $box = self::box($join, $one);
                    $measured[0][$join->id] = $measured[1][$again->id] = [$box[0] + $random->getInt(-4, 4) / 32, $box[1] + $random->getInt(-4, 4) / 32];
                }
            }
            $sheets = [];
            foreach ([[$one, 0], [$other, 1]] as [$plan, $which]) {
                foreach ((new Drift($plan, Fraction::of(17, 32), SquareUp::None, $errors[$which], $measured[$which]))->sheets as $sheet) {
                    $sheets[$which][self::key(array_map(static fn (int $id): int => $which === 0 ? $id + 3 : $id, $sheet->join->patchIds()))] = self::figures($sheet);
                }
            }
            foreach ($sheets[0] as $key => $figures) {
                self::assertEqualsWithDelta($figures, $sheets[1][$key], 1e-9, "seed $seed");
            }
        }
    }

    /** Measured last, the block is as large as it was measured, whatever its seams took. */
    public function test_a_part_is_as_large_as_it_was_measured(): void
    {
        for ($seed = 0; $seed < 10; ++$seed) {
            $plan = self::plan($seed % 2 === 0 ? Blocks::generated($seed, 3, 2) : Blocks::slantedPatches($seed, 7));
            $random = new Randomizer(new Mt19937($seed));
            $errors = array_map(static fn (): float => $random->getInt(-3, 3) / 64, $plan->construction->joins);
            $size = array_map(static fn (float $side): float => $side + $random->getInt(-6, 6) / 32, self::box($plan->construction->root instanceof Join ? $plan->construction->root : throw new \LogicException('Something is sewn.'), $plan));
            $drift = new Drift($plan, Fraction::of(1, 2), SquareUp::None, $errors, [count($plan->construction->joins) - 1 => [$size[0], $size[1]]]);
            self::assertEqualsWithDelta($size, $drift->expected, 1e-9, "seed $seed");
        }
    }

    public function test_the_part_with_more_seams_is_sewn_on_top(): void
    {
        $long = static fn (int $row): array => ['row' => $row, 'column' => 1, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['C']];
        $short = static fn (int $row): array => array_map(static fn (int $column): array => ['row' => $row, 'column' => $column, 'unit' => 'plain', 'fabrics' => [['A', 'B'][$column - 1]]], [1, 2]);
        foreach ([[...$short(1), $long(2)], [$long(1), ...$short(2)]] as $cells) {
            $sheets = (new Drift(self::plan(['cells' => $cells] + Blocks::file('pA pB', 'pB pA')), Fraction::of(1, 2), SquareUp::Units))->sheets;
            $last = $sheets[1];
            $left = count($last->join->left->patchIds()) > 1;
            self::assertSame($left ? 'left' : 'right', $last->up);
            self::assertSame('either', $sheets[0]->up);
        }
    }

    /** Every patch of a part lies between its own seams and the raw edge of the part. */
    public function test_each_patch_of_a_part_keeps_its_seams_and_reaches_to_the_raw_edge(): void
    {
        $sewn = Blocks::construction(['finished' => ['width' => '6', 'height' => '4']] + Blocks::file('pA pB pA', 'pB pA pB'));
        $row = array_values(array_filter($sewn->joins, static fn (Join $join): bool => count($join->patchIds()) === 3))[1];
        $shown = (new RawEdges($sewn))->patches($row);
        $boxes = array_map(static fn (array $corners): array => [min(array_column($corners, 0)), max(array_column($corners, 0)), min(array_column($corners, 1)), max(array_column($corners, 1))], $shown);
        ksort($boxes);

        // The second row: from two to four inches down, with a quarter inch of allowance above and below.
        self::assertEqualsWithDelta([[-0.25, 2.0, 1.75, 4.25], [2.0, 4.0, 1.75, 4.25], [4.0, 6.25, 1.75, 4.25]], array_values($boxes), 1e-9);
    }

    public function test_seams_are_counted_across_the_part_with_the_most_of_them(): void
    {
        // Left: three small squares in a row over one long one; right: a long upright one beside two over each other.
        $patches = ['A 0,0 1/6,0 1/6,1/2 0,1/2', 'B 1/6,0 1/3,0 1/3,1/2 1/6,1/2', 'A 1/3,0 1/2,0 1/2,1/2 1/3,1/2', 'B 0,1/2 1/2,1/2 1/2,1 0,1', 'C 1/2,0 3/4,0 3/4,1 1/2,1', 'A 3/4,0 1,0 1,1/3 3/4,1/3', 'B 3/4,1/3 1,1/3 1,2/3 3/4,2/3', 'C 3/4,2/3 1,2/3 1,1 3/4,1'];
        $file = Blocks::file('pA');
        $file['finished'] = ['width' => '12', 'height' => '12'];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (string $patch): array => ['fabric' => $patch[0], 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', substr($patch, 2)))], $patches)]];
        $plan = self::plan($file);
        $counted = [];
        foreach ($plan->construction->joins as $join) {
            $counted[self::key($join->patchIds())] = SeamsAcross::of($plan, $join, SquareUp::None);
        }

        self::assertSame([2.0, 0.0], $counted['0,1,2']);
        self::assertSame([2.0, 1.0], $counted['0,1,2,3']);
        self::assertSame([0.0, 2.0], $counted['5,6,7']);
        self::assertSame([4.0, 2.0], $counted['0,1,2,3,4,5,6,7']);
        $turned = self::plan(['cells' => [['turn' => 90] + $file['cells'][0]]] + $file);
        foreach ($turned->construction->joins as $join) {
            $again = SeamsAcross::of($turned, $join, SquareUp::None);
            self::assertSame($counted[self::key($join->patchIds())] ?? [], [$again[1], $again[0]], 'turned by a quarter, across is down');
        }
    }

    public function test_a_seam_test_is_believed_up_to_its_limits(): void
    {
        $of = static function (int $strips, Fraction $measured): string {
            try {
                return SeamTest::of($strips, Fraction::of(2), $measured, Fraction::of(1, 2), LengthUnit::Inch)->takeUp->toText();
            } catch (KeenSeamProblem $problem) {
                return $problem->where();
            }
        };
        // So many strips of two inches less their seams of half an inch.
        self::assertSame(['1/2', '1/2', '/strips', '/strips'], [$of(2, Fraction::of(7, 2)), $of(20, Fraction::of(61, 2)), $of(1, Fraction::of(2)), $of(21, Fraction::of(32))]);
        // A seam takes from a quarter inch to three quarters, and no hair more or less.
        self::assertSame(['1/4', '3/4', '/measured', '/measured'], [$of(2, Fraction::of(15, 4)), $of(2, Fraction::of(13, 4)), $of(2, Fraction::of(481, 128)), $of(2, Fraction::of(415, 128))]);
    }

    /** @return array{float, float} raw, as it is meant */
    private static function box(Join $join, PressingPlan $plan): array
    {
        $points = $join->outline()->points;
        $side = static fn (string $axis): float => (max(array_column($points, $axis)) - min(array_column($points, $axis))) / $plan->construction->face->lattice->steps + 0.5;

        return [$side('x'), $side('y')];
    }

    /** @return list<float> */
    private static function figures(JoinSheet $sheet): array
    {
        return [...$sheet->real, ...$sheet->raw, $sheet->endsDiffer(), ...array_merge(...array_map(static fn (Mark $mark): array => [...$mark->fromEdge, $mark->miss ?? 0.0], $sheet->marks)), ...array_merge(...array_map(static fn (array $edge): array => array_merge(...array_map(static fn (array $stretch): array => [$stretch[1] - $stretch[0]], $edge)), $sheet->edges))];
    }

    /** @param list<int> $patches */
    private static function key(array $patches): string
    {
        sort($patches);

        return implode(',', $patches);
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file): PressingPlan
    {
        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion(PressStyle::Open));
    }
}
