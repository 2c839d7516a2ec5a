<?php

declare(strict_types=1);

namespace App\Wall;

use App\Exceptions\ChangedElsewhere;
use App\Models\BlockEdit;
use App\Models\ShelfBlock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Every change to a layout, kept with the block so that it can be taken back in any later session. */
final class History
{
    /** What a change may touch, and an undo puts back. */
    private const STATE = ['name', 'document', 'locks', 'two_piles', 'steps_done', 'measured_parts', 'meant', 'swatches', 'picture'];

    /**
     * Saves the changes and remembers them, in one transaction.
     *
     * @param array<string, mixed> $changes
     *
     * @throws ChangedElsewhere
     */
    public static function record(ShelfBlock $block, int $seenVersion, string $words, array $changes): void
    {
        DB::transaction(static function () use ($block, $seenVersion, $words, $changes): void {
            if ($block->edit_number === 0 && ! self::of($block)->exists()) {
                self::keep($block, 0, '');
            }
            self::of($block)->where('number', '>', $block->edit_number)->delete();
            $block->saveOver($seenVersion, $changes + ['edit_number' => $block->edit_number + 1]);
            self::keep($block, $block->edit_number, $words);
        });
    }

    /** @return array{undo: string|null, redo: string|null} what the next undo takes back and the next redo does again */
    public static function around(ShelfBlock $block): array
    {
        $words = self::of($block)->whereIn('number', [$block->edit_number, $block->edit_number + 1])->pluck('words', 'number');

        return [
            'undo' => $block->edit_number === 0 ? null : (is_string($words[$block->edit_number] ?? null) ? $words[$block->edit_number] : null),
            'redo' => is_string($words[$block->edit_number + 1] ?? null) ? $words[$block->edit_number + 1] : null,
        ];
    }

    /** One change back or, with +1, forward again; nothing happens at either end. */
    public static function step(ShelfBlock $block, int $seenVersion, int $by): void
    {
        $edit = self::of($block)->where('number', $block->edit_number + $by)->first();
        if ($edit instanceof BlockEdit) {
            $state = json_decode($edit->state, true, 16, JSON_THROW_ON_ERROR);
            $block->setRawAttributes((is_array($state) ? $state : []) + $block->getAttributes());
            $block->saveOver($seenVersion, ['edit_number' => $edit->number]);
        }
    }

    /** @return Builder<BlockEdit> */
    private static function of(ShelfBlock $block): Builder
    {
        return BlockEdit::query()->where('shelf_block_id', $block->id);
    }

    private static function keep(ShelfBlock $block, int $number, string $words): void
    {
        BlockEdit::query()->create([
            'shelf_block_id' => $block->id,
            'number' => $number,
            'words' => $words,
            'state' => json_encode(array_intersect_key($block->getAttributes(), array_flip(self::STATE)), JSON_THROW_ON_ERROR),
        ]);
    }
}
