<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** Remembers what a search found for one construction, so that it need not be searched for again. */
interface PlanMemory
{
    /** @return array<array-key, mixed>|null what was kept under the name, or null */
    public function recall(string $name): ?array;

    /** @param array<string, mixed> $found numbers, texts and lists of them */
    public function keep(string $name, array $found): void;
}
