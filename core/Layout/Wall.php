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
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\PieceUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Layout\Internal\Copies;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * A block being laid out. Every change gives a new wall; rows, columns and places are those of the grid that is open:
 * the block's own, or a small grid in one of its cells, seen in its own frame.
 */
final readonly class Wall
{
    /** @param list<array{int, int}> $path row and column of each small grid that was opened, from the outside in */
    private function __construct(
        public Block $block,
        public array $path,
    ) {}

    /**
     * @param list<array{int, int}> $path
     *
     * @throws LayoutNotPossible when the path leads to no grid
     */
    public static function of(Block $block, array $path = []): self
    {
        $wall = new self($block, $path);
        $wall->grid();

        return $wall;
    }

    /** The grid that is open. */
    public function grid(): Grid
    {
        $grid = $this->block->grid;
        foreach ($this->path as [$row, $column]) {
            $unit = $grid->cellAt($row, $column)?->unit;
            $grid = $unit instanceof GridUnit ? $unit->grid : throw LayoutNotPossible::noGridThere($row, $column);
        }

        return $grid;
    }

    /** The open grid as a block of its own: the block itself, or a small grid at its finished size. */
    public function opened(): Block
    {
        if ($this->path === []) {
            return $this->block;
        }
        $block = $this->block;

        return new Block($block->name, $block->unit, $this->openSize(Axis::Columns), $this->openSize(Axis::Rows), $block->seamAllowance, $block->fabrics, $this->grid());
    }

    /** The number on the block's face of the open grid's first patch; the others follow it. */
    public function firstPatch(): int
    {
        [$first, $grid] = [0, $this->block->grid];
        foreach ($this->path as [$row, $column]) {
            foreach ($grid->cells as $cell) {
                if ($cell->covers($row, $column)) {
                    $grid = $cell->unit instanceof GridUnit ? $cell->unit->grid : $grid;
                    break;
                }
                self::inFabrics($cell->unit, static function (Fabric $fabric) use (&$first): Fabric {
                    ++$first;

                    return $fabric;
                });
            }
        }

        return $first;
    }

    /** The plain fabric there is most of; where there is none, the lightest. */
    public function background(): Fabric
    {
        $plain = [];
        foreach ($this->block->grid->cells as $cell) {
            if ($cell->unit instanceof PatternUnit && $cell->unit->kind() === 'plain') {
                $key = $cell->unit->fabrics[0]->key;
                $plain[$key] = ($plain[$key] ?? 0) + $cell->rowSpan * $cell->columnSpan;
            }
        }
        if ($plain !== []) {
            arsort($plain);

            return $this->fabric((string) array_key_first($plain));
        }
        $fabrics = array_values($this->block->fabrics);
        usort($fabrics, static fn (Fabric $a, Fabric $b): int => $a->value->rank() <=> $b->value->rank());

        return $fabrics[0];
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
        $grid = $this->grid();
        $areas = $asOne ? [self::round($places)] : array_map(Area::ofCell(...), array_values(array_filter(
            $grid->cells,
            static fn (Cell $cell): bool => array_filter($places, static fn (array $place): bool => $cell->covers(...$place)) !== [],
        )));
        [$fabric, $ground, $second] = $this->threeFabrics($figure);

        return $this->laid(array_map(fn (Area $area): Cell => new Cell(
            $area->row,
            $area->column,
            $area->rowSpan,
            $area->columnSpan,
            TrayUnit::unit($kind, $fabric, $ground, $second, $this->shorterSide($area), $this->block->unit),
        ), $areas));
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
                OddOnesOut::of(Face::of($wall->opened()))->odd,
                static fn (OddCell $odd): bool => $odd->mend !== null && in_array([$odd->cell->row, $odd->cell->column], $places, true),
            ))[0] ?? null;
            if ($next?->mend === null) {
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
        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static fn (Cell $cell): Cell => $cell->holding(self::swapped($cell->unit))));
    }

    /**
     * Flips a corner, gives a flipped one another size, or with no size takes it away; other kinds of unit stay as they are.
     *
     * @param list<array{int, int}> $places
     * @param Corner                $corner as it is seen on the face
     * @param Length|null           $leg    finished
     *
     * @throws LayoutNotPossible when the last corner would go
     */
    public function withCorner(array $places, Corner $corner, ?Length $leg, string $fabric): self
    {
        $cloth = $this->fabric($fabric);

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->changed($places, static function (Cell $cell) use ($corner, $leg, $cloth): Cell {
            $own = $corner->moved($cell->placement->inverse());

            return $cell->unit instanceof FlippedCornersUnit
                ? $cell->holding($cell->unit->with($own, $leg === null ? null : new FlippedCorner($own, $cloth, $leg)) ?? throw LayoutNotPossible::lastCorner())
                : $cell;
        }));
    }

    /** @param list<array{int, int}> $places */
    public function cleared(array $places): self
    {
        $plain = $this->plain();

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
        [$count, $paint] = [0, $this->fabric($fabric)];
        $grid = $this->block->grid->withCells(static function (Cell $cell) use (&$count, $patch, $paint): Cell {
            return $cell->holding(self::inFabrics($cell->unit, static function (Fabric $now) use (&$count, $patch, $paint): Fabric {
                return $count++ === $patch ? $paint : $now;
            }));
        });

        return $patch >= 0 && $patch < $count ? $this->withGrid($grid) : throw LayoutNotPossible::nothingThere($patch);
    }

    /**
     * A new column or row; what is there keeps its size, so the block grows. Inside a small grid the others make room.
     *
     * @param Length|null $width finished; as wide as the neighbour if not given
     */
    public function withLine(Axis $axis, int $before, ?Length $width = null): self
    {
        $grid = $this->grid();
        $widths = $axis === Axis::Columns ? $grid->columns : $grid->rows;
        $neighbour = $widths[max(0, min($before, count($widths)) - 1)];
        $share = $width === null ? $neighbour : $this->share($axis, $width);

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->withLine($axis, $before, $share))->grown($axis, $widths);
    }

    public function withoutLine(Axis $axis, int $number): self
    {
        $grid = $this->grid();

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->withoutLine($axis, $number))->grown($axis, $axis === Axis::Columns ? $grid->columns : $grid->rows);
    }

    /** @param Length $width finished */
    public function withLineOf(Axis $axis, int $number, Length $width): self
    {
        $grid = $this->grid();
        $share = $this->share($axis, $width);

        return $this->edited(static fn (GridEdit $edit): GridEdit => $edit->withLineOf($axis, $number, $share))->grown($axis, $axis === Axis::Columns ? $grid->columns : $grid->rows);
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
        $block = $this->block;

        return new self(new Block($block->name, $block->unit, $width, $height, $block->seamAllowance, $block->fabrics, $block->grid), $this->path);
    }

    public function named(string $name): self
    {
        $block = $this->block;

        return new self(new Block($name, $block->unit, $block->finishedWidth, $block->finishedHeight, $block->seamAllowance, $block->fabrics, $block->grid), $this->path);
    }

    public function withAllowance(Length $allowance): self
    {
        $block = $this->block;

        return new self(new Block($block->name, $block->unit, $block->finishedWidth, $block->finishedHeight, $allowance, $block->fabrics, $block->grid), $this->path);
    }

    /** Adds the fabric, or puts it in the place of the one with its key, in all its patches. */
    public function withFabric(Fabric $fabric): self
    {
        return $this->withFabrics([$fabric->key => $fabric] + $this->block->fabrics, static fn (Fabric $now): Fabric => $now->key === $fabric->key ? $fabric : $now);
    }

    /**
     * @param string|null $instead key of the fabric that takes its place; needed where it is used
     *
     * @throws LayoutNotPossible
     */
    public function withoutFabric(string $key, ?string $instead): self
    {
        $gone = $this->fabric($key);
        $fabrics = array_diff_key($this->block->fabrics, [$key => true]);
        if ($fabrics === []) {
            throw LayoutNotPossible::lastFabric();
        }
        $isUsed = false;
        $this->mapFabrics(static function (Fabric $fabric) use ($key, &$isUsed): Fabric {
            $isUsed = $isUsed || $fabric->key === $key;

            return $fabric;
        });
        if ($isUsed && ($instead === null || $instead === $key)) {
            throw LayoutNotPossible::fabricInUse($gone->name);
        }
        $other = $instead === null ? $gone : $this->fabric($instead);

        return $this->withFabrics($fabrics, static fn (Fabric $fabric): Fabric => $fabric->key === $key ? $other : $fabric);
    }

    /** @throws LayoutNotPossible */
    public function fabric(string $key): Fabric
    {
        return $this->block->fabrics[$key] ?? throw LayoutNotPossible::fabricUnknown($key);
    }

    public function plain(): PatternUnit
    {
        return new PatternUnit(UnitPatterns::all()['plain'], [$this->background()]);
    }

    /**
     * @param non-empty-array<string, Fabric> $fabrics
     * @param \Closure(Fabric): Fabric        $change
     */
    private function withFabrics(array $fabrics, \Closure $change): self
    {
        $block = $this->block;
        ksort($fabrics, SORT_NATURAL);

        return new self(new Block($block->name, $block->unit, $block->finishedWidth, $block->finishedHeight, $block->seamAllowance, $fabrics, $this->mapFabrics($change)), $this->path);
    }

    /** @param \Closure(Fabric): Fabric $change */
    private function mapFabrics(\Closure $change): Grid
    {
        return $this->block->grid->withCells(static fn (Cell $cell): Cell => $cell->holding(self::inFabrics($cell->unit, $change)));
    }

    /** @param \Closure(Fabric): Fabric $fabric asked for every piece in the order of the face's patches */
    private static function inFabrics(Unit $unit, \Closure $fabric): Unit
    {
        return match (true) {
            $unit instanceof GridUnit => $unit->withUnits(static fn (Unit $inner): Unit => self::inFabrics($inner, $fabric)),
            $unit instanceof PieceUnit => $unit->inFabrics(static fn (Fabric $now): Fabric => $fabric($now)),
            default => throw new \LogicException('No fabrics to change in a '.$unit->kind().'.'),
        };
    }

    private static function swapped(Unit $unit): Unit
    {
        $fabrics = [];
        self::inFabrics($unit, static function (Fabric $fabric) use (&$fabrics): Fabric {
            return $fabrics[$fabric->key] = $fabric;
        });
        $next = array_combine(array_keys($fabrics), [...array_slice($fabrics, 1), ...array_slice($fabrics, 0, 1)]);

        return self::inFabrics($unit, static fn (Fabric $fabric): Fabric => $next[$fabric->key]);
    }

    /** @param non-empty-list<array{int, int}> $places */
    private static function round(array $places): Area
    {
        [$rows, $columns] = [array_column($places, 0), array_column($places, 1)];

        return new Area(min($rows), min($columns), max($rows) - min($rows) + 1, max($columns) - min($columns) + 1);
    }

    /** @return array{Fabric, Fabric, Fabric} the figure, a ground other than it where there is one, and a second figure */
    public function threeFabrics(string $figure): array
    {
        $chosen = $this->fabric($figure);
        $others = array_values(array_filter($this->block->fabrics, static fn (Fabric $fabric): bool => $fabric->key !== $figure));
        usort($others, static fn (Fabric $a, Fabric $b): int => $a->value->rank() <=> $b->value->rank());
        $background = $this->background();
        $ground = $background->key === $figure ? ($others[count($others) - 1] ?? $chosen) : $background;
        $rest = array_values(array_filter($others, static fn (Fabric $fabric): bool => $fabric->key !== $ground->key));

        return [$chosen, $ground, $rest[0] ?? $chosen];
    }

    private function shorterSide(Area $area): Length
    {
        $grid = $this->grid();
        [$rows, $columns] = [count($grid->rows), count($grid->columns)];
        if (! $area->isIn($rows, $columns)) {
            throw LayoutNotPossible::outside($area, $rows, $columns);
        }
        $width = $this->openSize(Axis::Columns)->inches->times($grid->columnLine($area->column + $area->columnSpan)->minus($grid->columnLine($area->column)));
        $height = $this->openSize(Axis::Rows)->inches->times($grid->rowLine($area->row + $area->rowSpan)->minus($grid->rowLine($area->row)));

        return Length::of($width->compareTo($height) < 0 ? $width : $height, LengthUnit::Inch);
    }

    /** @param \Closure(GridEdit): GridEdit $change */
    private function edited(\Closure $change): self
    {
        $edit = $change(new GridEdit($this->grid(), $this->plain()));

        return $this->withGrid(self::putBack($this->block->grid, $this->path, $edit->grid));
    }

    /** @param list<array{int, int}> $path */
    private static function putBack(Grid $outer, array $path, Grid $open): Grid
    {
        if ($path === []) {
            return $open;
        }
        [[$row, $column], $rest] = [$path[0], array_slice($path, 1)];

        return $outer->withCells(static fn (Cell $cell): Cell => $cell->covers($row, $column) && $cell->unit instanceof GridUnit
            ? $cell->holding(new GridUnit(self::putBack($cell->unit->grid, $rest, $open)))
            : $cell);
    }

    private function withGrid(Grid $grid): self
    {
        $block = $this->block;

        return new self(new Block($block->name, $block->unit, $block->finishedWidth, $block->finishedHeight, $block->seamAllowance, $block->fabrics, $grid), $this->path);
    }

    /**
     * The block's own lines keep their finished size when one comes or goes.
     *
     * @param list<Fraction> $before
     */
    private function grown(Axis $axis, array $before): self
    {
        if ($this->path !== []) {
            return $this;
        }
        $sum = static fn (array $widths): Fraction => array_reduce($widths, static fn (Fraction $sum, Fraction $width): Fraction => $sum->plus($width), Fraction::zero());
        $block = $this->block;
        $now = $axis === Axis::Columns ? $block->grid->columns : $block->grid->rows;
        $scaled = static fn (Length $length): Length => Length::of($length->in($block->unit)->times($sum($now))->dividedBy($sum($before)), $block->unit);

        return $axis === Axis::Columns ? $this->resized($scaled($block->finishedWidth), $block->finishedHeight) : $this->resized($block->finishedWidth, $scaled($block->finishedHeight));
    }

    /** What share of the open grid's relative widths a finished width is. */
    private function share(Axis $axis, Length $width): Fraction
    {
        $grid = $this->grid();
        $widths = $axis === Axis::Columns ? $grid->columns : $grid->rows;
        $sum = array_reduce($widths, static fn (Fraction $sum, Fraction $one): Fraction => $sum->plus($one), Fraction::zero());
        $whole = $axis === Axis::Columns ? $this->block->finishedWidth : $this->block->finishedHeight;

        return $width->inches->times($sum)->dividedBy($this->path === [] ? $whole->inches : $this->openSize($axis)->inches);
    }

    /** How large the open grid is when finished, in its own frame. */
    private function openSize(Axis $axis): Length
    {
        $block = $this->block;
        [$width, $height, $grid] = [$block->finishedWidth->inches, $block->finishedHeight->inches, $block->grid];
        foreach ($this->path as [$row, $column]) {
            $cell = $grid->cellAt($row, $column);
            if ($cell === null || ! $cell->unit instanceof GridUnit) {
                throw LayoutNotPossible::noGridThere($row, $column);
            }
            $width = $width->times($grid->columnLine($cell->lastColumn() + 1)->minus($grid->columnLine($cell->column)));
            $height = $height->times($grid->rowLine($cell->lastRow() + 1)->minus($grid->rowLine($cell->row)));
            [$width, $height] = $cell->placement->turn->swapsSides() ? [$height, $width] : [$width, $height];
            $grid = $cell->unit->grid;
        }

        return Length::of($axis === Axis::Columns ? $width : $height, LengthUnit::Inch);
    }
}
