<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\SewingOrder;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Segment;

/**
 * The best way to take items apart by straight cuts, found by a dynamic program over the regions that cuts can leave.
 *
 * Best means, in this order: fewest match points to align, fewest joins on the bias, fewest kinds of join to learn
 * (two equal halves count once), most known units kept whole. Ties go to the cut found first. How long the joins are
 * together is the same in every order: each inner edge is sewn once.
 *
 * @internal
 */
final class StraightOrder
{
    /** Cuts weighed, times the items they part; beyond it, each region takes its first good cut instead of the best of all. */
    private const PATIENCE = 12_000_000;

    /** @var list<Segment> one for every line along which some item has an edge */
    private array $lines = [];

    /** @var list<array{array<int, int>, array<int, int>, array<int, int>}> by line: items before it, behind it, and those it runs through */
    private array $parted = [];

    /** @var list<array<int, array<int, true>>> by line and item: places along the line where the item has a corner or a seam's end */
    private array $pointsOn = [];

    /** @var list<list<array{int, int, int}>> by turn and item: the item's corner, and a number for what it looks like */
    private array $looks = [];

    /** @var array<string, array{array{int, int, int, int}, SewingOrder|int}> cost and order by region */
    private array $known = [];

    /** @var array<string, SetInSeamNeeded> regions that no straight cut takes apart */
    private array $stuck = [];

    /** @var array<string, list<string>> what a region looks like after 0 to 3 quarter turns */
    private array $shapes = [];

    private int $weighed = 0;

    /** @var array<int, ConvexPolygon> of the items that are patches */
    private array $outlines;

    /** @param list<SewnItem> $items */
    private function __construct(array $items)
    {
        $this->outlines = array_map(static fn (SewnItem $item): ConvexPolygon => $item->outline, array_filter($items, static fn (SewnItem $item): bool => $item->isPatch));
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
            $sides = array_map(static fn (SewnItem $item): int => self::side($line, $item), $items);
            [$before, $behind] = $line->direction()->y === 0 ? [-1, 1] : [1, -1];
            $this->parted[] = array_map(static fn (int $side): array => array_filter($sides, static fn (int $its): bool => $its === $side), [$before, $behind, 0]);
            $this->pointsOn[] = array_filter(array_map(static fn (SewnItem $item): array => self::placesOn($line, $item), $items));
        }
        $numbers = [];
        foreach (Turn::QUARTERS as $turns) {
            $this->looks[] = array_map(static function (SewnItem $item) use ($turns, &$numbers): array {
                $turned = $item->outline->turned($turns);
                $corner = $turned->corner();
                $look = $turned->seenFrom($corner)->key().$item->shapes[$turns];

                return [$corner->x, $corner->y, $numbers[$look] ??= count($numbers)];
            }, $items);
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
        [, $order] = (new self($items))->bestOf(self::keyed(array_keys($items)));

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
            if ($direction->x !== 0 && $direction->y !== 0 && $cuts->cut($i, self::keyed(array_keys($items))) !== null) {
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
            $bands[count(array_filter($byDirection[0], static fn (int $line): bool => isset($cuts->parted[$line][0][$item])))][] = $item;
        }
        ksort($bands);

        return array_values($bands);
    }

