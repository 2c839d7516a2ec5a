<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Layout\Hand;
use KeenSeam\Core\Layout\LayoutWords;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Layout\TooClose;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class LayoutWordsTest extends TestCase
{
    public function test_the_symmetry_is_said_with_how_many_break_it(): void
    {
        self::assertSame('No symmetry that most of the block keeps.', LayoutWords::symmetry(Symmetry::None, 3));
        self::assertSame('The block is the same after a quarter turn.', LayoutWords::symmetry(Symmetry::QuarterTurn, 0));
        self::assertSame('The block is left and right halves alike, but for 1 odd one.', LayoutWords::symmetry(Symmetry::MirrorVertical, 1));
        self::assertSame('The block is a repeat, but for 2 odd ones.', LayoutWords::symmetry(Symmetry::Repeat, 2));
    }

    public function test_copies_come_out_in_the_other_hand_only_across_a_mirror_line(): void
    {
        foreach ([Symmetry::None, Symmetry::QuarterTurn, Symmetry::HalfTurn] as $turning) {
            self::assertSame('', LayoutWords::otherHand($turning, Hand::Left));
        }
        foreach ([Symmetry::MirrorVertical, Symmetry::MirrorHorizontal, Symmetry::MirrorBoth, Symmetry::MirrorDiagonals, Symmetry::Full] as $mirroring) {
            self::assertSame('Copies across a mirror line come out in the other hand: from this right one, left ones.', LayoutWords::otherHand($mirroring, Hand::Right));
        }
    }

    public function test_fabrics_that_are_close_name_four_of_their_places(): void
    {
        $file = Blocks::file('hAB hAB hAB', 'hAB hAB pA');
        $file['fabrics'][0]['color'] = '#22313f';
        $file['fabrics'][1]['color'] = '#23323f';
        foreach ([0, 1] as $i) {
            $file['fabrics'][$i]['value'] = 'dark';
        }
        $words = array_map(LayoutWords::tooClose(...), TooClose::allOn(Face::of(BlockFile::read($file))));
        self::assertCount(1, $words);
        self::assertStringEndsWith('are close in value: the figure may not show in 5 units, row 1 column 1; row 1 column 2; row 1 column 3; row 2 column 1 and more.', $words[0]);
        $file['cells'][4] = ['row' => 2, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['A']];
        self::assertStringEndsWith('in 4 units, row 1 column 1; row 1 column 2; row 1 column 3; row 2 column 1.', array_map(LayoutWords::tooClose(...), TooClose::allOn(Face::of(BlockFile::read($file))))[0]);
    }

    public function test_a_fabric_on_itself_is_told_where_a_figure_was_meant(): void
    {
        $words = static fn (string ...$rows): array => array_map(LayoutWords::tooClose(...), TooClose::allOn(Face::of(Blocks::of(...$rows))));
        $name = Blocks::of('pA')->fabrics['A']->name;
        self::assertSame(["$name lies on $name: no figure shows in 2 units, row 1 column 1; row 1 column 2."], $words('hAA gABA hAB'));
        self::assertSame([], $words('pA pA hAB'));
        self::assertSame([], $words('qABAB dABBBB'), 'what only meets in a point');
        $file = Blocks::file('pA hAB');
        $strips = static fn (string ...$fabrics): array => array_map(static fn (string $fabric, int $i): array => ['fabric' => $fabric, 'points' => [['0', "$i/3"], ['1', "$i/3"], ['1', ($i + 1).'/3'], ['0', ($i + 1).'/3']]], $fabrics, array_keys($fabrics));
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => $strips('A', 'A', 'B')];
        self::assertSame([], TooClose::allOn(Face::of(BlockFile::read($file))), 'a seam in one cloth may be wanted');
        $small = static fn (string $unit, array $fabrics): array => ['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => [['row' => 1, 'column' => 1, 'unit' => $unit, 'fabrics' => $fabrics], ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['A']]]];
        $file['cells'][0] = $small('plain', ['A']);
        self::assertSame([], TooClose::allOn(Face::of(BlockFile::read($file))));
        $file['cells'][0] = $small('half-square-triangle', ['B', 'B']);
        self::assertCount(1, TooClose::allOn(Face::of(BlockFile::read($file))));
        foreach ([1, 2] as $i) {
            $file['cells'][0]['cells'][$i - 1]['column'] = 3 - $i;
        }
        $file['cells'][0]['cells'] = array_reverse($file['cells'][0]['cells']);
        self::assertCount(1, TooClose::allOn(Face::of(BlockFile::read($file))), 'wherever it lies in it');
    }
}
