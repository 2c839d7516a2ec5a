<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

/** What a miss asks for. */
enum Verdict: string
{
    case Leave = 'leave';
    case Ease = 'ease';
    case Unpick = 'unpick';

    /** How much more care a join wants that misses so. */
    public function risk(): int
    {
        return match ($this) {
            self::Leave => 0,
            self::Ease => 2,
            self::Unpick => 6,
        };
    }
}
