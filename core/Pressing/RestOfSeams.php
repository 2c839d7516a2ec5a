<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** What happens to the seams the quilter did not lock when she locks one. */
enum RestOfSeams: string
{
    /** They stay as the plan without locks has them, so that she sees what her own change does. */
    case Stays = 'stays';

    /** They are planned anew around her locks. */
    case Follows = 'follows';
}
