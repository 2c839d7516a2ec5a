<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** How much cloth a piece is given. */
enum Margin: string
{
    case Exact = 'exact';

    /** Cut larger and squared up after sewing. */
    case Larger = 'larger';
}
