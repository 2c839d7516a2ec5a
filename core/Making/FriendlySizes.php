<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** Whether a block's units come out on the ruler's marks, and the nearest sizes of the block at which they all do. */
final readonly class FriendlySizes
{
    /**
     * @param list<Length>                $awkward sides of units that lie between the marks
     * @param list<array{Length, Length}> $nearest finished width and height of the block, the smaller one first
     */
    private function __construct(
        public array $awkward,
        public array $nearest,
    ) {}

    /** The marks are 1/8 in, or 1 mm for a block in millimetres. */
    public static function of(Face $face): self
    {
        $unit = $face->block->unit;
        $marks = $unit === LengthUnit::Inch ? 8 : 1;
        $sides = self::sides($face->whole);
        $steps = $face->lattice->steps;
        $awkward = array_filter($sides, static fn (int $side): bool => $side * $marks % $steps !== 0);
        if ($awkward === []) {
            return new self([], []);
        }
        $common = self::common($sides);
        // All sides are multiples of $common steps; at k marks for each of these every side is on a mark.
        $now = Fraction::of($common * $marks, $steps);
        $below = intdiv($now->numerator, $now->denominator);
        $nearest = [];
        foreach ([$below, $below + 1] as $k) {
            if ($k > 0) {
                $scale = Fraction::of($k)->dividedBy($now);
                $nearest[] = [self::scaled($face->block->finishedWidth, $scale, $unit), self::scaled($face->block->finishedHeight, $scale, $unit)];
            }
        }
        sort($awkward); // shortest first

        return new self(array_map(static fn (int $side): Length => Length::of(Fraction::of($side, $steps), $unit), $awkward), $nearest);
    }

    /** The longest length that goes into every side of a unit, in lattice steps. */
    public static function commonStep(Face $face): int
    {
        return self::common(self::sides($face->whole));
    }

    /** @param list<int> $sides */
    private static function common(array $sides): int
    {
        return array_reduce($sides, self::greatestCommonDivisor(...), 0);
    }

    /** @return list<int> lengths of the sides of all units and patches' cells, in lattice steps, each once */
    private static function sides(PlacedUnit $whole): array
    {
        $sides = [];
        foreach ($whole->parts as $part) {
            if ($part instanceof PlacedUnit) {
                $sides = [...$sides, ...$part->outline->size(), ...self::sides($part)];
            }
        }

        return array_values(array_unique($sides));
    }

    private static function scaled(Length $length, Fraction $scale, LengthUnit $unit): Length
    {
        return Length::of($length->in($unit)->times($scale), $unit);
    }

    private static function greatestCommonDivisor(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a;
    }
}
