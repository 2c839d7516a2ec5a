<?php

declare(strict_types=1);

namespace Tests\Core\Block;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\Block\Corner;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\Luminance;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\SewableSizes;
use KeenSeam\Core\Block\Side;
use KeenSeam\Core\Block\Turn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Colours against WCAG 2.2, turns against counting on a square, pictures against looking at them place by place. */
final class ClothAndTurnsTest extends TestCase
{
    /** Relative luminance and contrast ratio: WCAG 2.2, definitions; the values are worked out by its formula, from memory. */
    public function test_contrast_is_as_wcag_defines_it(): void
    {
        self::assertEqualsWithDelta([21.0, 1.0], [Luminance::contrast('#000', '#ffffff'), Luminance::contrast('#345', '#334455')], 1e-9);
        self::assertEqualsWithDelta([0.2126, 0.7152, 0.0722], array_map(Luminance::of(...), ['#f00', '#00ff00', '#0000ff']), 1e-9);
        self::assertEqualsWithDelta(4.48, Luminance::contrast('#777777', '#ffffff'), 0.005, 'the grey that just fails on white');
        self::assertEqualsWithDelta(4.54, Luminance::contrast('#ffffff', '#767676'), 0.005, 'the grey that just passes');
        // Below 0.04045 the curve is a line: 10 of 255 is 0.0392, 11 is 0.0431.
        self::assertEqualsWithDelta(10 / 255 / 12.92, Luminance::of('#0a0a0a'), 1e-12);
        self::assertEqualsWithDelta(((11 / 255 + 0.055) / 1.055) ** 2.4, Luminance::of('#0b0b0b'), 1e-12);
    }

    /** CIE 15: lightness is 116 times the cube root of the luminance, less 16. Where cloth counts as light: common practice, no published source. */
    public function test_greys_are_sorted_by_their_lightness(): void
    {
        for ($grey = 0; $grey < 256; ++$grey) {
            $color = sprintf('#%02x%02x%02x', $grey, $grey, $grey);
            $lightness = 116 * Luminance::of($color) ** (1 / 3) - 16;
            if (abs($lightness - 75) > 0.2 && abs($lightness - 40) > 0.2) {
                self::assertSame($lightness > 75 ? FabricValue::Light : ($lightness > 40 ? FabricValue::Medium : FabricValue::Dark), FabricValue::proposedFor($color), $color);
            }
        }
        self::assertSame([0, 1, 2], array_map(static fn (FabricValue $value): int => $value->rank(), [FabricValue::Light, FabricValue::Medium, FabricValue::Dark]));
    }

    public function test_quarter_turns_add_up_and_change_the_sides_when_odd(): void
    {
        foreach (range(-9, 9) as $quarters) {
            $turn = Turn::ofQuarters($quarters);
            self::assertSame(0, ($turn->quarters() - $quarters) % 4);
            self::assertSame(90 * $turn->quarters(), $turn->value);
            self::assertSame($quarters % 2 !== 0, $turn->swapsSides());
        }
    }

    public function test_a_corner_goes_where_its_place_on_the_square_goes(): void
    {
        $places = ['tl' => [0, 0], 'tr' => [1, 0], 'br' => [1, 1], 'bl' => [0, 1]];
        foreach (Corner::cases() as $corner) {
            self::assertSame([$places[$corner->value][0] === 0, $places[$corner->value][1] === 0], [$corner->isLeft(), $corner->isTop()]);
            self::assertSame(($corner->isTop() ? 'top' : 'bottom').' '.($corner->isLeft() ? 'left' : 'right'), $corner->words());
            foreach (self::placements() as $by) {
                self::assertSame($places[$corner->moved($by)->value], array_map(intval(...), self::moved($places[$corner->value], $by)));
            }
        }
    }

    public function test_a_picture_shows_what_lies_there_however_it_is_moved(): void
    {
        foreach (range(1, 12) as $seed) {
            foreach (self::units($seed) as $unit) {
                $picture = Picture::of($unit);
                foreach (self::placements() as $by) {
                    $moved = $picture->moved($by);
                    foreach (self::places() as $place) {
                        self::assertSame(self::seen($picture, $place), self::seen($moved, self::moved($place, $by)), "seed $seed");
                    }
                }
            }
        }
    }

    public function test_fabrics_along_a_side_are_those_just_inside_it(): void
    {
        foreach (range(1, 12) as $seed) {
            $pictures = array_map(Picture::of(...), self::units($seed));
            foreach ($pictures as $picture) {
                foreach (Side::cases() as $side) {
                    $seen = array_map(static fn (int $i): string => self::seen($picture, self::inside($side, $i)), range(0, 59));
                    $stretches = $picture->along($side);
                    $length = max(array_column($stretches, 1));
                    $told = [];
                    foreach (range(0, 59) as $i) {
                        foreach ($stretches as [$from, $to, $fabric]) {
                            if ($from / $length < ($i + 0.5) / 60 && ($i + 0.5) / 60 < $to / $length) {
                                $told[] = $fabric;
                            }
                        }
                    }
                    self::assertSame($seen, $told);
                    foreach ($pictures as $other) {
                        $alike = $seen === array_map(static fn (int $i): string => self::seen($other, self::inside($side, $i)), range(0, 59));
                        self::assertSame($alike, $picture->looksTheSameAlong($side, $other), "seed $seed, {$side->value}");
                    }
                }
            }
        }
    }

