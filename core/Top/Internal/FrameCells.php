<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top\Internal;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Top\PartRole;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopPlace;

/**
 * Where everything of a top lies in its frame, row by row.
 *
 * On point the middle of place (r, c) lies at x = (r + c) p, y = (r - c) p, so that a row of the frame is a slanting row of
 * the top as it hangs.
 *
 * @internal
 */
final class FrameCells
{
    /** @var array<string, TopPlace> by doubled row and column */
    private array $places = [];

    private readonly Fraction $width;

    private readonly Fraction $height;

    private readonly Fraction $sash;

    private function __construct(private readonly Top $top)
    {
        foreach ($top->places as $place) {
            $this->places[$place->key()] = $place;
        }
        [$this->width, $this->height, $this->sash] = [$top->placeWidth(), $top->placeHeight(), $top->sashWidth()];
    }

    /** @return list<FrameCell> in reading order of the frame */
    public static function of(Top $top): array
    {
        $cells = new self($top);

        return $top->setting === Setting::Straight ? $cells->straight() : $cells->onPoint();
    }

    /** @return list<FrameCell> */
    private function straight(): array
    {
        $outer = $this->top->sashes !== null && $this->top->sashes->outer;
        $columns = $this->lines($this->top->columns, $this->width, $outer);
        $rows = $this->lines($this->top->rows, $this->height, $outer);
        $cells = [];
        foreach ($rows as $r => [$row, $top, $bottom]) {
            if ($row === null && $this->top->sashes !== null && $this->top->sashes->cornerstone === null) {
                $cells[] = new FrameCell(PartRole::Sash, $r + 1, 1, [$columns[0][1], $top, $columns[count($columns) - 1][2], $bottom], $this->top->sashes->fabric, count($columns));
                continue;
            }
            foreach ($columns as $c => [$column, $left, $right]) {
                $cells[] = $this->cell($r + 1, $c + 1, [$left, $top, $right, $bottom], $row === null ? null : 2 * $row, $column === null ? null : 2 * $column);
            }
        }

        return $cells;
    }

    /** @return non-empty-list<array{int|null, Fraction, Fraction}> number of the row or column, null for a sash, and from where to where it lies */
    private function lines(int $places, Fraction $size, bool $outer): array
    {
        $lines = [];
        $at = Fraction::zero();
        for ($number = 1; $number <= $places; ++$number) {
            if ($this->top->sashes !== null && ($number > 1 || $outer)) {
                $lines[] = [null, $at, $at = $at->plus($this->sash)];
            }
            $lines[] = [$number, $at, $at = $at->plus($size)];
        }
        if ($outer) {
            $lines[] = [null, $at, $at->plus($this->sash)];
        }

        return $lines === [] ? throw new \LogicException('A top has rows and columns.') : $lines;
    }

    /** @param array{Fraction, Fraction, Fraction, Fraction} $box */
    private function cell(int $r, int $c, array $box, ?int $row, ?int $column): FrameCell
    {
        if ($row !== null && $column !== null) {
            $place = $this->places[$row.','.$column];

            return new FrameCell($place->holds instanceof Fabric ? PartRole::PlainSquare : PartRole::Block, $r, $c, $box, $place);
        }
        $sashes = $this->top->sashes ?? throw new \LogicException('Only sashes lie between places.');

        return $row === null && $column === null && $sashes->cornerstone !== null
            ? new FrameCell(PartRole::Cornerstone, $r, $c, $box, $sashes->cornerstone)
            : new FrameCell(PartRole::Sash, $r, $c, $box, $sashes->fabric);
    }

    /** @return list<FrameCell> */
    private function onPoint(): array
    {
        $cells = [];
        foreach (range(-$this->top->columns, $this->top->rows) as $band) {
            $row = $this->lineOf($band + $this->top->columns);
            if ($this->top->sashes !== null && $band > -$this->top->columns) {
                array_push($cells, ...$this->sashBand($band - 1, $row - 1));
            }
            array_push($cells, ...$this->blockBand($band, $row));
        }

        return $cells;
    }

