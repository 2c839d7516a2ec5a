<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

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

    /**
     * What several unpicks of this cause were.
     *
     * @param string $units what the units at those seams are called: "flying geese"
     */
    public function several(string $units): string
    {
        return match ($this) {
            self::Turned => 'turned '.$units,
            self::WrongHand => $units.' of the wrong hand',
            self::MissedPoint => 'missed points',
            self::PressedWrong => 'seams pressed to the wrong side',
            self::Other => 'for other reasons',
        };
    }

    /** What keeps it from happening again; nothing where that cannot be known. Common practice, no published source. */
    public function remedy(): string
    {
        return match ($this) {
            self::Turned => 'switch on the second look, and lay every sewn pair back in the layout',
            self::WrongHand => 'lay left and right on two labelled piles before you sew them on',
            self::MissedPoint => 'stab a pin straight through each point, and sew a hair to the raw-edge side of the crossing threads',
            self::PressedWrong => 'look at the arrow once more before a pile goes to the iron',
            self::Other => '',
        };
    }
}
