<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;

/**
 * Numbers of the patches in parts of a block.
 *
 * @internal
 */
final class PatchIds
{
    /**
     * @param list<Join> $joins
     *
     * @return list<int>
     */
    public static function ofJoins(array $joins): array
    {
        $ids = array_values(array_unique(array_merge(...array_map(static fn (Join $join): array => $join->patchIds(), $joins))));
        sort($ids);

        return $ids;
    }

    /** @return list<int> */
    public static function ofUnit(PlacedUnit $unit): array
    {
        return self::of($unit->patches());
    }

    /**
     * @param list<Patch> $patches
     *
     * @return list<int>
     */
    public static function of(array $patches): array
    {
        return array_map(static fn (Patch $patch): int => $patch->id, $patches);
    }
}
