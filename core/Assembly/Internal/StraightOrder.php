<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\SewingOrder;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;

/**
 * The best way to take items apart by straight cuts, found by a dynamic program over the regions that cuts can leave.
 *
 * Best means, in this order: fewest match points to align, fewest joins on the bias, fewest kinds of join to learn
 * (two equal halves count once), most known units kept whole. Ties go to the cut found first. How long the joins are
 * together is the same in every order: each inner edge is sewn once.
 *
 * A region is a text with one bit for each item: what two of them have in common PHP tells with one "&", many times
 * faster than of two lists, and the text is its own key.
 *
 * @internal
 */
final class StraightOrder
{
    /** What cuts are weighed, about two seconds: all there are of 16 x 16 cells. Beyond it, each region takes its first good cut instead of the best of all. */
    private const PATIENCE = 6_000_000;

    /** @var list<Point> the direction of every line along which some item has an edge */
    private array $lines = [];

    /** @var array<int, array{string, string, string}> by line: regions of the items before it, behind it, and of those it runs through */
    private array $parted = [];

    /** @var array<int, list<string>> by line, for each place on it: the region of the items that have a corner or a seam's end there */
    private array $touching = [];

    /** @var list<list<array{int, int, int}>> by turn and item: the item's corner, and a number for what it looks like */
    private array $looks = [];

    /** @var array<string, array{array{int, int, int, int}, SewingOrder|int, int}> cost, order and number of items by region */
    private array $known = [];

    /** @var array<string, SetInSeamNeeded> regions that no straight cut takes apart */
    private array $stuck = [];

    /** @var array<int, array<string, string>> what a region looks like, by quarter turns and region */
    private array $shapes = [];

    private int $weighed = 0;

    /** A cut takes its time, and longer among more items. */
    private readonly int $eachWeighs;

    private string $none;

    /** @var array<int, ConvexPolygon> of the items that are patches */
    private array $outlines;

