<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Schools;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\School;

/** To a side or open, whole joins: open where many triangles would make a lump, nesting wherever none does. */
final readonly class ByTheLump implements School
{
    public function figures(): array
    {
        return [Figure::OverLump, Figure::Unlocked, Figure::PeakSquared, Figure::Folded, Figure::Shadow, Figure::Furls];
    }

    public function directions(Join $join): array
    {
        return PressDirection::cases();
    }

    public function allowsFurls(): bool
    {
        return false;
    }

    public function words(): string
    {
        return 'by the lump';
    }
}