    /**
     * @param array<int, int> $region items, each under its own number
     *
     * @return array{array{int, int, int, int}, SewingOrder|int}
     */
    private function bestOf(array $region): array
    {
        if (count($region) === 1) {
            return [[0, 0, 0, 0], (int) array_key_first($region)];
        }
        $key = self::key($region);
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        if (isset($this->stuck[$key])) {
            throw $this->stuck[$key];
        }
        $best = null;
        $stuck = null;
        foreach (array_keys($this->lines) as $line) {
            $parts = $this->cut($line, $region);
            if ($parts === null || ($best !== null && $this->weighed > self::PATIENCE)) {
                continue;
            }
            $this->weighed += count($region);
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

        if ($best !== null && $this->isKnownUnit($region)) {
            --$best[0][3];
        }

        return $this->known[$key] = $best ?? throw $this->stuck[$key] = $stuck ?? SetInSeamNeeded::amongItems(array_keys($region));
    }

    /**
     * @param array<int, int> $region
     *
     * @return array{array<int, int>, array<int, int>}|null the parts before and behind the line; null when it does not cut the region
     */
    private function cut(int $line, array $region): ?array
    {
        [$before, $behind, $through] = $this->parted[$line];
        if ($through !== [] && array_intersect_key($through, $region) !== []) {
            return null;
        }
        $near = array_intersect_key($region, $before);

        return $near === [] || count($near) === count($region) ? null : [$near, array_intersect_key($region, $behind)];
    }

    /**
     * @param array{array<int, int>, array<int, int>} $parts
     * @param array{int, int, int, int}               $a     cost of the one part
     * @param array{int, int, int, int}               $b     cost of the other
     *
     * @return array{int, int, int, int} match points, bias joins, kinds of join, known units less than none
     */
    private function cost(int $line, array $parts, array $a, array $b): array
    {
        $direction = $this->lines[$line]->direction();
        $shared = array_intersect_key($this->placesOf($line, $parts[0]), $this->placesOf($line, $parts[1]));
        $areAlike = count($parts[0]) === count($parts[1]) && in_array($this->shapes($parts[1])[0], $this->shapes($parts[0]), true);

        return [
            $a[0] + $b[0] + count($shared) - 2, // without the ends of the join itself
            $a[1] + $b[1] + ($direction->x !== 0 && $direction->y !== 0 ? 1 : 0),
            1 + $a[2] + ($areAlike ? 0 : $b[2]),
            $a[3] + $b[3],
        ];
    }

    /** @param array<int, int> $region */
    private function isKnownUnit(array $region): bool
    {
        $patches = count($region) > KnownShape::MOST_PATCHES ? [] : array_intersect_key($this->outlines, $region);

        return count($patches) === count($region) && KnownShape::of(array_values($patches)) !== null;
    }

    /**
     * @param array<int, int> $part
     *
     * @return array<int, true> places along the line where the part has a corner or a seam's end
     */
    private function placesOf(int $line, array $part): array
    {
        $places = [];
        foreach (array_intersect_key($this->pointsOn[$line], $part) as $ofItem) {
            $places += $ofItem;
        }

        return $places;
    }

    /**
     * @param array<int, int> $part
     *
     * @return list<string> what the part looks like after 0 to 3 quarter turns
     */
    private function shapes(array $part): array
    {
        return $this->shapes[self::key($part)] ??= array_map(static function (array $looks) use ($part): string {
            $here = array_intersect_key($looks, $part);
            [$left, $top] = [min(array_column($here, 0) ?: [0]), min(array_column($here, 1) ?: [0])];
            $texts = [];
            foreach ($here as [$x, $y, $look]) {
                $texts[] = ($x - $left).','.($y - $top).':'.$look;
            }
            sort($texts);

            return implode(' ', $texts);
        }, $this->looks);
    }

    /** @return array<int, true> */
    private static function placesOn(Segment $line, SewnItem $item): array
    {
        $places = [];
        foreach ([...$item->outline->points, ...$item->ends] as $point) {
            if ($line->sideOf($point) === 0) {
                $places[$line->along($point)] = true;
            }
        }

        return $places;
    }

    private static function side(Segment $line, SewnItem $item): int
    {
        $sides = array_unique(array_filter(array_map($line->sideOf(...), $item->outline->points)));

        return count($sides) === 1 ? (int) reset($sides) : 0;
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, int>
     */
    private static function keyed(array $items): array
    {
        return array_combine($items, $items);
    }

    /** @param array<int, int> $region */
    private static function key(array $region): string
    {
        return implode(',', array_keys($region));
    }
}
