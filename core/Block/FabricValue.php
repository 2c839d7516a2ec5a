<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** How light or dark a fabric looks beside its neighbours. */
enum FabricValue: string
{
    /**
     * Relative luminance of CIE lightness 75 and 40: cloth is sorted with its middle tones wide.
     * Common practice, no published source.
     */
    private const LIGHT_FROM = 0.483;

    private const MEDIUM_FROM = 0.113;

    case Light = 'light';
    case Medium = 'medium';
    case Dark = 'dark';

    /** What a colour looks like by itself; the quilter may see it otherwise beside its neighbours. */
    public static function proposedFor(string $color): self
    {
        $luminance = Luminance::of($color);

        return match (true) {
            $luminance >= self::LIGHT_FROM => self::Light,
            $luminance >= self::MEDIUM_FROM => self::Medium,
            default => self::Dark,
        };
    }

    /** 0 for light, 2 for dark. */
    public function rank(): int
    {
        return match ($this) {
            self::Light => 0,
            self::Medium => 1,
            self::Dark => 2,
        };
    }
}
