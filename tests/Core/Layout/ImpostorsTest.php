<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Side;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Layout\Symmetry;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class ImpostorsTest extends TestCase
{
    /** Points looked at along an edge and across a cell; no seam of the units tried runs through one. */
    private const SAMPLES = 24;

    public function test_a_triangle_square_sewn_on_its_dark_side_may_lie_with_the_other_dark_side_there(): void
    {
        $impostors = Impostors::allIn(Blocks::sewn('hAB pA'))[0];

        self::assertSame(Side::Right, $impostors->side);
        self::assertEquals([new Placement(\KeenSeam\Core\Block\Turn::ThreeQuarters), new Placement(\KeenSeam\Core\Block\Turn::Half, true)], $impostors->placements);
    }

    public function test_a_plain_patch_cannot_be_turned_wrongly(): void
    {
        self::assertSame([], Impostors::allIn(Blocks::sewn('pA pB', 'pB pA')));
    }

    public function test_they_are_those_that_trying_all_eight_placements_finds(): void
    {
        for ($seed = 0; $seed < 12; ++$seed) {
            $file = Blocks::generated($seed, 3, 3);
            $construction = Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
            $found = [];
            foreach (Impostors::allIn($construction) as $impostors) {
                foreach ($impostors->placements as $placement) {
                    $found[] = sprintf('%d %d %s', $impostors->cell->row, $impostors->cell->column, self::named($placement));
                }
            }
            self::assertSame(self::tried($file), $found, "seed $seed");
            // Asked about some cells only, it answers the same about them.
            foreach ([0, 1] as $odd) {
                $isAsked = static fn (Cell $cell): bool => ($cell->row + $cell->column) % 2 === $odd;
                self::assertEquals(
                    array_values(array_filter(Impostors::allIn($construction), static fn (Impostors $one): bool => $isAsked($one->cell))),
                    Impostors::ofCells($construction, $isAsked),
                );
            }
        }
    }

    /**
     * Rows are sewn left to right: the first unit of a row is sewn along its right edge, all others along their left.
     *
     * @param array<string, mixed> $file
     *
     * @return list<string>
     */
    private static function tried(array $file): array
    {
        $found = [];
        foreach ($file['cells'] as $i => $cell) {
            $across = $cell['column'] === 1 ? 1 - 1 / 1024 : 1 / 1024;
            $right = self::sampled($file, $i, $across);
            [$width, $height] = [$file['finished']['width'] * (int) $file['columns'][$cell['column'] - 1] * count($file['rows']), $file['finished']['height'] * array_sum($file['columns'])];
            foreach (Symmetry::all() as $placement) {
                // A unit that is longer than wide does not fit after a quarter turn.
                if ($width !== $height && ($placement->turn->value - $cell['turn']) % 180 !== 0) {
                    continue;
                }
                $file['cells'][$i] = ['turn' => $placement->turn->value, 'mirrored' => $placement->mirrored] + $cell;
                [$face, $edge] = self::sampled($file, $i, $across);
                if ($face !== $right[0] && $edge === $right[1]) {
                    $found[] = sprintf('%d %d %s', $cell['row'], $cell['column'], self::named($placement));
                }
            }
            $file['cells'][$i] = $cell;
        }

        return $found;
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return array{list<string|null>, list<string|null>} fabrics seen over the whole cell, and close to one edge
     */
    private static function sampled(array $file, int $cell, float $across): array
    {
        $unit = Face::of(BlockFile::read($file))->whole->parts[$cell];
        $corner = $unit->outline->corner();
        $far = $unit->outline->turned(2)->corner();
        [$width, $height] = [-$far->x - $corner->x, -$far->y - $corner->y];
        $at = static function (float $x, float $y) use ($unit, $corner, $width, $height): ?string {
            // A finer lattice than the block's, so that sample points are whole numbers.
            [$px, $py] = [(int) round(($corner->x + $x * $width) * 100000), (int) round(($corner->y + $y * $height) * 100000)];
            foreach ($unit->patches() as $patch) {
                $isInside = true;
                foreach ($patch->outline->edges() as [$a, $b]) {
                    $isInside = $isInside && ($b->x - $a->x) * ($py - 100000 * $a->y) - ($b->y - $a->y) * ($px - 100000 * $a->x) > 0;
                }
                if ($isInside) {
                    return $patch->fabric->key;
                }
            }

            return null;
        };
        $whole = $edge = [];
        for ($i = 0; $i < self::SAMPLES; ++$i) {
            $along = ($i + 0.37) / self::SAMPLES;
            $edge[] = $at($across, $along);
            for ($j = 0; $j < self::SAMPLES; ++$j) {
                $whole[] = $at(($j + 0.61) / self::SAMPLES, $along);
            }
        }

        return [$whole, $edge];
    }

    private static function named(Placement $placement): string
    {
        return $placement->turn->value.($placement->mirrored ? ' mirrored' : '');
    }
}
