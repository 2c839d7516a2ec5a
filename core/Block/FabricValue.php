<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** How light or dark a fabric looks beside its neighbours. */
enum FabricValue: string
{
    case Light = 'light';
    case Medium = 'medium';
    case Dark = 'dark';

    /** 0 for light, 2 for dark. */
    public function rank(): int
    {
        return match ($this) {
            self::Light => 0,
            self::Medium => 1,
            self::Dark => 2,
        };
    }
}
