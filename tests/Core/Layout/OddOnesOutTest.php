<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Layout\OddCell;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Symmetry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

final class OddOnesOutTest extends TestCase
{
    public function test_a_regular_layout_has_no_odd_cells(): void
    {
        self::assertSame([Symmetry::QuarterTurn, []], self::look('gABC gABC90', 'gABC270 gABC180'));
        self::assertSame([Symmetry::Full, []], self::look('hAB hAB90', 'hAB270 hAB180'));
        self::assertSame([Symmetry::Full, []], self::look('pA pA pA', 'pA pB pA', 'pA pA pA'));
        self::assertSame([Symmetry::Repeat, []], self::look('hAB hAB hAB', 'hAB hAB hAB'));
        self::assertSame([Symmetry::Repeat, []], self::look('gABC sABC hAC gABC sABC hAC'));
        self::assertSame([Symmetry::Repeat, []], self::look('gABC', 'sABC', 'hAC', 'gABC', 'sABC', 'hAC'));
        self::assertTrue(OddOnesOut::of(Face::of(Blocks::of('gABC pA gABCm')))->isBorneOut, 'two that agree bear it out');
        self::assertSame([Symmetry::None, []], self::look('hAB qABCA sABC90', 'dABCAB pC hCB90'));
        self::assertFalse(OddOnesOut::of(Face::of(Blocks::of('hAB qABCA sABC90', 'dABCAB pC hCB90')))->isBorneOut);
    }

    public function test_one_unit_alone_is_no_odd_one_out(): void
    {
        foreach (['hAB', 'gABC', 'pA', 'qABCA'] as $unit) {
            self::assertSame([], self::look($unit)[1], $unit);
        }
    }

    public function test_a_turned_unit_is_told_with_the_turn_that_mends_it(): void
    {
        self::assertSame(
            [Symmetry::Full, ['row 1 column 2: 180']],
            self::look('pA gABB pA', 'gABB90 pB gABB270', 'pA gABB pA'),
        );
    }

    public function test_one_of_a_repeat_that_is_turned_is_odd_but_another_patch_among_them_is_the_design(): void
    {
        self::assertSame([Symmetry::Repeat, ['row 2 column 2: 0']], self::look('gABB gABB gABB', 'gABB gABB180 gABB', 'gABB gABB gABB'));
        self::assertSame([Symmetry::Full, []], self::look('pA pA pA', 'pA pB pA', 'pA pA pA'));
    }

    /** Four corners that agree in nothing: none of them can be called the odd one, however regular the rest is. */
    public function test_where_no_two_agree_none_is_odd(): void
    {
        $layout = self::symmetric(Symmetry::QuarterTurn, 6, new Randomizer(new Mt19937(1)));
        self::assertSame(['quarter-turn', []], self::told($layout));
        foreach ([[0, 0], [0, 5], [5, 5], [5, 0]] as [$row, $column]) {
            $layout[$row][$column] = ['unit' => 'half-square-triangle', 'turn' => 0, 'mirrored' => false, 'fabrics' => ['A', 'B']];
        }
        // Of two that stand opposite each other it cannot be told which is wrong, but that they differ.
        self::assertSame(['half-turn', ['0 0', '0 5', '5 0', '5 5']], self::told($layout));
    }

    public function test_two_that_disagree_are_both_told_and_count_once(): void
    {
        [$symmetry, $odd] = self::look('hAB hAC pA', 'hBC90 pB hBC270', 'pA hAC180 hAB');

        self::assertSame(Symmetry::HalfTurn, $symmetry);
        self::assertSame(['row 1 column 1: 180', 'row 3 column 3: 180'], $odd);
    }

    public function test_what_no_turn_of_its_unit_mends_is_not_odd(): void
    {
        // Other fabrics, another kind, a turning centre in an even star, the first unit on an empty wall.
        self::assertSame([Symmetry::None, []], self::look('gCAB gABC90', 'gABC270 gABC180'));
        self::assertSame([Symmetry::None, []], self::look('hAB hAB90', 'hAB270 qABBB'));
        $star = static fn (string $centre): array => self::look('hAB gABB hAB90', "gABB270 $centre gABB90", 'hAB270 gABB180 hAB180');
        self::assertSame([[Symmetry::Full, []], [Symmetry::None, []]], [$star('pB'), $star('sABC')]);
        self::assertSame([], self::look('hAB pA pA', 'pA pA pA', 'pA pA pA')[1]);
    }

    public function test_the_first_two_on_an_empty_wall_only_differ(): void
    {
        $two = OddOnesOut::of(Face::of(Blocks::of('hAB pA hAB', 'pA pA pA', 'pA pA pA')));
        self::assertSame([false, 2], [$two->isBorneOut, count($two->odd)]);
        $more = OddOnesOut::of(Face::of(Blocks::of('hAB gABB hAB', 'pA pB pA', 'hAB270 gABB180 hAB180')));
        self::assertSame([true, Symmetry::MirrorBoth, 1], [$more->isBorneOut, $more->symmetry, count($more->odd)]);
    }

    public function test_what_a_smaller_symmetry_has_as_a_whole_is_the_design(): void
    {
        // The four corners break the mirrors together, as quarter turns have them: nothing is odd here.
        self::assertSame(
            [Symmetry::QuarterTurn, []],
            self::look('hAB90 pA pA hAB180', 'pA dABBBB dABBBB pA', 'pA dABBBB dABBBB pA', 'hAB pA pA hAB270'),
        );
    }

