<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

/** A side of a seam as a quilter says it who looks at the face: left or right, up or down at a level one. */
enum FaceSide: string
{
    case Left = 'left';
    case Right = 'right';
    case Up = 'up';
    case Down = 'down';

    public static function ofLeftPart(Join $join): self
    {
        $along = $join->seam->direction();
        // sideOf() is 1 on the side into which (-y, x) points.
        [$x, $y] = [-$along->y * $join->leftSide, $along->x * $join->leftSide];

        return match (true) {
            $x < 0 => self::Left,
            $x > 0 => self::Right,
            $y < 0 => self::Up,
            default => self::Down,
        };
    }

    public function opposite(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
            self::Up => self::Down,
            self::Down => self::Up,
        };
    }
}
