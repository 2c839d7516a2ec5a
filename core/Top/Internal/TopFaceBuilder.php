<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top\Internal;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FaceKind;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\SewableSizes;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\Laying;
use KeenSeam\Core\Top\PartRole;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopNotPossible;
use KeenSeam\Core\Top\TopPart;
use KeenSeam\Core\Top\TopPlace;

/**
 * Copies each block's own face into its places. Only what the edge of the top cuts is worked out in fractions; the
 * lattice is the coarsest that holds all of it.
 *
 * @internal
 */
final class TopFaceBuilder
{
    /** @var array<string, Face> by design */
    private array $designs;

    private readonly Edge $edge;

    private Lattice $lattice;

    /** @var list<Patch> */
    private array $patches = [];

    /** @var list<array{FrameCell, bool, list<array{int, Fabric, list<array{Fraction, Fraction}>}>}> cells that are there, whether the edge cuts them, and what it leaves: id in its design, fabric, outline */
    private array $cells = [];

    /** What the frame is moved by so that nothing lies left of or above 0. */
    private Fraction $left;

    private Fraction $above;

    private function __construct(private readonly Top $top)
    {
        $this->designs = array_map(static fn (Design $design): Face => Face::of($design->block), $top->designs);
        $this->edge = Edge::of($top);
        $this->left = $this->above = Fraction::zero();
        if ($top->setting === Setting::OnPoint) {
            $pitch = $top->placeWidth()->plus($top->sashWidth());
            $float = $top->sides?->float->in($top->unit) ?? Fraction::zero();
            $this->left = $pitch->minus($float);
            $this->above = $pitch->times(Fraction::of($top->columns))->plus($float)->negated();
        }
    }

    public static function build(Top $top): TopFace
    {
        $builder = new self($top);
        foreach (FrameCells::of($top) as $cell) {
            $builder->admit($cell);
        }
        $builder->lattice = Lattice::through($builder->coordinates(), $top->unit);

        return $builder->face();
    }

    private function admit(FrameCell $cell): void
    {
        [$left, $top, $right, $bottom] = $cell->box;
        if ($this->edge->holds($left, $top, $right, $bottom)) {
            $this->cells[] = [$cell, false, []];

            return;
        }
        $left = [];
        foreach ($this->outlines($cell) as [$id, $fabric, $outline]) {
            $outline = $this->edge->cut($outline);
            if ($outline !== []) {
                $left[] = [$id, $fabric, $outline];
            }
        }
        if ($left !== []) {
            $this->cells[] = [$cell, true, $left];
        }
    }

    /** @return iterable<array{int, Fabric, list<array{Fraction, Fraction}>}> every patch of a cell in the frame: id in its design, fabric, outline */
    private function outlines(FrameCell $cell): iterable
    {
        [$left, $top, $right, $bottom] = $cell->box;
        $holds = $cell->holding();
        if ($holds instanceof Fabric) {
            yield [0, $holds, [[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]]];

            return;
        }
        $face = $this->designs[$holds->key];
        $move = Laying::of($face, $cell->placement(), 1);
        foreach ($face->patches as $patch) {
            yield [$patch->id, $patch->fabric, array_map(static function (Point $point) use ($move, $face, $left, $top): array {
                $point = $move($point);

                return [$left->plus($face->lattice->toLengthNumber($point->x)), $top->plus($face->lattice->toLengthNumber($point->y))];
            }, $patch->outline->points)];
        }
    }

    /** @return iterable<Fraction> */
    private function coordinates(): iterable
    {
        yield $this->left;
        yield $this->above;
        foreach ($this->designs as $face) {
            yield Fraction::of(1, $face->lattice->steps);
        }
        foreach ($this->cells as [$cell, $isCut, $pieces]) {
            foreach ($isCut ? [] : $cell->box as $line) {
                yield $line;
            }
            foreach ($pieces as [, , $outline]) {
                foreach ($outline as [$x, $y]) {
                    yield $x;
                    yield $y;
                }
            }
        }
    }