    /** @return array<string, array{Symmetry, int}> */
    public static function planted(): array
    {
        $cases = [];
        foreach ([Symmetry::QuarterTurn, Symmetry::HalfTurn, Symmetry::MirrorVertical, Symmetry::MirrorHorizontal, Symmetry::MirrorBoth, Symmetry::MirrorDiagonals, Symmetry::Full] as $symmetry) {
            for ($seed = 1; $seed <= 6; ++$seed) {
                $cases["$symmetry->value, seed $seed"] = [$symmetry, $seed];
            }
        }

        return $cases;
    }

    #[DataProvider('planted')]
    public function test_exactly_the_planted_errors_are_found(Symmetry $symmetry, int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $layout = self::symmetric($symmetry, 6, $random);
        self::assertSame([$symmetry->value, []], self::told($layout), 'before');

        $errors = 1 + $seed % 3;
        $planted = [];
        while (count($planted) < $errors) {
            [$row, $column] = [$random->getInt(0, 5), $random->getInt(0, 5)];
            $isPair = count($symmetry->moves()) === 2; // then nothing tells which of the two is wrong
            $orbit = self::orbit($symmetry, $row, $column, 6);
            if (count($orbit) < 2 || count($orbit) === 2 && ! $isPair || $layout[$row][$column]['unit'] === 'plain' || array_intersect($orbit, $planted) !== []) {
                continue;
            }
            $turned = ['turn' => ($layout[$row][$column]['turn'] + 90) % 360] + $layout[$row][$column];
            if (self::picture($turned) === self::picture($layout[$row][$column])) {
                continue;
            }
            $layout[$row][$column] = $turned;
            $planted = [...$planted, ...($isPair ? $orbit : ["$row $column"])];
        }
        sort($planted);

        self::assertSame([$symmetry->value, $planted], self::told($layout));
    }

    /** @return array{Symmetry, list<string>} */
    private static function look(string ...$rows): array
    {
        $found = OddOnesOut::of(Face::of(Blocks::of(...$rows)));

        return [$found->symmetry, array_map(static fn (OddCell $odd): string => sprintf(
            'row %d column %d: %s',
            $odd->cell->row,
            $odd->cell->column,
            $odd->mend->turn->value.($odd->mend->mirrored ? ' mirrored' : ''),
        ), $found->odd)];
    }

    /**
     * @param list<list<array<string, mixed>>> $layout
     *
     * @return array{string, list<string>} symmetry and odd cells, counted from 0
     */
    private static function told(array $layout): array
    {
        $found = OddOnesOut::of(self::face($layout));
        $odd = array_map(static fn (OddCell $odd): string => ($odd->cell->row - 1).' '.($odd->cell->column - 1), $found->odd);
        sort($odd);

        return [$found->symmetry->value, $odd];
    }

    /** @param list<list<array<string, mixed>>> $layout */
    private static function face(array $layout): Face
    {
        $file = Blocks::file(...array_map(static fn (array $row): string => implode(' ', array_fill(0, count($row), 'pA')), $layout));
        $file['cells'] = [];
        foreach ($layout as $r => $row) {
            foreach ($row as $c => $cell) {
                $file['cells'][] = ['row' => $r + 1, 'column' => $c + 1] + $cell;
            }
        }

        return Face::of(BlockFile::read($file));
    }

    /**
     * A square layout whose cells are copies of one another under the moves; where a cell stays, it holds a plain patch.
     *
     * @return list<list<array<string, mixed>>>
     */
    private static function symmetric(Symmetry $symmetry, int $size, Randomizer $random): array
    {
        $layout = [];
        for ($row = 0; $row < $size; ++$row) {
            for ($column = 0; $column < $size; ++$column) {
                if (isset($layout[$row][$column])) {
                    continue;
                }
                $orbit = self::orbit($symmetry, $row, $column, $size);
                $isHeld = count($orbit) < count($symmetry->moves());
                $kind = ['half-square-triangle' => 2, 'flying-geese' => 3, 'split-quarter-square-triangle' => 3];
                $unit = array_keys($kind)[$random->getInt(0, 2)];
                $fabrics = $random->shuffleArray(['A', 'B', 'C']);
                $placement = new Placement(Turn::ofQuarters($random->getInt(0, 3)), $random->getInt(0, 1) === 1);
                foreach ($symmetry->moves() as $move) {
                    [$r, $c] = self::moved($move, $row, $column, $size);
                    $lies = $move->around($placement);
                    $layout[$r][$c] = $isHeld
                        ? ['unit' => 'plain', 'turn' => 0, 'fabrics' => [$fabrics[0]]]
                        : ['unit' => $unit, 'turn' => $lies->turn->value, 'mirrored' => $lies->mirrored, 'fabrics' => array_slice($fabrics, 0, $kind[$unit])];
                }
            }
        }
        ksort($layout);

        return array_values(array_map(static function (array $row): array {
            ksort($row);

            return array_values($row);
        }, $layout));
    }

    /** @return list<string> */
    private static function orbit(Symmetry $symmetry, int $row, int $column, int $size): array
    {
        return array_values(array_unique(array_map(static fn (Placement $move): string => implode(' ', self::moved($move, $row, $column, $size)), $symmetry->moves())));
    }

    /** @return array{int, int} */
    private static function moved(Placement $move, int $row, int $column, int $size): array
    {
        $column = $move->mirrored ? $size - 1 - $column : $column;
        for ($i = 0; $i < $move->turn->quarters(); ++$i) {
            [$row, $column] = [$column, $size - 1 - $row];
        }

        return [$row, $column];
    }

    /** @param array<string, mixed> $cell */
    private static function picture(array $cell): string
    {
        return Picture::of(self::face([[$cell]])->whole)->key;
    }
}
