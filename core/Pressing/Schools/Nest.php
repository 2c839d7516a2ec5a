<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Schools;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\School;

/** Every seam to a side, so that ridges lock. */
final readonly class Nest implements School
{
    public function figures(): array
    {
        return [Figure::Mismatch, Figure::PeakSquared, Figure::Folded, Figure::Shadow, Figure::Furls];
    }

    public function directions(Join $join): array
    {
        return [PressDirection::Left, PressDirection::Right];
    }

    public function allowsFurls(): bool
    {
        return false;
    }

    public function words(): string
    {
        return 'nest';
    }
}
