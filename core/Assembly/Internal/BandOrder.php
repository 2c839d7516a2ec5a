<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\SewingOrder;

/**
 * Takes a grid apart along full straight lines: into rows, each row into what stands side by side in it, and
 * so on in turn where cells span several rows or columns.
 *
 * @internal
 */
final class BandOrder
{
    /**
     * @param list<Cell> $cells
     *
     * @throws SetInSeamNeeded
     */
    public static function rowsFirst(array $cells): SewingOrder
    {
        $order = self::bands($cells, true);

        return is_int($order) ? SewingOrder::of($order) : $order;
    }

    /** @param array<int, Cell> $cells by their number in the grid */
    private static function bands(array $cells, bool $rowsFirst): int|SewingOrder
    {
        if (count($cells) === 1) {
            return (int) array_key_first($cells);
        }
        foreach ([$rowsFirst, ! $rowsFirst] as $inRows) {
            $bands = self::cutApart($cells, $inRows);
            if (count($bands) > 1) {
                return SewingOrder::of(...array_map(
                    static fn (array $band): int|SewingOrder => self::bands($band, ! $inRows),
                    $bands,
                ));
            }
        }

        throw SetInSeamNeeded::amongCells($cells === [] ? throw new \LogicException('A grid has cells.') : array_values($cells));
    }

    /**
     * @param array<int, Cell> $cells
     *
     * @return list<array<int, Cell>> the groups between full lines, upper or left first
     */
    private static function cutApart(array $cells, bool $inRows): array
    {
        $first = static fn (Cell $cell): int => $inRows ? $cell->row : $cell->column;
        $last = static fn (Cell $cell): int => $inRows ? $cell->lastRow() : $cell->lastColumn();
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
}
