<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

/** How the two parts of a join are laid to each other at one of its ends. */
enum EndLay: string
{
    /** Both raw edges end together. */
    case Level = 'level';

    /** The raw sides cross exactly on the stitching line: the needle goes through that V. */
    case Vee = 'vee';

    /** Nothing lines up; the corners are marked one allowance in, or the parts are laid by their other end. */
    case Marked = 'marked';
}