    private function face(): TopFace
    {
        $parts = $units = [];
        foreach ($this->cells as [$cell, $isCut, $pieces]) {
            $place = $cell->holds instanceof TopPlace ? $cell->holds : null;
            $laid = $isCut && $pieces !== [] ? $this->pieces($cell, $pieces) : [$this->whole($cell)];
            $parts[] = new TopPart($cell->role, $cell->row, $cell->column, $place, $laid, $isCut && $place?->holds instanceof Design ? array_column($pieces, 0) : null, $cell->columnSpan);
            array_push($units, ...$laid);
        }
        if ($parts === [] || $this->patches === []) {
            throw new \LogicException('A top has at least two places.');
        }
        $outline = $this->outline();
        $block = $this->frameBlock($units, $outline);
        $whole = new PlacedUnit(new Cell(1, 1, 1, 1, new GridUnit($block->grid)), new Placement(), $outline, $units);
        $face = new Face($block, $this->lattice, $this->patches, $whole, $this->top->setting === Setting::OnPoint ? FaceKind::TopOnPoint : FaceKind::Top, $this->grain($parts, $outline));
        SewableSizes::ensure($face);

        return new TopFace($this->top, $face, $parts, $this->designs);
    }

    /**
     * @param non-empty-list<array{int, Fabric, list<array{Fraction, Fraction}>}> $pieces
     *
     * @return non-empty-list<PlacedUnit> each patch that the edge leaves by itself
     */
    private function pieces(FrameCell $cell, array $pieces): array
    {
        $units = array_map(fn (array $piece): PlacedUnit => $this->plain($cell, $piece[1], ConvexPolygon::of(array_map(
            fn (array $point): Point => $this->lattice->point($point[0]->minus($this->left), $point[1]->minus($this->above)),
            $piece[2],
        ))), $pieces);

        return $units;
    }

    /**
     * Plain sides have their outer edges on the straight grain. What is left of a block is cut as in the whole one, along the
     * frame, and its long edge is bias.
     *
     * @param list<TopPart> $parts
     *
     * @return array<int, ConvexPolygon> by patch
     */
    private function grain(array $parts, ConvexPolygon $outline): array
    {
        $within = [];
        foreach ($parts as $part) {
            foreach ($part->role === PartRole::PlainSide || $part->origins !== null ? $part->patchIds() : [] as $id) {
                $within[$id] = $part->origins === null ? $outline : ConvexPolygon::uprightRound($this->patches[$id]->outline->points);
            }
        }

        return $within;
    }

    private function whole(FrameCell $cell): PlacedUnit
    {
        [$left, $top] = [$cell->box[0]->minus($this->left), $cell->box[1]->minus($this->above)];
        $origin = $this->lattice->point($left, $top);
        $holds = $cell->holding();
        if ($holds instanceof Fabric) {
            [$right, $bottom] = [$cell->box[2]->minus($this->left), $cell->box[3]->minus($this->above)];
            $far = $this->lattice->point($right, $bottom);

            return $this->plain($cell, $holds, ConvexPolygon::uprightRound([$origin, $far]));
        }
        $face = $this->designs[$holds->key];
        $placement = $cell->placement();
        $lay = Laying::of($face, $placement, intdiv($this->lattice->steps, $face->lattice->steps));
        $name = count($this->top->designs) > 1 ? $holds->key.' block' : 'block';

        return $this->copied(
            $face->whole,
            $placement,
            static fn (ConvexPolygon $outline): ConvexPolygon => ConvexPolygon::of(array_map(static function (Point $point) use ($lay, $origin): Point {
                $laid = $lay($point);

                return new Point($laid->x + $origin->x, $laid->y + $origin->y);
            }, $outline->points)),
            new Cell($cell->row, $cell->column, 1, 1, new GridUnit($holds->block->grid, $name, $name.'s'), $placement),
        );
    }

    /** @param \Closure(ConvexPolygon): ConvexPolygon $lay */
    private function copied(PlacedUnit $unit, Placement $placement, \Closure $lay, ?Cell $cell = null): PlacedUnit
    {
        return new PlacedUnit($cell ?? $unit->cell, $placement->around($cell === null ? $unit->placement : new Placement()), $lay($unit->outline), array_map(
            fn (Patch|PlacedUnit $part): Patch|PlacedUnit => $part instanceof Patch ? $this->patch($part->fabric, $lay($part->outline)) : $this->copied($part, $placement, $lay),
            $unit->parts,
        ));
    }

