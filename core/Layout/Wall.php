<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Corner;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FlippedCorner;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Layout\Internal\Copies;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/**
 * A block being laid out. Every change gives a new wall; rows, columns and places are those of the grid that is open:
 * the block's own, or a small grid in one of its cells, seen in its own frame.
 */
final readonly class Wall
{
    /**
     * @param list<array{int, int}> $path    row and column of each small grid that was opened, from the outside in
     * @param bool                  $isAlone whether a change inside it leaves equal ones as they are
     */
    private function __construct(
        public Block $block,
        public array $path,
        public bool $isAlone,
    ) {}

    /**
     * @param list<array{int, int}> $path
     *
     * @throws LayoutNotPossible when the path leads to no grid
     */
    public static function of(Block $block, array $path = [], bool $isAlone = false): self
    {
        $wall = new self($block, $path, $isAlone);
        $wall->open();

        return $wall;
    }

    /** With another grid in the place of the open one. */
    public function withGrid(Grid $grid): self
    {
        return $this->withBlock($this->open()->replaced($grid, $this->isAlone));
    }

    /** The grid that is open. */
    public function open(): OpenGrid
    {
        return OpenGrid::of($this->block, $this->path);
    }

    public function grid(): Grid
    {
        return $this->open()->grid;
    }

    public function cloths(): Cloths
    {
        return new Cloths($this->block);
    }

    /**
     * @param list<Cell> $cells laid over what is there
     *
     * @throws LayoutNotPossible
     */
    public function laid(array $cells): self
    {
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->laid($cells));
    }

    /**
     * Places a unit of the tray: in every cell that covers one of the places, or one unit over the rectangle round them all.
     *
     * @param non-empty-list<array{int, int}> $places row and column
     * @param string                          $figure key of the fabric that makes the figure; the background is its ground
     *
     * @throws LayoutNotPossible
     */
    public function placed(string $kind, array $places, bool $asOne, string $figure): self
    {
        [$fabric, $ground, $second] = $this->cloths()->three($figure);
        $open = $this->open();

        return $this->filled($places, $asOne, fn (Area $area): Cell => new Cell(
            $area->row,
            $area->column,
            $area->rowSpan,
            $area->columnSpan,
            TrayUnit::unit($kind, $fabric, $ground, $second, $open->shorterSide($area), $this->block->unit),
        ));
    }

    /**
     * Fills every cell that covers one of the places, or the rectangle round them all as one.
     *
     * @param non-empty-list<array{int, int}> $places row and column
     * @param \Closure(Area): Cell            $with
     *
     * @throws LayoutNotPossible
     */
    public function filled(array $places, bool $asOne, \Closure $with): self
    {
        return $this->laid(array_map($with, $asOne ? [Area::round($places)] : array_map(Area::ofCell(...), array_values(array_filter(
            $this->grid()->cells,
            static fn (Cell $cell): bool => array_filter($places, static fn (array $place): bool => $cell->covers(...$place)) !== [],
        )))));
    }

    /**
     * Turns units, or flips them, as the quilter sees them lie.
     *
     * @param list<array{int, int}> $places row and column
     * @param Placement             $by     done to what lies there
     */
    public function moved(array $places, Placement $by): self
    {
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static fn (Cell $cell): Cell => $cell->lying($by->around($cell->placement))));
    }

    /**
     * Turns the odd ones among the places back; of two that disagree, mending one makes the other right.
     *
     * @param list<array{int, int}> $places row and column
     */
    public function mended(array $places): self
    {
        $wall = $this;
        foreach ($places as $_) {
            $next = array_values(array_filter(
                OddOnesOut::of(Face::of($wall->open()->asBlock()))->odd,
                static fn (OddCell $odd): bool => in_array([$odd->cell->row, $odd->cell->column], $places, true),
            ))[0] ?? null;
            if ($next === null) {
                break;
            }
            $wall = $wall->lying([[$next->cell->row, $next->cell->column]], $next->mend);
        }

        return $wall;
    }

    /** @param list<array{int, int}> $places */
    public function lying(array $places, Placement $placement): self
    {
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static fn (Cell $cell): Cell => $cell->lying($placement)));
    }

    /**
     * Each fabric of a unit takes the place of the one before it; two simply change places.
     *
     * @param list<array{int, int}> $places
     */
    public function withFabricsSwapped(array $places): self
    {
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static fn (Cell $cell): Cell => $cell->holding(Cloths::swapped($cell->unit))));
    }

    /**
     * Flips a corner, gives a flipped one another size in the fabric it has, or with no size takes it away; other kinds of unit stay as they are.
     *
     * @param list<array{int, int}> $places
     * @param Corner                $corner as it is seen on the face
     * @param Length|null           $leg    finished
     * @param string                $fabric of a corner that was not flipped before
     *
     * @throws LayoutNotPossible when the last corner would go
     */
    public function withCorner(array $places, Corner $corner, ?Length $leg, string $fabric): self
    {
        $cloth = $this->cloths()->fabric($fabric);

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static function (Cell $cell) use ($corner, $leg, $cloth): Cell {
            $own = $corner->moved($cell->placement->inverse());

            return $cell->unit instanceof FlippedCornersUnit
                ? $cell->holding($cell->unit->with($own, $leg === null ? null : new FlippedCorner($own, $cell->unit->at($own)->fabric ?? $cloth, $leg)) ?? throw LayoutNotPossible::lastCorner())
                : $cell;
        }));
    }

    /**
     * A flipped corner in another corner, as large and in the same fabric; what is flipped there goes to where it was.
     *
     * @param list<array{int, int}> $places
     * @param Corner                $from   as it is seen on the face
     */
    public function withCornerMoved(array $places, Corner $from, Corner $to): self
    {
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static function (Cell $cell) use ($from, $to): Cell {
            if (! $cell->unit instanceof FlippedCornersUnit) {
                return $cell;
            }
            [$from, $to] = [$from->moved($cell->placement->inverse()), $to->moved($cell->placement->inverse())];
            [$here, $there] = [$cell->unit->at($from), $cell->unit->at($to)];
            $unit = $here === null ? $cell->unit : $cell->unit->with($to, new FlippedCorner($to, $here->fabric, $here->finishedLeg));

            return $here === null || $unit === null ? $cell : $cell->holding($unit->with($from, $there === null ? null : new FlippedCorner($from, $there->fabric, $there->finishedLeg)) ?? $cell->unit);
        }));
    }

    /** @param list<array{int, int}> $places */
    public function cleared(array $places): self
    {
        $plain = $this->cloths()->plain();

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static fn (Cell $cell): Cell => new Cell($cell->row, $cell->column, $cell->rowSpan, $cell->columnSpan, $plain)));
    }

    /** @param list<array{int, int}> $places */
    public function labelled(array $places, ?string $label): self
    {
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static fn (Cell $cell): Cell => new Cell($cell->row, $cell->column, $cell->rowSpan, $cell->columnSpan, $cell->unit, $cell->placement, $label)));
    }

    /**
     * Units change their places; where they lay is plain.
     *
     * @param list<array{int, int}> $places
     *
     * @throws LayoutNotPossible when one would lie past the grid
     */
    public function carried(array $places, int $down, int $right): self
    {
        $carried = array_filter($this->grid()->cells, static fn (Cell $cell): bool => array_filter($places, static fn (array $place): bool => $cell->covers(...$place)) !== []);
        $laid = array_map(static fn (Cell $cell): Cell => $cell->at($cell->row + $down, $cell->column + $right, $cell->rowSpan, $cell->columnSpan), array_values($carried));

        return $this->cleared($places)->laid($laid);
    }

    /** @throws LayoutNotPossible when there is no such patch; they are numbered as on the block's face */
    public function painted(int $patch, string $fabric): self
    {
        $painted = $this->cloths()->painted($patch, $fabric);

        // Inside a small grid the others of its design are painted with it.
        return $this->withBlock($this->path === [] || $this->isAlone ? $painted : $this->open()->replaced(OpenGrid::of($painted, $this->path)->grid));
    }

    /**
     * A new column or row; what is there keeps its size, so the block grows. Inside a small grid the others make room.
     *
     * @param Length|null $width finished; as wide as the neighbour if not given
     */
    public function withLine(Axis $axis, int $before, ?Length $width = null): self
    {
        $open = $this->open();
        $widths = $axis->widths($open->grid);
        $share = $width === null ? $widths[max(0, min($before, count($widths)) - 1)] : $open->share($axis, $width);

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->withLine($axis, $before, $share))->grown($axis, $widths);
    }

    public function withoutLine(Axis $axis, int $number): self
    {
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->withoutLine($axis, $number))->grown($axis, $axis->widths($this->grid()));
    }

    /** @param Length $width finished */
    public function withLineOf(Axis $axis, int $number, Length $width): self
    {
        $open = $this->open();
        $share = $open->share($axis, $width);

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->withLineOf($axis, $number, $share))->grown($axis, $axis->widths($open->grid));
    }

    /**
     * Lets copies follow: whatever differs from the wall before is repeated wherever the symmetry takes it.
     *
     * @throws LayoutNotPossible when rows and columns don't allow it
     */
    public function followedFrom(self $before, Symmetry $symmetry): self
    {
        $grid = $this->grid();
        if ($symmetry === Symmetry::None || count($grid->cells) === 0 || [count($grid->columns), count($grid->rows)] !== [count($before->grid()->columns), count($before->grid()->rows)]) {
            return $this;
        }

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->laid(Copies::of($grid, $before->grid(), $symmetry)));
    }

    public function resized(Length $width, Length $height): self
    {
        return $this->withBlock($this->block->with(width: $width, height: $height));
    }

    public function named(string $name): self
    {
        return $this->withBlock($this->block->with(name: $name));
    }

    public function withAllowance(Length $allowance): self
    {
        return $this->withBlock($this->block->with(allowance: $allowance));
    }

    /** Adds the fabric, or puts it in the place of the one with its key, in all its patches. */
    public function withFabric(Fabric $fabric): self
    {
        return $this->withBlock($this->cloths()->with($fabric));
    }

    /**
     * @param string|null $instead key of the fabric that takes its place; needed where it is used
     *
     * @throws LayoutNotPossible
     */
    public function withoutFabric(string $key, ?string $instead): self
    {
        return $this->withBlock($this->cloths()->without($key, $instead));
    }

    /** @param \Closure(GridEdit): GridEdit $change */
    private function edited(\Closure $change): self
    {
        $open = $this->open();

        return $this->withBlock($open->replaced($change(new GridEdit($open->grid, $this->cloths()->plain()))->grid, $this->isAlone));
    }

    private function withBlock(Block $block): self
    {
        return new self($block, $this->path, $this->isAlone);
    }

    /**
     * The block's own lines keep their finished size when one comes or goes.
     *
     * @param non-empty-list<Fraction> $before
     */
    private function grown(Axis $axis, array $before): self
    {
        if ($this->path !== []) {
            return $this;
        }
        $block = $this->block;
        $by = OpenGrid::sum($axis->widths($block->grid))->dividedBy(OpenGrid::sum($before));
        $scaled = static fn (Length $length): Length => Length::of($length->in($block->unit)->times($by), $block->unit);

        return $axis === Axis::Columns ? $this->resized($scaled($block->finishedWidth), $block->finishedHeight) : $this->resized($block->finishedWidth, $scaled($block->finishedHeight));
    }
}
