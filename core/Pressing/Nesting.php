<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;

/** How the ridges of two seams lie where they meet across a join. */
enum Nesting: string
{
    case Nested = 'nested';
    case Stacked = 'stacked';
    case Lopsided = 'lopsided';
    case Flat = 'flat';

    /**
     * @param Join $a the last-sewn join that ends at the meeting point on one side, pressed $pressA there
     * @param Join $b the same on the other side
     */
    public static function where(Segment $join, Point $at, Join $a, PressDirection $pressA, Join $b, PressDirection $pressB): self
    {
        $liesA = self::liesTowardStart($join, $at, $a, $pressA);
        $liesB = self::liesTowardStart($join, $at, $b, $pressB);

        return match (true) {
            $liesA === null && $liesB === null => self::Flat,
            $liesA === null || $liesB === null => self::Lopsided,
            $liesA === $liesB => self::Stacked,
            default => self::Nested,
        };
    }

    /** Twice the stacked ones plus the lopsided ones is what a plan keeps smallest. */
    public function mismatch(): int
    {
        return match ($this) {
            self::Stacked => 2,
            self::Lopsided => 1,
            self::Nested, self::Flat => 0,
        };
    }

    /** What counts in style mixed: three times the stacked, twice the lopsided, once the flat. */
    public function unlocked(): int
    {
        return match ($this) {
            self::Stacked => 3,
            self::Lopsided => 2,
            self::Flat => 1,
            self::Nested => 0,
        };
    }

    /** Whether the allowances of a seam that ends there lie toward the start of the join; null when it is open. */
    public static function liesTowardStart(Segment $join, Point $at, Join $seam, PressDirection $press): ?bool
    {
        if ($press === PressDirection::Open) {
            return null;
        }
        $startSide = $seam->seam->sideOf($at->minus($join->direction()));
        $leftLiesTowardStart = $startSide === $seam->leftSide;

        return ($press === PressDirection::Left) === $leftLiesTowardStart;
    }
}
