<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** The schools of pressing: which ways a seam may lie, and what counts first. */
enum PressStyle: string
{
    case Nest = 'nest';
    case NestFurl = 'nest-furl';
    case Open = 'open';
    case Dark = 'dark';
    case Mixed = 'mixed';

    /** @return non-empty-list<PressDirection> the ways a seam may lie, the first preferred among equals */
    public function directions(): array
    {
        return match ($this) {
            self::Nest, self::NestFurl, self::Dark => [PressDirection::Left, PressDirection::Right],
            self::Open => [PressDirection::Open],
            self::Mixed => PressDirection::cases(),
        };
    }

    /** Whether a join may change its direction at a crossing. */
    public function allowsFurls(): bool
    {
        return $this === self::NestFurl;
    }

    /** Whether flattening lumps counts before nesting. */
    public function goesByTheLump(): bool
    {
        return $this === self::Mixed;
    }

    public function words(): string
    {
        return match ($this) {
            self::Nest => 'nest',
            self::NestFurl => 'nest and furl',
            self::Open => 'open',
            self::Dark => 'toward the dark',
            self::Mixed => 'by the lump',
        };
    }
}
