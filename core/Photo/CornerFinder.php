<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/**
 * Finds the four corners of what is laid out: what differs from the table round it, and the straight lines along its four
 * sides. A table of one colour is wanted, seen all round.
 */
final class CornerFinder
{
    /** Places across the longer side that are looked at. */
    private const GRID = 220;

    /** How much brighter or darker, or of another colour, than the table a place must be; logarithms. */
    private const DIFFERS = 0.09;

    /** Share of the picture that a block covers at least. */
    private const LEAST = 0.08;

    /**
     * @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} in pixels, the upper left first, clockwise
     *
     * @throws PhotoNotReadable when they are not found
     */
    public static function find(Photograph $photo): array
    {
        $step = max(1.0, max($photo->width, $photo->height) / self::GRID);
        [$columns, $rows] = [(int) floor(($photo->width - 1) / $step), (int) floor(($photo->height - 1) / $step)];
        $lights = [];
        for ($row = 0; $row <= $rows; ++$row) {
            for ($column = 0; $column <= $columns; ++$column) {
                $lights[$row][$column] = $photo->lightAt($column * $step, $row * $step);
            }
        }
        $table = self::table($lights, $rows, $columns);
        $isOther = [];
        $spread = max(self::DIFFERS, $table['spread'] * 3.2);
        for ($row = 0; $row <= $rows; ++$row) {
            for ($column = 0; $column <= $columns; ++$column) {
                $off = 0.0;
                foreach ([0, 1, 2] as $c) {
                    $off += ($lights[$row][$column][$c] - self::plane($table['planes'][$c], $column / $columns, $row / $rows)) ** 2;
                }
                $isOther[$row][$column] = sqrt($off / 3) > $spread;
            }
        }
        $places = self::largest($isOther, $rows, $columns);
        if (count($places) < self::LEAST * $rows * $columns) {
            throw PhotoNotReadable::cornersNotFound();
        }
        $corners = self::quadrilateral(self::hull($places));
        $found = array_map(static fn (array $place): array => [$place[0] * $step, $place[1] * $step], $corners);
        $rim = 1.5 * $step;
        foreach ($found as [$x, $y]) {
            if ($x < $rim || $y < $rim || $x > $photo->width - $rim || $y > $photo->height - $rim) {
                throw PhotoNotReadable::cornersNotFound();
            }
        }

        return [$found[0], $found[1], $found[2], $found[3]];
    }

    /**
     * What the table looks like: light that changes evenly over the picture, as it is along its rim.
     *
     * @param array<int, array<int, array{float, float, float}>> $lights
     *
     * @return array{planes: list<list<float>>, spread: float}
     */
    private static function table(array $lights, int $rows, int $columns): array
    {
        $rim = [];
        $band = max(2, intdiv(min($rows, $columns), 25));
        for ($row = 0; $row <= $rows; ++$row) {
            for ($column = 0; $column <= $columns; ++$column) {
                if (min($row, $column, $rows - $row, $columns - $column) < $band) {
                    $rim[] = [$column / $columns, $row / $rows, $lights[$row][$column]];
                }
            }
        }
        $weights = array_fill(0, count($rim), 1.0);
        $planes = [];
        $spread = 0.0;
        for ($round = 0; $round < 6; ++$round) {
            $planes = array_map(static fn (int $c): array => LeastSquares::solve(array_map(static fn (array $one): array => self::terms($one[0], $one[1]), $rim), array_map(static fn (array $one): float => $one[2][$c], $rim), $weights), [0, 1, 2]);
            $off = array_map(static function (array $one) use ($planes): float {
                $sum = 0.0;
                foreach ([0, 1, 2] as $c) {
                    $sum += ($one[2][$c] - self::plane($planes[$c], $one[0], $one[1])) ** 2;
                }

                return sqrt($sum / 3);
            }, $rim);
            $sorted = $off;
            sort($sorted);
            $spread = $sorted[intdiv(count($sorted), 2)];
            $most = max(0.03, 4 * $spread);
            $weights = array_map(static fn (float $one): float => $one > $most ? 0.0 : (1 - ($one / $most) ** 2) ** 2, $off);
        }

        return ['planes' => $planes, 'spread' => $spread];
    }

    /** @return list<float> */
    private static function terms(float $x, float $y): array
    {
        return [1.0, $x, $y, $x * $x, $x * $y, $y * $y];
    }

    /** @param list<float> $plane */
    private static function plane(array $plane, float $x, float $y): float
    {
        $sum = 0.0;
        foreach (self::terms($x, $y) as $i => $term) {
            $sum += ($plane[$i] ?? 0.0) * $term;
        }

        return $sum;
    }

