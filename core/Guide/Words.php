<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Segment;

/** Turns parts and places into the words of an instruction. */
final class Words
{
    /** "Ink", "Ink and Cream": the fabrics that lie along the seam on one part of the join. */
    public static function fabricsAlong(Segment $seam, Assembly $part): string
    {
        return self::listed(array_keys(self::fabricNames($seam, $part)));
    }

    /** @param list<string|int> $items */
    public static function listed(array $items): string
    {
        $last = array_pop($items);

        return $items === [] ? (string) $last : implode(', ', $items).' and '.$last;
    }

    /**
     * Like listed(), with equal items named once: "Ink to Cream (4 alike) and Cream to Rust".
     *
     * @param list<string> $items
     */
    public static function tallied(array $items): string
    {
        $counts = array_count_values($items);

        return self::listed(array_map(static fn (string|int $item, int $count): string => $count === 1 ? (string) $item : sprintf('%s (%d alike)', $item, $count), array_keys($counts), $counts));
    }

    public static function counted(int $count, string $one, string $several): string
    {
        return $count.' '.($count === 1 ? $one : $several);
    }

    /** "row 2, column 1" */
    public static function place(PlacedUnit $unit): string
    {
        return sprintf('row %d, column %d', $unit->cell->row, $unit->cell->column);
    }

    /** "1", "1 and 2", "1 to 3". */
    public static function span(int $first, int $last): string
    {
        return match ($last - $first) {
            0 => (string) $first,
            1 => $first.' and '.$last,
            default => $first.' to '.$last,
        };
    }

    /** @return array<string, true> */
    private static function fabricNames(Segment $seam, Assembly $part): array
    {
        $onSeam = array_filter($part->outline()->points, static fn ($corner): bool => $seam->sideOf($corner) === 0);
        if (count($onSeam) < 2) {
            return [];
        }
        if ($part instanceof Piece) {
            return [$part->patch->fabric->name => true];
        }

        return $part instanceof Join ? self::fabricNames($seam, $part->left) + self::fabricNames($seam, $part->right) : [];
    }
}
