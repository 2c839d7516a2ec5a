<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** The corners of a unit in its own frame. */
enum Corner: string
{
    case TopLeft = 'tl';
    case TopRight = 'tr';
    case BottomRight = 'br';
    case BottomLeft = 'bl';

    /** Where the corner comes to lie when its unit is flipped left to right if asked, then turned. */
    public function moved(Placement $by): self
    {
        $clockwise = self::cases();
        $at = (int) array_search($this, $clockwise, true);
        $at = $by->mirrored ? [1, 0, 3, 2][$at] : $at;

        return $clockwise[($at + $by->turn->quarters()) % 4];
    }

    public function isLeft(): bool
    {
        return $this === self::TopLeft || $this === self::BottomLeft;
    }

    public function isTop(): bool
    {
        return $this === self::TopLeft || $this === self::TopRight;
    }

    public function words(): string
    {
        return match ($this) {
            self::TopLeft => 'top left',
            self::TopRight => 'top right',
            self::BottomRight => 'bottom right',
            self::BottomLeft => 'bottom left',
        };
    }
}
