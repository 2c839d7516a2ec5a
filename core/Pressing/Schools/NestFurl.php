<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Schools;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\School;

/** To a side, and where ridges meet a seam may change sides, so that the allowances turn like a wheel. */
final readonly class NestFurl implements School
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
        return true;
    }

    public function words(): string
    {
        return 'nest and furl';
    }
}
