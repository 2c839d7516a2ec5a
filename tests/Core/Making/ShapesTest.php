<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\PolygonShape;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Margins;
use KeenSeam\Core\Making\Then;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;
use Tests\Support\Fit;

/** Every piece is cut by its own shape, wherever its patch lies. */
final class ShapesTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, Order}> */
    public static function blocks(): iterable
    {
        for ($seed = 0; $seed < 30; ++$seed) {
            yield "slanted patches, seed $seed" => [Blocks::slantedPatches($seed, 3 + $seed % 8), Order::Rows];
        }
        for ($seed = 20; $seed < 26; ++$seed) {
            yield "units, seed $seed" => [Blocks::generated($seed, 3, 3), [Order::Rows, Order::Columns, Order::Quarters][$seed % 3]];
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_every_patch_that_is_cut_to_its_shape_fits_on_its_piece_right_side_up_and_in_its_hand(array $file, Order $order): void
    {
        $sewn = Construction::of(Face::of(BlockFile::read($file)), $order);
        $steps = $sewn->face->lattice->steps;
        foreach (Margin::cases() as $margin) {
            foreach (CuttingPlan::of($sewn, new CutQuestion(margins: new Margins($margin)))->cuts as $cut) {
                $needed = array_map(static fn (int $id): array => Fit::needed(array_map(static fn (Point $point): array => [$point->x / $steps, $point->y / $steps], $sewn->face->patches[$id]->outline->points), 0.25), $cut->patches);
                $right = count(array_filter($needed, static fn (array $one): bool => Fit::fits($one, $cut->outline(), 1e-5)));
                $turned = count(array_filter($needed, static fn (array $one): bool => ! Fit::fits($one, $cut->outline(), 1e-5) && Fit::fits($one, Fit::mirrored($cut->outline()), 1e-5)));
                self::assertSame(count($cut->patches), $right + $turned, 'every patch has its cloth');
                self::assertLessThanOrEqual($cut->pieces(), count($cut->patches));
                self::assertLessThanOrEqual($cut->mirrored, $turned);
                self::assertLessThanOrEqual($cut->pieces() - $cut->mirrored, $right - ($cut->mirrored - $turned));
                foreach ($cut->patches as $id) {
                    self::assertSame($cut->fabric, $sewn->face->patches[$id]->fabric->key);
                }
            }
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_margins_change_sizes_and_neither_letters_nor_counts(array $file, Order $order): void
    {
        $sewn = Construction::of(Face::of(BlockFile::read($file)), $order);
        [$exact, $larger] = array_map(static fn (Margin $margin): array => CuttingPlan::of($sewn, new CutQuestion(margins: new Margins($margin)))->cuts, Margin::cases());
        self::assertSame(self::told($exact), self::told($larger));
        foreach ($exact as $i => $cut) {
            self::assertGreaterThan($cut->width->toFloat(), $larger[$i]->width->toFloat());
            self::assertGreaterThan($cut->height->toFloat(), $larger[$i]->height->toFloat());
        }
        $one = CuttingPlan::of($sewn, new CutQuestion(margins: new Margins(stacks: ['a' => Margin::Larger])))->cuts;
        self::assertSame(array_map(static fn (Cut $cut): string => $cut->letter === 'a' ? 'larger' : 'exact', $one), array_map(static fn (Cut $cut): string => $cut->margin->value, $one));
    }

    /**
     * Worked by hand, allowance 1/4 in. Each is one patch of a unit of 4 in.
     *
     * @return array<string, array{string, CutShape, Then, string}>
     */
    public static function shapes(): array
    {
        return [
            'a square on its point: 4/√2 + 1/2' => ['1/2,0 1,1/2 1/2,1 0,1/2', CutShape::Square, Then::None, '3 3/8'],
            'a slanted rectangle: √2/2 · 4 by √2/4 · 4, each and 1/2' => ['1/2,0 1,1/2 3/4,3/4 1/4,1/4', CutShape::Rectangle, Then::None, '3 3/8 x 2'],
            'legs outside: half of a square, 2 + 7/8' => ['0,0 1/2,0 0,1/2', CutShape::Square, Then::Once, '2 7/8'],
            'long side outside: a quarter of a square, 4 + 1 1/4' => ['0,0 1,0 1/2,1/2', CutShape::Square, Then::Twice, '5 1/4'],
            'nothing outside: the legs lie on the grain, 2 + 7/8' => ['1/4,1/4 3/4,1/4 1/4,3/4', CutShape::Square, Then::Once, '2 7/8'],
            'a triangle with two equal sides in a square is no half square' => ['0,1 1/2,0 1,1', CutShape::Template, Then::None, '4 1/2'],
        ];
    }

    #[DataProvider('shapes')]
    public function test_shapes_worked_by_hand(string $points, CutShape $shape, Then $then, string $size): void
    {
        $file = self::withPatch($points);
        $cuts = array_values(array_filter(CuttingPlan::of(Construction::of(Face::of(BlockFile::read($file)), Order::Rows), new CutQuestion())->cuts, static fn (Cut $cut): bool => $cut->fabric === 'B'));

        self::assertSame([$shape, $then, $size], [$cuts[0]->shape, $cuts[0]->then, $cuts[0]->width->equals($cuts[0]->height) ? $cuts[0]->width->toText() : $cuts[0]->width->toText().' x '.$cuts[0]->height->toText()]);
    }

    public function test_what_differs_by_a_turn_is_one_stack_and_left_and_right_are_counted_apart(): void
    {
        $plan = CuttingPlan::of(Blocks::construction(['finished' => ['width' => '8', 'height' => '8']] + Blocks::file('tABB tABB90', 'tABB180 tABB270')), new CutQuestion(blocks: 2));
        self::assertSame([['A', 8, 0, 4], ['B', 16, 8, 8]], array_map(static fn (Cut $cut): array => [$cut->fabric, $cut->count, $cut->mirrored, count($cut->patches)], $plan->cuts));
        self::assertSame('Cut them head to tail along a strip 4 1/2 high.', $plan->cuts[0]->cuttingWords());
        self::assertSame('Cut 8 pairs from cloth folded right sides together: one of each hand.', $plan->cuts[1]->cuttingWords());
        // Right side up, as it lies on the face: its straight grain is level, and it has a square corner.
        self::assertNotNull($plan->cuts[1]->template);
        self::assertCount(4, $plan->cuts[1]->template->corners, 'one tip is blunted');
        self::assertCount(4, $plan->cuts[1]->template->sides(Margin::Exact));
    }

    public function test_a_shape_is_known_at_any_angle(): void
    {
        $shape = static fn (array $points): PolygonShape => PolygonShape::of(ConvexPolygon::of(array_map(static fn (array $point): Point => new Point(...$point), $points)));
        self::assertSame(
            [PolygonShape::Square, PolygonShape::Rectangle, PolygonShape::RightIsosceles, PolygonShape::Other, PolygonShape::Other, PolygonShape::Other],
            [$shape([[0, 0], [4, 3], [1, 7], [-3, 4]]), $shape([[0, 0], [8, 6], [5, 10], [-3, 4]]), $shape([[0, 0], [4, 3], [1, 7]]), $shape([[0, 0], [4, 3], [0, 5]]), $shape([[0, 0], [4, 0], [6, 3], [2, 3]]), $shape([[0, 0], [4, 0], [5, 2], [4, 4], [0, 4]])],
        );
        self::assertFalse(PolygonShape::Other->isPlain());
    }

    public function test_known_units_in_a_drawn_one_are_named_and_made_in_their_own_ways(): void
    {
        $plan = CuttingPlan::of(Blocks::construction(Blocks::knownUnitsInADrawnOne()), new CutQuestion());
        $told = array_map(static fn ($made): string => sprintf('%s %d %s, %s', $made->unit->label, $made->unit->need, $made->unit->need === 1 ? $made->unit->name : $made->unit->plural, $made->way->key), $plan->units);

        self::assertSame('U1 1 pieced unit, cut', $told[0]);
        $parts = array_map(static fn (string $one): string => substr($one, 5), array_slice($told, 1));
        self::assertEqualsCanonicalizing(['1 flying goose, flipped', '2 half-square triangles, two-at-a-time', '1 four-patch, cut'], $parts);
        // What is left is one plain square of C; everything else is cut for the units within.
        self::assertSame(['C'], array_values(array_unique(array_map(static fn (Cut $cut): string => $cut->fabric, array_filter($plan->cuts, static fn (Cut $cut): bool => $cut->for === ['U1'])))));
    }

    public function test_a_cell_that_was_drawn_as_a_goose_is_a_goose(): void
    {
        $file = Blocks::file('pA');
        $file['finished'] = ['width' => '2', 'height' => '4'];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => self::patches([['A', '0,0 1,1/2 0,1'], ['B', '0,0 1,0 1,1/2'], ['C', '1,1/2 1,1 0,1']])]];
        $plan = CuttingPlan::of(Construction::of(Face::of(BlockFile::read($file)), Order::Rows), new CutQuestion());

        self::assertSame(['flying-geese', 'flying goose', ['4', '2']], [$plan->units[0]->unit->unit->kind(), $plan->units[0]->unit->name, [$plan->units[0]->unit->width->toText(), $plan->units[0]->unit->height->toText()]]);
        self::assertContains('four-at-once', array_map(static fn ($way): string => $way->key, $plan->units[0]->ways));
    }

    public function test_any_number_of_strips_across_the_width(): void
    {
        $nine = ['columns' => ['1', '1', '1'], 'rows' => ['1', '1', '1'], 'cells' => []];
        foreach ([1, 2, 3] as $row) {
            foreach ([1, 2, 3] as $column) {
                $nine['cells'][] = ['row' => $row, 'column' => $column, 'unit' => 'plain', 'fabrics' => [($row + $column) % 2 === 0 ? 'A' : 'B']];
            }
        }
        $file = ['finished' => ['width' => '6', 'height' => '6']] + Blocks::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'grid'] + $nine];
        $plan = CuttingPlan::of(Construction::of(Face::of(BlockFile::read($file)), Order::Rows), new CutQuestion(blocks: 20, ways: ['U1' => 'strip-sets']));
        // Two kinds of row: A B A twice in a block, B A B once. Pieces of 2 1/2 in: sixteen from 42 in.
        $told = array_map(static fn (array $one): array => [$one['set']->fabrics, $one['set']->sets(), $one['set']->length()->toText(), $one['set']->cuts[0]['count'], $one['set']->cuts[0]['width']->toText()], $plan->strips);
        self::assertEqualsCanonicalizing([[['A', 'B', 'A'], 3, '35', 40, '2 1/2'], [['B', 'A', 'B'], 2, '25', 20, '2 1/2']], $told);
        self::assertSame('nine-patches', $plan->units[0]->unit->plural);
        self::assertSame([['A', 8], ['B', 7]], self::stripsByFabric($plan));
        foreach ($plan->strips as $one) {
            self::assertGreaterThanOrEqual($one['set']->cuts[0]['count'], $one['set']->sets() * intdiv((int) ($one['set']->length()->toFloat() * 2), 5), 'every set has room for its pieces');
        }
    }

    public function test_one_stack_has_one_size_the_largest_that_any_of_its_units_asks_for(): void
    {
        // Half squares of 2 in ask for 3 in, skies of geese of the same exact size for 3 1/4 in.
        $file = ['columns' => ['1', '2'], 'finished' => ['width' => '6', 'height' => '4']] + Blocks::file('hAB gAAA', 'hAB gAAA');
        $cuts = static fn (Margins $margins): array => array_values(array_map(static fn (Cut $cut): string => "{$cut->letter} {$cut->width->toText()} ".implode(' ', $cut->for), array_filter(CuttingPlan::of(Blocks::construction($file), new CutQuestion(ways: ['U2' => 'four-at-once'], margins: $margins))->cuts, static fn (Cut $cut): bool => $cut->fabric === 'A' && $cut->width->toFloat() < 4)));
        self::assertSame(['b 2 7/8 U1 U2'], $cuts(new Margins()));
        self::assertSame(['b 3 1/4 U1 U2'], $cuts(new Margins(Margin::Larger, true)));
        // Margins of a unit leave the other one alone; the letter stays.
        self::assertSame(['b 2 7/8 U1', 'b 3 1/4 U2'], $cuts(new Margins(units: ['U2' => Margin::Larger])));
        self::assertSame(['b 2 7/8 U1 U2'], $cuts(new Margins(Margin::Larger, true, [], ['b' => Margin::Exact])));
    }

    public function test_choices_for_what_is_not_there_are_refused(): void
    {
        foreach ([[new CutQuestion(ways: ['U7' => 'flipped']), 'This block has no unit "U7".'], [new CutQuestion(margins: new Margins(units: ['U7' => Margin::Larger])), 'Choose one of these: U1.'], [new CutQuestion(margins: new Margins(stacks: ['zz' => Margin::Larger])), 'This block has no stack "zz".']] as [$question, $words]) {
            try {
                CuttingPlan::of(Blocks::construction(Blocks::file('hAB')), $question);
                self::fail($words);
            } catch (CutNotPossible $problem) {
                self::assertStringContainsString($words, $problem->getMessage());
            }
        }
    }

    /** @return list<array{string, int}> how many strips of each fabric are cut */
    private static function stripsByFabric(CuttingPlan $plan): array
    {
        $counts = [];
        foreach ($plan->cuts as $cut) {
            $counts[$cut->fabric] = ($counts[$cut->fabric] ?? 0) + ($cut->shape === CutShape::Strip ? $cut->count : 0);
        }

        return array_map(static fn (string $fabric, int $count): array => [$fabric, $count], array_keys($counts), $counts);
    }

    /**
     * @param list<Cut> $cuts
     *
     * @return list<string>
     */
    private static function told(array $cuts): array
    {
        return array_map(static fn (Cut $cut): string => "{$cut->letter} {$cut->fabric} {$cut->count} {$cut->then->value}", $cuts);
    }

    /**
     * A unit of 4 in with that patch in B, and the rest of the square cut from A along the lines of its sides.
     *
     * @return array<string, mixed>
     */
    private static function withPatch(string $points): array
    {
        $rest = [
            '1/2,0 1,1/2 1/2,1 0,1/2' => ['0,0 1/2,0 0,1/2', '1/2,0 1,0 1,1/2', '1,1/2 1,1 1/2,1', '0,1/2 1/2,1 0,1'],
            '1/2,0 1,1/2 3/4,3/4 1/4,1/4' => ['1/2,0 1,0 1,1/2', '0,0 1/2,0 0,1/2', '1/4,1/4 3/4,3/4 1/2,1 0,1/2', '1,1/2 1,1 1/2,1', '0,1/2 1/2,1 0,1'],
            '0,0 1/2,0 0,1/2' => ['1/2,0 1,0 1,1 1/2,1', '1/2,0 1/2,1 0,1 0,1/2'],
            '0,0 1,0 1/2,1/2' => ['1,0 1,1 1/2,1/2', '1,1 0,1 1/2,1/2', '0,1 0,0 1/2,1/2'],
            '1/4,1/4 3/4,1/4 1/4,3/4' => ['3/4,1/4 3/4,3/4 5/8,3/8', '5/8,3/8 3/4,3/4 1/4,3/4', '0,0 1,0 1,1/4 0,1/4', '0,3/4 1,3/4 1,1 0,1', '0,1/4 1/4,1/4 1/4,3/4 0,3/4', '3/4,1/4 1,1/4 1,3/4 3/4,3/4'],
            '0,1 1/2,0 1,1' => ['0,0 1/2,0 0,1', '1/2,0 1,0 1,1'],
        ][$points];
        $file = Blocks::file('pA');
        $file['finished'] = ['width' => '4', 'height' => '4'];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => self::patches([['B', $points], ...array_map(static fn (string $one): array => ['A', $one], $rest)])]];

        return $file;
    }

    /**
     * @param list<array{string, string}> $patches
     *
     * @return list<array<string, mixed>>
     */
    private static function patches(array $patches): array
    {
        return array_map(static fn (array $patch): array => ['fabric' => $patch[0], 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', $patch[1]))], $patches);
    }
}
