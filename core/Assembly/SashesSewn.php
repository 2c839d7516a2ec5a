<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

/** When the sashes of a top are sewn. */
enum SashesSewn: string
{
    /** As they stand: upright ones within the rows of blocks, level ones as rows of their own. */
    case Between = 'between';

    /** To the blocks, before these are sewn to rows: each block has its own to the right and below. */
    case First = 'first';
}