    /**
     * The largest group of places near each other: units that lie apart are still one layout.
     *
     * @param array<int, array<int, bool>> $isOther
     *
     * @return list<array{float, float}>
     */
    private static function largest(array $isOther, int $rows, int $columns): array
    {
        $reach = max(2, intdiv(max($rows, $columns), 12));
        $seen = [];
        $largest = [];
        for ($row = 0; $row <= $rows; ++$row) {
            for ($column = 0; $column <= $columns; ++$column) {
                if (! $isOther[$row][$column] || isset($seen[$row][$column])) {
                    continue;
                }
                $group = [];
                $queue = [[$column, $row]];
                $seen[$row][$column] = true;
                while (($place = array_pop($queue)) !== null) {
                    $group[] = $place;
                    [$x, $y] = $place;
                    foreach ([[1, 0], [-1, 0], [0, 1], [0, -1]] as [$dx, $dy]) {
                        for ($far = 1; $far <= $reach; ++$far) {
                            [$nextX, $nextY] = [$x + $far * $dx, $y + $far * $dy];
                            if ($isOther[$nextY][$nextX] ?? false) {
                                if (! isset($seen[$nextY][$nextX])) {
                                    $seen[$nextY][$nextX] = true;
                                    $queue[] = [$nextX, $nextY];
                                }
                                break;
                            }
                        }
                    }
                }
                $largest = count($group) > count($largest) ? $group : $largest;
            }
        }

        // Lone specks at the rim are no cloth: each has neighbours.
        return array_values(array_map(static fn (array $place): array => [(float) $place[0], (float) $place[1]], array_filter($largest, static function (array $place) use ($isOther): bool {
            $beside = 0;
            foreach ([[1, 0], [-1, 0], [0, 1], [0, -1], [1, 1], [-1, -1], [1, -1], [-1, 1]] as [$dx, $dy]) {
                $beside += ($isOther[$place[1] + $dy][$place[0] + $dx] ?? false) ? 1 : 0;
            }

            return $beside >= 3;
        })));
    }

    /**
     * @param list<array{float, float}> $places
     *
     * @return list<array{float, float}> clockwise on the picture
     */
    private static function hull(array $places): array
    {
        sort($places);
        $half = static function (array $places): array {
            $chain = [];
            foreach ($places as $place) {
                while (count($chain) >= 2) {
                    [$a, $b] = [$chain[count($chain) - 2], $chain[count($chain) - 1]];
                    if (($b[0] - $a[0]) * ($place[1] - $a[1]) - ($b[1] - $a[1]) * ($place[0] - $a[0]) > 0) {
                        break;
                    }
                    array_pop($chain);
                }
                $chain[] = $place;
            }
            array_pop($chain);

            return $chain;
        };

        return [...$half($places), ...$half(array_reverse($places))];
    }

    /**
     * Corners are dropped one by one, each time the one whose loss leaves the least out when its neighbours' sides are drawn
     * on until they meet.
     *
     * @param list<array{float, float}> $hull
     *
     * @return list<array{float, float}> four, the upper left first, clockwise
     */
    private static function quadrilateral(array $hull): array
    {
        while (count($hull) > 4) {
            $count = count($hull);
            $best = null;
            foreach (array_keys($hull) as $i) {
                [$a, $b, $c, $d] = [$hull[($i + $count - 1) % $count], $hull[$i], $hull[($i + 1) % $count], $hull[($i + 2) % $count]];
                $met = self::meeting($a, $b, $d, $c);
                if ($met === null) {
                    continue;
                }
                $more = abs(($c[0] - $b[0]) * ($met[1] - $b[1]) - ($c[1] - $b[1]) * ($met[0] - $b[0]));
                if ($best === null || $more < $best[0]) {
                    $best = [$more, $i, $met];
                }
            }
            if ($best === null) {
                throw PhotoNotReadable::cornersNotFound();
            }
            // The side from corner i to the next is gone; both become the place where its neighbours meet.
            [, $i, $met] = $best;
            $hull[$i] = $met;
            array_splice($hull, ($i + 1) % $count, 1);
        }
        if (count($hull) < 4) {
            throw PhotoNotReadable::cornersNotFound();
        }
        $first = 0;
        foreach ($hull as $i => $place) {
            $first = $place[0] + $place[1] < $hull[$first][0] + $hull[$first][1] ? $i : $first;
        }

        return [...array_slice($hull, $first), ...array_slice($hull, 0, $first)];
    }

    /**
     * @param array{float, float} $a and $b: a side, drawn on past $b
     * @param array{float, float} $b
     * @param array{float, float} $d and $c: the other, drawn on past $c
     * @param array{float, float} $c
     *
     * @return array{float, float}|null null where they do not meet beyond
     */
    private static function meeting(array $a, array $b, array $d, array $c): ?array
    {
        [$px, $py, $qx, $qy] = [$b[0] - $a[0], $b[1] - $a[1], $c[0] - $d[0], $c[1] - $d[1]];
        $cross = $px * $qy - $py * $qx;
        if (abs($cross) < 1e-9) {
            return null;
        }
        $along = (($d[0] - $a[0]) * $qy - ($d[1] - $a[1]) * $qx) / $cross;
        $other = (($d[0] - $a[0]) * $py - ($d[1] - $a[1]) * $px) / $cross;

        return $along < 1 || $other < 1 ? null : [$a[0] + $along * $px, $a[1] + $along * $py];
    }
}
