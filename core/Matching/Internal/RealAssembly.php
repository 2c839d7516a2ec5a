<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Point;

/**
 * An assembly as it really comes out: how far each patch lies from where it should, in the block's unit, seen from the
 * patch that was laid first. Orientations never change in piecing, so all of it is translations.
 *
 * @internal
 */
final readonly class RealAssembly
{
    /**
     * @param array<int, array{float, float}> $moved   by patch id
     * @param array<int, Patch>               $patches by id
     */
    private function __construct(
        public Assembly $assembly,
        public array $moved,
        private array $patches,
    ) {}

    /** @param array<int, Patch> $patches of the whole block, by id */
    public static function asMeant(Assembly $assembly, array $patches): self
    {
        return new self($assembly, array_fill_keys($assembly->patchIds(), [0.0, 0.0]), $patches);
    }

    /** What a join makes of two: the right one is moved across the seam by the error, and along it so that both are level at the start. */
    public static function joined(Join $join, self $left, self $right, float $error): self
    {
        [$tx, $ty] = self::along($join);
        // From the left part to the right one, at a right angle to the seam.
        [$nx, $ny] = [$join->leftSide * $ty, -$join->leftSide * $tx];
        // The right part follows the edge it is sewn to, wherever that came to lie, and closer by the error.
        $closer = $left->edgeShift($join, $nx, $ny) - $right->edgeShift($join, $nx, $ny) - $error;
        $level = $left->endShift($join, $join->seam->from) - $right->endShift($join, $join->seam->from);
        $moved = $left->moved;
        foreach ($right->moved as $id => [$x, $y]) {
            $moved[$id] = [$x + $closer * $nx + $level * $tx, $y + $closer * $ny + $level * $ty];
        }

        return new self($join, $moved, $left->patches);
    }

    /** How far the edge along the join lies beyond its place in a direction: the mean of its patches by their length on it. */
    private function edgeShift(Join $join, float $x, float $y): float
    {
        $sum = $length = 0.0;
        foreach ($this->stretches($join) as [$from, $to, $patch]) {
            [$dx, $dy] = $this->moved[$patch];
            $sum += ($to - $from) * ($dx * $x + $dy * $y);
            $length += $to - $from;
        }

        return $length > 0 ? $sum / $length : 0.0;
    }

    /**
     * Larger or smaller than it was meant: what lies at the far edges is moved by all of it, the rest by its share.
     *
     * @param array{float, float} $by across and down
     */
    public function stretchedBy(array $by): self
    {
        $points = $this->assembly->outline()->points;
        $moved = $this->moved;
        foreach (['x', 'y'] as $axis => $name) {
            $of = static fn (Point $point): int => $name === 'x' ? $point->x : $point->y;
            [$near, $far] = [min(array_map($of, $points)), max(array_map($of, $points))];
            foreach ($moved as $id => $shift) {
                $places = array_map($of, $this->patches[$id]->outline->points);
                $share = match (true) {
                    $far === $near => 0.0,
                    max($places) === $far && min($places) > $near => 1.0,
                    min($places) === $near && max($places) < $far => 0.0,
                    default => (array_sum($places) / count($places) - $near) / ($far - $near),
                };
                $shift[$axis] += $share * $by[$axis];
                $moved[$id] = $shift;
            }
        }

        return new self($this->assembly, $moved, $this->patches);
    }

    /**
     * How far the finished corner at one of its ends lies beyond its place, along the join: where the side that bounds the
     * part there crosses the stitching line, both moved.
     */
    public function endShift(Join $join, Point $end): float
    {
        [$tx, $ty] = self::along($join);
        [$patch, $mx, $my] = $this->boundaryAt($join, $end);
        [$dx, $dy] = $this->moved[$patch];
        $across = $this->edgeShift($join, -$ty, $tx);

        return ($dx * $mx + $dy * $my - $across * (-$ty * $mx + $tx * $my)) / ($tx * $mx + $ty * $my);
    }

    /** How far what ends at the place lies beyond it, along the join: the mean of the patches before and behind. */
    public function shiftAt(Join $join, Point $at): float
    {
        [$tx, $ty] = self::along($join);
        $shifts = [];
        $place = $join->seam->along($at);
        foreach ($this->stretches($join) as [$from, $to, $patch]) {
            if ($from <= $place && $place <= $to) {
                [$dx, $dy] = $this->moved[$patch];
                $shifts[] = $dx * $tx + $dy * $ty;
            }
        }

        return $shifts === [] ? 0.0 : array_sum($shifts) / count($shifts);
    }

    /** @return list<array{int, int, int}> from, to and patch of every patch that has an edge on the join */
    public function stretches(Join $join): array
    {
        $stretches = [];
        foreach ($this->assembly->patchIds() as $id) {
            foreach ($this->patches[$id]->outline->edges() as [$a, $b]) {
                if ($join->seam->sideOf($a) === 0 && $join->seam->sideOf($b) === 0) {
                    $ends = [$join->seam->along($a), $join->seam->along($b)];
                    $stretches[] = [min($ends), max($ends), $id];
                }
            }
        }

        return $stretches;
    }

    /** Whether some patch touches the join at the place with a corner only. */
    public function hasTipAt(Join $join, Point $at): bool
    {
        $onJoin = array_column($this->stretches($join), 2);
        foreach ($this->assembly->patchIds() as $id) {
            if (! in_array($id, $onJoin, true) && array_filter($this->patches[$id]->outline->points, $at->equals(...)) !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * The patch at the end of the join that bounds the assembly there, and the outward normal of that side.
     *
     * @return array{int, float, float}
     */
    private function boundaryAt(Join $join, Point $end): array
    {
        foreach ($this->assembly->outline()->edges() as [$a, $b]) {
            $isSide = ($a->equals($end) || $b->equals($end)) && ! ($join->seam->sideOf($a) === 0 && $join->seam->sideOf($b) === 0);
            if (! $isSide) {
                continue;
            }
            $length = hypot($b->x - $a->x, $b->y - $a->y);
            // Outlines run clockwise with y down: outward is to the left of the way.
            [$mx, $my] = [($b->y - $a->y) / $length, -($b->x - $a->x) / $length];
            foreach ($this->assembly->patchIds() as $id) {
                foreach ($this->patches[$id]->outline->edges() as [$c, $d]) {
                    $isOnSide = $b->minus($a)->cross($c->minus($a)) === 0 && $b->minus($a)->cross($d->minus($a)) === 0;
                    if ($isOnSide && ($c->equals($end) || $d->equals($end))) {
                        return [$id, $mx, $my];
                    }
                }
            }
        }

        throw new \LogicException('A join ends at a corner of its parts.');
    }

    /** @return array{float, float} the join's direction, one long */
    private static function along(Join $join): array
    {
        $direction = $join->seam->direction();
        $length = $join->seam->length();

        return [$direction->x / $length, $direction->y / $length];
    }
}
