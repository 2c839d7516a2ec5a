<?php

declare(strict_types=1);

namespace App\Work;

/** What a quilter does with a step of a top, or with the whole work. */
enum TopDeed: string
{
    /** Sews the top as it is planned now; what is sewn already stays sewn where the same seams are there. */
    case Begin = 'begin';

    /** One of the times that the step is done. */
    case One = 'one';

    /** All of them. */
    case Done = 'done';

    /** The last deed was none. */
    case Back = 'back';
}
