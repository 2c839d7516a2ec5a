<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PlacedLock;
use KeenSeam\Core\Pressing\PressDirection;

/**
 * What a quilter said and did to the seams of a block, kept by where they lie: read for the seams as they are sewn now,
 * and written back. What fits none of them is left as it is, and holds again when its seam is there again.
 */
final readonly class Facts
{
    private string $order;

    public function __construct(private ShelfBlock $block, private SeamPlaces $places, private Construction $construction)
    {
        $this->order = $block->order->key();
    }

    /** @return list<Lock> */
    public function locks(): array
    {
        $locks = [];
        foreach ($this->kept('locks') as $kept) {
            $lock = $this->lock($kept);
            if ($lock !== null) {
                $locks[] = $lock;
            }
        }

        return $locks;
    }

    /** How many locks fit no seam of the block as it is sewn now. */
    public function locksAsleep(): int
    {
        return count($this->kept('locks')) - count($this->locks());
    }

    /**
     * @param list<Lock> $locks
     *
     * @return array<string, array<array-key, mixed>> for the block's column
     */
    public function withLocks(array $locks, bool $keepAsleep = true): array
    {
        $asleep = $keepAsleep ? array_values(array_filter($this->kept('locks'), fn (mixed $kept): bool => is_array($kept) && $this->lock($kept) === null)) : [];
        $written = array_map(fn (Lock $lock): array => PlacedLock::of($lock, $this->places)->toArray(), $locks);

        return [$this->order => [...$asleep, ...$written]] + $this->block->locks;
    }

    /** @return list<int> indexes of the unit classes that are pressed in two piles */
    public function twoPiles(): array
    {
        $classes = [];
        foreach ($this->kept('two_piles') as $cell => $piles) {
            $class = $piles === 2 ? $this->places->classAt((string) $cell) : null;
            if ($class !== null) {
                $classes[] = $class;
            }
        }
        sort($classes);

        return $classes;
    }

    /**
     * @param list<int> $classes
     *
     * @return array<string, array<string, int>>
     */
    public function withTwoPiles(array $classes): array
    {
        return [$this->order => array_fill_keys(array_map(fn (int $class): string => $this->places->cells[$class], $classes), 2)] + $this->block->two_piles;
    }

    /** @return array<int, array{string, string}> raw width and height of parts that were measured, by the join that made them */
    public function measured(): array
    {
        $measured = [];
        foreach ($this->kept('measured_parts') as $place => $kept) {
            $join = $this->places->joinAt((string) $place);
            if ($join !== null && is_array($kept) && ($kept['of'] ?? null) === $this->places->partOf($join) && is_array($kept['size'] ?? null)) {
                $measured[$join] = [(string) $kept['size'][0], (string) $kept['size'][1]];
            }
        }

        return $measured;
    }

    /** @return array<int, array{float, float}> the same in the unit of length */
    public function measuredIn(LengthUnit $unit): array
    {
        $number = static fn (string $text): float => Length::parse($text, $unit)->in($unit)->toFloat();

        return array_map(static fn (array $size): array => [$number($size[0]), $number($size[1])], $this->measured());
    }

    /**
     * @param array{string, string}|null $size null forgets it
     *
     * @return array<string, array<string, mixed>>
     */
    public function withMeasured(int $join, ?array $size): array
    {
        $place = $this->places->places[$join];
        $others = array_diff_key($this->kept('measured_parts'), [$place => true]);

        return [$this->order => $size === null ? $others : [$place => ['of' => $this->places->partOf($join), 'size' => $size]] + $others] + $this->block->measured_parts;
    }

    public function progress(): WorkProgress
    {
        $kept = $this->kept('work');
        $list = static fn (string $field): array => is_array($kept[$field] ?? null) ? $kept[$field] : [];
        $counts = static fn (string $field): array => array_filter($list($field), is_int(...));
        $sewn = [];
        foreach ($list('sewn') as $place => $part) {
            $join = $this->places->joinAt((string) $place);
            if ($join !== null && $part === $this->places->partOf($join)) {
                $sewn[] = $join;
            }
        }

        return new WorkProgress(
            $sewn,
            array_intersect_key($this->directions($list('pressed')), array_flip($sewn)),
            array_values(array_filter($list('done'), is_string(...))),
            $counts('due'),
            $counts('counted'),
            $this->directions($list('elsewhere')),
        );
    }

    /**
     * @param list<string> $keys of the steps there are now
     *
     * @return array<string, mixed>
     */
    public function withProgress(WorkProgress $progress, array $keys): array
    {
        $before = $this->kept('work');
        $list = static fn (string $field): array => is_array($before[$field] ?? null) ? $before[$field] : [];
        // What is kept of seams that are not there now stays.
        $asleep = array_filter($list('sewn'), fn (mixed $part, string|int $place): bool => ! $this->fits((string) $place, $part), ARRAY_FILTER_USE_BOTH);
        $notHere = fn (array $byPlace): array => array_filter($byPlace, fn (string|int $place): bool => $this->places->joinAt((string) $place) === null, ARRAY_FILTER_USE_KEY);
        $sewn = [];
        foreach ($progress->sewn as $join) {
            $sewn[$this->places->places[$join]] = $this->places->partOf($join);
        }

        return [$this->order => [
            'sewn' => $sewn + $asleep,
            'pressed' => $this->byPlace($progress->pressed) + $notHere($list('pressed')),
            'done' => array_values(array_unique([...$progress->done, ...array_filter($list('done'), static fn (mixed $key): bool => is_string($key) && ! in_array($key, $keys, true))])),
            'due' => $progress->due,
            'counted' => $progress->counted,
            'elsewhere' => $this->byPlace($progress->elsewhere) + $notHere($list('elsewhere')),
        ]] + $this->block->work;
    }

    /**
     * Done steps under the keys they have now, where they were kept by numbers.
     *
     * @param array<string, mixed> $numbered progress as it was kept by numbers of joins
     * @param list<Step>           $steps
     */
    public static function ofNumbers(array $numbered, array $steps): WorkProgress
    {
        $list = static fn (string $field): array => is_array($numbered[$field] ?? null) ? $numbered[$field] : [];
        $names = [];
        foreach ($steps as $step) {
            $names[$step->keyByNumbers()] = $step->key();
        }
        $counts = static function (string $field) use ($list, $names): array {
            $counts = [];
            foreach (array_filter($list($field), is_int(...)) as $key => $count) {
                $counts[$names[$key] ?? (string) $key] = $count;
            }

            return $counts;
        };
        $directions = static function (string $field) use ($list): array {
            $all = [];
            foreach ($list($field) as $join => $kept) {
                $read = array_values(array_filter(array_map(static fn (mixed $one): ?PressDirection => is_string($one) ? PressDirection::tryFrom($one) : null, is_array($kept) ? $kept : [])));
                if ($read !== []) {
                    $all[(int) $join] = $read;
                }
            }

            return $all;
        };

        return new WorkProgress(
            array_values(array_filter($list('sewn'), is_int(...))),
            $directions('pressed'),
            array_map(static fn (string $key): string => $names[$key] ?? $key, array_values(array_filter($list('done'), is_string(...)))),
            $counts('due'),
            $counts('counted'),
            $directions('elsewhere'),
        );
    }

    private function fits(string $place, mixed $part): bool
    {
        $join = $this->places->joinAt($place);

        return $join !== null && $part === $this->places->partOf($join);
    }

    private function lock(mixed $kept): ?Lock
    {
        return is_array($kept) ? PlacedLock::fromArray($kept)->on($this->places, $this->construction) : null;
    }

    /** @return array<array-key, mixed> of the order in which the block is sewn now */
    private function kept(string $column): array
    {
        $byOrder = $this->block->getAttribute($column);
        $kept = is_array($byOrder) ? ($byOrder[$this->order] ?? []) : [];

        return is_array($kept) ? $kept : [];
    }

    /**
     * @param array<array-key, mixed> $byPlace
     *
     * @return array<int, non-empty-list<PressDirection>> by join
     */
    private function directions(array $byPlace): array
    {
        $all = [];
        foreach ($byPlace as $place => $kept) {
            $join = $this->places->joinAt((string) $place);
            $words = $join === null || ! is_array($kept) ? [] : ($this->places->isTurned($join) ? array_reverse($kept) : $kept);
            $read = $join === null ? [] : array_values(array_filter(array_map(fn (mixed $word): ?PressDirection => is_string($word) ? PressDirection::fromFace($word, $this->places->leftOf($join)) : null, $words)));
            if ($join !== null && $read !== []) {
                $all[$join] = $read;
            }
        }

        return $all;
    }

    /**
     * @param array<int, non-empty-list<PressDirection>> $byJoin
     *
     * @return array<string, list<string>> as they lie on the face, from the end of the seam that is named first
     */
    private function byPlace(array $byJoin): array
    {
        $all = [];
        foreach ($byJoin as $join => $directions) {
            $words = array_map(fn (PressDirection $direction): string => $direction->onFace($this->places->leftOf($join)), $directions);
            $all[$this->places->places[$join]] = $this->places->isTurned($join) ? array_reverse($words) : $words;
        }

        return $all;
    }
}
