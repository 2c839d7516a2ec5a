<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

/** What is printed of a block or a top, in the order of the work. */
enum SheetKind: string
{
    case Cut = 'cut';
    case Templates = 'templates';
    case Order = 'order';
    case Press = 'press';
    case Joins = 'joins';
    case Steps = 'steps';
}
