<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\KeenSeamProblem;

final class ToleranceNotUsable extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function order(): self
    {
        return new self('What is eased must be no smaller than what is left alone, and at most 1/2 in. Change one of the two.');
    }

    public function problemCode(): string
    {
        return 'tolerance-not-usable';
    }

    public function where(): string
    {
        return '/ease';
    }
}
