<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

/** How the rows of a block go through the machine. */
enum Chain: string
{
    /** One row after the other, each pressed on its own. */
    case RowByRow = 'row-by-row';

    /** The first two units of every row in one chain, then the next: the rows stay webbed together by their threads. */
    case Webbed = 'webbed';

    /** Neighbours in pairs, the pairs in pairs: an order of its own, whose pairs are always fed one after the other. */
    case Twos = 'twos';
}
