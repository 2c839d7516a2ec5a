<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** Under which part of its join a seam's allowances lie; named by the join's own parts, so it survives turning the block. */
enum PressDirection: string
{
    case Left = 'left';
    case Right = 'right';
    case Open = 'open';

    /** The same pressing when the two parts have changed places. */
    public function swapped(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
            self::Open => self::Open,
        };
    }

    /** Whether the left part's own allowance is folded back on it. */
    public function foldsLeft(): bool
    {
        return $this !== self::Right;
    }

    /** Whether the right part's own allowance is folded back on it. */
    public function foldsRight(): bool
    {
        return $this !== self::Left;
    }
}
