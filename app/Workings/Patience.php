<?php

declare(strict_types=1);

namespace App\Workings;

/** How long a search may go on. */
final class Patience
{
    public function __construct(private readonly float $seconds = 8.0) {}

    /** @return \Closure(): bool true once the time that begins now is over */
    public function timeIsUp(): \Closure
    {
        $end = microtime(true) + $this->seconds;

        return static fn (): bool => microtime(true) > $end;
    }
}
