<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\TopBorders;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

final class TopCuttingTest extends TestCase
{
    /**
     * For blocks of 12 in handbooks give squares of 18 1/4 in cut twice for the sides, and of 9 3/8 in cut once for the
     * corners: the finished block times 1.414 and 1 1/4 in more, and divided by 1.414 and 7/8 in more (common practice, from
     * memory; no one published source).
     */
    public function test_sides_and_corners_of_twelve_inch_blocks_are_cut_as_handbooks_have_them(): void
    {
        $file = Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C'], 'rows' => 3, 'columns' => 3], ['pA', 'pB', '/', 'pB', 'pA']);
        $file['blocks']['one']['finished'] = ['width' => '12', 'height' => '12'];

        self::assertSame(['square 18 1/4 x 18 1/4, cut twice corner to corner: 2', 'square 9 3/8 x 9 3/8, cut once corner to corner: 2'], self::cuts($file, 'C'));
    }

    /** The long edge of half a block is bias: its pieces are cut as in the whole block, whose edges have the straight grain. */
    public function test_halves_of_blocks_are_cut_along_the_blocks_edges(): void
    {
        $file = Tops::file(['setting' => 'on-point', 'sides' => ['blocks' => true], 'rows' => 1], ['pA']);

        // Of one plain patch: whole ones 6 1/2, halves with legs of 6, quarters whose long side is the block's edge.
        self::assertSame(['square 7 1/4 x 7 1/4, cut twice corner to corner: 1', 'square 6 7/8 x 6 7/8, cut once corner to corner: 1', 'square 6 1/2 x 6 1/2, : 2'], self::cuts($file, 'A'));
    }

    public function test_borders_are_cut_for_what_lies_in_them(): void
    {
        $file = Tops::file(['columns' => 3, 'borders' => [['width' => '2', 'fabric' => 'C'], ['width' => '1', 'fabric' => 'C', 'corners' => 'squares', 'square' => 'B']]], ['pA']);

        // 18 x 12 in: sides 12, top and bottom 22; then 22 x 16 in: sides 16, top and bottom 22, four squares.
        self::assertSame(['rectangle 22 1/2 x 2 1/2, : 2', 'rectangle 22 1/2 x 1 1/2, : 2', 'rectangle 12 1/2 x 2 1/2, : 2', 'rectangle 16 1/2 x 1 1/2, : 2'], self::cuts($file, 'C'));
        self::assertSame(['square 1 1/2 x 1 1/2, : 4'], self::cuts($file, 'B'));
        self::assertSame(['border 1', 'border 1', 'border 2', 'border 2', 'border 2'], array_column(TopBorders::pieces(Tops::face($file)->top), 2));
        self::assertSame([24.0, 18.0], array_map(static fn ($side): float => $side->toFloat(), TopBorders::size(Tops::face($file)->top)));
    }

    public function test_borders_are_sewn_sides_first_from_the_inside_out(): void
    {
        $seams = array_map(static fn (array $seam): array => [$seam['border'], $seam['isSide'], $seam['length']->toFloat()], TopBorders::seams(Tops::face(Tops::file(['columns' => 3, 'borders' => [['width' => '2', 'fabric' => 'C'], ['width' => '1', 'fabric' => 'C', 'corners' => 'squares', 'square' => 'B']]], ['pA']))->top));

        // 18 x 12 in, then 22 x 16 in, then 24 x 18 in.
        self::assertSame([[1, true, 12.0], [1, false, 22.0], [2, true, 16.0], [2, false, 24.0]], $seams);
    }

    public function test_what_is_longer_than_the_fabric_is_wide_is_sewn_of_strips(): void
    {
        $file = Tops::file(['rows' => 10, 'columns' => 2, 'borders' => [['width' => '2', 'fabric' => 'C']]], ['pA']);
        $plan = CuttingPlan::of(Tops::sewn($file)->construction, new CutQuestion(), Tops::face($file)->top);

        // Two of 60 1/2 in of strips that give 41 1/2 in each: three, and one for the two of 16 1/2 in.
        self::assertSame('10', $plan->fabric['C']->length->toText());
        self::assertSame('60 1/2', $plan->cuts[count($plan->cuts) - 2]->width->toText());
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return list<string>
     */
    private static function cuts(array $file, string $fabric): array
    {
        $plan = CuttingPlan::of(Tops::sewn($file)->construction, new CutQuestion(), Tops::face($file)->top);
        $cuts = array_values(array_filter($plan->cuts, static fn (Cut $cut): bool => $cut->fabric === $fabric));

        return array_map(static fn (Cut $cut): string => sprintf('%s %s x %s, %s: %d', $cut->shape->value, $cut->width->toText(), $cut->height->toText(), $cut->then->value === 'none' ? '' : $cut->then->value, $cut->count), $cuts);
    }
}
