<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\StageKind;

/** One stage of making a unit at raw size: cloth with its back hatched, drawn lines, stitches, the knife's way. */
final class StageSketch
{
    /** More things than this lie there alike; the rest is not drawn. */
    private const MOST = 4;

    /** How far what is laid on top is moved to the side, as a share of the thing, so that what lies below is seen. */
    private const ASIDE = 0.07;

    private const GAP = 0.12;

    public static function of(Stage $stage, Palette $palette): Sketch
    {
        $things = array_slice($stage->do === StageKind::Lay ? array_map(self::moved(...), $stage->cloth) : $stage->cloth, 0, self::MOST);
        $boxes = array_map(self::box(...), $things);
        [$wide, $high] = [max([0.0, ...array_column($boxes, 2)]), max([0.0, ...array_column($boxes, 3)])];
        $gap = self::GAP * max($wide, $high);
        $across = count($things) > 1 ? 2 : 1;
        $down = max(1, intdiv(count($things) + $across - 1, $across));
        [$width, $height] = [$across * $wide + ($across - 1) * $gap, $down * $high + ($down - 1) * $gap];
        // Lines are as thick in a long set of strips as its height allows.
        $unit = min(max($width, $height) / 100, min($width, $height) / 40);
        $shapes = [];
        foreach ($things as $i => $thing) {
            [$right, $lower] = [($i % $across) * ($wide + $gap) - $boxes[$i][0], intdiv($i, $across) * ($high + $gap) - $boxes[$i][1]];
            foreach ($thing as $patch) {
                $corners = array_map(static fn (array $corner): array => [$corner[0] + $right, $corner[1] + $lower], $patch['points']);
                $fill = $palette->face($patch['fabric']);
                $shapes[] = new Area($corners, $patch['isBack'] ? Palette::mixed($fill, Palette::PAPER, 0.5) : $fill, Palette::INK, $unit);
                array_push($shapes, ...($patch['isBack'] ? self::hatched($corners, $unit * 7, $fill, $unit * 1.6) : []));
            }
        }
        [$left, $top] = [$boxes[0][0] ?? 0.0, $boxes[0][1] ?? 0.0];
        foreach (['mark' => $stage->marks, 'knife' => $stage->knives, 'stitches' => $stage->stitches] as $kind => $lines) {
            foreach ($lines as $line) {
                $points = array_map(static fn (array $point): array => [$point[0] - $left, $point[1] - $top], $line);
                $shapes[] = new Stroke($points, Palette::PAPER, $unit * 4.5);
                $shapes[] = new Stroke($points, Palette::INK, $unit * ($kind === 'mark' ? 1.4 : 2.4), array_map(static fn (float $dash): float => $dash * $unit, match ($kind) {
                    'stitches' => [6.0, 3.5],
                    'knife' => [12.0, 4.0, 2.0, 4.0],
                    'mark' => [],
                }), $kind);
            }
        }

        return new Sketch(-$unit * 3, -$unit * 3, $width + $unit * 6, $height + $unit * 6, $shapes);
    }

    /**
     * Lines at 45 degrees within a convex outline: the wrong side of cloth.
     *
     * @param list<array{float, float}> $corners
     *
     * @return list<Stroke>
     */
    private static function hatched(array $corners, float $apart, string $colour, float $thick): array
    {
        $places = array_map(static fn (array $corner): float => $corner[0] + $corner[1], $corners);
        $lines = [];
        for ($at = min([INF, ...$places]) + $apart / 2; $at < max([-INF, ...$places]); $at += $apart) {
            $ends = [];
            foreach ($corners as $i => $from) {
                $to = $corners[($i + 1) % count($corners)];
                [$here, $there] = [$from[0] + $from[1] - $at, $to[0] + $to[1] - $at];
                if (($here < 0) !== ($there < 0)) {
                    $share = $here / ($here - $there);
                    $ends[] = [$from[0] + $share * ($to[0] - $from[0]), $from[1] + $share * ($to[1] - $from[1])];
                }
            }
            if (count($ends) === 2) {
                $lines[] = new Stroke($ends, $colour, $thick);
            }
        }

        return $lines;
    }

    /**
     * @param list<array{fabric: string, points: list<array{float, float}>, isBack: bool}> $thing
     *
     * @return list<array{fabric: string, points: list<array{float, float}>, isBack: bool}>
     */
    private static function moved(array $thing): array
    {
        $below = array_values(array_filter($thing, static fn (array $patch): bool => ! $patch['isBack']));
        if ($below === []) {
            return $thing;
        }
        [, , $width, $height] = self::box($below);
        $aside = self::ASIDE * max($width, $height);

        return array_map(static fn (array $patch): array => $patch['isBack'] ? ['points' => array_map(static fn (array $corner): array => [$corner[0] + $aside, $corner[1] + $aside], $patch['points'])] + $patch : $patch, $thing);
    }

    /**
     * @param list<array{fabric: string, points: list<array{float, float}>, isBack: bool}> $thing
     *
     * @return array{float, float, float, float} left, top, width and height
     */
    private static function box(array $thing): array
    {
        $corners = array_merge(...array_column($thing, 'points'));
        [$xs, $ys] = [array_column($corners, 0) ?: [0.0], array_column($corners, 1) ?: [0.0]];

        return [min($xs), min($ys), max($xs) - min($xs), max($ys) - min($ys)];
    }
}
