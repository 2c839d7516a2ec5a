<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

/** How the blocks of a top stand: upright, or on a corner. */
enum Setting: string
{
    case Straight = 'straight';
    case OnPoint = 'on-point';

    /** How the frame lies in which every point is exact: the axes run along the blocks' edges. */
    public function frame(): string
    {
        return $this === self::Straight ? 'upright' : 'on-point';
    }
}
