<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Geometry\ConvexPolygon;

/**
 * A patch as cut: its finished outline with every edge moved out by the seam allowance. Corners of 90 degrees and
 * more stay sharp; sharper ones are blunted as far out as a right angle reaches, for their dog ears come off. (Left
 * sharp, the tip of a narrow patch would add plies at junctions it does not belong to.)
 * In lattice steps; floats, because it is only sampled and drawn.
 *
 * @internal
 */
final readonly class CutOutline
{
    /**
     * @param list<array{float, float, float}>    $halfPlanes x, y, c: covered where x·X + y·Y + c >= 0
     * @param non-empty-list<array{float, float}> $corners    clockwise
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
        $blunted = [];
        foreach ($halfPlanes as $i => $plane) {
            $before = $halfPlanes[($i + count($halfPlanes) - 1) % count($halfPlanes)];
            $corner = $finished->points[$i];
            $blunted = [...$blunted, ...self::blunting($before, $plane, (float) $corner->x, (float) $corner->y, $allowance), $plane];
        }
        $corners = [];
        foreach ($blunted as $i => $plane) {
            $corners[] = self::crossing($blunted[($i + count($blunted) - 1) % count($blunted)], $plane);
        }

        return new self($blunted, $corners);
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
     * @param array{float, float, float} $before half-plane of the edge that ends at the corner
     * @param array{float, float, float} $after  half-plane of the edge that starts there
     *
     * @return list<array{float, float, float}> one half-plane across a sharp corner; none for a wider one
     */
    private static function blunting(array $before, array $after, float $x, float $y, float $allowance): array
    {
        // The inward normals of a sharp corner point away from each other.
        if ($before[0] * $after[0] + $before[1] * $after[1] > -1e-12) {
            return [];
        }
        [$inX, $inY] = [$before[0] + $after[0], $before[1] + $after[1]];
        $length = hypot($inX, $inY);
        [$inX, $inY] = [$inX / $length, $inY / $length];

        return [[$inX, $inY, M_SQRT2 * $allowance - ($inX * $x + $inY * $y)]];
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
