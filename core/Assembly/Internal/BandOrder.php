<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\SewingOrder;

/**
 * Takes a grid apart along full straight lines between its cells, which may span several rows and columns.
 *
 * @internal
 */
final class BandOrder
{
    /** @param array<int, Cell> $cells by their number in the grid */
    private function __construct(private readonly array $cells) {}

    /**
     * Rows, each of what stands side by side in it, and so on in turn; or the same with columns first.
     *
     * @param array<int, Cell> $cells by their number in the grid
     *
     * @throws SetInSeamNeeded
     */
    public static function bands(array $cells, bool $rowsFirst): SewingOrder
    {
        return self::asOrder((new self($cells))->banded($rowsFirst));
    }

    /**
     * Halves of halves: the full line nearest to the middle, upright and level in turn.
     *
     * @param array<int, Cell> $cells
     *
     * @throws SetInSeamNeeded
     */
    public static function halves(array $cells): SewingOrder
    {
        return self::asOrder((new self($cells))->halved(true));
    }

    /**
     * Rows, but what lies side by side is sewn in pairs, the pairs in pairs, and so are the rows.
     *
     * @param array<int, Cell> $cells
     *
     * @throws SetInSeamNeeded
     */
    public static function twos(array $cells): SewingOrder
    {
        return self::asOrder(self::paired((new self($cells))->banded(true)));
    }

    /**
     * A centre that grows strip by strip, clockwise.
     *
     * @param array<int, Cell> $cells
     *
     * @throws SetInSeamNeeded
     */
    public static function around(array $cells): SewingOrder
    {
        $strips = [];
        // Taken off from outside, the last one sewn first.
        for ($side = 0, $tried = 0; count($cells) > 1 && $tried < 4; $side = ($side + 1) % 4) {
            [$inRows, $atEnd] = [[false, false], [true, true], [false, true], [true, false]][$side];
            $bands = (new self($cells))->cutApart($inRows);
            ++$tried;
            if (count($bands) > 1) {
                $strip = $bands[$atEnd ? count($bands) - 1 : 0];
                array_unshift($strips, (new self($strip))->banded(! $inRows));
                $cells = array_diff_key($cells, $strip);
                $tried = 0;
            }
        }
        if (count($cells) > 1) {
            throw SetInSeamNeeded::amongCells($cells);
        }

        return SewingOrder::of((int) array_key_first($cells), ...$strips);
    }

    private function banded(bool $rowsFirst): int|SewingOrder
    {
        if (count($this->cells) === 1) {
            return (int) array_key_first($this->cells);
        }
        foreach ([$rowsFirst, ! $rowsFirst] as $inRows) {
            $bands = $this->cutApart($inRows);
            if (count($bands) > 1) {
                return SewingOrder::of(...array_map(
                    static fn (array $band): int|SewingOrder => (new self($band))->banded(! $inRows),
                    $bands,
                ));
            }
        }

        throw SetInSeamNeeded::amongCells($this->cells);
    }

    private function halved(bool $rowsFirst): int|SewingOrder
    {
        if (count($this->cells) === 1) {
            return (int) array_key_first($this->cells);
        }
        foreach ([$rowsFirst, ! $rowsFirst] as $inRows) {
            $bands = $this->cutApart($inRows);
            if (count($bands) > 1) {
                $half = intdiv(count($bands), 2);

                return SewingOrder::of(...array_map(
                    static fn (array $bands): int|SewingOrder => (new self(array_replace(...$bands)))->halved(! $inRows),
                    [array_slice($bands, 0, $half), array_slice($bands, $half)],
                ));
            }
        }

        throw SetInSeamNeeded::amongCells($this->cells);
    }

    /** @return list<array<int, Cell>> the groups between full lines, upper or left first */
    private function cutApart(bool $inRows): array
    {
        $first = static fn (Cell $cell): int => $inRows ? $cell->row : $cell->column;
        $last = static fn (Cell $cell): int => $inRows ? $cell->lastRow() : $cell->lastColumn();
        $cells = $this->cells;
        uasort($cells, static fn (Cell $a, Cell $b): int => $first($a) <=> $first($b));
        $bands = [];
        $reach = 0;
        foreach ($cells as $number => $cell) {
            if ($first($cell) > $reach) {
                $bands[] = [];
            }
            $bands[array_key_last($bands)][$number] = $cell;
            $reach = max($reach, $last($cell));
        }

        return $bands;
    }

    /** The same parts, each level sewn in pairs of neighbours; an odd one at the end waits for the next level. */
    private static function paired(int|SewingOrder $order): int|SewingOrder
    {
        $items = is_int($order) ? [$order] : array_map(self::paired(...), $order->items);
        while (count($items) > 1) {
            $items = array_map(static fn (array $pair): int|SewingOrder => count($pair) === 1 ? $pair[0] : SewingOrder::of(...$pair), array_chunk($items, 2));
        }

        return $items[0];
    }

    private static function asOrder(int|SewingOrder $order): SewingOrder
    {
        return is_int($order) ? SewingOrder::of($order) : $order;
    }
}
