<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\ConvexPolygon;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Every known unit at every turn, flipped or not, its patches named in any order. */
final class KnownShapeTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function words(): iterable
    {
        foreach (['hAB', 'qABCA', 'sABC', 'gABC', 'tABC', 'dABCAB'] as $word) {
            foreach ([0, 90, 180, 270] as $turn) {
                yield "$word$turn" => ["$word$turn"];
                yield "{$word}{$turn}m" => ["{$word}{$turn}m"];
            }
        }
    }

    #[DataProvider('words')]
    public function test_a_unit_is_known_by_the_outlines_of_its_patches(string $word): void
    {
        $wide = str_starts_with($word, 'g') && preg_match('~(90|270)~', $word) !== 1;
        $high = str_starts_with($word, 'g') && ! $wide;
        $face = Blocks::construction(['finished' => ['width' => $wide ? '4' : '2', 'height' => $high ? '4' : '2']] + Blocks::file($word))->face;
        $outlines = array_map(static fn (Patch $patch): ConvexPolygon => $patch->outline, $face->patches);
        $steps = 2 * $face->lattice->steps;
        foreach ([array_keys($outlines), array_reverse(array_keys($outlines))] as $numbers) {
            $shape = KnownShape::of(array_map(static fn (int $number): ConvexPolygon => $outlines[$number], $numbers)) ?? self::fail($word);
            $kind = UnitPatterns::all()[$shape->kind]->kind;
            self::assertSame([$word[0], $face->outline()->key()], [['half-square-triangle' => 'h', 'quarter-square-triangle' => 'q', 'split-quarter-square-triangle' => 's', 'flying-geese' => 'g', 'triangle-in-square' => 't', 'square-in-square' => 'd'][$kind], $shape->outline->key()]);
            self::assertSame([$wide || $high ? 2 * $steps : $steps, $steps], [$shape->width, $shape->height], 'in its own frame');
            // The first patch is the one that the kind names first, whichever was told first.
            self::assertSame(self::areas($outlines, array_keys($outlines)), self::areas($outlines, array_map(static fn (int $told): int => $numbers[$told], $shape->order)));
        }
        self::assertNull(KnownShape::of(array_slice($outlines, 1)), 'without one of them it is none');
    }

    public function test_four_squares_are_a_four_patch_and_four_oblongs_are_none(): void
    {
        $outlines = static fn (string $width, string ...$rows): array => array_map(static fn (Patch $patch): ConvexPolygon => $patch->outline, Blocks::construction(['finished' => ['width' => $width, 'height' => (string) (2 * count($rows))]] + Blocks::file(...$rows))->face->patches);
        $square = $outlines('4', 'pA pB', 'pC pA');
        $shape = KnownShape::of([$square[3], $square[1], $square[0], $square[2]]);
        self::assertSame([KnownShape::FOUR_PATCH, [2, 1, 3, 0]], [$shape?->kind, $shape?->order]);
        self::assertNull(KnownShape::of($outlines('6', 'pA pB', 'pC pA')));
        self::assertNull(KnownShape::of($outlines('8', 'pA pB pC pA')));
        self::assertNull(KnownShape::of($outlines('2', 'pA', 'pB', 'pC', 'pA')));
        self::assertNull(KnownShape::of($outlines('4', 'pA pB pC pA')));
    }

    /**
     * @param array<int, ConvexPolygon> $outlines
     * @param list<int>                 $numbers
     *
     * @return list<int> areas in that order, doubled
     */
    private static function areas(array $outlines, array $numbers): array
    {
        return array_map(static fn (int $number): int => $outlines[$number]->areaDoubled(), $numbers);
    }
}
