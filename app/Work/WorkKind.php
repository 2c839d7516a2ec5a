<?php

declare(strict_types=1);

namespace App\Work;

/** What a quilter tells from the machine. */
enum WorkKind: string
{
    case Done = 'done';
    case Back = 'back';
    case Otherwise = 'otherwise';
    case Measured = 'measured';
    case Unpicked = 'unpicked';
}
