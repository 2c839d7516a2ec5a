<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Axis;
use KeenSeam\Core\Layout\Difference;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Layout\TrayUnit;
use KeenSeam\Core\Layout\Wall;
use KeenSeam\Core\Measure\Length;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** Whatever is done to a layout, it stays a block: every place filled once, readable again, its patches as large as it is. */
final class RandomEditsTest extends TestCase
{
    public function test_a_layout_stays_a_block_whatever_is_done_to_it(): void
    {
        for ($seed = 0; $seed < 25; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $wall = Wall::of(Blocks::of('pA hAB pC', 'hBC pA pA', 'pA pA pA'));
            $refused = 0;
            for ($i = 0; $i < 25; ++$i) {
                try {
                    $wall = self::edited($wall, $random);
                } catch (KeenSeamProblem) {
                    ++$refused; // past the edge, or the last line: nothing is changed then
                }
                self::assertIsWhole($wall, "seed $seed, edit $i");
            }
            self::assertLessThan(25, $refused);
        }
    }

    public function test_turning_four_times_or_mirroring_twice_shows_the_same(): void
    {
        for ($seed = 0; $seed < 10; ++$seed) {
            $wall = Wall::of(BlockFile::read(Blocks::generated($seed, 3, 3)));
            $places = [[1, 1], [2, 2], [3, 1]];
            $turned = $wall;
            for ($i = 0; $i < 4; ++$i) {
                $turned = $turned->moved($places, new Placement(Turn::Quarter));
            }
            self::assertSame([], Difference::between($wall->block, $turned->block));
            $mirror = new Placement(Turn::None, true);
            self::assertSame([], Difference::between($wall->block, $wall->moved($places, $mirror)->moved($places, $mirror)->block));
        }
    }

    public function test_a_column_added_and_removed_leaves_everything_as_it_was(): void
    {
        for ($seed = 0; $seed < 10; ++$seed) {
            $wall = Wall::of(BlockFile::read(Blocks::generated($seed, 3, 2)));
            foreach ([1, 2, 4] as $before) {
                $back = $wall->withLine(Axis::Columns, $before)->withoutLine(Axis::Columns, $before);
                self::assertEquals($wall->block, $back->block);
            }
        }
    }

    private static function edited(Wall $wall, Randomizer $random): Wall
    {
        $grid = $wall->grid();
        $place = [$random->getInt(1, count($grid->rows)), $random->getInt(1, count($grid->columns))];
        $other = [$random->getInt(1, count($grid->rows)), $random->getInt(1, count($grid->columns))];
        $kinds = array_column(TrayUnit::all(), 'kind');
        $kind = $kinds[$random->getInt(0, count($kinds) - 1)];
        $fabric = ['A', 'B', 'C'][$random->getInt(0, 2)];
        $axis = Axis::cases()[$random->getInt(0, 1)];
        $placement = new Placement(Turn::ofQuarters($random->getInt(0, 3)), $random->getInt(0, 1) === 1);
        $line = $random->getInt(1, 5);

        return match ($random->getInt(0, 10)) {
            0 => $wall->placed($kind, [$place], false, $fabric),
            1 => $wall->placed($kind, [$place, $other], true, $fabric),
            2 => $wall->moved([$place, $other], $placement),
            3 => $wall->withFabricsSwapped([$place]),
            4 => $wall->cleared([$place]),
            5 => $wall->carried([$place], $other[0] - $place[0], $other[1] - $place[1]),
            6 => $wall->painted($random->getInt(0, 12), $fabric),
            7 => count($grid->columns) < 6 ? $wall->withLine($axis, $line) : $wall,
            8 => $wall->withoutLine($axis, $line),
            9 => $wall->withLineOf($axis, $line, Length::ofInches($random->getInt(2, 5))),
            default => $wall->placed($kind, [$place], false, $fabric)->followedFrom($wall, Symmetry::HalfTurn),
        };
    }

    private static function assertIsWhole(Wall $wall, string $when): void
    {
        $face = Face::of(BlockFile::read(BlockFileWriter::write($wall->block)));
        $area = array_sum(array_map(static fn ($patch): int => $patch->outline->areaDoubled(), $face->patches));
        self::assertSame($face->outline()->areaDoubled(), $area, $when);
    }
}
