<?php

declare(strict_types=1);

namespace App\Wall;

use App\Exceptions\ChangedElsewhere;
use App\Models\BlockEdit;
use App\Models\ShelfBlock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Every change to a layout, and every change at the press station, kept with the block so that it can be taken back in any
 * later session. Each station takes back its own.
 */
final class History
{
    /**
     * What a change may touch, and an undo puts back. Those after the layout are of changes kept by earlier versions, which
     * told seams by their numbers and forgot what was said of them.
     */
    private const STATE = [...self::LAYOUT, 'locks', 'two_piles', 'steps_done', 'measured_parts', 'take_up', 'leave', 'ease', 'cutting', 'cut_done'];

    private const LAYOUT = ['name', 'document', 'meant', 'swatches', 'picture'];

    private const PRESSING = ['style', 'lump', 'rest', 'locks', 'rules', 'two_piles', 'equal_parts', 'own_way'];

    /** Where a change was made. */
    public const WALL = 'wall';

    public const PRESS = 'press';

    /** The block's column that tells the change that was made last there. */
    private const NUMBERS = [self::WALL => 'edit_number', self::PRESS => 'press_edit_number'];

    /**
     * Saves the changes and remembers them, in one transaction.
     *
     * @param array<string, mixed> $changes
     *
     * @throws ChangedElsewhere
     */
    public static function record(ShelfBlock $block, int $seenVersion, string $words, array $changes, string $station = self::WALL): void
    {
        DB::transaction(static function () use ($block, $seenVersion, $words, $changes, $station): void {
            $number = self::numberOf($block, $station) + 1;
            $columns = array_flip($station === self::PRESS ? self::PRESSING : self::STATE);
            self::of($block, $station)->where('number', '>=', $number)->delete();
            // What was changed of the block already, before it is saved, is part of the change.
            $before = array_intersect_key($block->getRawOriginal(), $columns);
            $block->saveOver($seenVersion, $changes + [self::NUMBERS[$station] => $number]);
            $after = array_intersect_key($block->getAttributes(), $columns);
            $changed = array_filter($after, static fn (mixed $value, string $column): bool => $value !== ($before[$column] ?? null), ARRAY_FILTER_USE_BOTH);
            BlockEdit::query()->create([
                'shelf_block_id' => $block->id,
                'station' => $station,
                'number' => $number,
                'words' => $words,
                'before' => json_encode(array_intersect_key($before, $changed), JSON_THROW_ON_ERROR),
                'state' => json_encode($changed, JSON_THROW_ON_ERROR),
            ]);
        });
    }

    /** @return array{undo: string|null, redo: string|null} what the next undo takes back and the next redo does again */
    public static function around(ShelfBlock $block, string $station = self::WALL): array
    {
        $number = self::numberOf($block, $station);
        $words = self::of($block, $station)->whereIn('number', [$number, $number + 1])->pluck('words', 'number');

        return [
            'undo' => $number === 0 ? null : (is_string($words[$number] ?? null) ? $words[$number] : null),
            'redo' => is_string($words[$number + 1] ?? null) ? $words[$number + 1] : null,
        ];
    }

    /**
     * One change back or, with +1, forward again; nothing happens at either end. Only what the change did is taken back:
     * what was locked, sewn and measured since stays, unless it is said of seams that go with it. That is kept with the
     * change, so that going the other way brings it back.
     *
     * @param \Closure(ShelfBlock): array<string, mixed> $ending what ends with the block becoming so; it may refuse it
     */
    public static function step(ShelfBlock $block, int $seenVersion, int $by, \Closure $ending, string $station = self::WALL): void
    {
        $number = self::numberOf($block, $station);
        $edit = self::of($block, $station)->where('number', $by < 0 ? $number : $number + 1)->first();
        $to = $edit === null ? null : ($by < 0 ? self::before($block, $edit) : self::after($edit));
        if ($edit === null || $to === null) {
            return;
        }
        $now = $block->getAttributes();
        $changed = (clone $block)->setRawAttributes($to + $now);
        // What has to be planned for it keeps no other window from saving, and what a worker is asked for stays asked for.
        $ends = array_diff_key($ending($changed), $to);
        $block->setRawAttributes($to + $now);
        DB::transaction(static function () use ($block, $seenVersion, $by, $station, $number, $edit, $ends, $now, $to): void {
            $block->saveOver($seenVersion, $ends + [self::NUMBERS[$station] => $number + $by]);
            $left = json_encode(array_intersect_key($now, $to + $ends), JSON_THROW_ON_ERROR);
            $edit->fill($by < 0 ? ['state' => $left, 'before' => json_encode($to, JSON_THROW_ON_ERROR)] : ['before' => $left])->save();
        });
    }

    /**
     * What the block's own columns held before the change, of those it changed. Changes kept by earlier versions do not
     * know; there only the layout and what goes with it is put back.
     *
     * @return array<string, mixed>|null
     */
    private static function before(ShelfBlock $block, BlockEdit $edit): ?array
    {
        if ($edit->before !== null) {
            return self::read($edit->before);
        }
        $earlier = self::of($block, self::WALL)->where('number', $edit->number - 1)->first();

        return $earlier === null ? null : array_intersect_key(self::read($earlier->state), array_flip(self::LAYOUT));
    }

    /** @return array<string, mixed> */
    private static function after(BlockEdit $edit): array
    {
        $state = self::read($edit->state);

        return $edit->before === null ? array_intersect_key($state, array_flip(self::LAYOUT)) : $state;
    }

    /** @return array<string, mixed> */
    private static function read(string $state): array
    {
        $read = json_decode($state, true, 16, JSON_THROW_ON_ERROR);

        return is_array($read) ? $read : [];
    }

    private static function numberOf(ShelfBlock $block, string $station): int
    {
        return $station === self::PRESS ? $block->press_edit_number : $block->edit_number;
    }

    /** @return Builder<BlockEdit> */
    private static function of(ShelfBlock $block, string $station): Builder
    {
        return BlockEdit::query()->where('shelf_block_id', $block->id)->where('station', $station);
    }
}
