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
     * @param array<int, array{float, float, float, float}> $moved   by patch id: across and down, and how much more of each with every step to the right, and down
     * @param array<int, Patch>                             $patches by id
     */
    private function __construct(
        public Assembly $assembly,
        public array $moved,
        private array $patches,
    ) {}

    /** @param array<int, Patch> $patches of the whole block, by id */
    public static function asMeant(Assembly $assembly, array $patches): self
    {
        return new self($assembly, array_fill_keys($assembly->patchIds(), [0.0, 0.0, 0.0, 0.0]), $patches);
    }

    /** What a join makes of two: the right one is moved across the seam by the error, and along it so that both are level at the start. */
    public static function joined(Join $join, self $left, self $right, RealEdge $leftEdge, RealEdge $rightEdge, float $error): self
    {
        [$tx, $ty] = self::along($join);
        // From the left part to the right one, at a right angle to the seam.
        [$nx, $ny] = [$join->leftSide * $ty, -$join->leftSide * $tx];
        // The right part follows the edge it is sewn to, wherever that came to lie, and closer by the error.
        $closer = $leftEdge->shift($nx, $ny) - $rightEdge->shift($nx, $ny) - $error;
        $level = $leftEdge->endShift($join->seam->from) - $rightEdge->endShift($join->seam->from);
        $moved = $left->moved;
        foreach ($right->moved as $id => [$x, $y, $wider, $higher]) {
            $moved[$id] = [$x + $closer * $nx + $level * $tx, $y + $closer * $ny + $level * $ty, $wider, $higher];
        }

        return new self($join, $moved, $left->patches);
    }

    /**
     * Larger or smaller than it was meant, evenly: what lies at the far edges is moved by all of it, the rest by its share.
     *
     * @param array{float, float} $by across and down
     */
    public function stretchedBy(array $by): self
    {
        $points = $this->assembly->outline()->points;
        $moved = $this->moved;
        foreach ([0, 1] as $axis) {
            $places = array_map(static fn (Point $point): int => $axis === 0 ? $point->x : $point->y, $points);
            [$near, $far] = [min($places), max($places)];
            foreach ($moved as $id => $shift) {
                $shift[$axis] -= $by[$axis] * $near / ($far - $near);
                $shift[$axis + 2] += $by[$axis] / ($far - $near);
                $moved[$id] = $shift;
            }
        }

        return new self($this->assembly, $moved, $this->patches);
    }

    /**
     * How far what was meant to lie in a place lies from it.
     *
     * @param array{float, float, float, float} $moved
     *
     * @return array{float, float} across and down
     */
    public static function shiftAt(array $moved, float $x, float $y): array
    {
        return [$moved[0] + $moved[2] * $x, $moved[1] + $moved[3] * $y];
    }

    /** Its edge along a join that sews it to something. */
    public function edgeOn(Join $join): RealEdge
    {
        return new RealEdge($this->assembly, $this->moved, $this->patches, $join);
    }

    /** @return array{float, float} the join's direction, one long */
    public static function along(Join $join): array
    {
        $direction = $join->seam->direction();
        $length = $join->seam->length();

        return [$direction->x / $length, $direction->y / $length];
    }
}
