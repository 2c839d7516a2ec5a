<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** A way of pressing as a quilter says it of many seams at once; sides are as seen on the face. */
enum RuleWord: string
{
    case Left = 'left';
    case Right = 'right';
    case Up = 'up';
    case Down = 'down';
    case Out = 'out';
    case In = 'in';
    case Open = 'open';
    case Dark = 'dark';
    case Light = 'light';

    /** Says nothing of a row, so that a list of rows can pass it over. */
    case Free = 'free';
}
