<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\LengthUnit;

/** A measured size so far from what it should be that it is sooner a slip of the pen. */
final class MeasuredNotLikely extends \InvalidArgumentException implements KeenSeamProblem
{
    /** A part is off by no more than a tenth of itself, or it is another part. */
    private const MOST_OFF = 0.1;

    /** @throws self */
    public static function unlessNear(float $measured, float $meant, string $given, LengthUnit $unit): void
    {
        if (abs($measured - $meant) > self::MOST_OFF * $meant) {
            throw new self(sprintf('This should measure about %s %s; "%s" is not likely. Measure again.', Amount::text($meant), $unit->value, mb_substr($given, 0, 20)));
        }
    }

    public function problemCode(): string
    {
        return 'measured-not-likely';
    }

    public function where(): string
    {
        return '/measured';
    }
}
