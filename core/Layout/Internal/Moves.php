<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout\Internal;

use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Layout\Symmetry;

/**
 * The moves of one symmetry: which cells they take to each other, and how they move what a cell shows.
 *
 * @internal
 */
final readonly class Moves
{
    /**
     * @param int                       $count   how many moves: the larger, the more of the block follows from one part
     * @param list<non-empty-list<int>> $orbits  cells that the moves take to each other
     * @param list<array<int, int>>     $targets by move and cell; none for a repeat, which moves no cell's picture
     * @param list<Placement>           $actions by move
     */
    private function __construct(
        public Symmetry $symmetry,
        public int $count,
        public array $orbits,
        private array $targets,
        private array $actions,
    ) {}

    /**
     * Every symmetry the cells' outlines allow; a repeat comes once for each of its sizes.
     *
     * @param list<PlacedUnit> $units     of the cells
     * @param bool             $isOnPoint whether what hangs is this face turned by 45 degrees clockwise
     *
     * @return list<self>
     */
    public static function allOf(array $units, CellBox $whole, int $columns, int $rows, bool $isOnPoint = false): array
    {
        $boxes = array_map(static fn (PlacedUnit $unit): CellBox => CellBox::of($unit->outline), $units);
        $places = array_flip(array_map(static fn (CellBox $box): string => $box->key(), $boxes));
        $all = [];
        foreach (Symmetry::cases() as $symmetry) {
            $moves = $isOnPoint ? array_map(self::ofHanging(...), $symmetry->moves()) : $symmetry->moves();
            $targets = count($moves) > 1 ? self::targets($boxes, $places, $moves, $whole) : null;
            if ($targets !== null) {
                $all[] = new self($symmetry, count($moves), self::orbitsOf($targets), $targets, $moves);
            }
        }

        return [...$all, ...self::repeats($units, $boxes, $columns, $rows)];
    }

    /** A flip left to right of what hangs on a corner swaps across and down in its frame; a turn is the same turn there. */
    private static function ofHanging(Placement $move): Placement
    {
        return $move->mirrored ? new Placement(Turn::ofQuarters($move->turn->quarters() + 3), true) : $move;
    }

    /** The action that takes what $from shows to $to; the first there is. */
    public function between(int $from, int $to): Placement
    {
        foreach ($this->targets as $move => $targets) {
            if ($targets[$from] === $to) {
                return $this->actions[$move];
            }
        }

        return new Placement(); // shifted only
    }

    /** @return list<Placement> actions that leave the cell where it is, but may move what it shows */
    public function stayingAt(int $cell): array
    {
        $stay = $this->targets === [] ? [new Placement()] : [];
        foreach ($this->targets as $move => $targets) {
            if ($targets[$cell] === $cell) {
                $stay[] = $this->actions[$move];
            }
        }

        return $stay;
    }

    /**
     * @param list<CellBox>      $boxes
     * @param array<string, int> $places
     * @param list<Placement>    $moves
     *
     * @return non-empty-list<array<int, int>>|null null when some cell comes to lie where no cell is
     */
    private static function targets(array $boxes, array $places, array $moves, CellBox $whole): ?array
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
     * @param non-empty-list<array<int, int>> $targets
     *
     * @return list<non-empty-list<int>>
     */
    private static function orbitsOf(array $targets): array
    {
        $orbits = [];
        $seen = [];
        foreach (array_keys($targets[0]) as $cell) {
            if (! isset($seen[$cell])) {
                $orbit = array_values(array_unique([$cell, ...array_column($targets, $cell)]));
                $seen += array_fill_keys($orbit, true);
                $orbits[] = $orbit;
            }
        }

        return $orbits;
    }

    /**
     * @param list<PlacedUnit> $units
     * @param list<CellBox>    $boxes
     *
     * @return list<self>
     */
    private static function repeats(array $units, array $boxes, int $columns, int $rows): array
    {
        $repeats = [];
        $sizes = array_map(static fn (PlacedUnit $unit, CellBox $box): string => "{$unit->cell->rowSpan} {$unit->cell->columnSpan} $box->width $box->height", $units, $boxes);
        foreach (self::divisors($columns) as $period) {
            foreach (self::divisors($rows) as $rowPeriod) {
                $count = intdiv($columns, $period) * intdiv($rows, $rowPeriod);
                $orbits = $count === 1 ? [] : self::shifted($units, $sizes, $columns, $period, $rowPeriod, $count);
                if ($orbits !== []) {
                    $repeats[] = new self(Symmetry::Repeat, $count, $orbits, [], []);
                }
            }
        }

        return $repeats;
    }

    /**
     * @param list<PlacedUnit> $units
     * @param list<string>     $sizes by unit
     *
     * @return list<non-empty-list<int>> cells that the shifts take to each other; none where one is not as large, or not there
     */
    private static function shifted(array $units, array $sizes, int $columns, int $period, int $rowPeriod, int $count): array
    {
        $orbits = [];
        foreach ($units as $i => $unit) {
            $key = ($unit->cell->row - 1) % $rowPeriod * $columns + ($unit->cell->column - 1) % $period;
            if (isset($orbits[$key]) && $sizes[$orbits[$key][0]] !== $sizes[$i]) {
                return [];
            }
            $orbits[$key][] = $i;
        }

        return array_filter($orbits, static fn (array $orbit): bool => count($orbit) !== $count) === [] ? array_values($orbits) : [];
    }

    /** @return list<int> */
    private static function divisors(int $number): array
    {
        return array_values(array_filter(range(1, $number), static fn (int $one): bool => $number % $one === 0));
    }
}
