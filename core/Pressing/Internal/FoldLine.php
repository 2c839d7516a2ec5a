<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Box;

/**
 * The line a join folds about, in lattice steps, and where its segments begin.
 *
 * @internal
 */
final readonly class FoldLine
{
    /**
     * @param float       $toRightX  unit vector across the line, into the right part
     * @param float       $c         so that x·X + y·Y + c is the distance, above zero on the right part's side
     * @param float       $alongX    unit vector from start to end
     * @param list<float> $divisions where along the line each segment but the first begins
     */
    private function __construct(
        public float $toRightX,
        public float $toRightY,
        public float $c,
        public float $alongX,
        public float $alongY,
        public array $divisions,
    ) {}

    public static function of(Join $join): self
    {
        $direction = $join->seam->direction();
        $length = hypot($direction->x, $direction->y);
        [$alongX, $alongY] = [$direction->x / $length, $direction->y / $length];
        // sideOf() is 1 on the clockwise side, into which (-y, x) points.
        $sign = -$join->leftSide;
        [$toRightX, $toRightY] = [-$alongY * $sign, $alongX * $sign];
        $from = $join->seam->from;
        $divisions = [];
        foreach ($join->matchPoints() as $match) {
            $divisions[] = $match->at->x * $alongX + $match->at->y * $alongY;
        }

        return new self($toRightX, $toRightY, -($toRightX * $from->x + $toRightY * $from->y), $alongX, $alongY, $divisions);
    }

    public function isOnRight(float $x, float $y): bool
    {
        return $this->distance($x, $y) > 0;
    }

    public function distance(float $x, float $y): float
    {
        return $this->toRightX * $x + $this->toRightY * $y + $this->c;
    }

    /** @return array{float, float} */
    public function mirrored(float $x, float $y): array
    {
        $twice = 2 * $this->distance($x, $y);

        return [$x - $twice * $this->toRightX, $y - $twice * $this->toRightY];
    }

    public function mirroredBox(Box $box): Box
    {
        return Box::round(array_map(fn (array $corner): array => $this->mirrored($corner[0], $corner[1]), $box->corners()));
    }

    /** @return array{float, float} the least and the most distance of a place in the box, as distance() tells it */
    public function distances(Box $box): array
    {
        [$least, $most] = $box->range($this->toRightX, $this->toRightY);

        return [$least + $this->c, $most + $this->c];
    }

    /** Number of the segment beside which the point lies. */
    public function segmentAt(float $x, float $y): int
    {
        $along = $x * $this->alongX + $y * $this->alongY;
        $segment = 0;
        foreach ($this->divisions as $division) {
            if ($along < $division) {
                break;
            }
            ++$segment;
        }

        return $segment;
    }
}
