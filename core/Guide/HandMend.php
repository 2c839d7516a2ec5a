<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

/** How units that came out as the other hand are mended, the least work first. Common practice, no published source. */
enum HandMend: string
{
    /** They have no other hand. */
    case Turn = 'turn';

    /** Their faces are right; their seams lie as in a mirror. */
    case Press = 'press';

    /** The block needs the other hand too, and not all of those are made. */
    case Swap = 'swap';

    case Seams = 'seams';

    case Remake = 'remake';
}
