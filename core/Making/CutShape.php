<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What a cut piece is before anything is sewn. */
enum CutShape: string
{
    case Square = 'square';
    case Rectangle = 'rectangle';
    case Strip = 'strip';
    case Template = 'template';
}
