<?php

declare(strict_types=1);

namespace App\Workings;

/** What of a top can be held. */
enum TopHold: string
{
    case Place = 'place';
    case Pile = 'pile';
    case SeamOfPile = 'seam-of-pile';
    case Seam = 'seam';
}
