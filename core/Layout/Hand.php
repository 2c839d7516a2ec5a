<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

/** Which of two units that are mirror images of each other. */
enum Hand: string
{
    case Left = 'left';
    case Right = 'right';

    public function other(): self
    {
        return $this === self::Left ? self::Right : self::Left;
    }
}
