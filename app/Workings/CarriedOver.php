<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;

/** What earlier versions kept by numbers of joins and labels of classes, told by places instead, once. */
final readonly class CarriedOver
{
    public function __construct(private WorkingOut $working, private ShelfBlock $block) {}

    /** Saved at once, without a new version: it says the same. */
    public static function into(ShelfBlock $block, WorkingOut $working): void
    {
        if (! self::isNeeded($block)) {
            return;
        }
        (new self($working, $block))->carry();
        if ($block->exists && $block->isDirty()) {
            ShelfBlock::query()->whereKey($block->id)->update($block->getDirty());
            $block->syncOriginal();
        }
    }

    private static function isNeeded(ShelfBlock $block): bool
    {
        foreach ([...array_values($block->locks), ...array_values($block->two_piles)] as $ofOrder) {
            if (array_filter($ofOrder, is_string(...)) !== []) {
                return true;
            }
        }
        foreach ($block->measured_parts as $ofOrder) {
            if (array_filter(array_keys($ofOrder), is_int(...)) !== []) {
                return true;
            }
        }

        return $block->work === [] ? array_filter($block->steps_done) !== [] : array_filter(array_keys($block->work), self::isNumbered(...)) !== [];
    }

    private static function isNumbered(int|string $key): bool
    {
        return preg_match('~^[a-z]+-[0-9a-f]{12}$~D', (string) $key) === 1;
    }

    private function carry(): void
    {
        foreach (Order::cases() as $order) {
            $here = clone $this->block;
            $here->order = $order;
            try {
                $this->carryOrder($order, $this->working->with($here));
            } catch (KeenSeamProblem) {
                continue; // the block is not sewn so; nothing can have been said of its seams
            }
        }
    }

    private function carryOrder(Order $order, WorkingOut $working): void
    {
        $name = $order->value;
        [$locks, $piles, $measured] = [$this->block->locks[$name] ?? [], $this->block->two_piles[$name] ?? [], $this->block->measured_parts[$name] ?? []];
        $texts = array_filter($locks, is_string(...));
        $labels = array_filter($piles, is_string(...));
        $sizes = array_filter($measured, is_int(...), ARRAY_FILTER_USE_KEY);
        $works = array_filter($this->block->work, static fn (int|string $key): bool => self::isNumbered($key) && str_starts_with((string) $key, $name.'-'), ARRAY_FILTER_USE_KEY);
        $counted = $this->block->work === [] ? ($this->block->steps_done[$name] ?? 0) : 0;
        if ([$texts, $labels, $sizes, $works, $counted] === [[], [], [], [], 0]) {
            return;
        }
        $construction = $working->construction();
        $places = $working->places();
        $here = clone $this->block;
        $here->order = $order;
        $facts = new Facts($here, $places, $construction);
        if ($texts !== []) {
            $read = array_filter(array_map(static fn (string $text): Lock => Lock::parse($text), array_values($texts)), static fn (Lock $lock): bool => isset($construction->joins[$lock->join]));
            $this->block->locks = $facts->withLocks(array_values($read));
        }
        if ($labels !== []) {
            $this->block->two_piles = $facts->withTwoPiles(array_keys(array_filter($construction->classes, static fn ($class): bool => in_array($class->label(), $labels, true))));
        }
        if ($sizes !== []) {
            $told = array_filter($measured, is_string(...), ARRAY_FILTER_USE_KEY);
            foreach ($sizes as $join => $size) {
                if (isset($construction->joins[$join])) {
                    $told[$places->places[$join]] = ['of' => $places->partOf($join), 'size' => $size];
                }
            }
            $this->block->measured_parts = [$name => $told] + $this->block->measured_parts;
        }
        $numbered = $works[self::signature($construction)] ?? null;
        if (is_array($numbered) || $counted > 0) {
            $now = clone $this->block;
            $now->order = $order;
            $working = $working->with($now);
            $pedal = $working->pedal();
            $progress = is_array($numbered) ? Facts::ofNumbers($numbered, $pedal->steps) : self::counted($working, $pedal, $counted);
            $this->block->work = array_diff_key($facts->withProgress($progress, array_map(static fn (Step $step): string => $step->key(), $pedal->steps)), [self::signature($construction) => true]);
        }
    }

    /** By which progress was kept. */
    private static function signature(Construction $construction): string
    {
        $seams = array_map(static fn (Join $join): string => $join->seam->from->key().'-'.$join->seam->to->key(), $construction->joins);

        return $construction->order->key().'-'.substr(md5(implode(' ', $seams)), 0, 12);
    }

    /** Progress that was kept as a count of the plan's own steps. */
    private static function counted(WorkingOut $working, Pedal $pedal, int $count): WorkProgress
    {
        $progress = new WorkProgress();
        foreach (array_slice(PlanSteps::of($working->plan()), 0, $count) as $step) {
            $progress = $progress->with($step, $pedal->pressing);
        }
        $started = array_filter($pedal->steps, static fn (Step $step): bool => $step->joins !== [] && $progress->open($step) === []);
        foreach (array_slice($pedal->steps, 0, (int) array_key_last($started)) as $step) {
            $progress = $step->joins === [] ? $progress->with($step, $pedal->pressing) : $progress;
        }

        return $progress;
    }
}
