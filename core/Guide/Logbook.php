<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Measure\Length;

/** What the keys pressed at the machine tell: where the time went, what was made and opened again, how sizes came out. */
final class Logbook
{
    /** Whoever takes longer than this for one motion was away. */
    private const LONGEST = 20 * 60 * 1000;

    /** Fewer seams tell no pace. */
    private const FEWEST_FOR_A_PACE = 3;

    /** Minutes for a seam while the quilter's own pace is not known. Common practice, no published source. */
    private const USUAL_PACE = 4;

    /** @var array<string, int> milliseconds by place, longest first */
    public readonly array $time;

    /** @var array<string, int> how many units were squared up, by what they are called */
    public readonly array $unitsMade;

    /** @var list<LogEntry> every unpicking */
    public readonly array $unpicks;

    /** @var list<LogEntry> every part that was measured */
    public readonly array $sizes;

    /** @var list<array{at: int, takeUp: Length, ideal: Length}> what a seam took, by when it was found */
    public readonly array $takeUps;

    public readonly int $seamsSewn;

    /** @var int|null milliseconds for a seam, in the middle of all; null before there are enough */
    public readonly ?int $pace;

    /**
     * @param list<LogEntry> $all   of every block, in the order of time, without what was taken back
     * @param int|null       $block only what was done to this one; the time between two keys belongs to the later
     */
    public function __construct(array $all, ?int $block = null)
    {
        $time = [];
        $made = [];
        $paces = [];
        $sewn = 0;
        $took = self::durations($all);
        $entries = $block === null ? $all : array_filter($all, static fn (LogEntry $entry): bool => $entry->block === $block);
        foreach ($entries as $i => $entry) {
            if ($entry->does === null) {
                continue;
            }
            $time[$entry->does->place()] = ($time[$entry->does->place()] ?? 0) + $took[$i];
            if (! $entry->deed->isWork()) {
                continue;
            }
            if ($entry->does === StepKind::SquareUp && $entry->madeUnit !== null) {
                $made[$entry->madeUnit] = ($made[$entry->madeUnit] ?? 0) + $entry->times;
            }
            if ($entry->does === StepKind::Join) {
                $sewn += $entry->times;
                if ($took[$i] > 0 && $entry->times > 0) {
                    $paces[] = intdiv($took[$i], $entry->times);
                }
            }
        }
        arsort($time);
        arsort($made);
        sort($paces);
        [$this->time, $this->unitsMade, $this->seamsSewn] = [array_filter($time), $made, $sewn];
        $this->pace = count($paces) < self::FEWEST_FOR_A_PACE ? null : $paces[intdiv(count($paces), 2)];
        $this->unpicks = array_values(array_filter($entries, static fn (LogEntry $entry): bool => $entry->deed === Deed::Unpicked));
        $this->sizes = array_values(array_filter($entries, static fn (LogEntry $entry): bool => $entry->measured !== null));
        $takeUps = [];
        foreach ($this->sizes as $entry) {
            $part = $entry->measured;
            if ($part === null) {
                continue;
            }
            foreach ($part->takeUps() as $takeUp) {
                $takeUps[] = ['at' => $entry->at, 'takeUp' => $takeUp, 'ideal' => $part->ideal];
            }
        }
        $this->takeUps = $takeUps;
    }

    /**
     * How long each took: since the key before, on whatever block.
     *
     * @param list<LogEntry> $all
     *
     * @return array<int, int> milliseconds; none after a pause, or when somebody was away
     */
    public static function durations(array $all): array
    {
        $took = [];
        foreach ($all as $i => $entry) {
            $before = $all[$i - 1] ?? null;
            $since = $before === null || $before->deed === Deed::Paused ? 0 : $entry->at - $before->at;
            $took[$i] = $since > 0 && $since <= self::LONGEST * max(1, $entry->times) ? $since : 0;
        }

        return $took;
    }

    /** How long seams take that are opened, each as long as it took to sew, and sewn again. */
    public function minutesToSewAgain(int $seams): float
    {
        return 2 * $seams * ($this->pace === null ? self::USUAL_PACE : $this->pace / 60_000);
    }

    /** @return array<string, int> how many unpickings, by cause, the most first */
    public function causes(): array
    {
        $causes = array_count_values(array_map(static fn (LogEntry $entry): string => ($entry->cause ?? UnpickCause::Other)->value, $this->unpicks));
        arsort($causes);

        return $causes;
    }
}
