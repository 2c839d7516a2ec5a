<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Block\Luminance;
use KeenSeam\Core\Drawing\Area;
use KeenSeam\Core\Drawing\BackSketch;
use KeenSeam\Core\Drawing\FaceSketch;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Pressing\Layers;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;
use Tests\Support\Tops;

final class SketchTest extends TestCase
{
    /** @return list<array{int}> */
    public static function seeds(): array
    {
        return array_map(static fn (int $seed): array => [$seed], range(1, 8));
    }

    #[DataProvider('seeds')]
    public function test_every_fabric_covers_as_much_of_the_picture_as_of_the_face(int $seed): void
    {
        $face = Blocks::construction(Blocks::generated($seed, 2 + $seed % 3, 2 + $seed % 4))->face;
        $svg = self::read(Svg::of(FaceSketch::of($face, Palette::ofFabrics($face->block->fabrics)), 300));
        $cut = $drawn = [];
        foreach ($svg->polygon as $polygon) {
            $drawn[(string) $polygon['fill']] = ($drawn[(string) $polygon['fill']] ?? 0) + self::area(self::corners((string) $polygon['points']));
        }
        foreach ($face->patches as $patch) {
            $cut[$patch->fabric->color] = ($cut[$patch->fabric->color] ?? 0) + $patch->outline->areaDoubled() / 2 / $face->lattice->steps ** 2;
        }
        ksort($cut);
        ksort($drawn);
        self::assertEqualsWithDelta($cut, $drawn, 0.01);
        $size = $face->finishedSize();
        self::assertSame(sprintf('0 0 %s %s', ...$size), (string) $svg['viewBox'], 'the picture is the block and nothing else');
        self::assertSame('300', (string) $svg['width']);
        self::assertEqualsWithDelta(300 * $size[1] / $size[0], (float) $svg['height'], 0.001);
    }

    #[DataProvider('seeds')]
    public function test_the_back_has_as_many_layers_everywhere_as_the_cloth(int $seed): void
    {
        $plan = self::plan($seed);
        $face = $plan->construction->face;
        $sketch = BackSketch::of($plan, Palette::ofFabrics($face->block->fabrics));
        $cloth = array_filter($sketch->shapes, static fn ($shape): bool => $shape instanceof Area && in_array($shape->part, ['cloth', 'allowance'], true));
        $layers = new Layers($plan->construction, $plan->pressing);
        $width = $face->finishedSize()[0];
        $different = [];
        for ($x = 0.137; $x < $width; $x += 0.291) {
            for ($y = 0.171; $y < $face->finishedSize()[1]; $y += 0.283) {
                $drawn = count(array_filter($cloth, static fn (Area $area): bool => self::holds($area->corners(), $width - $x, $y)));
                $near = array_map(static fn (array $by): int => $layers->at(($x + $by[0]) * $face->lattice->steps, ($y + $by[1]) * $face->lattice->steps), [[0, 0], [1e-6, 1e-6], [1e-6, -1e-6], [-1e-6, 1e-6], [-1e-6, -1e-6]]);
                if (count(array_unique($near)) === 1 && $drawn !== $near[0]) {
                    $different[] = [$x, $y];
                }
            }
        }
        self::assertSame([], $different);
        $a = $face->block->seamAllowance->in($face->block->unit)->toFloat();
        self::assertSame([-$a, -$a, $width + 2 * $a], [$sketch->left, $sketch->top, $sketch->width], 'raw edge to raw edge');
        foreach ($cloth as $area) {
            $box = Box::round($area->corners() ?: self::fail('Cloth has corners.'));
            self::assertGreaterThanOrEqual(-$a - 1e-9, min($box->left, $box->top), 'dog ears are off');
            self::assertLessThanOrEqual($a + 1e-9, max($box->right - $width, $box->bottom - $face->finishedSize()[1]), 'on the other sides too');
        }
    }

    #[DataProvider('seeds')]
    public function test_an_arrow_points_at_the_part_that_the_allowances_lie_on(int $seed): void
    {
        $plan = self::plan($seed);
        $face = $plan->construction->face;
        $arrows = array_values(array_filter(BackSketch::of($plan, Palette::ofFabrics($face->block->fabrics))->shapes, static fn ($shape): bool => $shape instanceof Area && str_starts_with($shape->part, 'arrow')));
        $number = 0;
        foreach ($plan->construction->joins as $join) {
            $presses = $plan->pressing->of($join);
            for ($i = 0; $i < $join->segmentCount(); ++$i, ++$number) {
                $press = $presses[min($i, count($presses) - 1)];
                self::assertSame($press === PressDirection::Open ? 'arrow open' : 'arrow', $arrows[$number]->part);
                $stops = array_map(static fn ($point): array => [$face->finishedSize()[0] - $point->x / $face->lattice->steps, $point->y / $face->lattice->steps], [$join->seam->from, ...array_map(static fn ($meeting) => $meeting->at, $join->matchPoints()), $join->seam->to]);
                [$middleX, $middleY] = self::middle($stops[$i], $stops[$i + 1]);
                $long = hypot($stops[$i + 1][0] - $stops[$i][0], $stops[$i + 1][1] - $stops[$i][1]);
                foreach ($arrows[$number]->corners() as [$x, $y]) {
                    self::assertLessThan(0.3 * $long, hypot($x - $middleX, $y - $middleY), 'across the middle of its stretch');
                }
                if ($press !== PressDirection::Open) {
                    $toward = $press === PressDirection::Left ? $join->left : $join->right;
                    $outline = array_map(static fn ($point): array => [$face->finishedSize()[0] - $point->x / $face->lattice->steps, $point->y / $face->lattice->steps], $toward->outline()->points);
                    $tip = $arrows[$number]->corners()[3];
                    [$tailX, $tailY] = self::middle($arrows[$number]->corners()[0], $arrows[$number]->corners()[6]);
                    self::assertTrue(self::holds($outline, $tailX + 0.55 * ($tip[0] - $tailX), $tailY + 0.55 * ($tip[1] - $tailY)), "join $join->id");
                }
            }
        }
        self::assertCount($number, $arrows);
    }

