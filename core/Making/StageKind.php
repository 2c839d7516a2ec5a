<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What is done to cloth in making a unit. */
enum StageKind: string
{
    case Lay = 'lay';
    case Mark = 'mark';
    case Sew = 'sew';
    case Cut = 'cut';
    case Open = 'open';
    case Press = 'press';
    case Trim = 'trim';
    case Turn = 'turn';
}
