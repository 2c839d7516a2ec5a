<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** A take-up so far from two allowances that it is sooner a slip of the pen. */
final class TakeUpNotLikely extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function of(string $given, Fraction $ideal, LengthUnit $unit): self
    {
        return new self(sprintf('A seam here takes up about %s %s; "%s" is not likely. Measure again, and give what one seam takes.', $ideal->toText(), $unit->value, mb_substr($given, 0, 20)));
    }

    public function problemCode(): string
    {
        return 'take-up-not-likely';
    }

    public function where(): string
    {
        return '/take_up';
    }
}
