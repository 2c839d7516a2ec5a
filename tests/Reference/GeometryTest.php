<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Pressing\Internal\CutOutline;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

/** Areas and cut outlines against JSTS, a general-purpose geometry library. */
final class GeometryTest extends TestCase
{
    public function test_patches_have_the_areas_and_cut_outlines_that_the_library_finds(): void
    {
        $patches = [];
        foreach (array_keys(UnitPatterns::all()) as $seed => $kind) {
            array_push($patches, ...self::patchesOfKind($kind), ...self::generatedPatches($seed));
        }
        $answers = self::ask(array_map(static fn (array $patch): array => [
            'points' => $patch['points'],
            'distance' => $patch['allowance'],
        ], $patches));

        self::assertGreaterThan(100, count($patches));
        foreach ($patches as $i => $patch) {
            self::assertEqualsWithDelta($answers[$i]['area'], $patch['area'], 1e-9);
            self::assertEqualsWithDelta($answers[$i]['offsetArea'], self::area($patch['cut']->corners), 1e-5, json_encode($patch['points'], JSON_THROW_ON_ERROR));
            foreach ($answers[$i]['offset'] as [$x, $y]) {
                self::assertTrue($patch['cut']->covers($x + 1e-7 * ($patch['middle'][0] - $x), $y + 1e-7 * ($patch['middle'][1] - $y)), 'a corner of the library\'s outline lies outside ours');
            }
        }
    }

    public function test_raw_outlines_of_parts_are_those_of_the_library_with_mitred_corners(): void
    {
        $asked = $found = [];
        for ($seed = 0; $seed < 12; ++$seed) {
            $sewn = Construction::of(Face::of(BlockFile::read(Blocks::slantedPatches($seed, 4 + $seed % 6))), Order::Rows);
            $edges = new RawEdges($sewn);
            $steps = $sewn->face->lattice->steps;
            foreach ($sewn->joins as $join) {
                $asked[] = ['points' => array_map(static fn (Point $point): array => [$point->x / $steps, $point->y / $steps], $join->outline()->points), 'distance' => 0.25, 'sharp' => true];
                $found[] = $edges->outline($join);
            }
        }
        self::assertGreaterThan(40, count($asked));
        $uncut = 0;
        foreach (self::ask($asked) as $i => $answer) {
            self::assertLessThanOrEqual($answer['offsetArea'] + 1e-6, self::area($found[$i]));
            // Where a template's tip is cut off there is a corner more, and less cloth.
            if (count($found[$i]) === count($asked[$i]['points'])) {
                ++$uncut;
                self::assertEqualsWithDelta($answer['offsetArea'], self::area($found[$i]), 1e-6);
                foreach ($found[$i] as [$x, $y]) {
                    self::assertLessThan(1e-6, min(array_map(static fn (array $corner): float => hypot($corner[0] - $x, $corner[1] - $y), $answer['offset'])));
                }
            }
        }
        self::assertGreaterThan(25, $uncut);
    }

    /** @return list<array{points: list<array{int, int}>, area: float, allowance: float, cut: CutOutline, middle: array{float, float}}> */
    private static function patchesOfKind(string $kind): array
    {
        $file = Blocks::file('pA');
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => $kind, 'fabrics' => array_fill(0, count(UnitPatterns::all()[$kind]->outlines), 'A')];

        return self::patches(Face::of(BlockFile::read($file)));
    }

    /** @return list<array{points: list<array{int, int}>, area: float, allowance: float, cut: CutOutline, middle: array{float, float}}> */
    private static function generatedPatches(int $seed): array
    {
        return self::patches(Face::of(BlockFile::read(Blocks::generated($seed, 3, 2))));
    }

    /** @return list<array{points: list<array{int, int}>, area: float, allowance: float, cut: CutOutline, middle: array{float, float}}> */
    private static function patches(Face $face): array
    {
        $allowance = $face->lattice->toFloatSteps($face->block->seamAllowance);

        return array_map(static function ($patch) use ($allowance): array {
            $points = array_map(static fn (Point $point): array => [$point->x, $point->y], $patch->outline->points);

            return [
                'points' => $points,
                'area' => $patch->outline->areaDoubled() / 2,
                'allowance' => $allowance,
                'cut' => CutOutline::of($patch->outline, $allowance),
                'middle' => [array_sum(array_column($points, 0)) / count($points), array_sum(array_column($points, 1)) / count($points)],
            ];
        }, $face->patches);
    }

    /** @param list<array{float, float}> $corners */
    private static function area(array $corners): float
    {
        $sum = 0.0;
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % count($corners)];
            $sum += $x * $nextY - $y * $nextX;
        }

        return abs($sum) / 2;
    }

    /**
     * @param list<array<string, mixed>> $questions
     *
     * @return list<array{area: float, offsetArea: float, offset: list<array{float, float}>}>
     */
    private static function ask(array $questions): array
    {
        $process = new Process(['node', __DIR__.'/geometry.mjs'], dirname(__DIR__, 2), input: json_encode($questions, JSON_THROW_ON_ERROR));
        $process->mustRun();

        return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
    }
}