    private function plain(FrameCell $cell, Fabric $fabric, ConvexPolygon $outline): PlacedUnit
    {
        return new PlacedUnit(new Cell($cell->row, $cell->column, 1, $cell->columnSpan, self::plainUnit($fabric)), new Placement(), $outline, [$this->patch($fabric, $outline)]);
    }

    private function patch(Fabric $fabric, ConvexPolygon $outline): Patch
    {
        if (count($this->patches) >= Face::MOST_PATCHES) {
            throw TopNotPossible::because(sprintf('A top has at most %s patches, and this one has more. Use fewer places, or sew it in parts.', number_format(Face::MOST_PATCHES)), '/rows');
        }

        return $this->patches[] = new Patch(count($this->patches), $fabric, $outline);
    }

    private static function plainUnit(Fabric $fabric): PatternUnit
    {
        return new PatternUnit(UnitPatterns::all()['plain'], [$fabric]);
    }

    /** The edge of the top, as the patches show it. */
    private function outline(): ConvexPolygon
    {
        $zero = Fraction::zero();
        if ($this->top->setting === Setting::Straight) {
            $lines = array_map(static fn (array $cell): array => [$cell[0]->box[2], $cell[0]->box[3]], $this->cells);
            [$right, $bottom] = $lines[count($lines) - 1];
            $corners = [[$zero, $zero], [$right, $zero], [$right, $bottom], [$zero, $bottom]];
        } else {
            $pitch = $this->top->placeWidth()->plus($this->top->sashWidth());
            $float = $this->top->sides?->float->in($this->top->unit) ?? $zero;
            $along = static fn (int $places): Fraction => $pitch->times(Fraction::of($places))->plus($float);
            [$rows, $columns] = [$along($this->top->rows), $along($this->top->columns)];
            // In the frame the upper left corner as it hangs is the leftmost, the upper right one the topmost.
            $corners = [[$zero, $columns], [$columns, $zero], [$columns->plus($rows), $rows], [$rows, $columns->plus($rows)]];
        }

        return ConvexPolygon::of(array_map(fn (array $corner): Point => $this->lattice->point(...$corner), $corners));
    }

    /**
     * The frame as one block, in which everything that knows blocks finds its sizes, fabrics and cells.
     *
     * @param non-empty-list<PlacedUnit> $units
     */
    private function frameBlock(array $units, ConvexPolygon $outline): Block
    {
        $side = fn (array $steps): Length => Length::of($this->lattice->toLengthNumber(max([1, ...$steps])), $this->top->unit);
        $one = Fraction::of(1);

        return new Block(
            $this->top->name,
            $this->top->unit,
            $side(array_map(static fn (Point $point): int => $point->x, $outline->points)),
            $side(array_map(static fn (Point $point): int => $point->y, $outline->points)),
            $this->top->allowance,
            $this->top->fabrics,
            $this->top->setting === Setting::Straight ? $this->grid($units) : Grid::of([$one], [$one], [new Cell(1, 1, 1, 1, self::plainUnit($this->top->fabrics[array_key_first($this->top->fabrics)]))]),
        );
    }

    /** @param non-empty-list<PlacedUnit> $units */
    private function grid(array $units): Grid
    {
        $columns = $rows = [];
        foreach ($this->cells as [$cell]) {
            if ($cell->columnSpan === 1) {
                $columns[$cell->column] = $cell->box[2]->minus($cell->box[0]);
            }
            $rows[$cell->row] = $cell->box[3]->minus($cell->box[1]);
        }
        ksort($columns);
        ksort($rows);
        $columns = array_values($columns);
        $rows = array_values($rows);

        return $columns === [] || $rows === [] ? throw new \LogicException('A top has rows and columns.') : Grid::of($columns, $rows, array_map(static fn (PlacedUnit $unit): Cell => $unit->cell, $units));
    }
}
