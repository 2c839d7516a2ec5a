<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;

/** A place along a join where earlier seams of one side or both end. */
final readonly class Meeting
{
    /**
     * @param Join|null $lastOfLeft   the last-sewn of the left part's seams that end here: its ridge is what locks
     * @param Join|null $lastOfRight  the same of the right part
     * @param int       $seamsOfLeft  how many of the left part's seams end here
     * @param int       $seamsOfRight the same of the right part
     */
    private function __construct(
        public Point $at,
        public ?Join $lastOfLeft,
        public ?Join $lastOfRight,
        public int $seamsOfLeft,
        public int $seamsOfRight,
    ) {}

    /** @return list<self> in order along the seam */
    public static function along(Segment $seam, Assembly $left, Assembly $right): array
    {
        $ofLeft = self::endsOn($seam, $left);
        $ofRight = self::endsOn($seam, $right);
        $meetings = [];
        foreach ($ofLeft + $ofRight as $key => [$at]) {
            $meetings[] = new self(
                $at,
                $ofLeft[$key][1] ?? null,
                $ofRight[$key][1] ?? null,
                $ofLeft[$key][2] ?? 0,
                $ofRight[$key][2] ?? 0,
            );
        }
        usort($meetings, static fn (self $a, self $b): int => $seam->along($a->at) <=> $seam->along($b->at));

        return $meetings;
    }

    public function isOfBothSides(): bool
    {
        return $this->lastOfLeft !== null && $this->lastOfRight !== null;
    }

    /**
     * Of a match point.
     *
     * @return array{Join, Join} the last-sewn seams of the left and of the right part that end here
     */
    public function ends(): array
    {
        return $this->lastOfLeft !== null && $this->lastOfRight !== null
            ? [$this->lastOfLeft, $this->lastOfRight]
            : throw new \LogicException('At a match point seams of both sides end.');
    }

    /**
     * Where inner seams of the assembly end on the given edge of it. The seam met first on the way down the tree
     * is the last one sewn.
     *
     * @return array<string, array{Point, Join, int}> place, last-sewn join and count of joins, by the place's key
     */
    private static function endsOn(Segment $edge, Assembly $assembly): array
    {
        $ends = [];
        $waiting = [$assembly];
        while (($next = array_shift($waiting)) !== null) {
            if (! $next instanceof Join) {
                continue;
            }
            foreach ([$next->seam->from, $next->seam->to] as $point) {
                if ($edge->contains($point)) {
                    $ends[$point->key()] ??= [$point, $next, 0];
                    ++$ends[$point->key()][2];
                }
            }
            foreach ($next->children() as $child) {
                if (self::reaches($child, $edge)) {
                    $waiting[] = $child;
                }
            }
        }

        return $ends;
    }

    private static function reaches(Assembly $assembly, Segment $edge): bool
    {
        foreach ($assembly->outline()->points as $corner) {
            if ($edge->sideOf($corner) === 0) {
                return true;
            }
        }

        return false;
    }
}
