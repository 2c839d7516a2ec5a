<?php

declare(strict_types=1);

namespace App\Work;

/** Why a seam is opened again. */
enum UnpickCause: string
{
    case Turned = 'turned';
    case WrongHand = 'wrong-hand';
    case MissedPoint = 'missed-point';
    case PressedWrong = 'pressed-wrong';
    case Other = 'other';

    /** As a quilter says it. */
    public function words(): string
    {
        return match ($this) {
            self::Turned => 'a unit was turned',
            self::WrongHand => 'wrong hand',
            self::MissedPoint => 'a point was missed',
            self::PressedWrong => 'pressed to the wrong side',
            self::Other => 'something else',
        };
    }
}
