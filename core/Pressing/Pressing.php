<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;

/** Which way every segment of every join lies. */
final readonly class Pressing
{
    /** @param list<non-empty-list<PressDirection>> $directions by join id, one a segment from start to end of the join */
    public function __construct(public array $directions) {}

    /**
     * Every join pressed one way over its whole length.
     *
     * @param list<PressDirection> $directions by join id
     */
    public static function wholeJoins(Construction $construction, array $directions): self
    {
        return new self(array_map(
            static fn (Join $join): array => array_fill(0, $join->segmentCount(), $directions[$join->id]),
            $construction->joins,
        ));
    }

    /** The direction at the end of a join that lies at the given point. */
    public function atEnd(Join $join, Point $end): PressDirection
    {
        return $this->directions[$join->id][$join->segmentAt($end)];
    }

    /** Whether some join changes its direction on its way. */
    public function hasFurls(): bool
    {
        foreach ($this->directions as $segments) {
            foreach ($segments as $direction) {
                if ($direction !== $segments[0]) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return non-empty-list<PressDirection> of one join, start to end */
    public function of(Join $join): array
    {
        return $this->directions[$join->id];
    }
}
