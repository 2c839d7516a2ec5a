<?php

declare(strict_types=1);

namespace Tests\Core\Block;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Corner;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Side;
use KeenSeam\Core\Block\Turn;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class PictureTest extends TestCase
{
    public function test_how_something_is_cut_into_patches_does_not_show(): void
    {
        self::assertSame(self::picture('pA')->key, self::picture('hAA')->key);
        self::assertSame(self::picture('hAB')->key, self::picture('sABB')->key);
        self::assertSame(self::picture('hAB')->key, self::picture('qABBA')->key);
        self::assertNotSame(self::picture('hAB')->key, self::picture('hBA')->key);
        self::assertNotSame(self::picture('hAB')->key, self::picture('hAC')->key);
    }

    /** Seams that run upright and level inside one fabric are no more seen than slanting ones. */
    public function test_a_plain_cell_of_four_pieces_looks_like_one_piece(): void
    {
        $file = Blocks::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1', '2'], 'rows' => ['1', '1/2'], 'cells' => array_map(static fn (int $i): array => ['row' => intdiv($i, 2) + 1, 'column' => $i % 2 + 1, 'unit' => 'plain', 'fabrics' => ['A']], [0, 1, 2, 3])]];
        $unit = Face::of(BlockFile::read($file))->whole->parts[0];
        self::assertInstanceOf(PlacedUnit::class, $unit);

        self::assertSame(self::picture('pA')->key, Picture::of($unit)->key);
        self::assertTrue(Picture::of($unit)->looksTheSameAlong(Side::Top, self::picture('pA')));
    }

    public function test_corners_are_drawn_to_four_places(): void
    {
        $file = Blocks::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [['fabric' => 'A', 'points' => [['0', '0'], ['1/3', '0'], ['0', '1']]], ['fabric' => 'B', 'points' => [['1/3', '0'], ['1', '0'], ['1', '1'], ['0', '1']]]]]];
        $unit = Face::of(BlockFile::read($file))->whole->parts[0];
        self::assertInstanceOf(PlacedUnit::class, $unit);

        self::assertEqualsCanonicalizing([[0.0, 0.0], [0.3333, 0.0], [0.0, 1.0]], Picture::of($unit)->toShares()[0][1]);
    }

    public function test_four_quarter_turns_and_two_flips_change_nothing(): void
    {
        foreach (['hAB', 'gABC', 'sABC', 'qABCA', 'dABCAB'] as $word) {
            $picture = self::picture($word);
            $turned = $picture;
            for ($i = 0; $i < 4; ++$i) {
                $turned = $turned->moved(new Placement(Turn::Quarter));
            }
            self::assertSame($picture->key, $turned->key, $word);
            self::assertSame($picture->key, $picture->moved(new Placement(Turn::None, true))->moved(new Placement(Turn::None, true))->key, $word);
        }
    }

    public function test_moving_the_picture_is_placing_the_unit_so(): void
    {
        foreach (['hAB', 'sABC', 'qABCA', 'dABCAB', 'tABC'] as $word) {
            foreach ([false, true] as $mirrored) {
                foreach (Turn::cases() as $turn) {
                    $placed = self::picture($word.$turn->value.($mirrored ? 'm' : ''));
                    self::assertSame($placed->key, self::picture($word)->moved(new Placement($turn, $mirrored))->key, "$word $turn->value");
                }
            }
        }
    }

    public function test_placements_undo_each_other_and_follow_one_another(): void
    {
        $all = [];
        foreach ([false, true] as $mirrored) {
            foreach (Turn::cases() as $turn) {
                $all[] = new Placement($turn, $mirrored);
            }
        }
        $picture = self::picture('sABC');
        foreach ($all as $outer) {
            self::assertEquals(new Placement(), $outer->around($outer->inverse()));
            self::assertEquals(new Placement(), $outer->inverse()->around($outer));
            foreach ($all as $inner) {
                self::assertSame($picture->moved($inner)->moved($outer)->key, $picture->moved($outer->around($inner))->key);
            }
        }
    }

    public function test_corners_move_as_the_unit_does(): void
    {
        self::assertSame(Corner::TopRight, Corner::TopLeft->moved(new Placement(Turn::Quarter)));
        self::assertSame(Corner::BottomRight, Corner::TopLeft->moved(new Placement(Turn::Quarter, true)));
        foreach (Corner::cases() as $corner) {
            foreach ([false, true] as $mirrored) {
                foreach (Turn::cases() as $turn) {
                    $placement = new Placement($turn, $mirrored);
                    self::assertSame($corner, $corner->moved($placement)->moved($placement->inverse()));
                }
            }
        }
    }

    public function test_fabrics_along_an_edge_are_told_in_order_with_neighbours_taken_together(): void
    {
        $told = static fn (string $word, Side $side): array => array_column(self::picture($word)->along($side), 2);

        self::assertSame([['A'], ['B'], ['B'], ['A']], array_map(static fn (Side $side): array => $told('hAB', $side), Side::cases()));
        self::assertSame(['B', 'C'], $told('gABC', Side::Top));
        self::assertSame(['A'], $told('gABC', Side::Bottom));
        self::assertSame(['A'], $told('dBAAAA', Side::Top));
        self::assertTrue(self::picture('hAB')->looksTheSameAlong(Side::Top, self::picture('sABC')));
        self::assertFalse(self::picture('gABC')->looksTheSameAlong(Side::Top, self::picture('gACB')));
        self::assertTrue(self::picture('hAB')->looksTheSameAlong(Side::Right, self::picture('pB')));
        self::assertFalse(self::picture('hAB')->looksTheSameAlong(Side::Left, self::picture('pB')));
    }

    public function test_what_tells_two_pictures_apart_lies_where_they_differ(): void
    {
        // Light above left against light above right: the lower left shows it, or the upper left.
        self::assertEqualsWithDelta([1 / 3, 1 / 3], self::picture('hAB')->tellingPlace(self::picture('hBA')) ?? [], 1e-9);
        // Of a goose the right triangle only.
        self::assertEqualsWithDelta([5 / 6, 1 / 3], self::picture('gABC')->tellingPlace(self::picture('gABB')) ?? [], 1e-9);
        self::assertNull(self::picture('hAB')->tellingPlace(self::picture('sABB')));
    }

    private static function picture(string $word): Picture
    {
        $unit = Face::of(BlockFile::read(Blocks::file($word)))->whole->parts[0];
        self::assertInstanceOf(PlacedUnit::class, $unit);

        return Picture::of($unit);
    }
}
