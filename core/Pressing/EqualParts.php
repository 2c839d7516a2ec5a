<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** How parts that come out equal within one unit of patches are pressed. */
enum EqualParts: string
{
    /** Each as it nests best. */
    case Apart = 'apart';

    /** All in one pile, like the units of a class. */
    case Alike = 'alike';
}
