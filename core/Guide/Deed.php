<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

/** What a quilter tells from the machine. */
enum Deed: string
{
    case Done = 'done';

    /** One of the times that a step is done. */
    case Counted = 'counted';

    case Back = 'back';

    /** Pressed the other way than planned. */
    case Otherwise = 'otherwise';

    case Measured = 'measured';
    case Unpicked = 'unpicked';
    case Paused = 'paused';
    case Resumed = 'resumed';

    /** Whether it carries a step further, so that it can be taken back. */
    public function isWork(): bool
    {
        return match ($this) {
            self::Done, self::Counted, self::Otherwise, self::Measured => true,
            self::Back, self::Unpicked, self::Paused, self::Resumed => false,
        };
    }
}
