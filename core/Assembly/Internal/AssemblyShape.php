<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Point;

/**
 * What a join sews to what, as a text that is equal for joins that differ only by a turn and their place.
 *
 * @internal
 */
final class AssemblyShape
{
    /** @var array<int, list<array{int, int, string}>> by patch and quarter turns: where its corner comes to lie, and what it looks like from there */
    private array $looks = [];

    public static function key(Join $join): string
    {
        return (new self())->of($join);
    }

    /**
     * How many of the joins differ.
     *
     * @param list<Join> $joins of one construction
     */
    public static function kinds(array $joins): int
    {
        $alike = [];
        foreach ($joins as $join) {
            $alike[self::size($join)][] = $join;
        }
        $shapes = new self();

        // What no other is as large as differs from all.
        return array_sum(array_map(static fn (array $of): int => count($of) === 1 ? 1 : count(array_unique(array_map($shapes->of(...), $of))), $alike));
    }

    private function of(Join $join): string
    {
        $patches = array_map(self::patches(...), $join->children());

        return min(array_map(function (int $turns) use ($join, $patches): string {
            $corner = $join->outline()->turned($turns)->corner();
            $parts = array_map(fn (array $of): string => $this->seenFrom($corner, $turns, $of), $patches);
            sort($parts);

            return implode(' + ', $parts);
        }, Turn::QUARTERS));
    }

    /** @param list<Patch> $patches */
    private function seenFrom(Point $corner, int $turns, array $patches): string
    {
        $texts = [];
        foreach ($patches as $patch) {
            [$x, $y, $look] = ($this->looks[$patch->id] ??= self::looks($patch))[$turns];
            $texts[] = ($x - $corner->x).','.($y - $corner->y).' '.$look;
        }
        sort($texts);

        return implode(' | ', $texts);
    }

    /** @return list<array{int, int, string}> */
    private static function looks(Patch $patch): array
    {
        return array_map(static function (int $turns) use ($patch): array {
            $turned = $patch->outline->turned($turns);
            $corner = $turned->corner();

            return [$corner->x, $corner->y, $patch->fabric->key.': '.$turned->seenFrom($corner)->key()];
        }, Turn::QUARTERS);
    }

    /** Alike for joins that are the same after a turn: how many patches there are on each side, and the two sides of the whole. */
    private static function size(Join $join): string
    {
        $counts = array_map(static fn (Assembly $part): int => count($part->patchIds()), $join->children());
        $sides = $join->outline()->size();
        sort($counts);
        sort($sides);

        return implode(' ', [...$counts, ...$sides]);
    }

    /** @return list<Patch> */
    private static function patches(Assembly $assembly): array
    {
        return $assembly instanceof Piece ? [$assembly->patch] : array_merge(...array_map(self::patches(...), $assembly->children()));
    }
}
