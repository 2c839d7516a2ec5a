<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** How light or dark a fabric looks beside its neighbours. */
enum FabricValue: string
{
    /** Thirds of how light the eye finds it: CIE lightness 66 and 33, as relative luminance. */
    private const LIGHT_FROM = 0.353;

    private const MEDIUM_FROM = 0.0753;

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
