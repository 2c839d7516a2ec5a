<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\KeenSeamProblem;

/** A search that ended with a problem, told to whoever waits for its plan. */
final class PlanNotFound extends \RuntimeException implements KeenSeamProblem
{
    public static function since(string $problem): self
    {
        return new self($problem);
    }

    public function problemCode(): string
    {
        return 'plan-not-found';
    }

    public function where(): string
    {
        return '';
    }
}
