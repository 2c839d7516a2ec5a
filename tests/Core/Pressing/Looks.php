<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

/** A clock that counts how often it is looked at, and says that time is up after so many looks. */
final class Looks
{
    public int $taken = 0;

    public function __construct(private readonly int $most = PHP_INT_MAX) {}

    public function timeIsUp(): bool
    {
        return ++$this->taken > $this->most;
    }
}
