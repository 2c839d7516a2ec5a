<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Pressing\Pressing;

/** What is needed of a plan most often, without the plan itself. */
final readonly class PlanHead
{
    /**
     * @param string                    $content the same for plans that say the same
     * @param array<string, int|string> $figures as Figures::of() tells them
     * @param bool                      $proved  that no plan is better, of those with the same locks
     * @param int                       $found   how many better ones had been found on the way to it
     */
    public function __construct(
        public string $content,
        public Pressing $pressing,
        public array $figures,
        public bool $proved,
        public int $found,
    ) {}
}