    public function test_a_top_on_point_hangs_with_its_corners_up_and_its_borders_round_it(): void
    {
        $face = Tops::face(Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C'], 'borders' => [['width' => '2', 'fabric' => 'A'], ['width' => '3', 'fabric' => 'B', 'corners' => 'squares', 'square' => 'C']]], Tops::PINWHEEL));
        $top = $face->top;
        $sketch = FaceSketch::of($face->face, Palette::ofFabrics($top->fabrics), $top);
        [$width, $height] = $top->hangingSize();
        self::assertEqualsWithDelta([$width + 10, $height + 10, -5.0], [$sketch->width, $sketch->height, $sketch->left], 1e-9);
        $patches = array_filter($sketch->shapes, static fn ($shape): bool => $shape instanceof Area && $shape->part === 'patch');
        self::assertEqualsWithDelta($width * $height, array_sum(array_map(static fn (Area $area): float => self::area($area->corners()), $patches)), 1e-6);
        $seen = static function (float $x, float $y) use ($sketch): string {
            $on = array_filter($sketch->shapes, static fn ($shape): bool => $shape instanceof Area && self::holds($shape->corners(), $x, $y));

            return $on === [] ? '' : (string) end($on)->fill;
        };
        $colour = static fn (string $key): string => $top->fabrics[$key]->color;
        self::assertSame([$colour('C'), $colour('B'), $colour('A'), $colour('A')], [$seen(-4, -4), $seen($width / 2, -4), $seen(-1, -1), $seen($width + 1, $height / 3)]);
        $plan = (new PressingPlanner(TopConstruction::of($face)->construction))->best(new PressQuestion(PressStyle::Nest), static fn (): bool => true);
        $back = BackSketch::of($plan, Palette::ofFabrics($top->fabrics), $top);
        self::assertEqualsWithDelta($width + 10.5, $back->width, 1e-9);
    }

    public function test_names_do_no_harm_in_a_picture_and_greys_are_told_apart(): void
    {
        self::assertSame('A < "B" & C', (string) self::read(Svg::of(new Sketch(0, 0, 1, 2, []), 10, 'mm', 'A < "B" & C'))->title);
        self::assertSame('20mm', (string) self::read(Svg::of(new Sketch(0, 0, 1, 2, []), 10, 'mm'))['height']);
        $fabrics = Blocks::of('hAB hBC', 'hCA pB')->fabrics;
        $greys = Palette::greys($fabrics);
        $all = array_map(static fn (string $key): string => $greys->face($key), array_map(strval(...), array_keys($fabrics)));
        self::assertCount(count($fabrics), array_unique($all));
        foreach ($all as $grey) {
            self::assertSame(1, count(array_unique(Luminance::channels($grey))));
        }
        self::assertSame(['#808080', '#204060', '#11aa33', '#0a661f'], [Palette::mixed('#000', '#ffffff', 0.5), Palette::mixed('#204060', '#fff', 0), Palette::mixed('#1a3', '#000', 0), Palette::mixed('#1a3', '#000', 0.4)]);
    }

    private static function plan(int $seed): PressingPlan
    {
        $construction = Blocks::construction($seed % 2 === 0 ? Blocks::generated($seed, 2 + $seed % 3, 2) : Blocks::slantedPatches($seed, 5));

        return (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest), static fn (): bool => false);
    }

    private static function read(string $svg): \SimpleXMLElement
    {
        $read = simplexml_load_string($svg);
        self::assertNotFalse($read);

        return $read;
    }

    /** @return list<array{float, float}> */
    private static function corners(string $points): array
    {
        return array_map(static fn (string $point): array => [(float) explode(',', $point)[0], (float) explode(',', $point)[1]], explode(' ', $points));
    }

    /** @param list<array{float, float}> $corners */
    private static function area(array $corners): float
    {
        $sum = 0;
        foreach ($corners as $number => [$x, $y]) {
            [$nextX, $nextY] = $corners[($number + 1) % count($corners)];
            $sum += $x * $nextY - $nextX * $y;
        }

        return abs($sum) / 2;
    }

    /** @param list<array{float, float}> $corners of a convex outline, either way round */
    private static function holds(array $corners, float $x, float $y): bool
    {
        $sides = [];
        foreach ($corners as $number => [$fromX, $fromY]) {
            [$toX, $toY] = $corners[($number + 1) % count($corners)];
            $sides[] = ($toX - $fromX) * ($y - $fromY) - ($toY - $fromY) * ($x - $fromX);
        }

        return min($sides) >= 0 || max($sides) <= 0;
    }

    /**
     * @param array{float, float} $one
     * @param array{float, float} $other
     *
     * @return array{float, float}
     */
    private static function middle(array $one, array $other): array
    {
        return [($one[0] + $other[0]) / 2, ($one[1] + $other[1]) / 2];
    }
}
