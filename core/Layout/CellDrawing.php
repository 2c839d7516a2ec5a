<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/** One cell of a wall, opened to be cut and sewn together by hand. */
final readonly class CellDrawing
{
    private function __construct(
        private Wall $wall,
        public Cell $cell,
        public Drawing $drawing,
        public PlacedUnit $unit,
        public Face $face,
    ) {}

    /** @throws LayoutNotPossible */
    public static function of(Wall $wall, int $row, int $column): self
    {
        $face = Face::of($wall->open()->asBlock());
        foreach ($face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && $unit->cell->covers($row, $column)) {
                $patches = $unit->patches();

                return new self($wall, $unit->cell, Drawing::of($patches === [] ? throw new \LogicException('A unit has patches.') : $patches), $unit, $face);
            }
        }

        throw LayoutNotPossible::nothingChosen();
    }

    /** @throws LayoutNotPossible */
    public function cut(Spot $from, Spot $to, bool $isThrough): Wall
    {
        return $this->with($this->drawing->cut($from, $to, $isThrough));
    }

    /** @throws LayoutNotPossible */
    public function sewnBack(int $one, int $other): Wall
    {
        return $this->with($this->drawing->sewnBack($one, $other));
    }

    /** The unit alone, as large as it is finished, taken apart; its patches have the numbers of the drawing. */
    public function alone(): Block
    {
        $open = $this->face->block;
        [$width, $height] = $this->unit->outline->size();
        $side = fn (int $steps): Length => Length::of($this->face->lattice->toLengthNumber($steps), $open->unit);
        $one = [Fraction::of(1)];

        return $open->with(width: $side($width), height: $side($height), grid: Grid::of($one, $one, [new Cell(1, 1, 1, 1, $this->drawing->unit(new Placement()))]));
    }

    /**
     * The seams in the order they are sewn.
     *
     * @return array{face: Face, joins: list<Join>, problem: string|null, inTheWay: list<int>} inTheWay: numbers of patches that no straight seam joins
     */
    public function order(): array
    {
        $face = Face::of($this->alone());
        try {
            return ['face' => $face, 'joins' => Construction::of($face, Order::Rows)->joins, 'problem' => null, 'inTheWay' => []];
        } catch (SetInSeamNeeded $problem) {
            return ['face' => $face, 'joins' => [], 'problem' => $problem->getMessage(), 'inTheWay' => $problem->patchIds];
        } catch (OrderNotPossible $problem) {
            return ['face' => $face, 'joins' => [], 'problem' => $problem->getMessage(), 'inTheWay' => []];
        }
    }

    private function with(Drawing $drawing): Wall
    {
        // A drawn unit keeps the way it lies, so that copies of it stay copies.
        $lies = $this->cell->unit instanceof PatchesUnit ? $this->cell->placement : new Placement();

        return $this->wall->laid([$this->cell->holding($drawing->unit($lies))->lying($lies)]);
    }
}
