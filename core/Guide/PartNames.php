<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\FaceSide;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Listed;

/**
 * What the parts of a block are called that are sewn to each other: rows and columns by their number, everything else by
 * where it lies in the block, so that no two are called the same.
 */
final readonly class PartNames
{
    /** @var array<int, int> number of the strand that finishes an assembly, by the id of its last join */
    private array $numbers;

    /** @var array{array<int, int>, array<int, int>, array<int, int>, array<int, int>} first column by left edge, last by right, first row by upper edge, last by lower */
    private array $lines;

    /** @var array<string, PlacedUnit> of the block's cells, by their edges */
    private array $units;

    private int $width;

    private int $height;

    public function __construct(private Construction $construction)
    {
        $numbers = [];
        foreach ($construction->strands as $i => $strand) {
            $numbers[max($strand->joins)] = $i + 1;
        }
        $this->numbers = $numbers;
        $lines = [[], [], [], []];
        $units = [];
        foreach ($construction->face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit) {
                [$left, $top, $right, $bottom] = Point::bounds($unit->outline->points);
                $units["$left $top $right $bottom"] = $unit;
                $lines[0][$left] = $unit->cell->column;
                $lines[1][$right] = $unit->cell->lastColumn();
                $lines[2][$top] = $unit->cell->row;
                $lines[3][$bottom] = $unit->cell->lastRow();
            }
        }
        $this->lines = $lines;
        $this->units = $units;
        [, , $this->width, $this->height] = Point::bounds($construction->face->outline()->points);
    }

    /** Whether the parts of a strand are numbered: rows, columns, slanting rows, strips round a centre. */
    public function areNumbered(int $depth): bool
    {
        return $depth <= 1 && in_array($this->construction->order, [Order::Rows, Order::Columns, Order::Diagonal, Order::Around], true);
    }

    /** What the parts of a strand are called: what lies side by side are columns, be it a block of one row that is sewn by rows. */
    public function strip(int $depth): string
    {
        $name = $this->construction->order->stripName($depth);
        $other = ['row' => 'column', 'column' => 'row'][$name] ?? null;
        $last = $this->construction->strands[count($this->construction->strands) - 1] ?? null;
        if ($other === null || $last === null) {
            return $name;
        }
        $seam = $this->construction->joins[$last->joins[0]]->seam;
        $areSideBySide = $seam->from->x === $seam->to->x;

        return $areSideBySide === ($name === 'column') ? $name : $other;
    }

    /** "row 2", "the upper left quarter", "row 1, columns 1 and 2". */
    public function ofStrand(Strand $strand): string
    {
        return $this->areNumbered($strand->depth)
            ? $this->strip($strand->depth).' '.$strand->number
            : $this->of($this->construction->joins[max($strand->joins)]);
    }

    /**
     * Several strands at once: "columns 1 and 2 of rows 1 to 4", "the upper half; the lower half".
     *
     * @param non-empty-list<Strand> $strands
     */
    public function ofAll(array $strands): string
    {
        $names = $bands = $numbered = [];
        foreach ($strands as $strand) {
            $part = $this->construction->joins[max($strand->joins)];
            [$left, $top, $right, $bottom] = Point::bounds($part->outline()->points);
            $cells = $this->cells($left, $top, $right, $bottom);
            $name = $this->ofStrand($strand);
            $number = $this->numbers[$part->id] ?? 0;
            if ($name === 'part '.$number) {
                $numbered[] = $number;
                continue;
            }
            if ($cells === null || ! $this->isRow($cells) || $this->isOneCell($part) || $name !== $this->placed($cells, $part)) {
                $names[] = $name;
                continue;
            }
            $isInRow = $cells[0] === $cells[1];
            $isWhole = $isInRow ? [$left, $right] === [0, $this->width] : [$top, $bottom] === [0, $this->height];
            $across = $isInRow ? self::lines('column', range($cells[2], $cells[3])) : self::lines('row', range($cells[0], $cells[1]));
            $bands[$isInRow ? 'row' : 'column'][$isWhole ? '' : $across.' of '][] = $isInRow ? $cells[0] : $cells[2];
        }
        foreach ($bands as $word => $parts) {
            foreach ($parts as $of => $numbers) {
                sort($numbers);
                $names[] = $of.self::lines($word, $numbers);
            }
        }
        if ($numbered !== []) {
            sort($numbered);
            $names[] = self::lines('part', $numbered);
        }
        $isLong = count($names) > 2 || array_filter($names, static fn (string $name): bool => str_contains($name, ' and ')) !== [];

        return $isLong && count($names) > 1 ? implode('; ', array_slice($names, 0, -1)).'; and '.$names[count($names) - 1] : Listed::of($names);
    }

    /**
     * "row 2", "columns 1 and 3".
     *
     * @param non-empty-list<int> $numbers rising
     */
    private static function lines(string $word, array $numbers): string
    {
        return sprintf('%s%s %s', $word, count($numbers) === 1 ? '' : 's', Words::numbers($numbers));
    }

    /** Whether a part is just what lies in one cell. */
    public function isOneCell(Assembly $part): bool
    {
        return isset($this->units[implode(' ', Point::bounds($part->outline()->points))]) && $part->outline()->isUprightRectangle();
    }

    /** What all of it is called: a block, or a top. */
    public function whole(): string
    {
        return $this->construction->face->kind->word();
    }

    /** What its rows are made of. */
    public function piece(): string
    {
        return $this->construction->face->kind->piece();
    }

    /** What the parts of a strand are: units, or what is sewn of them before. */
    public function partsOf(Strand $strand): string
    {
        $isSewnBefore = array_filter($strand->parts, static fn (Assembly $part): bool => $part instanceof Join && $part->tie === null) !== [];

        return $isSewnBefore || $this->construction->order->runsThroughCells() ? 'part' : $this->piece();
    }

    /** @return array{string, string} what its first and its last part are called, where pressing names them */
    public function endsOf(Strand $strand): array
    {
        return $this->areNumbered($strand->depth) || count($strand->parts) > 2
            ? ['its first '.$this->partsOf($strand), 'its last '.$this->partsOf($strand)]
            : $this->two($strand);
    }

    /** @return array{string, string} what the two parts of a strand are called; by where they lie if they are called the same */
    public function two(Strand $strand): array
    {
        [$first, $second] = array_map($this->of(...), $strand->parts);
        if ($first !== $second) {
            return [$first, $second];
        }
        $side = FaceSide::ofLeftPart($this->construction->joins[$strand->joins[0]]);

        return [$first.' '.self::where($side), $second.' '.self::where($side->opposite())];
    }

    private static function where(FaceSide $side): string
    {
        return match ($side) {
            FaceSide::Up => 'above',
            FaceSide::Down => 'below',
            default => 'on the '.$side->value,
        };
    }

    /** What one of the parts is called that a strand sews together. */
    public function of(Assembly $part): string
    {
        [$left, $top, $right, $bottom] = Point::bounds($part->outline()->points);
        if (! $part->outline()->isUprightRectangle()) {
            return $this->unplaced($part);
        }
        $half = $this->halves([$left, $right], $this->width, 'left', 'right');
        $level = $this->halves([$top, $bottom], $this->height, 'upper', 'lower');
        $cells = $this->cells($left, $top, $right, $bottom);

        return match (true) {
            $half === '' && $level === '' => 'the '.$this->whole(),
            $half !== null && $level !== null && ! $this->isRow($cells) => $half !== '' && $level !== '' ? "the $level $half quarter" : 'the '.$level.$half.' half',
            $cells !== null => $this->placed($cells, $part),
            default => $this->unplaced($part),
        };
    }

    /**
     * A part and those before it, at the strand that finishes the block.
     *
     * @return array{string, string, string} what is sewn so far, what is sewn to it, and the title of that
     */
    public function growing(Strand $strand, int $position): array
    {
        $name = $this->strip(1);
        if ($this->areNumbered(1)) {
            return [$name.($position > 0 ? 's ' : ' ').Words::span(1, $position + 1), $name.' '.($position + 2), ucfirst($name).'s '.Words::span(1, $position + 2)];
        }
        $parts = array_map($this->of(...), array_slice($strand->parts, 0, $position + 2));
        [$sewn, $next] = [$position === 0 ? $parts[0] : 'what is sewn so far', $parts[$position + 1]];
        $isHalves = count($strand->parts) === 2 && str_ends_with($sewn, ' half') && str_ends_with($next, ' half');

        return [$sewn, $next, $isHalves ? 'Both halves' : self::title($next).($position === 0 ? ' to '.$sewn : '')];
    }

    /** What one of the parts is called that are numbered: "row", "slanting row". */
    public function numbered(): string
    {
        return $this->strip(1);
    }

    /** As a title: without the article. */
    public static function title(string $name): string
    {
        return ucfirst(str_starts_with($name, 'the ') ? substr($name, 4) : $name);
    }

    /**
     * @param array{int, int} $ends
     *
     * @return string|null '' for all of it, null where it is neither half
     */
    private function halves(array $ends, int $whole, string $first, string $second): ?string
    {
        return match (true) {
            $ends === [0, $whole] => '',
            $ends[0] === 0 && 2 * $ends[1] === $whole => $first,
            2 * $ends[0] === $whole && $ends[1] === $whole => $second,
            default => null,
        };
    }

    /** @return array{int, int, int, int}|null first and last row, first and last column */
    private function cells(int $left, int $top, int $right, int $bottom): ?array
    {
        return isset($this->lines[0][$left], $this->lines[1][$right], $this->lines[2][$top], $this->lines[3][$bottom])
            ? [$this->lines[2][$top], $this->lines[3][$bottom], $this->lines[0][$left], $this->lines[1][$right]]
            : null;
    }

    /** @param array{int, int, int, int}|null $cells */
    private function isRow(?array $cells): bool
    {
        return $cells !== null && ($cells[0] === $cells[1] || $cells[2] === $cells[3]);
    }

    /** @param array{int, int, int, int} $cells */
    private function placed(array $cells, Assembly $part): string
    {
        [$firstRow, $lastRow, $firstColumn, $lastColumn] = $cells;
        [$left, $top, $right, $bottom] = Point::bounds($part->outline()->points);
        $rows = ($firstRow === $lastRow ? 'row ' : 'rows ').Words::span($firstRow, $lastRow);
        $columns = ($firstColumn === $lastColumn ? 'column ' : 'columns ').Words::span($firstColumn, $lastColumn);
        $unit = $this->units["$left $top $right $bottom"] ?? null;

        return match (true) {
            [$left, $right] === [0, $this->width] => $rows,
            [$top, $bottom] === [0, $this->height] => $columns,
            $unit !== null => sprintf('the %s at %s, %s', $part instanceof Piece ? $this->unit($part) : UnitName::of($unit, false), $rows, $columns),
            default => $rows.', '.$columns,
        };
    }

    private function unit(Assembly $part): string
    {
        return $part instanceof Join && $part->tie !== null ? UnitName::ofClass($this->construction->classes[$part->tie->unitClass], false) : ($part instanceof Piece ? $part->patch->fabric->name.' piece' : 'unit');
    }

    private function unplaced(Assembly $part): string
    {
        return match (true) {
            $part instanceof Piece => 'the '.$part->patch->fabric->name.' piece',
            $part instanceof Join && $part->tie !== null => 'the '.$this->unit($part),
            $part instanceof Join => 'part '.($this->numbers[$part->id] ?? 0),
            default => 'part',
        };
    }
}
