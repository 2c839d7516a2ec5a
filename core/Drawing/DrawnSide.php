<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** What a picture shows of a block or a top. */
enum DrawnSide: string
{
    case Face = 'face';
    case Back = 'back';
    case Outlines = 'outlines';
}
