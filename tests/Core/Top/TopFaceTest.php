<?php

declare(strict_types=1);

namespace Tests\Core\Top;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\PartRole;
use KeenSeam\Core\Top\TopPart;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

final class TopFaceTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 0; $seed < 24; ++$seed) {
            yield "top $seed" => [$seed];
        }
    }

    /** Everything is covered once: areas add up exactly and no two patches lie on each other. */
    #[DataProvider('seeds')]
    public function test_the_patches_tile_what_hangs(int $seed): void
    {
        $top = Tops::face(Tops::generated($seed));
        $patches = $top->face->patches;

        self::assertSame($top->face->outline()->areaDoubled(), array_sum(array_map(static fn (Patch $patch): int => $patch->outline->areaDoubled(), $patches)));
        foreach ($patches as $i => $patch) {
            foreach (array_slice($patches, $i + 1) as $other) {
                self::assertFalse($patch->outline->overlaps($other->outline));
            }
        }
        self::assertSame([0, 0], [$top->face->outline()->corner()->x, $top->face->outline()->corner()->y]);
        $cells = array_map(static fn (TopPart $part): string => $part->row.','.$part->column, $top->parts);
        self::assertSame($cells, array_unique($cells), 'every part is a cell of the frame by itself');
        [$width, $height] = $top->top->hangingSize();
        self::assertEqualsWithDelta([$width, $height], $top->face->finishedSize(), 1e-9);
        self::assertSame(range(0, count($patches) - 1), array_merge(...array_map(static fn (TopPart $part): array => $part->patchIds(), $top->parts)));
    }

    /** Set straight without sashes a top is a grid of grids, which blocks know. */
    public function test_a_straight_top_is_laid_out_as_a_grid_of_its_blocks(): void
    {
        $file = Tops::generated(0);
        unset($file['sashes']);
        $top = Tops::face($file);
        $cells = [];
        foreach ($top->top->places as $place) {
            $unit = $place->holds instanceof Design ? new GridUnit($place->holds->block->grid) : null;
            if ($unit !== null) {
                $cells[] = new Cell(intdiv($place->rowDoubled, 2), intdiv($place->columnDoubled, 2), 1, 1, $unit, $place->placement);
            }
        }
        self::assertCount(count($top->top->places), $cells, 'this one has no plain squares');
        $lines = static fn (int $count): array => array_fill(0, $count, Fraction::of(1));
        $size = static fn (int $count): Length => Length::ofInches(6 * $count);
        $of = $top->top;
        $block = Face::of(new Block('', $of->unit, $size($of->columns), $size($of->rows), $of->allowance, $of->fabrics, Grid::of($lines($of->columns), $lines($of->rows), $cells)));

        $keys = static fn (Face $face): array => array_map(static fn (Patch $patch): string => $patch->fabric->key.' '.$patch->outline->key(), $face->patches);
        self::assertSame($block->lattice->steps, $top->face->lattice->steps);
        self::assertSame($keys($block), $keys($top->face));
        $placements = static function (PlacedUnit $unit) use (&$placements): string {
            return $unit->placement->turn->value.($unit->placement->mirrored ? 'm' : '').'('.implode(' ', array_map(static fn (Patch|PlacedUnit $part): string => $part instanceof Patch ? '' : $placements($part), $unit->parts)).')';
        };
        self::assertSame($placements($block->whole), $placements($top->face->whole), 'units lie as they do in a grid of grids');
        self::assertSame([$block->block->finishedWidth->toText(), $block->block->finishedHeight->toText()], [$top->face->block->finishedWidth->toText(), $top->face->block->finishedHeight->toText()]);
    }

    public function test_place_1_1_hangs_at_the_upper_left_and_its_top_edge_faces_the_upper_right(): void
    {
        $top = Tops::face(Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C'], 'columns' => 3, 'places' => [['row' => 1, 'column' => 1, 'fabric' => 'B']]], Tops::PINWHEEL));
        $middle = [];
        foreach ($top->parts as $part) {
            if ($part->place !== null) {
                $corner = $part->units[0]->outline->corner();
                $middle[$part->place->key()] = [$corner->x / $top->face->lattice->steps + 3, $corner->y / $top->face->lattice->steps + 3];
            }
        }

        // x = (r + c) p, y = (r - c) p, moved by the frame's upper left corner, which is at (p, -3p).
        self::assertSame([6.0, 18.0], array_map(floatval(...), $middle['2,2']));
        self::assertSame([18.0, 6.0], array_map(floatval(...), $middle['2,6']));
        self::assertSame([12.0, 18.0], array_map(floatval(...), $middle['3,3']));
    }

    public function test_sides_and_corners_are_halves_and_quarters(): void
    {
        $count = static function (array $sides): array {
            $areas = [];
            $top = Tops::face(Tops::file(['setting' => 'on-point', 'sides' => $sides, 'columns' => 3], Tops::PINWHEEL));
            foreach ($top->parts as $part) {
                if ($part->role === PartRole::PlainSide || $part->role === PartRole::SideOfBlock) {
                    $areas[] = array_sum(array_map(static fn ($unit): int => $unit->outline->areaDoubled(), $part->units)) / 2 / $top->face->lattice->steps ** 2;
                }
            }
            sort($areas);

            return array_count_values(array_map(static fn (float $area): string => (string) $area, $areas));
        };

        // Of 36 square inches each: four corners, and between them one side fewer than places along each edge, twice.
        self::assertSame([9 => 4, 18 => 6], $count(['fabric' => 'C']));
        self::assertSame([9 => 4, 18 => 6], $count(['blocks' => true]));
    }

    public function test_a_block_at_the_edge_is_cut_patch_by_patch_and_knows_which_are_left(): void
    {
        $top = Tops::face(Tops::file(['setting' => 'on-point', 'sides' => ['blocks' => true], 'rows' => 1], Tops::PINWHEEL));
        foreach ($top->parts as $part) {
            if ($part->role !== PartRole::SideOfBlock) {
                continue;
            }
            $design = $top->designs['one']->patches;
            self::assertNotNull($part->origins);
            self::assertSame(
                array_map(static fn (int $id): string => $design[$id]->fabric->key, $part->origins),
                array_map(static fn ($unit): string => $unit->patches()[0]->fabric->key, $part->units),
            );
            self::assertContains(count($part->units), [2, 4, 6], 'a quarter or a half of eight triangles, some of them cut');
        }
    }

    public function test_float_moves_the_edge_out_along_the_blocks_edges(): void
    {
        $size = static fn (string $float): array => Tops::face(Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C', 'float' => $float]], Tops::PINWHEEL))->face->finishedSize();

        self::assertEqualsWithDelta([M_SQRT2 * 12, M_SQRT2 * 12], $size('0'), 1e-9);
        self::assertEqualsWithDelta([M_SQRT2 * 13, M_SQRT2 * 13], $size('1'), 1e-9);
    }
}
