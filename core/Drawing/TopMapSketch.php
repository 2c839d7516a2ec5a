<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Guide\TopWords;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Top;

/** The face of a top with its pile written on every block, and an arrow on those that are turned for the plan. */
final class TopMapSketch
{
    /** Of the writing, beside a block. */
    private const WRITING = 0.17;

    /** @param Top $asPlaced before the plan turned blocks */
    public static function of(TopPlan $plan, Top $asPlaced, Palette $palette, Typesetter $setter): Sketch
    {
        $sketch = FaceSketch::of($plan->sewn->top->face, $palette, $asPlaced);
        $hanging = new Hanging($plan->sewn->top->face);
        $words = new TopWords($plan, $asPlaced);
        $shapes = $sketch->shapes;
        foreach ($plan->sewn->copies as $number => $copy) {
            $corners = $hanging->points($copy->place->units[0]->outline->points);
            [$x, $y] = [array_sum(array_column($corners, 0)) / max(1, count($corners)), array_sum(array_column($corners, 1)) / max(1, count($corners))];
            $size = self::WRITING * hypot($corners[1][0] - $corners[0][0], $corners[1][1] - $corners[0][1]);
            $label = self::name($plan, $copy, $number);
            $width = max($size * 1.3, $setter->width($label, $size, true) + $size * 0.6);
            array_push($shapes, Area::rectangle($x - $width / 2, $y - $size * 0.85, $width, $size * 1.5, Palette::PAPER, Palette::INK, $size * 0.05, 'pile'), ...$setter->label($label, $x, $y + $size * 0.28, $size, Anchor::Middle, true)->shapes);
            $turned = $words->turned($number);
            if ($turned !== Turn::None) {
                array_push($shapes, ...self::turn($turned, [$x, $y + $size * 1.55], $size * 0.6));
            }
        }

        return new Sketch($sketch->left, $sketch->top, $sketch->width, $sketch->height, $shapes);
    }

    /** "Tide Gate" alone: its pile; of several blocks their letters too. */
    public static function name(TopPlan $plan, TopCopy $copy, int $number): string
    {
        $made = array_unique(array_map(static fn (TopCopy $one): string => $one->made, $plan->sewn->copies));
        $pile = (string) ($plan->piles[$number] + 1);

        return count($made) === 1 ? $pile : chr(ord('A') + (int) array_search($copy->made, array_values($made), true)).$pile;
    }

    /**
     * An arrow round so many quarters, clockwise.
     *
     * @param array{float, float} $at
     *
     * @return list<Shape>
     */
    private static function turn(Turn $turn, array $at, float $radius): array
    {
        $quarters = $turn->quarters();
        $end = $quarters * M_PI / 2;
        $arc = array_map(static fn (int $i): array => [$at[0] + $radius * sin($end * $i / 12), $at[1] - $radius * cos($end * $i / 12)], range(0, 12));
        [$tipX, $tipY] = $arc[12];
        $head = static fn (float $off): array => [$tipX - $radius * 0.6 * cos($end + $off), $tipY - $radius * 0.6 * sin($end + $off)];

        return [
            Area::disc($at[0], $at[1], $radius * 1.45, Palette::PAPER, Palette::INK, $radius * 0.08, 'turned'),
            new Stroke($arc, Palette::INK, $radius * 0.22),
            new Area([[$tipX + $radius * 0.35 * cos($end), $tipY + $radius * 0.35 * sin($end)], $head(0.7), $head(-0.7)], Palette::INK),
        ];
    }
}
