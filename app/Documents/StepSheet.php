<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Work\Work;
use App\Work\WorkTable;
use App\Workings\Sheet;
use App\Workings\WorkingOut;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Matching\TakeUp;

/** The picture of one step at the machine. */
final readonly class StepSheet implements Sheet
{
    /** Patches of a step whose picture no request draws by itself, where the block is large. */
    private const LARGE = 100;

    private function __construct(private string $key) {}

    public function atOnce(): int
    {
        return 3000;
    }

    public function make(ShelfBlock $block, WorkingOut $working): void
    {
        $work = app(WorkTable::class)->of($block);
        self::text($work, $work->step($this->key), $block);
    }

    /** JSON of WorkDocument::step(). */
    public static function text(Work $work, Step $step, ShelfBlock $block): string
    {
        $sources = [$step->key(), $step->joins, $step->made, $step->patchIds, $step->stages, $block->take_up, $block->square_up, $block->leave, $block->ease, $work->working->facts()->measured()];

        return $work->working->sheet(
            'step',
            $sources,
            static fn (): array => WorkDocument::step($work, $step, $block, TakeUp::readOrIdeal($block->take_up, $work->working->design())),
            count($step->patchIds) > self::LARGE ? new self($step->key()) : null,
        );
    }
}
