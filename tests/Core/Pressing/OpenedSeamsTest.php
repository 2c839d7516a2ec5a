<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\OpenedSeams;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Seams too near and too short, found again by walking along every two of them in small steps. */
final class OpenedSeamsTest extends TestCase
{
    private const STEPS = 60;

    public function test_near_pairs_are_those_found_by_walking_along_them(): void
    {
        $found = 0;
        for ($seed = 1; $seed <= 4; ++$seed) {
            $file = $seed % 2 === 0 ? Blocks::slantedPatches($seed, 7, '3') : ['finished' => ['width' => '3', 'height' => '2 1/2']] + Blocks::generated($seed, 3, 3);
            $construction = Blocks::construction($file);
            $inch = $construction->face->lattice->steps;
            $near = array_map(static fn (array $pair): string => implode(' ', $pair), OpenedSeams::of($construction)->near);
            foreach ($construction->joins as $a) {
                foreach ($construction->joins as $b) {
                    if ($a->id >= $b->id) {
                        continue;
                    }
                    $apart = self::walked($a, $b) / $inch;
                    // Within a step of the walk it may be either.
                    if ($apart < 0.46 && $apart > 0.05) {
                        ++$found;
                        self::assertContains($a->id.' '.$b->id, $near, "seed $seed: $apart in apart");
                    } elseif ($apart > 0.56 || $apart < 1e-9) {
                        self::assertNotContains($a->id.' '.$b->id, $near, "seed $seed: $apart in apart");
                    }
                }
            }
            $short = array_values(array_filter(array_map(static fn (Join $join): int => $join->seam->length() / $inch < 2 - 1e-9 ? $join->id : -1, $construction->joins), static fn (int $id): bool => $id >= 0));
            self::assertSame($short, OpenedSeams::of($construction)->short);
        }
        self::assertGreaterThan(10, $found);
    }

    /** An allowance to either side of the seam, as far as there is cloth: beside an edge the rest of it hangs over. */
    public function test_what_opened_seams_cover_ends_at_the_edge(): void
    {
        $split = static function (string $at, bool $isUpright): float {
            $file = Blocks::file('pA');
            $part = static fn (string $fabric, string $from, string $to): array => ['fabric' => $fabric, 'points' => $isUpright ? [[$from, '0'], [$to, '0'], [$to, '1'], [$from, '1']] : [['0', $from], ['1', $from], ['1', $to], ['0', $to]]];
            $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [$part('A', '0', $at), $part('B', $at, '1')]]];

            return OpenedSeams::of(Blocks::construction(['finished' => ['width' => '4', 'height' => '4']] + $file))->covered;
        };
        // An eighth of a width in all; 3 of 80 parts from the edge, 2 of the 5 parts on that side are missing.
        foreach ([true, false] as $isUpright) {
            self::assertEqualsWithDelta([1 / 8, 1 / 10, 1 / 10], [$split('1/2', $isUpright), $split('3/80', $isUpright), $split('77/80', $isUpright)], 1e-9);
        }
    }

    /** The least distance of two places, one on each; nought where they meet. */
    private static function walked(Join $a, Join $b): float
    {
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            foreach ([$one->seam->from, $one->seam->to] as $end) {
                if ($other->seam->contains($end)) {
                    return 0.0;
                }
            }
        }
        $at = static fn (Join $join, int $step): array => [$join->seam->from->x + ($join->seam->to->x - $join->seam->from->x) * $step / self::STEPS, $join->seam->from->y + ($join->seam->to->y - $join->seam->from->y) * $step / self::STEPS];
        $least = INF;
        for ($i = 0; $i <= self::STEPS; ++$i) {
            [$x, $y] = $at($a, $i);
            $least = min($least, self::toSeam(new Point((int) round($x), (int) round($y)), $b));
        }

        return $least;
    }

    private static function toSeam(Point $point, Join $join): float
    {
        $least = INF;
        for ($i = 0; $i <= self::STEPS; ++$i) {
            $least = min($least, hypot($join->seam->from->x + ($join->seam->to->x - $join->seam->from->x) * $i / self::STEPS - $point->x, $join->seam->from->y + ($join->seam->to->y - $join->seam->from->y) * $i / self::STEPS - $point->y));
        }

        return $least;
    }
}
