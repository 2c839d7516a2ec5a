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
    public static function joined(Join $join, self $left, self $right, RealEdge $leftEdge, RealEdge $rightEdge, float $error): self
    {
        [$tx, $ty] = self::along($join);
        // From the left part to the right one, at a right angle to the seam.
        [$nx, $ny] = [$join->leftSide * $ty, -$join->leftSide * $tx];
        // The right part follows the edge it is sewn to, wherever that came to lie, and closer by the error.
        $closer = $leftEdge->shift($nx, $ny) - $rightEdge->shift($nx, $ny) - $error;
        $level = $leftEdge->endShift($join->seam->from) - $rightEdge->endShift($join->seam->from);
        $moved = $left->moved;
        foreach ($right->moved as $id => [$x, $y]) {
            $moved[$id] = [$x + $closer * $nx + $level * $tx, $y + $closer * $ny + $level * $ty];
        }

        return new self($join, $moved, $left->patches);
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
