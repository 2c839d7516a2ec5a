<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Pressing\Schools\ByTheLump;
use KeenSeam\Core\Pressing\Schools\Dark;
use KeenSeam\Core\Pressing\Schools\Nest;
use KeenSeam\Core\Pressing\Schools\NestFurl;
use KeenSeam\Core\Pressing\Schools\Open;

/** The names of the schools of pressing, as files and the command line have them. */
enum PressStyle: string
{
    case Nest = 'nest';
    case NestFurl = 'nest-furl';
    case Open = 'open';
    case Dark = 'dark';
    case Mixed = 'mixed';

    public function school(): School
    {
        return match ($this) {
            self::Nest => new Nest(),
            self::NestFurl => new NestFurl(),
            self::Open => new Open(),
            self::Dark => new Dark(),
            self::Mixed => new ByTheLump(),
        };
    }

    public function allowsFurls(): bool
    {
        return $this->school()->allowsFurls();
    }

    /** Whether it asks for how many plies are a lump. */
    public function goesByTheLump(): bool
    {
        return in_array(Figure::OverLump, $this->school()->figures(), true);
    }

    public function words(): string
    {
        return $this->school()->words();
    }
}
