<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Schools;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\School;

/** Every seam open. */
final readonly class Open implements School
{
    public function figures(): array
    {
        return [Figure::Mismatch, Figure::PeakSquared, Figure::Folded, Figure::Shadow, Figure::Furls];
    }

    public function directions(Join $join): array
    {
        return [PressDirection::Open];
    }

    public function allowsFurls(): bool
    {
        return false;
    }

    public function words(): string
    {
        return 'open';
    }
}
