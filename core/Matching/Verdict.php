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

    /**
     * What to do with a part that was measured.
     *
     * @param float $off how much too large it is; negative when it is too small
     */
    public function afterMeasuring(float $off): string
    {
        return match (true) {
            $this === self::Leave => 'Fine: leave it.',
            $this === self::Ease => 'Ease it in, or pin it, at the next join.',
            $off > 0 => 'Too large to be eased: trim it, or unpick and take a wider seam.',
            default => 'Too small to be eased: unpick its seams and sew them narrower, or make it again.',
        };
    }
}