    public function test_the_place_that_tells_two_pictures_apart_shows_another_fabric_in_each_of_them_or_there_is_none(): void
    {
        foreach (range(1, 12) as $seed) {
            $pictures = array_map(Picture::of(...), self::units($seed));
            foreach ($pictures as $right) {
                foreach ($pictures as $wrong) {
                    $place = $right->tellingPlace($wrong);
                    self::assertSame($right->key === $wrong->key, $place === null);
                }
            }
        }
    }

    /** @return array<string, array{array<string, mixed>, bool}> a change of a small block, and whether it is refused */
    public static function sizes(): array
    {
        return [
            'a block of four allowances' => [['finished' => ['width' => '1', 'height' => '1']], false],
            'one that is less high' => [['finished' => ['width' => '1', 'height' => '63/64']], true],
            'one that is less wide' => [['finished' => ['width' => '63/64', 'height' => '1']], true],
            'a patch of one allowance' => [['finished' => ['width' => '2', 'height' => '2'], 'columns' => ['1', '7']], false],
            'a patch of less' => [['finished' => ['width' => '2', 'height' => '2'], 'columns' => ['10', '71']], true],
        ];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('sizes')]
    public function test_what_the_seams_would_eat_up_is_refused(array $change, bool $isRefused): void
    {
        $isSaid = false;
        try {
            SewableSizes::ensure(Face::of(BlockFile::read($change + Blocks::file('pA pB', 'pB pA'))));
        } catch (BlockNotPossible) {
            $isSaid = true;
        }
        self::assertSame($isRefused, $isSaid);
    }

    public function test_opposite_corners_are_flipped_first(): void
    {
        $unit = static function (string ...$corners): FlippedCornersUnit {
            $file = Blocks::file('pA');
            $file['cells'][0] = ['unit' => 'flipped-corners', 'corners' => array_fill_keys($corners, ['fabric' => 'B', 'size' => '1/2'])] + $file['cells'][0];
            $unit = BlockFile::read($file)->grid->cells[0]->unit;

            return $unit instanceof FlippedCornersUnit ? $unit : throw new \LogicException();
        };

        // Clockwise they are numbered 1 to 4 after the square itself.
        self::assertSame([0, 1, 3, 2, 4], $unit('tl', 'tr', 'br', 'bl')->sewing()->items);
        self::assertSame([0, 2, 1], $unit('tr', 'br')->sewing()->items);
        self::assertSame([0, 1, 2], $unit('tr', 'bl')->sewing()->items);
        self::assertSame(['patch with a flipped corner', 'patches with flipped corners'], [$unit('tl')->name(), $unit('tl', 'br')->plural()]);
        self::assertNull($unit('tl')->with(Corner::TopLeft, null));
        self::assertSame([Corner::TopRight], array_column($unit('tl', 'tr')->with(Corner::TopLeft, null)->corners ?? [], 'corner'));
    }

    /** @return list<Placement> */
    private static function placements(): array
    {
        $all = [];
        foreach ([false, true] as $mirrored) {
            foreach (Turn::cases() as $turn) {
                $all[] = new Placement($turn, $mirrored);
            }
        }

        return $all;
    }

    /**
     * @param array{float|int, float|int} $place share of the square
     *
     * @return array{float|int, float|int}
     */
    private static function moved(array $place, Placement $by): array
    {
        [$x, $y] = $by->mirrored ? [1 - $place[0], $place[1]] : $place;
        for ($i = 0; $i < $by->turn->quarters(); ++$i) {
            [$x, $y] = [1 - $y, $x];
        }

        return [$x, $y];
    }

    /** @return list<array{float, float}> places of the square that lie on no seam of the units here */
    private static function places(): array
    {
        $places = [];
        foreach ([0.06, 0.29, 0.53, 0.71, 0.94] as $x) {
            foreach ([0.03, 0.22, 0.39, 0.59, 0.83] as $y) {
                $places[] = [$x, $y];
            }
        }

        return $places;
    }

    /** @return array{float, float} a hair inside a side, at one of sixty places along it */
    private static function inside(Side $side, int $i): array
    {
        $along = ($i + 0.5) / 60;

        return match ($side) {
            Side::Top => [$along, 1e-5],
            Side::Right => [1 - 1e-5, $along],
            Side::Bottom => [$along, 1 - 1e-5],
            Side::Left => [1e-5, $along],
        };
    }

    /** @param array{float|int, float|int} $at */
    private static function seen(Picture $picture, array $at): string
    {
        foreach ($picture->toShares() as [$fabric, $corners]) {
            $isIn = true;
            foreach ($corners as $i => $a) {
                $b = $corners[($i + 1) % count($corners)];
                $isIn = $isIn && ($b[0] - $a[0]) * ($at[1] - $a[1]) - ($b[1] - $a[1]) * ($at[0] - $a[0]) >= -2e-6;
            }
            if ($isIn) {
                return $fabric;
            }
        }

        return 'nothing';
    }

    /** @return list<PlacedUnit> */
    private static function units(int $seed): array
    {
        return array_values(array_filter(Face::of(BlockFile::read(Blocks::generated($seed, 3, 2)))->whole->parts, static fn ($part): bool => $part instanceof PlacedUnit));
    }
}
