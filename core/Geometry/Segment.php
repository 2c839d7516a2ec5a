<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

/**
 * A straight piece of line on the lattice, from its upper end to its lower end; a level one from left to right.
 *
 * That reading order fixes what "start" and "end" of a join mean.
 */
final readonly class Segment
{
    private function __construct(
        public Point $from,
        public Point $to,
    ) {}

    public static function between(Point $a, Point $b): self
    {
        if ($a->equals($b)) {
            throw new \LogicException('A segment needs two different ends.');
        }

        return [$a->y, $a->x] < [$b->y, $b->x] ? new self($a, $b) : new self($b, $a);
    }

    public function direction(): Point
    {
        return $this->to->minus($this->from);
    }

    /** -1, 0 or 1: on which side of the whole line the point lies; 1 is clockwise of the direction. */
    public function sideOf(Point $point): int
    {
        return $this->direction()->cross($point->minus($this->from)) <=> 0;
    }

    /** Whether the point lies on the segment, ends included. */
    public function contains(Point $point): bool
    {
        return $this->sideOf($point) === 0
            && $this->along($point) >= 0
            && $this->along($point) <= $this->along($this->to);
    }

    /** Whether the point lies on the segment between its ends. */
    public function containsInside(Point $point): bool
    {
        return $this->contains($point) && ! $point->equals($this->from) && ! $point->equals($this->to);
    }

    /** A whole number that grows from the start to the end, for putting points of the line in order. */
    public function along(Point $point): int
    {
        return $this->direction()->dot($point->minus($this->from));
    }

    /** Whether the segment, after so many quarter turns clockwise, is read from its former end. */
    public function isReversedBy(int $quarterTurns): bool
    {
        $direction = $this->direction();
        for ($i = 0; $i < $quarterTurns % 4; ++$i) {
            $direction = $direction->quarterTurned();
        }

        return [$direction->y, $direction->x] < [0, 0];
    }

    public function equals(self $other): bool
    {
        return $this->from->equals($other->from) && $this->to->equals($other->to);
    }

    /** In lattice steps; for reading and weighing only. */
    public function length(): float
    {
        $direction = $this->direction();

        return sqrt($direction->dot($direction));
    }
}
