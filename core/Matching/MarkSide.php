<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

/** What one side of a join has at a mark. */
enum MarkSide: string
{
    /** A patch touches the join here with its tip only. */
    case Tip = 'tip';

    /** Seams end here. */
    case Seam = 'seam';

    /** Nothing but cloth. */
    case Plain = 'plain';
}
