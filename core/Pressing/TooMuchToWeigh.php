<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\KeenSeamProblem;

/** A plan's figures would be too large to be compared truly. */
final class TooMuchToWeigh extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function block(): self
    {
        return new self('So many seams meet in this block that its plan cannot be weighed truly. Plan it as several blocks.');
    }

    public function problemCode(): string
    {
        return 'too-much-to-weigh';
    }

    public function where(): string
    {
        return '';
    }
}
