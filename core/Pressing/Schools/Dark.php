<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Schools;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\Internal\SeamCosts;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\School;

/** Toward the side that is darker along the seam; where both are alike, as nests best. */
final readonly class Dark implements School
{
    public function figures(): array
    {
        return [Figure::Mismatch, Figure::PeakSquared, Figure::Folded, Figure::Shadow, Figure::Furls];
    }

    public function directions(Join $join): array
    {
        $darker = SeamCosts::darkerSide($join);

        return match (true) {
            $darker > 0 => [PressDirection::Right],
            $darker < 0 => [PressDirection::Left],
            default => [PressDirection::Left, PressDirection::Right],
        };
    }

    public function allowsFurls(): bool
    {
        return false;
    }

    public function words(): string
    {
        return 'toward the dark';
    }
}
