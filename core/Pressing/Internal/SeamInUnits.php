<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;

/**
 * In which units every seam lies, told by the patches on its two sides, so that it is so in orders too that sew through
 * the cells; and which known units are recognised in drawn ones.
 *
 * @internal
 */
final class SeamInUnits
{
    /** @var array<int, list<PlacedUnit>> by patch id, the unit of the block's cell first */
    private array $around = [];

    /** @var array<int, list<PlacedUnit>> by join id */
    private array $units = [];

    /** @var array<int, list<string>> kinds of recognised units, by join id */
    private array $recognised = [];

    public function __construct(private readonly Construction $construction)
    {
        foreach ($construction->face->whole->parts as $part) {
            $this->enter($part, []);
        }
        foreach ($construction->joins as $join) {
            $this->units[$join->id] = $this->commonTo([...SeamCosts::patchesAlong($join->seam, $join->left), ...SeamCosts::patchesAlong($join->seam, $join->right)]);
        }
        $this->recognise($construction->root, null);
    }

    /** @return list<PlacedUnit> that the seam lies in, the outermost first */
    public function of(Join $join): array
    {
        return $this->units[$join->id];
    }

    /** @return list<string> kinds of the units that the seam lies in, recognised ones too */
    public function kindsOf(Join $join): array
    {
        return [...array_map(static fn (PlacedUnit $unit): string => $unit->cell->unit->kind(), $this->of($join)), ...($this->recognised[$join->id] ?? [])];
    }

    /** @param list<PlacedUnit> $units */
    private function enter(Patch|PlacedUnit $part, array $units): void
    {
        if ($part instanceof Patch) {
            $this->around[$part->id] = $units;

            return;
        }
        foreach ($part->parts as $inner) {
            $this->enter($inner, [...$units, $part]);
        }
    }

    /**
     * @param list<Patch> $patches
     *
     * @return list<PlacedUnit>
     */
    private function commonTo(array $patches): array
    {
        $common = null;
        foreach ($patches as $patch) {
            $units = $this->around[$patch->id];
            $common = $common === null ? $units : array_slice($common, 0, self::sharedStart($common, $units));
        }

        return $common ?? [];
    }

    /**
     * @param list<PlacedUnit> $a
     * @param list<PlacedUnit> $b
     */
    private static function sharedStart(array $a, array $b): int
    {
        for ($i = 0; $i < min(count($a), count($b)) && $a[$i] === $b[$i]; ++$i);

        return $i;
    }

    /** The largest first; what is part of one is not looked at again. */
    private function recognise(Assembly $part, ?string $kind): void
    {
        if (! $part instanceof Join) {
            return;
        }
        $kind ??= $this->kindOf($part);
        if ($kind !== null) {
            $this->recognised[$part->id][] = $kind;
        }
        foreach ($part->children() as $child) {
            $this->recognise($child, $kind);
        }
    }

    private function kindOf(Join $part): ?string
    {
        if (count($part->patchIds()) > KnownShape::MOST_PATCHES) {
            return null;
        }
        $patches = array_map(fn (int $id): Patch => $this->construction->face->patches[$id], $part->patchIds());
        $units = $this->commonTo($patches);
        $innermost = $units === [] ? null : $units[count($units) - 1]->cell->unit;
        $shape = KnownShape::of(array_map(static fn (Patch $patch): ConvexPolygon => $patch->outline, $patches));

        return match (true) {
            $shape === null => null,
            $innermost instanceof PatchesUnit => $shape->kind,
            // A small grid that is a four-patch is called so as well.
            $shape->kind === KnownShape::FOUR_PATCH && $units !== [] => $shape->kind,
            default => null,
        };
    }
}
