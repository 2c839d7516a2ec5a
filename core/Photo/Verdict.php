<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/** What is said of a unit on a photograph. */
enum Verdict: string
{
    case AsDrawn = 'as drawn';
    case Turned = 'turned';
    case Mirrored = 'mirrored';
    case AnotherUnit = 'another unit';
    case Unsure = 'unsure';

    public function isWrong(): bool
    {
        return $this !== self::AsDrawn && $this !== self::Unsure;
    }
}
