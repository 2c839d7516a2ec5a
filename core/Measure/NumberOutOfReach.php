<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

use KeenSeam\Core\KeenSeamProblem;

/** Sizes whose common denominator is too large for exact arithmetic in whole numbers. */
final class NumberOutOfReach extends \OverflowException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where = '')
    {
        parent::__construct($message);
    }

    public static function inArithmetic(): self
    {
        return new self('These sizes have no common step that is coarse enough to compute with. Use lengths with simpler fractions.');
    }

    public function problemCode(): string
    {
        return 'number-out-of-reach';
    }

    public function where(): string
    {
        return $this->where;
    }
}
