<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;

/**
 * Cut outlines, fold lines and how far the cloth of every assembly can reach, computed once for a construction.
 * In lattice steps.
 *
 * @internal
 */
final class Cloth
{
    public readonly float $allowance;

    /** @var array<int, CutOutline> by patch id */
    public array $outlines = [];

    /** @var array<int, FoldLine> by join id */
    public array $lines = [];

    /** @var array<int, array{float, float, float, float}> left, top, right, bottom, by patch id */
    private array $reachOfPatches = [];

    /** @var array<int, array{float, float, float, float}> the same by join id, however it is pressed */
    private array $reachOfJoins = [];

    public function __construct(Construction $construction)
    {
        $this->allowance = $construction->face->lattice->toFloatSteps($construction->face->block->seamAllowance);
        foreach ($construction->face->patches as $patch) {
            $this->outlines[$patch->id] = CutOutline::of($patch->outline, $this->allowance);
            $this->reachOfPatches[$patch->id] = self::box($this->outlines[$patch->id]->corners);
        }
        $this->add($construction->joins);
    }

    /** @param list<Join> $joins the parts of each come before it */
    public function add(array $joins): void
    {
        foreach ($joins as $join) {
            $this->lines[$join->id] = FoldLine::of($join);
            $this->reachOfJoins[$join->id] = $this->reachWhenFolded($join);
        }
    }

    /** @return array{float, float, float, float} a box outside which the assembly has no cloth, however it is pressed */
    public function reach(Assembly $assembly): array
    {
        return match (true) {
            $assembly instanceof Piece => $this->reachOfPatches[$assembly->patch->id],
            $assembly instanceof Join => $this->reachOfJoins[$assembly->id],
            default => throw new \LogicException('An assembly is a piece or a join.'),
        };
    }

    /** @return array{float, float, float, float} */
    private function reachWhenFolded(Join $join): array
    {
        $line = $this->lines[$join->id];
        $corners = [];
        foreach ([[$join->left, -1.0], [$join->right, 1.0]] as [$part, $ownSide]) {
            [$left, $top, $right, $bottom] = $this->reach($part);
            $box = [[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]];
            // What reaches past the fold may come to lie mirrored on the part's own side.
            $past = Clipping::clipped($box, $line->toRightX * -$ownSide, $line->toRightY * -$ownSide, $line->c * -$ownSide);
            $corners = [...$corners, ...$box, ...array_map(
                static fn (array $corner): array => $line->mirrored($corner[0], $corner[1]),
                $past,
            )];
        }

        return self::box($corners);
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return array{float, float, float, float}
     */
    private static function box(array $corners): array
    {
        $xs = array_column($corners, 0);
        $ys = array_column($corners, 1);
        if ($xs === [] || $ys === []) {
            throw new \LogicException('Cloth has corners.');
        }

        return [min($xs), min($ys), max($xs), max($ys)];
    }
}
