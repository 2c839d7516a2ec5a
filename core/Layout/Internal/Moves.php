<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout\Internal;

use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Layout\Symmetry;

/**
 * The moves of one symmetry: to which cell each takes every cell, and how it moves what the cell shows.
 *
 * @internal
 */
final readonly class Moves
{
    /**
     * @param non-empty-list<array<int, int>> $targets by move and cell; the first move leaves all where they are
     * @param non-empty-list<Placement>       $actions by move
     */
    private function __construct(
        public Symmetry $symmetry,
        public array $targets,
        public array $actions,
    ) {}

    /**
     * Every symmetry the cells' outlines allow; a repeat comes once for each of its sizes.
     *
     * @param list<PlacedUnit> $units of the cells
     *
     * @return list<self>
     */
    public static function allOf(array $units, Box $whole, int $columns, int $rows): array
    {
        $boxes = array_map(static fn (PlacedUnit $unit): Box => Box::of($unit->outline), $units);
        $places = array_flip(array_map(static fn (Box $box): string => $box->key(), $boxes));
        $all = [];
        foreach (Symmetry::cases() as $symmetry) {
            $moves = $symmetry->moves();
            $targets = count($moves) > 1 ? self::targets($boxes, $places, $moves, $whole) : null;
            if ($targets !== null) {
                $all[] = new self($symmetry, $targets, $moves);
            }
        }

        return [...$all, ...self::repeats($units, $boxes, $columns, $rows)];
    }

    /** How many moves: the larger, the more of the block follows from one part. */
    public function count(): int
    {
        return count($this->actions);
    }

    /** @return list<list<int>> cells that the moves take to each other */
    public function orbits(): array
    {
        $orbits = [];
        $seen = [];
        foreach (array_keys($this->targets[0]) as $cell) {
            if (! isset($seen[$cell])) {
                $orbit = array_values(array_unique(array_column($this->targets, $cell)));
                $seen += array_fill_keys($orbit, true);
                $orbits[] = $orbit;
            }
        }

        return $orbits;
    }

    /** The action that takes what $from shows to $to; the first there is. */
    public function between(int $from, int $to): Placement
    {
        foreach ($this->targets as $move => $targets) {
            if ($targets[$from] === $to) {
                return $this->actions[$move];
            }
        }

        throw new \LogicException('Cells of one orbit are taken to each other.');
    }

    /** @return list<Placement> actions that leave the cell where it is, but may move what it shows */
    public function stayingAt(int $cell): array
    {
        $stay = [];
        foreach ($this->targets as $move => $targets) {
            if ($targets[$cell] === $cell) {
                $stay[] = $this->actions[$move];
            }
        }

        return $stay;
    }

    /**
     * @param list<Box>          $boxes
     * @param array<string, int> $places
     * @param list<Placement>    $moves
     *
     * @return non-empty-list<array<int, int>>|null null when some cell comes to lie where no cell is
     */
    private static function targets(array $boxes, array $places, array $moves, Box $whole): ?array
    {
        $targets = [];
        foreach ($moves as $move) {
            if ($move->turn->swapsSides() && $whole->width !== $whole->height) {
                return null;
            }
            $ofMove = [];
            foreach ($boxes as $cell => $box) {
                $target = $places[$box->moved($move, $whole)->key()] ?? null;
                if ($target === null) {
                    return null;
                }
                $ofMove[$cell] = $target;
            }
            $targets[] = $ofMove;
        }

        return $targets === [] ? null : $targets;
    }

    /**
     * @param list<PlacedUnit> $units
     * @param list<Box>        $boxes
     *
     * @return list<self>
     */
    private static function repeats(array $units, array $boxes, int $columns, int $rows): array
    {
        $at = [];
        foreach ($units as $i => $unit) {
            $at[$unit->cell->row][$unit->cell->column] = $i;
        }
        $repeats = [];
        foreach (self::divisors($columns) as $period) {
            foreach (self::divisors($rows) as $rowPeriod) {
                if ($period === $columns && $rowPeriod === $rows) {
                    continue;
                }
                $targets = [];
                for ($down = 0; $down < $rows; $down += $rowPeriod) {
                    for ($right = 0; $right < $columns; $right += $period) {
                        $targets[] = self::shifted($units, $boxes, $at, $right, $down, $columns, $rows);
                    }
                }
                $targets = in_array(null, $targets, true) ? [] : array_values(array_filter($targets));
                if ($targets !== []) {
                    $repeats[] = new self(Symmetry::Repeat, $targets, array_fill(0, count($targets), new Placement()));
                }
            }
        }

        return $repeats;
    }

    /**
     * @param list<PlacedUnit>            $units
     * @param list<Box>                   $boxes
     * @param array<int, array<int, int>> $at    cell by row and column
     *
     * @return array<int, int>|null
     */
    private static function shifted(array $units, array $boxes, array $at, int $right, int $down, int $columns, int $rows): ?array
    {
        $targets = [];
        foreach ($units as $i => $unit) {
            $target = $at[($unit->cell->row - 1 + $down) % $rows + 1][($unit->cell->column - 1 + $right) % $columns + 1] ?? null;
            if ($target === null || [$boxes[$target]->width, $boxes[$target]->height] !== [$boxes[$i]->width, $boxes[$i]->height]) {
                return null;
            }
            $targets[$i] = $target;
        }

        return $targets;
    }

    /** @return list<int> */
    private static function divisors(int $number): array
    {
        return array_values(array_filter(range(1, $number), static fn (int $one): bool => $number % $one === 0));
    }
}
