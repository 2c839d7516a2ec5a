<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** What a face is of, and how what hangs lies in it. */
enum FaceKind
{
    case Block;
    case Top;

    /** The face is the top's frame, which hangs turned by 45 degrees clockwise. */
    case TopOnPoint;

    public function word(): string
    {
        return $this === self::Block ? 'block' : 'top';
    }

    /** What its rows are made of: a top's of blocks, sashes and plain squares. */
    public function piece(): string
    {
        return $this === self::Block ? 'unit' : 'piece';
    }
}
