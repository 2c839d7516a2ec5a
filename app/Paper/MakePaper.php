<?php

declare(strict_types=1);

namespace App\Paper;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Many sheets of a large block or top, as it was when they were asked for. */
final class MakePaper implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    public function __construct(private readonly string $key)
    {
        $this->onQueue('sheets');
    }

    public function handle(PaperShelf $papers): void
    {
        $papers->makeAsked($this->key);
        gc_collect_cycles();
    }
}
