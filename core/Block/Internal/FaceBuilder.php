<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block\Internal;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PieceUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Measure\Fraction;

/**
 * Lays every unit out in exact fractions first; only then is the coarsest common lattice known.
 *
 * @internal
 */
final class FaceBuilder
{
    /** @var list<array{Fabric, list<array{Fraction, Fraction}>}> */
    private array $outlines = [];

    private Lattice $lattice;

    /** @var list<Patch> */
    private array $patches = [];

    private function __construct() {}

    public static function build(Block $block): Face
    {
        $builder = new self();
        $frame = Frame::ofBlock($block->finishedWidth->in($block->unit), $block->finishedHeight->in($block->unit));
        $whole = new Cell(1, 1, 1, 1, new GridUnit($block->grid));
        $laidOut = $builder->layOut($whole, new Placement(), $frame);
        $builder->lattice = Lattice::through($builder->coordinates(), $block->unit);
        foreach ($builder->outlines as $id => [$fabric, $outline]) {
            $builder->patches[] = new Patch($id, $fabric, $builder->polygon($outline));
        }
        $placed = $builder->settle($laidOut);
        $patches = $builder->patches;
        if ($patches === []) {
            throw new \LogicException('A block has at least one patch.');
        }

        return new Face($block, $builder->lattice, $patches, $placed);
    }

    private function layOut(Cell $cell, Placement $placement, Frame $frame): LaidOut
    {
        $unit = $cell->unit;
        $parts = match (true) {
            $unit instanceof PieceUnit => $this->layOutPieces($unit, $frame),
            $unit instanceof GridUnit => $this->layOutGrid($unit->grid, $placement, $frame),
            default => throw new \LogicException('No way to lay out a '.$unit->kind().'.'),
        };
        $zero = Fraction::zero();
        $one = Fraction::of(1);

        return new LaidOut(
            $cell,
            $placement,
            [$frame->place($zero, $zero), $frame->place($one, $zero), $frame->place($one, $one), $frame->place($zero, $one)],
            $parts,
        );
    }

    /** @return list<int> */
    private function layOutPieces(PieceUnit $unit, Frame $frame): array
    {
        $ids = [];
        foreach ($unit->pieces($frame->ownWidth(), $frame->ownHeight()) as [$fabric, $outline]) {
            $ids[] = count($this->outlines);
            if (count($this->outlines) >= Face::MOST_PATCHES) {
                throw BlockNotPossible::tooMany('patches', Face::MOST_PATCHES, '/cells');
            }
            $this->outlines[] = [
                $fabric,
                array_map(static fn (array $place): array => $frame->place($place[0], $place[1]), $outline),
            ];
        }

        return $ids;
    }

    /** @return list<LaidOut> */
    private function layOutGrid(Grid $grid, Placement $placement, Frame $frame): array
    {
        return array_map(fn (Cell $cell): LaidOut => $this->layOut($cell, $placement->around($cell->placement), $frame->inside(
            $grid->columnLine($cell->column),
            $grid->rowLine($cell->row),
            $grid->columnLine($cell->lastColumn() + 1),
            $grid->rowLine($cell->lastRow() + 1),
            $cell->placement,
        )), $grid->cells);
    }

    /** @return iterable<Fraction> */
    private function coordinates(): iterable
    {
        foreach ($this->outlines as [, $outline]) {
            foreach ($outline as [$x, $y]) {
                yield $x;
                yield $y;
            }
        }
    }

    /** @param list<array{Fraction, Fraction}> $outline */
    private function polygon(array $outline): ConvexPolygon
    {
        return ConvexPolygon::of(array_map(fn (array $place) => $this->lattice->point($place[0], $place[1]), $outline));
    }

    private function settle(LaidOut $laidOut): PlacedUnit
    {
        $parts = array_map(
            fn (int|LaidOut $part): Patch|PlacedUnit => is_int($part) ? $this->patches[$part] : $this->settle($part),
            $laidOut->parts,
        );

        return $parts === []
            ? throw new \LogicException('A unit has at least one part.')
            : new PlacedUnit($laidOut->cell, $laidOut->placement, $this->polygon($laidOut->outline), $parts);
    }
}
