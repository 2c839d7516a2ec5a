<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** The schools of pressing: which ways a seam may lie. */
enum PressStyle: string
{
    case Nest = 'nest';

    /** @return non-empty-list<PressDirection> the ways a seam may lie, the first preferred among equals */
    public function directions(): array
    {
        return match ($this) {
            self::Nest => [PressDirection::Left, PressDirection::Right],
        };
    }
}