    /** The number in the frame of the row or column that is so many places from the first. */
    private function lineOf(int $places): int
    {
        return $this->top->sashes === null ? $places + 1 : 2 * $places + 1;
    }

    /** @return list<FrameCell> */
    private function blockBand(int $band, int $row): array
    {
        $first = max(2 - $band, 2 + $band);
        $last = min(2 * $this->top->rows - $band, 2 * $this->top->columns + $band);
        [$top, $bottom] = $this->around($band);
        $plain = $this->top->sides?->fabric;
        $cells = [];
        for ($i = min($first - 1, $last + 1); $i <= $last + 1; ++$i) {
            $isRim = $i < $first || $i > $last;
            [$left, $right] = $this->around($i);
            if ($this->top->sashes !== null && $i > $first - 1) {
                $cells[] = $this->cell($row, $this->lineOf($i) - 1, [$this->around($i - 1)[1], $top, $left, $bottom], $band, null);
            }
            if ($isRim && $plain !== null) {
                // A larger triangle runs on past its place, out to the edge of the top.
                [$left, $right] = [$i < $first ? $left->minus($this->beyond()) : $left, $i > $last ? $right->plus($this->beyond()) : $right];
                $cells[] = new FrameCell(PartRole::PlainSide, $row, $this->lineOf($i), [$left, $top, $right, $bottom], $plain);
                continue;
            }
            $place = $this->places[($i + $band).','.($i - $band)];
            $role = $place->holds instanceof Fabric ? PartRole::PlainSquare : PartRole::Block;
            $cells[] = new FrameCell($isRim ? PartRole::SideOfBlock : $role, $row, $this->lineOf($i), [$left, $top, $right, $bottom], $place);
        }

        return $cells;
    }

    /** @return list<FrameCell> between this band of blocks and the next */
    private function sashBand(int $band, int $row): array
    {
        [$top, $bottom] = [$this->around($band)[1], $this->around($band + 1)[0]];
        $sashes = $this->top->sashes ?? throw new \LogicException('There are sashes.');
        if ($sashes->cornerstone === null) {
            $last = $this->top->rows + $this->top->columns + 2;

            return [new FrameCell(PartRole::Sash, $row, 1, [$this->around(0)[0]->minus($this->beyond()), $top, $this->around($last)[1]->plus($this->beyond()), $bottom], $sashes->fabric, $this->lineOf($last))];
        }
        $first = max(-$band, $band + 1);
        $last = min(2 * $this->top->rows - $band, 2 * $this->top->columns + 1 + $band);
        $cells = [];
        for ($i = $first; $i <= $last; ++$i) {
            [$left, $right] = [$this->around($i)[1], $this->around($i + 1)[0]];
            if ($i > $first) {
                $cells[] = $this->cell($row, $this->lineOf($i), [$this->around($i)[0], $top, $left, $bottom], null, $i);
            }
            // With larger triangles the cornerstones at the edge run on out to it: what lies beyond is too small to be sewn on.
            $box = [$i === $first ? $left->minus($this->beyond()) : $left, $top, $i === $last ? $right->plus($this->beyond()) : $right, $bottom];
            $cells[] = $this->cell($row, $this->lineOf($i) + 1, $box, null, null);
        }

        return $cells;
    }

    /** Farther than any triangle reaches. */
    private function beyond(): Fraction
    {
        return $this->width->plus($this->sash)->times(Fraction::of(2))->plus($this->top->sides?->float->in($this->top->unit) ?? Fraction::zero());
    }

    /** @return array{Fraction, Fraction} from where to where the places lie that are so many from the frame's middle line */
    private function around(int $places): array
    {
        $middle = $this->width->plus($this->sash)->times(Fraction::of($places));
        $half = $this->width->times(Fraction::of(1, 2));

        return [$middle->minus($half), $middle->plus($half)];
    }
}
