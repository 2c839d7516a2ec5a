<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Internal\Cloth;

/**
 * Plies of cloth of the flat, pressed block, by the folding rule itself; coordinates in lattice steps, seen from the face.
 *
 * A plain walk of the tree for every point, leaving out what cannot reach it: the measure that faster tables are
 * checked against.
 */
final class Layers
{
    /** Around a junction the plies are looked at in so many directions, offset by half a step. */
    public const DIRECTIONS = 64;

    private readonly Cloth $cloth;

    public function __construct(private readonly Construction $construction, private readonly Pressing $pressing)
    {
        $this->cloth = new Cloth($construction);
    }

    /** Plies of the finished block at a point. */
    public function at(float $x, float $y): int
    {
        return $this->pliesOf($this->construction->root, $x, $y);
    }

    /**
     * Plies on the circle round a point, one count a direction.
     *
     * @param float $radius     in lattice steps
     * @param int   $directions evenly spaced, from the right clockwise
     *
     * @return list<int>
     */
    public function around(Point $point, float $radius, int $directions = self::DIRECTIONS): array
    {
        return array_map(function (int $direction) use ($point, $radius, $directions): int {
            $angle = ($direction + 0.5) * 2 * M_PI / $directions;

            return $this->at($point->x + $radius * cos($angle), $point->y + $radius * sin($angle));
        }, range(0, $directions - 1));
    }

    private function pliesOf(Assembly $assembly, float $x, float $y): int
    {
        if (! $this->cloth->reach($assembly)->holds($x, $y)) {
            return 0;
        }
        if ($assembly instanceof Piece) {
            return $this->cloth->outlines[$assembly->patch->id]->covers($x, $y) ? 1 : 0;
        }
        if (! $assembly instanceof Join) {
            throw new \LogicException('An assembly is a piece or a join.');
        }
        $line = $this->cloth->lines[$assembly->id];
        $press = $this->pressing->directions[$assembly->id][$line->segmentAt($x, $y)];
        [$mirroredX, $mirroredY] = $line->mirrored($x, $y);
        [$here, $there, $folded] = $line->isOnRight($x, $y)
            ? [$assembly->right, $assembly->left, $press->foldsRight()]
            : [$assembly->left, $assembly->right, $press->foldsLeft()];
        $plies = $this->pliesOf($here, $x, $y);
        if ($folded) {
            $plies += $this->pliesOf($here, $mirroredX, $mirroredY);
        }
        // Pressed to a side, the other part's allowance lies flat under it; pressed open it is folded away.
        if ($folded && $press !== PressDirection::Open) {
            $plies += $this->pliesOf($there, $x, $y);
        }

        return $plies;
    }
}
