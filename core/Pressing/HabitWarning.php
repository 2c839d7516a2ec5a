<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Internal\SeamCosts;

/** A crossing where pressing both seams to the dark, as many do by habit, puts ridge on ridge. */
final readonly class HabitWarning
{
    private function __construct(
        public Point $at,
        public int $join,
        public bool $runsStraightOn,
    ) {}

    /** @return list<self> */
    public static function allIn(Construction $construction): array
    {
        $warnings = [];
        foreach ($construction->joins as $join) {
            foreach ($join->matchPoints() as $match) {
                [$left, $right] = $match->ends();
                [$pressLeft, $pressRight] = [self::toTheDark($left), self::toTheDark($right)];
                if ($pressLeft === null || $pressRight === null) {
                    continue;
                }
                if (Nesting::where($join->seam, $match->at, $left, $pressLeft, $right, $pressRight) === Nesting::Stacked) {
                    $isStraight = $left->seam->direction()->cross($right->seam->direction()) === 0;
                    $warnings[] = new self($match->at, $join->id, $isStraight);
                }
            }
        }

        return $warnings;
    }

    private static function toTheDark(Join $join): ?PressDirection
    {
        return match (SeamCosts::darkerSide($join)) {
            -1 => PressDirection::Left,
            1 => PressDirection::Right,
            default => null,
        };
    }
}
