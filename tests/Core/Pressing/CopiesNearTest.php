<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Internal\CopiesNear;
use KeenSeam\Core\Pressing\Junction;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Tops;

/** Blocks whose cloth may lie at a place: those within two allowances of it and what is looked at round it. */
final class CopiesNearTest extends TestCase
{
    public function test_they_are_those_found_by_measuring_to_every_block(): void
    {
        $deep = $several = 0;
        for ($seed = 0; $seed < 6; ++$seed) {
            $top = Tops::sewn(Tops::generated($seed));
            $face = $top->construction->face;
            $near = new CopiesNear($top);
            $random = new Randomizer(new Mt19937($seed));
            $reach = (int) ceil(2 * $face->lattice->toFloatSteps($face->block->seamAllowance) + $face->lattice->toFloatSteps(Junction::radius()));
            $far = $face->outline()->points[2];
            $places = array_map(static fn (): Point => new Point($random->getInt(0, $far->x), $random->getInt(0, $far->y)), range(1, 60));
            foreach ([...$places, ...array_map(static fn (Junction $junction): Point => $junction->at, Junction::allOn($face))] as $at) {
                $within = [];
                foreach ($top->copies as $number => $copy) {
                    [$xs, $ys] = [array_map(static fn (Point $point): int => $point->x, $copy->place->units[0]->outline->points), array_map(static fn (Point $point): int => $point->y, $copy->place->units[0]->outline->points)];
                    // How far outside the block's box; less than nought inside.
                    $outside = max(min($xs) - $at->x, $at->x - max($xs), min($ys) - $at->y, $at->y - max($ys));
                    if ($outside <= $reach) {
                        $within[$number] = $outside;
                    }
                }
                $inside = array_key_first(array_filter($within, static fn (int $outside): bool => $outside <= -$reach));
                [$found, $copies] = $near->at($at);
                self::assertSame($inside, $found);
                self::assertSame($inside === null ? array_keys($within) : [$inside], $copies);
                $deep += $inside === null ? 0 : 1;
                $several += count($copies) > 1 ? 1 : 0;
            }
        }
        self::assertGreaterThan(20, min($deep, $several));
    }
}
