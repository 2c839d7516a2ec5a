<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

/** What is trimmed to its unfinished size before it is joined to anything. */
enum SquareUp: string
{
    case Units = 'units';
    case None = 'none';
}
