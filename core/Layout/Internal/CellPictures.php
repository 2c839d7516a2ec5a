<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout\Internal;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/**
 * The pictures of a block's cells as they lie, moved, and as they would be if their units were placed otherwise.
 *
 * Equal units of equal size are looked at once.
 *
 * @internal
 */
final class CellPictures
{
    /** @var list<PlacedUnit> the units of the block's cells, in reading order */
    public readonly array $units;

    /** @var array<string, array<string, Picture|null>> by unit and size, then by placement */
    private array $placed = [];

    /** @var array<int, string> by cell */
    private array $names = [];

    /** @var array<int, array<string, int>> numbers of moved pictures, by cell and move */
    private array $moved = [];

    /** @var array<string, int> by a picture's key, so that equal pictures have equal numbers */
    private array $numbers = [];

    /** @var array<string, array<string, int>> numbers of moved pictures, by picture and move */
    private array $movedPictures = [];

    public function __construct(private readonly Face $face)
    {
        $this->units = array_values(array_filter($face->whole->parts, static fn ($part): bool => $part instanceof PlacedUnit));
    }

    public function picture(int $cell): Picture
    {
        return $this->placedOtherwise($cell, $this->units[$cell]->cell->placement) ?? throw new \LogicException('A unit fits as it lies.');
    }

    /** A number for what the cell shows once the whole block is moved; equal pictures have equal numbers. */
    public function numberMoved(int $cell, Placement $by): int
    {
        return $this->moved[$cell][self::name($by)] ??= $this->movedPictureNumber($this->picture($cell), $by);
    }

    public function movedPictureNumber(Picture $picture, Placement $by): int
    {
        return $this->movedPictures[$picture->key][self::name($by)] ??= $this->number($picture->moved($by));
    }

    public function number(Picture $picture): int
    {
        return $this->numbers[$picture->key] ??= count($this->numbers);
    }

    /** What the cell would show with its unit placed like this; null where the unit would not fit. */
    public function placedOtherwise(int $cell, Placement $placement): ?Picture
    {
        $unit = $this->unitName($cell);
        $this->placed[$unit] ??= $this->allPlacings($this->units[$cell]);

        return $this->placed[$unit][self::name($placement)];
    }

    /**
     * A placement in which the cell's unit shows what is wanted: flipped only if it has to be, then the least turn.
     *
     * @param \Closure(Picture): bool $isWanted
     */
    public function placementThatShows(int $cell, \Closure $isWanted): ?Placement
    {
        $now = $this->units[$cell]->cell->placement;
        foreach ([$now->mirrored, ! $now->mirrored] as $mirrored) {
            foreach (Symmetry::all() as $placement) {
                $picture = $placement->mirrored === $mirrored ? $this->placedOtherwise($cell, $placement) : null;
                if ($picture !== null && $isWanted($picture)) {
                    return $placement;
                }
            }
        }

        return null;
    }

    /** The same for cells whose units are made alike and equally large, however they lie. */
    public function unitName(int $cell): string
    {
        return $this->names[$cell] ??= $this->nameOf($this->units[$cell]);
    }

    private function nameOf(PlacedUnit $unit): string
    {
        $box = CellBox::of($unit->outline);
        $kind = $unit->cell->unit;
        $made = $kind instanceof PatternUnit
            ? $kind->kind().' '.implode(' ', array_map(static fn (Fabric $fabric): string => $fabric->key, $kind->fabrics))
            : serialize($kind);

        return sprintf('%dx%d %s', $box->width, $box->height, $made);
    }

    /** @return array<string, Picture|null> */
    private function allPlacings(PlacedUnit $unit): array
    {
        $pictures = [];
        foreach (Symmetry::all() as $placement) {
            $pictures[self::name($placement)] = $this->placing($unit, $placement);
        }

        return $pictures;
    }

    /** Laid out alone, in a block of the cell's size. */
    private function placing(PlacedUnit $unit, Placement $placement): ?Picture
    {
        $block = $this->face->block;
        $box = CellBox::of($unit->outline);
        $length = fn (int $steps): Length => Length::of(Fraction::of($steps, $this->face->lattice->steps), $block->unit);
        $one = [Fraction::of(1)];
        $cell = new Cell(1, 1, 1, 1, $unit->cell->unit, $placement);
        try {
            $alone = Face::of(new Block($block->name, $block->unit, $length($box->width), $length($box->height), $block->seamAllowance, $block->fabrics, Grid::of($one, $one, [$cell])));
        } catch (BlockNotPossible) {
            return null;
        }

        return Picture::of($alone->whole);
    }

    private static function name(Placement $placement): string
    {
        return $placement->turn->value.($placement->mirrored ? 'm' : '');
    }
}
