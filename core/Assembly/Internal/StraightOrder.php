<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\SewingOrder;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;

/**
 * The best way to take items apart by straight cuts, found by a dynamic program over the regions that cuts can leave.
 *
 * Best means, in this order: fewest match points to align, fewest joins on the bias, fewest kinds of join to learn
 * (two equal halves count once), shortest joins. Ties go to the cut found first.
 *
 * @internal
 */
final class StraightOrder
{
    /** Looks at items along lines; beyond it, each region takes its first good cut instead of the best of all. */
    private const PATIENCE = 20_000_000;

    /** @var list<Segment> one for every line along which some item has an edge */
    private array $lines = [];

    /** @var list<list<int>> by line and item: -1 or 1 for the side it lies on, 0 when the line runs through it */
    private array $sides = [];

    /** @var array<string, array{array{int, int, int, float}, SewingOrder|int}> cost and order by region */
    private array $known = [];

    private int $looks = 0;

    /** @param list<SewnItem> $items */
    private function __construct(private readonly array $items)
    {
        $seen = [];
        foreach ($items as $item) {
            foreach ($item->outline->edges() as [$a, $b]) {
                $line = Segment::between($a, $b);
                $direction = $line->direction()->reduced();
                $name = $direction->key().':'.$direction->cross($a);
                if (! isset($seen[$name])) {
                    $seen[$name] = true;
                    $this->lines[] = $line;
                }
            }
        }
        foreach ($this->lines as $line) {
            $this->sides[] = array_map(static fn (SewnItem $item): int => self::side($line, $item), $items);
        }
    }

    /**
     * @param list<SewnItem> $items
     *
     * @return SewingOrder over the items' numbers
     *
     * @throws SetInSeamNeeded
     */
    public static function best(array $items): SewingOrder
    {
        [, $order] = (new self($items))->bestOf(array_keys($items));

        return is_int($order) ? SewingOrder::of($order) : $order;
    }

    /**
     * Cuts along all full lines of the one direction off the grain that has most of them.
     *
     * @param list<SewnItem> $items
     *
     * @return list<list<int>> items between neighbouring lines, from one corner to the other; one group when there is no such line
     */
    public static function diagonalBands(array $items): array
    {
        $cuts = new self($items);
        $byDirection = [];
        foreach ($cuts->lines as $i => $line) {
            $direction = $line->direction()->reduced();
            if ($direction->x !== 0 && $direction->y !== 0 && $cuts->cut($i, array_keys($items)) !== null) {
                $byDirection[$direction->key()][] = $i;
            }
        }
        if ($byDirection === []) {
            return [array_keys($items)];
        }
        usort($byDirection, static fn (array $a, array $b): int => count($b) <=> count($a));
        $bands = [];
        foreach (array_keys($items) as $item) {
            // How many of the parallel lines have the item on their far side tells the band it lies in.
            $bands[count(array_filter($byDirection[0], static fn (int $line): bool => $cuts->sides[$line][$item] > 0))][] = $item;
        }
        ksort($bands);

        return array_values($bands);
    }

    /**
     * @param list<int> $region
     *
     * @return array{array{int, int, int, float}, SewingOrder|int}
     */
    private function bestOf(array $region): array
    {
        if (count($region) === 1) {
            return [[0, 0, 0, 0.0], $region[0]];
        }
        $key = implode(',', $region);
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        $best = null;
        $stuck = null;
        foreach (array_keys($this->lines) as $line) {
            $parts = $this->cut($line, $region);
            if ($parts === null || ($best !== null && $this->looks > self::PATIENCE)) {
                continue;
            }
            try {
                [[$costA, $orderA], [$costB, $orderB]] = [$this->bestOf($parts[0]), $this->bestOf($parts[1])];
            } catch (SetInSeamNeeded $problem) {
                $stuck = $problem;
                continue;
            }
            $cost = $this->cost($line, $parts, $costA, $costB);
            if ($best === null || $cost < $best[0]) {
                $best = [$cost, SewingOrder::of($orderA, $orderB)];
            }
        }

        return $this->known[$key] = $best ?? throw $stuck ?? SetInSeamNeeded::amongItems($region);
    }

