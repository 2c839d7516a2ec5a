<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

enum StepKind: string
{
    case Cut = 'cut';
    case Mark = 'mark';
    case Join = 'join';
    case CutApart = 'cut-apart';
    case Press = 'press';
    case SquareUp = 'square-up';
    case LayOut = 'lay-out';
    case Check = 'check';
    case Measure = 'measure';

    /** Where it is done: steps in a row at one place are one trip there. */
    public function place(): string
    {
        return match ($this) {
            self::Cut, self::SquareUp => 'cutting mat',
            self::Join => 'machine',
            self::Press => 'iron',
            self::Mark, self::CutApart, self::LayOut, self::Check, self::Measure => 'table',
        };
    }

    /** What to beware of there, in a sentence or two. */
    public function caution(): string
    {
        return match ($this) {
            self::Cut, self::SquareUp => 'Close the blade when you put it down, and cut away from yourself.',
            self::Join => 'Take each pin out as the needle comes to it; slow by hand over a lump.',
            self::Press => 'Hot plate and steam: never leave the iron face down.',
            self::Mark, self::CutApart, self::LayOut, self::Check, self::Measure => '',
        };
    }
}
