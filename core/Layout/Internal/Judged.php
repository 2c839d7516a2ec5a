<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout\Internal;

use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Layout\OddCell;

/**
 * How far a layout is from one symmetry: which cells would have to change, and to what.
 *
 * @internal
 */
final readonly class Judged
{
    /**
     * @param int                                 $changes    two cells of a pair that disagree count as one
     * @param array<int, \Closure(Picture): bool> $odd        by cell: whether a picture would do there
     * @param bool                                $isBorneOut whether cells that hold more than a plain patch agree anywhere
     */
    private function __construct(
        public Moves $moves,
        public int $changes,
        public array $odd,
        public bool $isBorneOut,
    ) {}

    /** Null when more than $allowed cells would have to change, or no majority tells what they should show. */
    public static function of(Moves $moves, CellPictures $pictures, int $allowed): ?self
    {
        $changes = 0;
        $odd = [];
        $isBorneOut = false;
        foreach ($moves->orbits as $orbit) {
            $ofOrbit = self::oddIn($orbit, $moves, $pictures);
            if ($ofOrbit === null) {
                return null;
            }
            $changes += count($orbit) === 2 && count($ofOrbit) === 2 ? 1 : count($ofOrbit);
            $odd += $ofOrbit;
            $agreeing = array_diff($orbit, array_keys($ofOrbit));
            $isBorneOut = $isBorneOut || (count($agreeing) > 1 && $pictures->units[min($agreeing)]->cell->unit->kind() !== 'plain');
            if ($changes > $allowed) {
                return null;
            }
        }

        return new self($moves, $changes, $odd, $isBorneOut);
    }

    /** @return list<OddCell>|null null where one of them would have to change and no placement of its unit would do */
    public function oddCells(CellPictures $pictures): ?array
    {
        $odd = $this->odd;
        ksort($odd);
        $cells = [];
        foreach ($odd as $cell => $isWanted) {
            $mend = $pictures->placementThatShows($cell, $isWanted);
            if ($mend === null) {
                return null;
            }
            $cells[] = new OddCell($pictures->units[$cell]->cell, $mend);
        }

        return $cells;
    }

    /**
     * @param list<int> $orbit
     *
     * @return array<int, \Closure(Picture): bool>|null
     */
    private static function oddIn(array $orbit, Moves $moves, CellPictures $pictures): ?array
    {
        $first = $orbit[0];
        $votes = [];
        foreach ($orbit as $cell) {
            $stay = $moves->stayingAt($cell);
            if (self::isUnmoved($stay, static fn (Placement $by): int => $pictures->numberMoved($cell, $by))) {
                $votes[$pictures->numberMoved($cell, $moves->between($first, $cell)->inverse())][] = $cell;
            }
        }
        if (count($orbit) === 1) {
            // Nothing to compare with: the cell only has to be the same from all sides the symmetry looks from.
            return $votes !== [] ? [] : [$first => static fn (Picture $picture): bool => self::isUnmoved(
                $moves->stayingAt($first),
                static fn (Placement $by): int => $pictures->movedPictureNumber($picture, $by),
            )];
        }
        $shown = static fn (int $from, int $to): \Closure => static fn (Picture $picture): bool => $pictures->number($picture) === $pictures->numberMoved($from, $moves->between($from, $to));
        if (count($orbit) === 2 && count($votes) === 2) {
            return [$orbit[0] => $shown($orbit[1], $orbit[0]), $orbit[1] => $shown($orbit[0], $orbit[1])];
        }
        usort($votes, static fn (array $a, array $b): int => count($b) <=> count($a));
        $agree = $votes[0] ?? [];
        $isSettled = 2 * count($agree) > count($orbit) || (count($orbit) === 2 && count($agree) === 1);
        if (! $isSettled || $agree === []) {
            return null;
        }
        $odd = [];
        foreach (array_diff($orbit, $agree) as $cell) {
            $odd[$cell] = $shown($agree[0], $cell);
        }

        return $odd;
    }

    /**
     * @param list<Placement>          $stay
     * @param \Closure(Placement): int $number of what is shown after a move
     */
    private static function isUnmoved(array $stay, \Closure $number): bool
    {
        foreach ($stay as $by) {
            if ($number($by) !== $number($stay[0])) {
                return false;
            }
        }

        return true;
    }
}
