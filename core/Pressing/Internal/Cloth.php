<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Geometry\Box;

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

    /** @var array<int, Box> by patch id */
    private array $reachOfPatches = [];

    /** @var array<int, Box> by join id, however it is pressed */
    private array $reachOfJoins = [];

    /** @var array<int, Assembly> what is sewn instead of a join's part, by the join's id */
    private array $instead = [];

    public function __construct(Construction $construction)
    {
        $this->allowance = $construction->face->lattice->toFloatSteps($construction->face->block->seamAllowance);
        foreach ($construction->face->patches as $patch) {
            $this->outlines[$patch->id] = CutOutline::of($patch->outline, $this->allowance);
            $this->reachOfPatches[$patch->id] = Box::round($this->outlines[$patch->id]->corners);
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

    /**
     * The same cloth with some parts sewn in another way.
     *
     * @param array<int, Assembly> $instead by the id of the join that makes the part otherwise
     */
    public function sewnWith(array $instead): self
    {
        $cloth = clone $this;
        $cloth->instead = $instead;

        return $cloth;
    }

    /** A part as it is sewn here. */
    public function sewn(Assembly $assembly): Assembly
    {
        return $assembly instanceof Join ? $this->instead[$assembly->id] ?? $assembly : $assembly;
    }

    /** A box outside which the assembly has no cloth, however it is pressed. */
    public function reach(Assembly $assembly): Box
    {
        $assembly = $this->sewn($assembly);

        return match (true) {
            $assembly instanceof Piece => $this->reachOfPatches[$assembly->patch->id],
            $assembly instanceof Join => $this->reachOfJoins[$assembly->id],
            default => throw new \LogicException('An assembly is a piece or a join.'),
        };
    }

    private function reachWhenFolded(Join $join): Box
    {
        $line = $this->lines[$join->id];

        return $this->reachOnOwnSide($join->left, $line, -1.0)->with($this->reachOnOwnSide($join->right, $line, 1.0));
    }

    /** @param float $side of the line: 1 on its right, -1 on its left */
    private function reachOnOwnSide(Assembly $part, FoldLine $line, float $side): Box
    {
        $box = $this->reach($part);
        // What reaches past the fold may come to lie mirrored on the part's own side.
        $past = Clipping::clipped($box->corners(), -$side * $line->toRightX, -$side * $line->toRightY, -$side * $line->c);

        return Box::round([...$box->corners(), ...array_map(static fn (array $corner): array => $line->mirrored(...$corner), $past)]);
    }
}
