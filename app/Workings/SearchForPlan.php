<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use KeenSeam\Core\Pressing\PressQuestion;

/** A long search for a plan. The block is the one that was asked about, whatever became of it on the shelf since. */
final class SearchForPlan implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    public function __construct(private readonly string $key)
    {
        $this->onQueue('planning');
    }

    public function handle(Planning $planning, Workings $workings, KeptParts $parts): void
    {
        // What another process kept meanwhile is not in this one's hands.
        $parts->forgetAtHand();
        $asked = $parts->recall('asked-'.$this->key);
        if (! is_array($asked) || ! is_array($asked[0]) || ! $asked[1] instanceof PressQuestion) {
            return;
        }
        $block = (new ShelfBlock())->setRawAttributes($asked[0]);
        $planning->searchLong($this->key, $asked[1], static fn () => $workings->asAsked($block)->plans()->planner());
        $parts->forgetAtHand();
        gc_collect_cycles();
    }
}
