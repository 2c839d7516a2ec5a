<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

/**
 * Looks for the lowest way to lay pieces in strips: piece by piece, the highest first, each in a strip that has room or
 * in a new one, which is then as high as this piece.
 *
 * @internal
 */
final class StripSearch
{
    /** Whether all layouts were looked at, or shown to be no better. */
    public bool $isDone = true;

    private int $looks = 0;

    private int $bestHeight = PHP_INT_MAX;

    /** @var array<int, int> strip by item */
    private array $best = [];

    /** @var array<int, int> strip by item */
    private array $current = [];

    /** @var list<int> area of the pieces from each one on */
    private array $areaFrom = [];

    /** @param list<array{int, int}> $sizes height and width, the highest first */
    public function __construct(
        private readonly array $sizes,
        private readonly int $width,
        private readonly int $patience,
    ) {
        $area = 0;
        foreach (array_reverse($sizes) as [$height, $long]) {
            $area += $height * $long;
            $this->areaFrom[] = $area;
        }
        $this->areaFrom = [...array_reverse($this->areaFrom), 0];
    }

    /**
     * @param array<int, int> $known a layout to beat
     *
     * @return array<int, int>
     */
    public function shorterThan(array $known): array
    {
        $this->best = $known;
        $this->bestHeight = $this->heightOf($known);
        if ($this->bestHeight > $this->leastHeight()) {
            $this->look(0, [], [], 0);
        }

        return $this->best;
    }

    /**
     * What the strips need at least: laid end to end without gaps, the piece at every full width starts a strip.
     */
    public function leastHeight(): int
    {
        $least = $laid = $next = 0;
        foreach ($this->sizes as [$height, $long]) {
            $laid += $long;
            while ($laid > $next) {
                $least += $height;
                $next += $this->width;
            }
        }

        return $least;
    }

    /**
     * @param list<int> $free    room in each strip
     * @param list<int> $heights of the strips
     */
    private function look(int $item, array $free, array $heights, int $total): void
    {
        if ($item === count($this->sizes)) {
            [$this->best, $this->bestHeight] = [$this->current, $total];

            return;
        }
        if (++$this->looks > $this->patience) {
            $this->isDone = false;

            return;
        }
        [$height, $long] = $this->sizes[$item];
        $room = 0;
        foreach ($free as $strip => $width) {
            $room += $width * $heights[$strip];
        }
        // What does not fit the room there is needs new strips at least as large as its area.
        $lacking = max(0, $this->areaFrom[$item] - $room);
        if ($total + intdiv($lacking + $this->width - 1, $this->width) >= $this->bestHeight) {
            return;
        }
        $isSameAsLast = $item > 0 && $this->sizes[$item] === $this->sizes[$item - 1];
        $tried = [];
        foreach ($free as $strip => $width) {
            // Equal pieces go into strips in order, and strips with equal room are tried once.
            if ($width < $long || isset($tried[$width]) || ($isSameAsLast && $strip < $this->current[$item - 1])) {
                continue;
            }
            $tried[$width] = true;
            $this->current[$item] = $strip;
            $less = $free;
            $less[$strip] = $width - $long;
            $this->look($item + 1, array_values($less), $heights, $total);
        }
        if ($total + $height < $this->bestHeight) {
            $this->current[$item] = count($free);
            $this->look($item + 1, [...$free, $this->width - $long], [...$heights, $height], $total + $height);
        }
    }

    /** @param array<int, int> $strips */
    private function heightOf(array $strips): int
    {
        $heights = [];
        foreach ($strips as $item => $strip) {
            $heights[$strip] = max($heights[$strip] ?? 0, $this->sizes[$item][0]);
        }

        return array_sum($heights);
    }
}
