<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** One of the figures by which plans are compared; smaller is better. See Cost for what each is. */
enum Figure: string
{
    case Mismatch = 'mismatch';
    case OverLump = 'over_lump';
    case Unlocked = 'unlocked';
    case PeakSquared = 'peak_squared';
    case Folded = 'folded';
    case Shadow = 'shadow';
    case Furls = 'furls';

    public function of(Cost $cost): int
    {
        return match ($this) {
            self::Mismatch => $cost->mismatch,
            self::OverLump => $cost->overLump,
            self::Unlocked => $cost->unlocked,
            self::PeakSquared => $cost->peakSquared,
            self::Folded => $cost->folded,
            self::Shadow => $cost->shadowSteps,
            self::Furls => $cost->furls,
        };
    }
}
