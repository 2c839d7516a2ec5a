<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\OutlineNotConvex;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;

/** One straight seam and the assembly it makes of its left and right part. */
final readonly class Join implements Assembly
{
    public Segment $seam;

    /** @var int -1 or 1: on which side of the seam, as Segment::sideOf() tells it, the left part lies */
    public int $leftSide;

    /** @var list<Meeting> every place along the seam where seams of a side end, ends of the seam included, in order */
    public array $meetings;

    /** @var list<int> */
    private array $patchIds;

    private ConvexPolygon $outline;

    /**
     * @param JoinTie|null $tie the join of its unit class that this one must be pressed like; null for the block's own joins
     *
     * @throws SetInSeamNeeded  when the two parts do not have a whole edge in common
     * @throws OutlineNotConvex when the two together have a dent
     */
    public function __construct(
        public int $id,
        public Assembly $left,
        public Assembly $right,
        public ?JoinTie $tie = null,
    ) {
        $this->seam = $left->outline()->sharedEdge($right->outline())
            ?? throw SetInSeamNeeded::between($left, $right);
        $this->outline = $left->outline()->joinedWith($right->outline(), $this->seam);
        $this->leftSide = $this->seam->sideOf($this->cornerOfLeft());
        $this->meetings = Meeting::along($this->seam, $left, $right);
        $ids = [...$left->patchIds(), ...$right->patchIds()];
        sort($ids);
        $this->patchIds = $ids;
    }

    public function outline(): ConvexPolygon
    {
        return $this->outline;
    }

    public function children(): array
    {
        return [$this->left, $this->right];
    }

    public function patchIds(): array
    {
        return $this->patchIds;
    }

    /** @return list<Meeting> strictly between the ends, where seams of both sides must meet */
    public function matchPoints(): array
    {
        return array_values(array_filter(
            $this->meetings,
            fn (Meeting $meeting): bool => $meeting->isOfBothSides() && $this->seam->containsInside($meeting->at),
        ));
    }

    /** @return list<Meeting> at the two ends of the seam, where seams of both sides run into the corner */
    public function endMeetings(): array
    {
        return array_values(array_filter(
            $this->meetings,
            fn (Meeting $meeting): bool => $meeting->isOfBothSides() && ! $this->seam->containsInside($meeting->at),
        ));
    }

    /** The segment that ends, or begins, at the end of the seam that lies there. */
    public function segmentAt(Point $end): int
    {
        return $this->seam->from->equals($end) ? 0 : $this->segmentCount() - 1;
    }

    public function meetingAt(Point $at): Meeting
    {
        foreach ($this->meetings as $meeting) {
            if ($meeting->at->equals($at)) {
                return $meeting;
            }
        }

        throw new \LogicException('No seam ends there.');
    }

    /** @return positive-int how many stretches the match points divide the seam into; each can be pressed its own way */
    public function segmentCount(): int
    {
        return count($this->matchPoints()) + 1;
    }

    /** The same for joins that are pressed together: by themselves those that are free, with their likes those of a class of units. */
    public function pile(): string
    {
        return $this->tie === null ? 'join '.$this->id : 'class '.$this->tie->unitClass.' '.$this->tie->join;
    }

    /** A corner of the left part that is not on the seam. */
    public function cornerOfLeft(): Point
    {
        foreach ($this->left->outline()->points as $corner) {
            if ($this->seam->sideOf($corner) !== 0) {
                return $corner;
            }
        }
        throw new \LogicException('An outline has a corner off its own edge.');
    }
}
