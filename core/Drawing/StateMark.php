<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Pressing\Nesting;

/** How ridges meet, as a mark: two hooks that lock, two bars on one side, a half ring, an open ring. */
final class StateMark
{
    /**
     * @param array{float, float} $at
     * @param float               $size of the circle round it, across
     *
     * @return non-empty-list<Shape>
     */
    public static function of(Nesting $nesting, array $at, float $size): array
    {
        $unit = $size / 20;
        $marks = [Area::disc($at[0], $at[1], 10 * $unit, Palette::PAPER, Palette::INK, 1.2 * $unit, 'crossing '.$nesting->value)];
        foreach (self::lines($nesting) as $line) {
            $marks[] = new Stroke(array_map(static fn (array $point): array => [$at[0] + $point[0] * $unit, $at[1] + $point[1] * $unit], $line), Palette::INK, 2.2 * $unit);
        }

        return $marks;
    }

    /** @return non-empty-list<list<array{float, float}>> within a circle of radius 10 */
    private static function lines(Nesting $nesting): array
    {
        return match ($nesting) {
            Nesting::Nested => [[[-6, -3.4], [2.6, -3.4], [2.6, 2.2]], [[6, 3.4], [-2.6, 3.4], [-2.6, -2.2]]],
            Nesting::Stacked => [[[-2.4, -5], [-2.4, 5]], [[2.4, -5], [2.4, 5]]],
            Nesting::Lopsided => [self::ring(4.6, 0.5)],
            Nesting::Flat => [self::ring(4.4, 1.0)],
        };
    }

    /** @return list<array{float, float}> from the top clockwise, so much of it */
    private static function ring(float $radius, float $share): array
    {
        return array_map(static fn (int $i): array => [$radius * sin($i * $share * M_PI / 10), -$radius * cos($i * $share * M_PI / 10)], range(0, 20));
    }
}
