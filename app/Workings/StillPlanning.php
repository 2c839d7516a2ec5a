<?php

declare(strict_types=1);

namespace App\Workings;

/** There is no plan yet; a worker is at it, and whoever asks again gets it. Nothing was changed. */
final class StillPlanning extends \RuntimeException
{
    /** @param array{what: string, state: string, done: int, most: int, found: int} $state */
    private function __construct(public readonly string $key, public readonly array $state)
    {
        parent::__construct('The plan is still being worked out.');
    }

    /** @param array{what: string, state: string, done: int, most: int, found: int} $state */
    public static function of(string $key, array $state): self
    {
        return new self($key, $state);
    }
}
