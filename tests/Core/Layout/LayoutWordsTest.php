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
    }
}