    /**
     * @param list<int> $region
     *
     * @return array{list<int>, list<int>}|null the parts before and behind the line; null when it does not cut the region
     */
    private function cut(int $line, array $region): ?array
    {
        $this->looks += count($region);
        $parts = [-1 => [], 1 => []];
        foreach ($region as $item) {
            $side = $this->sides[$line][$item];
            if ($side === 0) {
                return null;
            }
            $parts[$side][] = $item;
        }
        [$before, $behind] = $this->lines[$line]->direction()->y === 0 ? [$parts[-1], $parts[1]] : [$parts[1], $parts[-1]];

        return $before === [] || $behind === [] ? null : [$before, $behind];
    }

    /**
     * @param array{list<int>, list<int>} $parts
     * @param array{int, int, int, float} $a     cost of the one part
     * @param array{int, int, int, float} $b     cost of the other
     *
     * @return array{int, int, int, float} match points, bias joins, kinds of join, length of joins
     */
    private function cost(int $line, array $parts, array $a, array $b): array
    {
        $segment = $this->lines[$line];
        $direction = $segment->direction();
        $onA = $this->pointsOn($segment, $parts[0]);
        $onB = $this->pointsOn($segment, $parts[1]);
        $along = array_map($segment->along(...), $onA);
        [$from, $to] = $along === [] ? [0, 0] : [min($along), max($along)];
        $shared = array_filter(
            array_intersect_key($onA, $onB),
            static fn (Point $point): bool => $segment->along($point) > $from && $segment->along($point) < $to,
        );
        $areAlike = count($parts[0]) === count($parts[1]) && array_intersect($this->shapes($parts[0]), [$this->shapes($parts[1])[0]]) !== [];

        return [
            $a[0] + $b[0] + count($shared),
            $a[1] + $b[1] + ($direction->x !== 0 && $direction->y !== 0 ? 1 : 0),
            1 + $a[2] + ($areAlike ? 0 : $b[2]),
            $a[3] + $b[3] + ($to - $from) / $segment->length(),
        ];
    }

    /**
     * @param list<int> $part
     *
     * @return array<string, Point> corners and seam ends of the part's items on the line
     */
    private function pointsOn(Segment $line, array $part): array
    {
        $points = [];
        foreach ($part as $item) {
            foreach ([...$this->items[$item]->outline->points, ...$this->items[$item]->ends] as $point) {
                if ($line->sideOf($point) === 0) {
                    $points[$point->key()] = $point;
                }
            }
        }

        return $points;
    }

    /**
     * @param list<int> $part
     *
     * @return list<string> what the part looks like after 0 to 3 quarter turns
     */
    private function shapes(array $part): array
    {
        $shapes = [];
        foreach ([0, 1, 2, 3] as $turns) {
            $turned = array_map(fn (int $item) => $this->items[$item]->outline->turnedAbout(new Point(0, 0), $turns), $part);
            $corners = array_map(static fn ($outline): Point => $outline->corner(), $turned) ?: [new Point(0, 0)];
            $corner = new Point(
                min(array_map(static fn (Point $point): int => $point->x, $corners)),
                min(array_map(static fn (Point $point): int => $point->y, $corners)),
            );
            $texts = array_map(
                fn (int $item, $outline): string => $outline->turnedAbout($corner, 0)->key().$this->items[$item]->shapes[$turns],
                $part,
                $turned,
            );
            sort($texts);
            $shapes[] = implode(' | ', $texts);
        }

        return $shapes;
    }

    private static function side(Segment $line, SewnItem $item): int
    {
        $sides = array_unique(array_filter(array_map($line->sideOf(...), $item->outline->points)));

        return count($sides) === 1 ? (int) reset($sides) : 0;
    }
}
