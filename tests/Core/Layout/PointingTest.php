<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Layout\HandCount;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Pointing;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class PointingTest extends TestCase
{
    public function test_a_whole_set_that_points_in_or_out_is_found(): void
    {
        self::assertSame(['out 1.2 2.1 2.3 3.2'], self::sets('hAB gABB hAB90', 'gABB270 pB gABB90', 'hAB270 gABB180 hAB180'));
        self::assertSame(['in 1.2 2.1 2.3 3.2'], self::sets('hAB gABB180 hAB90', 'gABB90 pB gABB270', 'hAB270 gABB hAB180'));
    }

    public function test_neither_is_asked_of_what_points_along_or_has_no_fellow_or_is_a_repeat(): void
    {
        // Round the ring, one after the other.
        self::assertSame([], self::sets('pA gABB90 pA', 'gABB pB gABB180', 'pA gABB270 pA'));
        self::assertSame([], self::sets('gABB'));
        self::assertSame([], self::sets('gABB gABB gABB', 'gABB gABB gABB'));
        self::assertSame([], self::sets('hAB hAB90', 'hAB270 hAB180'));
    }

    public function test_in_and_out_are_told_from_the_middle_of_the_block_in_blocks_of_any_shape(): void
    {
        $sets = static function (array $columns, array $rows, string ...$words): array {
            $face = Face::of(BlockFile::read(['columns' => $columns, 'rows' => $rows, 'finished' => ['width' => (string) (2 * array_sum($columns)), 'height' => (string) (2 * array_sum($rows))]] + Blocks::file(...$words)));

            return array_map(static fn (Pointing $set): string => ($set->isOut ? 'out' : 'in').count($set->units), Pointing::setsOn($face, OddOnesOut::of($face)));
        };
        // The same after half a turn: one goose above left, one below right.
        foreach ([[['1', '1', '1'], ['1', '1']], [['1', '4', '1'], ['2', '2']], [['3', '1', '3'], ['1', '1']]] as [$columns, $rows]) {
            self::assertSame(['in2'], $sets($columns, $rows, 'gABB90 pA pA', 'pA pA gABB270'));
            self::assertSame(['out2'], $sets($columns, $rows, 'gABB270 pA pA', 'pA pA gABB90'));
            self::assertSame(['out2'], $sets($columns, $rows, 'gABB pA pA', 'pA pA gABB180'));
            self::assertSame(['in2'], $sets($columns, $rows, 'gABB180 pA pA', 'pA pA gABB'));
            self::assertSame(['out2'], $sets($columns, $rows, 'pA gABB pA', 'pA gABB180 pA'));
            self::assertSame([], $sets($columns, $rows, 'pA gABB90 pA', 'pA gABB270 pA'), 'along the middle');
        }
        // Inner and outer ones that point alike are one question, those that do not are two.
        self::assertSame(['out4'], $sets(['1', '1', '1', '1'], ['1'], 'gABB270 gABB270 gABB90 gABB90'));
        self::assertEqualsCanonicalizing(['out2', 'in2'], $sets(['1', '1', '1', '1'], ['1'], 'gABB270 gABB90 gABB270 gABB90'));
    }

    public function test_the_question_names_two_or_says_how_many_more(): void
    {
        $face = Face::of(Blocks::of('gABB90 pA gABB270'));
        self::assertSame('The 2 flying geese (row 1 column 1, row 1 column 3) point in, toward the middle. Meant so?', Pointing::setsOn($face, OddOnesOut::of($face))[0]->words('flying geese'));
        $four = Face::of(Blocks::of('gABB270 gABB270 gABB90 gABB90'));
        self::assertSame('The 4 flying geese (row 1 column 1, row 1 column 2 and 2 more) point out, away from the middle. Meant so?', Pointing::setsOn($four, OddOnesOut::of($four))[0]->words('flying geese'));
    }

    public function test_the_question_names_how_many_where_and_which_way(): void
    {
        $face = Face::of(Blocks::of('hAB gABB180 hAB90', 'gABB90 pB gABB270', 'hAB270 gABB hAB180'));
        self::assertSame('The 4 flying geese (row 1 column 2, row 2 column 1 and 2 more) point in, toward the middle. Meant so?', Pointing::setsOn($face, OddOnesOut::of($face))[0]->words('flying geese'));
        $two = Face::of(Blocks::of('gABB pA gABB180'));
        self::assertSame([], Pointing::setsOn($two, OddOnesOut::of($two)), 'up and down lie along the row');
    }

    public function test_hands_go_by_the_seams_and_keep_their_name_in_other_fabrics(): void
    {
        $hands = static fn (string ...$rows): array => array_map(static fn (HandCount $count): array => [count($count->left), count($count->right)], HandCount::allOn(Face::of(Blocks::of(...$rows))));
        // Seams with a hand: a slip of cloth that leans; it is left or right in whatever fabrics.
        $leaning = static function (string $a, string $b, bool $isMirrored): array {
            $x = static fn (string $x): string => $isMirrored ? ['0' => '1', '1/4' => '3/4', '3/4' => '1/4', '1' => '0'][$x] : $x;

            return [
                ['fabric' => $a, 'points' => [[$x('0'), '0'], [$x('1/4'), '0'], [$x('3/4'), '1'], [$x('0'), '1']]],
                ['fabric' => $b, 'points' => [[$x('1/4'), '0'], [$x('1'), '0'], [$x('1'), '1'], [$x('3/4'), '1']]],
            ];
        };
        $file = Blocks::file('pA pB pC');
        $told = [];
        foreach ([['A', 'B'], ['B', 'A'], ['C', 'B'], ['A', 'C']] as [$a, $b]) {
            foreach ([false, false, true] as $i => $isMirrored) {
                $file['cells'][$i] = ['row' => 1, 'column' => $i + 1, 'unit' => 'patches', 'patches' => $leaning($a, $b, $isMirrored)];
            }
            $told[] = array_map(static fn (HandCount $count): array => [count($count->left), count($count->right)], HandCount::allOn(Face::of(BlockFile::read($file))));
        }
        self::assertSame($told[0], $told[1]);
        self::assertSame([$told[0], $told[0]], [$told[2], $told[3]]);
        self::assertEqualsCanonicalizing([1, 2], $told[0][0]);
        // Fabrics that make the hand: a darker one in the place of a dark one changes no name, nor does its letter.
        $named = static function (string $key): array {
            $file = Blocks::file('sABC sABC90 sABCm');
            $file['fabrics'] = array_map(static fn (array $fabric): array => $fabric['key'] === 'C' ? ['key' => $key] + $fabric : $fabric, $file['fabrics']);
            $file['cells'] = array_map(static fn (array $cell): array => ['fabrics' => array_map(static fn (string $one): string => $one === 'C' ? $key : $one, $cell['fabrics'])] + $cell, $file['cells']);

            return array_map(static fn (HandCount $count): array => [count($count->left), count($count->right)], HandCount::allOn(Face::of(BlockFile::read($file))));
        };
        self::assertSame($named('C'), $named('Z'));
        self::assertEqualsCanonicalizing([1, 2], $hands('sABC sABC90 sABCm')[0]);
    }

    public function test_a_drawn_unit_whose_seams_have_no_hand_has_none_whichever_fabric_is_where(): void
    {
        $file = Blocks::file('pA pB');
        $square = static fn (string $fabric, string $left, string $top, string $right, string $bottom): array => ['fabric' => $fabric, 'points' => [[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]]];
        $quarters = static fn (string $a, string $b, string $c, string $d): array => [$square($a, '0', '0', '1/2', '1/2'), $square($b, '1/2', '0', '1', '1/2'), $square($c, '1/2', '1/2', '1', '1'), $square($d, '0', '1/2', '1/2', '1')];
        $file['fabrics'][] = ['key' => 'D', 'name' => 'D', 'color' => '#112233', 'value' => 'dark'];
        $file['fabrics'] = array_values(array_column([...$file['fabrics'], ['key' => 'C', 'name' => 'C', 'color' => '#552233', 'value' => 'dark']], null, 'key'));
        foreach ([['A', 'B', 'C', 'D'], ['A', 'D', 'C', 'B']] as $i => $fabrics) {
            $file['cells'][$i] = ['row' => 1, 'column' => $i + 1, 'unit' => 'patches', 'patches' => $quarters(...$fabrics)];
        }
        self::assertSame([], HandCount::allOn(Face::of(BlockFile::read($file))));
    }

    /** @return list<string> */
    private static function sets(string ...$rows): array
    {
        $face = Face::of(Blocks::of(...$rows));

        return array_map(static fn (Pointing $set): string => ($set->isOut ? 'out ' : 'in ').implode(' ', array_map(static fn ($unit): string => $unit->cell->row.'.'.$unit->cell->column, $set->units)), Pointing::setsOn($face, OddOnesOut::of($face)));
    }
}
