<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

/** What a unit is drawn from. */
enum DrawingStart: string
{
    /** One patch of the ground. */
    case Whole = 'whole';

    /** Two, from corner to corner. */
    case Halves = 'halves';

    /** The seams that are there. */
    case Picture = 'picture';
}
