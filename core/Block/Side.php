<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** A side of a cell as it lies on the face. */
enum Side: string
{
    case Top = 'top';
    case Right = 'right';
    case Bottom = 'bottom';
    case Left = 'left';

    /**
     * Whether a place of the square lies on this side.
     *
     * @param array{int, int} $place
     */
    public function holds(array $place, int $length): bool
    {
        return match ($this) {
            self::Top => $place[1] === 0,
            self::Right => $place[0] === $length,
            self::Bottom => $place[1] === $length,
            self::Left => $place[0] === 0,
        };
    }

    /** @param array{int, int} $place */
    public function along(array $place): int
    {
        return $this === self::Top || $this === self::Bottom ? $place[0] : $place[1];
    }
}
