<?php

declare(strict_types=1);

namespace App\Workings;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A long search for the plan of a top, as it stood when it was asked for. */
final class SearchForTopPlan implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    public function __construct(private readonly string $key)
    {
        $this->onQueue('planning');
    }

    public function handle(WorkedTops $tops): void
    {
        $tops->searchLong($this->key);
        gc_collect_cycles();
    }
}