    /** @param list<SewnItem> $items */
    private function __construct(array $items)
    {
        $this->outlines = array_map(static fn (SewnItem $item): ConvexPolygon => $item->outline, array_filter($items, static fn (SewnItem $item): bool => $item->isPatch));
        $this->eachWeighs = 16 + intdiv(count($items), 16);
        $this->none = str_repeat("\0", intdiv(count($items) + 7, 8));
        $lines = [];
        foreach ($items as $item) {
            foreach ($item->outline->edges() as [$a, $b]) {
                $direction = Segment::between($a, $b)->direction()->reduced();
                if (! isset($lines[$direction->key()][$direction->cross($a)])) {
                    $lines[$direction->key()][$direction->cross($a)] = count($this->lines);
                    $this->lines[] = $direction;
                }
            }
        }
        foreach ($lines as $offsets) {
            $this->layAlong($items, $offsets);
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
        $cuts = new self($items);
        [, $order] = $cuts->bestOf($cuts->region(array_keys($items)), array_keys($cuts->lines));

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
        $all = $cuts->region(array_keys($items));
        $byDirection = [];
        foreach ($cuts->lines as $i => $direction) {
            if ($direction->x !== 0 && $direction->y !== 0 && $cuts->cut($i, $all) !== null) {
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
            $bands[count(array_filter($byDirection[0], static fn (int $line): bool => ($cuts->parted[$line][0] & $cuts->region([$item])) !== $cuts->none))][] = $item;
        }
        ksort($bands);

        return array_values($bands);
    }

    /**
     * @param list<int> $lines that may cut it: the others have all of it on one side
     *
     * @return array{array{int, int, int, int}, SewingOrder|int, int}
     */
    private function bestOf(string $region, array $lines): array
    {
        if (isset($this->known[$region])) {
            return $this->known[$region];
        }
        if (isset($this->stuck[$region])) {
            throw $this->stuck[$region];
        }
        $items = self::items($region);
        $count = count($items);
        if ($count === 1) {
            return $this->known[$region] = [[0, 0, 0, 0], $items[0], 1];
        }
        $best = $stuck = null;
        $lines = array_values(array_filter($lines, fn (int $line): bool => $this->hasOnBothSides($line, $region)));
        foreach ($lines as $line) {
            if ($best !== null && $this->weighed > self::PATIENCE) {
                break;
            }
            $parts = $this->cut($line, $region);
            if ($parts === null) {
                continue;
            }
            $this->weighed += $this->eachWeighs;
            try {
                [$a, $b] = [$this->bestOf($parts[0], $lines), $this->bestOf($parts[1], $lines)];
            } catch (SetInSeamNeeded $problem) {
                $stuck = $problem;
                continue;
            }
            // A join has no fewer points to match than none.
            if ($best !== null && $a[0][0] + $b[0][0] > $best[0][0]) {
                continue;
            }
            $cost = $this->cost($line, $parts, $a, $b);
            if ($best === null || $cost < $best[0]) {
                $best = [$cost, SewingOrder::of($a[1], $b[1]), $count];
            }
        }

        if ($best !== null && $count <= KnownShape::MOST_PATCHES && $this->isKnownUnit($items)) {
            --$best[0][3];
        }

        return $this->known[$region] = $best ?? throw $this->stuck[$region] = $stuck ?? SetInSeamNeeded::amongItems($items);
    }

    /** @return array{string, string}|null the parts before and behind the line; null when it does not cut the region */
    private function cut(int $line, string $region): ?array
    {
        [$before, $behind, $through] = $this->parted[$line];

        return ($through & $region) === $this->none && $this->hasOnBothSides($line, $region) ? [$region & $before, $region & $behind] : null;
    }

    /** Whether some of a region lies before the line, and not all. A line of which this is not so cuts no part of the region either. */
    private function hasOnBothSides(int $line, string $region): bool
    {
        $before = $region & $this->parted[$line][0];

        return $before !== $this->none && $before !== $region;
    }

    /**
     * @param array{string, string}                                  $parts
     * @param array{array{int, int, int, int}, SewingOrder|int, int} $a     what is known of the one
     * @param array{array{int, int, int, int}, SewingOrder|int, int} $b     what is known of the other
     *
     * @return array{int, int, int, int} match points, bias joins, kinds of join, known units less than none
     */
    private function cost(int $line, array $parts, array $a, array $b): array
    {
        $direction = $this->lines[$line];
        [$one, $other] = $parts;
        $shared = 0;
        foreach ($this->touching[$line] as $there) {
            if (($there & $one) !== $this->none && ($there & $other) !== $this->none) {
                ++$shared;
            }
        }

        return [
            $a[0][0] + $b[0][0] + $shared - 2, // without the ends of the join itself
            $a[0][1] + $b[0][1] + ($direction->x !== 0 && $direction->y !== 0 ? 1 : 0),
            1 + $a[0][2] + ($a[2] === $b[2] && $this->areAlike($one, $other) ? 0 : $b[0][2]),
            $a[0][3] + $b[0][3],
        ];
    }

    /** Whether one of two parts of as many items may be turned to look as the other does. */
    private function areAlike(string $part, string $other): bool
    {
        $look = $this->look($other, 0);
        foreach (Turn::QUARTERS as $turns) {
            if ($this->look($part, $turns) === $look) {
                return true;
            }
        }

        return false;
    }

    /** What the part looks like after so many quarter turns. */
    private function look(string $part, int $turns): string
    {
        return $this->shapes[$turns][$part] ??= $this->lookOf(array_map(fn (int $item): array => $this->looks[$turns][$item], self::items($part)));
    }

    /** @param list<array{int, int, int}> $here */
    private function lookOf(array $here): string
    {
        [$left, $top] = [min(array_column($here, 0) ?: [0]), min(array_column($here, 1) ?: [0])];
        $texts = [];
        foreach ($here as [$x, $y, $look]) {
            $texts[] = ($x - $left).','.($y - $top).':'.$look;
        }
        sort($texts);

        return implode(' ', $texts);
    }

    /** @param list<int> $items */
    private function isKnownUnit(array $items): bool
    {
        $patches = array_intersect_key($this->outlines, array_flip($items));

        return count($patches) === count($items) && KnownShape::of(array_values($patches)) !== null;
    }

    /** @param list<int> $items */
    private function region(array $items): string
    {
        $region = $this->none;
        foreach ($items as $item) {
            $region[$item >> 3] = chr(ord($region[$item >> 3]) | 1 << ($item & 7));
        }

        return $region;
    }

    /** @return list<int> numbers of the items of a region */
    private static function items(string $region): array
    {
        $items = [];
        $length = strlen($region);
        for ($at = strspn($region, "\0"); $at < $length; $at += 1 + strspn($region, "\0", $at + 1)) {
            for ($bits = ord($region[$at]), $item = $at << 3; $bits > 0; $bits >>= 1, ++$item) {
                if (($bits & 1) === 1) {
                    $items[] = $item;
                }
            }
        }

        return $items;
    }

    /**
     * Where the items lie to parallel lines.
     *
     * @param non-empty-list<SewnItem>  $items
     * @param non-empty-array<int, int> $lines number of each line, by how far it lies across
     */
    private function layAlong(array $items, array $lines): void
    {
        $direction = $this->lines[reset($lines)];
        $reaches = $touching = [];
        foreach ($items as $number => $item) {
            $across = array_map($direction->cross(...), $item->outline->points);
            $reaches[] = [min($across), max($across)];
            foreach ([...$item->outline->points, ...$item->ends] as $point) {
                $line = $lines[$direction->cross($point)] ?? null;
                if ($line !== null) {
                    $touching[$line][$direction->dot($point)][] = $number;
                }
            }
        }
        foreach ($lines as $offset => $line) {
            $sides = [[], [], []];
            foreach ($reaches as $number => [$least, $most]) {
                $sides[$least >= $offset ? 0 : ($most <= $offset ? 1 : 2)][] = $number;
            }
            [$clockwise, $other, $through] = array_map($this->region(...), $sides);
            $this->parted[$line] = $direction->y === 0 ? [$other, $clockwise, $through] : [$clockwise, $other, $through];
            $this->touching[$line] = array_map($this->region(...), array_values($touching[$line] ?? []));
        }
    }
}
