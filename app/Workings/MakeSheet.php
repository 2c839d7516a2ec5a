<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A sheet of a very large block, as the block was when it was asked for. */
final class MakeSheet implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 120;

    public function __construct(private readonly string $key)
    {
        $this->onQueue('sheets');
    }

    public function handle(Planning $planning, Workings $workings, KeptParts $parts): void
    {
        $parts->forgetAtHand();
        $asked = $parts->recall('asked-'.$this->key);
        if (is_array($asked) && is_array($asked[0]) && $asked[1] instanceof Sheet) {
            $block = (new ShelfBlock())->setRawAttributes($asked[0]);
            $planning->makeSheet($this->key, static fn () => $asked[1]->make($block, $workings->asAsked($block)));
        }
        $parts->forgetAtHand();
        gc_collect_cycles();
    }
}
