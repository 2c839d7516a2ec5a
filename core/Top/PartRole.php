<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

enum PartRole: string
{
    case Block = 'block';
    case PlainSquare = 'plain square';
    case Sash = 'sash';
    case Cornerstone = 'cornerstone';
    case SideOfBlock = 'side of a block';
    case PlainSide = 'plain side';
}
