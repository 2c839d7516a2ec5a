<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What is done where a way gives units that look the same and are built as mirror images. */
enum BuildChoice: string
{
    /** Only those built like the plan's are used. */
    case Alike = 'alike';

    /** Each place takes either, and the plan is found for that. */
    case AsTheyCome = 'as they come';
}
