<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Internal\Furl;

/** A change near one crossing that may make it lie flatter: seams opened, a furl, or a second pile of units. */
final readonly class LumpCure
{
    /** Units of one class that are still sorted into two piles. */
    public const MOST_TO_SPLIT = 16;

    /**
     * @param list<Lock> $locks
     * @param int|null   $twoPiles index of the class to press in two piles
     */
    private function __construct(
        public array $locks,
        public ?int $twoPiles,
        public bool $isFurl,
    ) {}

    /**
     * What is worth trying at a crossing, the least change first; whether it helps is for whoever prices it.
     *
     * @param list<int> $alreadySplit indexes of classes that are pressed in two piles
     *
     * @return list<self>
     */
    public static function at(Construction $construction, Pressing $pressing, Junction $junction, array $alreadySplit = []): array
    {
        $meeting = array_reverse(array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->seam->contains($junction->at))));
        $closed = array_values(array_filter($meeting, static fn (Join $join): bool => $pressing->of($join)[0] !== PressDirection::Open));
        $cures = [];
        foreach (array_unique([1, 3, count($closed)]) as $count) {
            if ($count > 0 && $count <= count($closed)) {
                $cures[] = new self(self::opened(array_slice($closed, 0, $count)), null, false);
            }
        }
        foreach ($meeting as $join) {
            foreach (self::furled($join, $junction->at, $pressing) as $lock) {
                $cures[] = new self([$lock], null, true);
            }
        }
        foreach ($construction->classes as $class) {
            if (self::mayBeSplit($class, $meeting, $alreadySplit)) {
                $cures[] = new self([], $class->index, false);
            }
        }

        return $cures;
    }

    /** Whether it asks for all that the other asks for, and for more: worth it only where more comes of it. */
    public function asksForMoreThan(self $other): bool
    {
        $isIn = fn (Lock $lock): bool => in_array($lock, $this->locks, false);

        return $other->locks !== [] && count($this->locks) > count($other->locks) && array_filter($other->locks, $isIn) === $other->locks;
    }

    /**
     * @param list<Join> $joins
     *
     * @return list<Lock> one for each pile
     */
    private static function opened(array $joins): array
    {
        $locks = [];
        foreach ($joins as $join) {
            $locks[$join->pile()] ??= new Lock($join->id, PressDirection::Open);
        }

        return array_values($locks);
    }

    /** @return list<Lock> ways in which the join changes sides at the place and nowhere else than before, as its neighbours lie now */
    private static function furled(Join $join, Point $at, Pressing $pressing): array
    {
        $directions = $pressing->of($join);
        foreach ($join->matchPoints() as $number => $match) {
            if (! $match->at->equals($at) || $directions[$number] !== $directions[$number + 1]) {
                continue;
            }
            [$left, $right] = $match->ends();
            $locks = [];
            foreach ([range(0, $number), range($number + 1, count($directions) - 1)] as $flipped) {
                $then = $directions;
                foreach ($flipped as $segment) {
                    $then[$segment] = $then[$segment]->swapped();
                }
                if (Furl::isWheel($join, $match, $then[$number], $then[$number + 1], $pressing->atEnd($left, $at), $pressing->atEnd($right, $at))) {
                    $locks[] = new Lock($join->id, ...array_values($then));
                }
            }

            return $locks;
        }

        return [];
    }

    /**
     * @param list<Join> $meeting
     * @param list<int>  $alreadySplit
     */
    private static function mayBeSplit(UnitClass $class, array $meeting, array $alreadySplit): bool
    {
        $isThere = array_filter($meeting, static fn (Join $join): bool => $join->tie?->unitClass === $class->index) !== [];

        return $isThere && count($class->members) > 1 && count($class->members) <= self::MOST_TO_SPLIT && ! in_array($class->index, $alreadySplit, true);
    }
}
