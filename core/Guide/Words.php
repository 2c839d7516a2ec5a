<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Listed;

/** Turns parts and places into the words of an instruction. */
final class Words
{
    /** Where nothing tells the two sides apart. */
    public const ONE_SIDE = 'one side';

    public const OTHER_SIDE = 'the other side';

    /** "Ink", "Ink and Cream": the fabrics that lie along the seam on one part of the join. */
    public static function fabricsAlong(Segment $seam, Assembly $part): string
    {
        return Listed::of(array_keys(self::fabricNames($seam, $part)));
    }

    /**
     * What the two sides of a seam in a unit are called: by the fabrics along it, else by what only one of them holds.
     *
     * @return array{string, string}
     */
    public static function sides(Join $join): array
    {
        [$left, $right] = [self::fabricsAlong($join->seam, $join->left), self::fabricsAlong($join->seam, $join->right)];
        if ($left !== $right) {
            return [$left, $right];
        }
        $fabrics = array_map(self::fabricsOf(...), [$join->left, $join->right]);
        [$ownLeft, $ownRight] = [array_diff_key($fabrics[0], $fabrics[1]), array_diff_key($fabrics[1], $fabrics[0])];
        $with = static fn (array $own, array $other): string => $own === [] ? 'the part without '.Listed::of(array_keys($other)) : 'the part with '.Listed::of(array_keys($own));
        $pieces = static fn (int $count): string => $count === 1 ? 'the single piece' : sprintf('the part of %d pieces', $count);
        $counts = array_map(static fn (Assembly $part): int => count($part->patchIds()), [$join->left, $join->right]);
        $areas = array_map(static fn (Assembly $part): int => $part->outline()->areaDoubled(), [$join->left, $join->right]);

        return match (true) {
            $ownLeft !== [] || $ownRight !== [] => [$with($ownLeft, $ownRight), $with($ownRight, $ownLeft)],
            $counts[0] !== $counts[1] => [$pieces($counts[0]), $pieces($counts[1])],
            $areas[0] !== $areas[1] => $areas[0] > $areas[1] ? ['the larger part', 'the smaller part'] : ['the smaller part', 'the larger part'],
            default => [self::ONE_SIDE, self::OTHER_SIDE],
        };
    }

    /** @return array<string, true> names of all fabrics in a part */
    private static function fabricsOf(Assembly $part): array
    {
        return $part instanceof Piece ? [$part->patch->fabric->name => true] : array_merge(...array_map(self::fabricsOf(...), $part->children()));
    }

    /**
     * Like Listed, with equal items named once: "Ink to Cream (4 alike) and Cream to Rust".
     *
     * @param list<string> $items
     */
    public static function tallied(array $items): string
    {
        $counts = array_count_values($items);

        return Listed::of(array_map(static fn (string|int $item, int $count): string => $count === 1 ? (string) $item : sprintf('%s (%d alike)', $item, $count), array_keys($counts), $counts));
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

    /**
     * "1 to 4" where none is left out between, else "1, 3 and 4".
     *
     * @param non-empty-list<int> $numbers rising
     */
    public static function numbers(array $numbers): string
    {
        $last = $numbers[count($numbers) - 1];

        return $numbers === range($numbers[0], $last) ? self::span($numbers[0], $last) : Listed::of($numbers);
    }

    /** "the crossing", "both crossings", "all 3 crossings". */
    public static function allOf(int $count, string $one, string $several): string
    {
        return match ($count) {
            1 => 'the '.$one,
            2 => 'both '.$several,
            default => sprintf('all %d %s', $count, $several),
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
