<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

/** Which turns of a place the planner may choose. */
enum TurnsAllowed: string
{
    case Fixed = 'fixed';
    case SameFace = 'same-face';
    case Any = 'any';
}
