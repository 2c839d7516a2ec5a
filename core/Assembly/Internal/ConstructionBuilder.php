<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinTie;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\SewingOrder;
use KeenSeam\Core\Geometry\Segment;

/**
 * Sews units first, each class alike, then the block; numbers the joins as it goes.
 *
 * @internal
 */
final class ConstructionBuilder
{
    private readonly Sewing $sewing;

    /** @var array<int, SewingOrder> of units that the quilter orders herself, by object id */
    private array $ofUnits = [];

    private readonly UnitClasses $classes;

    public function __construct(private readonly Face $face, private readonly ChosenOrder $order)
    {
        $this->classes = new UnitClasses($order);
        $this->sewing = new Sewing();
    }

    public function build(): Construction
    {
        $whole = $this->face->whole;
        if ($this->order instanceof OwnOrder) {
            $own = new OwnSewing($this->face, $this->order);
            $this->ofUnits = $own->ofUnits;
            $root = $this->sewing->sewWhole($own->order, array_map($this->part(...), $own->items));
        } elseif ($this->order->runsThroughCells()) {
            $patches = $this->face->patches;
            $root = $this->sewing->sewWhole($this->diagonal($patches), array_map($this->part(...), $patches));
        } else {
            $units = array_map($this->part(...), $whole->parts);
            $root = $this->sewing->sewWhole($this->blockSewing(), $units);
        }

        return new Construction($this->face, $this->order, $root, $this->sewing->joins, $this->classes->all($this->firstSeams()), $this->sewing->strands);
    }

    /** @return list<Assembly> the units of the block's cells, made and not sewn to each other yet */
    public function units(): array
    {
        return array_map($this->part(...), $this->face->whole->parts);
    }

    /** @return list<Join> made so far */
    public function joins(): array
    {
        return $this->sewing->joins;
    }

    /** @throws SetInSeamNeeded that knows the patches in the way and the units that are made by then */
    private function blockSewing(): SewingOrder
    {
        try {
            return $this->order->sewing($this->face->whole);
        } catch (SetInSeamNeeded $problem) {
            throw $problem->inUnit($this->face->whole)->afterMaking($this->classes->all($this->firstSeams()));
        }
    }

    /** @return array<int, list<Segment>> of the joins of every class's first member */
    private function firstSeams(): array
    {
        $seams = [];
        foreach ($this->sewing->joins as $join) {
            if ($join->tie?->member === 0) {
                $seams[$join->tie->unitClass][] = $join->seam;
            }
        }

        return $seams;
    }

    /**
     * @param list<Patch> $patches
     *
     * @throws OrderNotPossible
     */
    private function diagonal(array $patches): SewingOrder
    {
        $items = array_map(SewnItem::of(...), $patches);
        $bands = StraightOrder::diagonalBands($items);
        if (count($bands) < 2) {
            throw OrderNotPossible::noDiagonalSeam();
        }

        return SewingOrder::of(...array_map(static function (array $band) use ($items): int|SewingOrder {
            return count($band) === 1
                ? $band[0]
                : StraightOrder::best(array_map(static fn (int $item): SewnItem => $items[$item], $band))->renumbered($band);
        }, $bands));
    }

    private function part(Patch|PlacedUnit $part): Assembly
    {
        if ($part instanceof Patch) {
            return new Piece($part);
        }
        $parts = array_map($this->part(...), $part->parts);
        if (count($parts) === 1) {
            return $parts[0]; // a plain patch, or a grid of one cell, has no join of its own
        }
        [$class, $member, $sewing] = $this->classes->admit($part, $this->ofUnits[spl_object_id($part)] ?? null);
        $sewn = 0;

        return $this->sewUnit($sewing, $parts, static function () use ($class, $member, &$sewn): JoinTie {
            return new JoinTie($class, $sewn++, $member);
        });
    }

    /**
     * @param list<Assembly>      $parts
     * @param \Closure(): JoinTie $nextTie
     */
    private function sewUnit(SewingOrder $sewing, array $parts, \Closure $nextTie): Assembly
    {
        $items = array_map(
            fn (int|SewingOrder $item): Assembly => is_int($item) ? $parts[$item] : $this->sewUnit($item, $parts, $nextTie),
            $sewing->items,
        );
        $sewn = array_shift($items);
        foreach ($items as $item) {
            $sewn = $this->sewing->join($sewn, $item, $nextTie());
        }

        return $sewn;
    }
}
