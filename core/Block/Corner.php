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
