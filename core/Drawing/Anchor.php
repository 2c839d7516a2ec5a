<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** Which part of a line of words stands at its place. */
enum Anchor: string
{
    case Start = 'start';
    case Middle = 'middle';
    case End = 'end';
}
