<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\FaceSide;

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

    /** The quilter's word for it who looks at the face. */
    public function onFace(FaceSide $leftPart): string
    {
        return match ($this) {
            self::Left => $leftPart->value,
            self::Right => $leftPart->opposite()->value,
            self::Open => self::Open->value,
        };
    }

    /** @return self|null null where the seam has no such side: a level one has no left */
    public static function fromFace(string $word, FaceSide $leftPart): ?self
    {
        foreach (self::cases() as $direction) {
            if ($direction->onFace($leftPart) === $word) {
                return $direction;
            }
        }

        return null;
    }
}
