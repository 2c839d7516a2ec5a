<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Geometry\ConvexPolygon;

/**
 * A patch as cut: its finished outline with every edge moved out by the seam allowance, corners left sharp.
 * In lattice steps; floats, because it is only sampled and drawn.
 *
 * @internal
 */
final readonly class CutOutline
{
    /**
     * @param list<array{float, float, float}> $halfPlanes x, y, c: covered where x·X + y·Y + c >= 0
     * @param list<array{float, float}>        $corners    clockwise
     */
    private function __construct(
        public array $halfPlanes,
        public array $corners,
    ) {}

    public static function of(ConvexPolygon $finished, float $allowance): self
    {
        $halfPlanes = [];
        foreach ($finished->edges() as [$a, $b]) {
            $along = $b->minus($a);
            $length = hypot($along->x, $along->y);
            // The inside of a clockwise outline (y down) lies to the right hand of each edge.
            [$inX, $inY] = [-$along->y / $length, $along->x / $length];
            $halfPlanes[] = [$inX, $inY, $allowance - ($inX * $a->x + $inY * $a->y)];
        }
        $corners = [];
        foreach ($halfPlanes as $i => $plane) {
            $corners[] = self::crossing($halfPlanes[($i + count($halfPlanes) - 1) % count($halfPlanes)], $plane);
        }

        return new self($halfPlanes, $corners);
    }

    public function covers(float $x, float $y): bool
    {
        foreach ($this->halfPlanes as [$inX, $inY, $c]) {
            if ($inX * $x + $inY * $y + $c < 0) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array{float, float, float} $a
     * @param array{float, float, float} $b
     *
     * @return array{float, float}
     */
    private static function crossing(array $a, array $b): array
    {
        $determinant = $a[0] * $b[1] - $a[1] * $b[0];

        return [($a[1] * $b[2] - $b[1] * $a[2]) / $determinant, ($b[0] * $a[2] - $a[0] * $b[2]) / $determinant];
    }
}
