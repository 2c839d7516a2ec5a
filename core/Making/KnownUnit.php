<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Assembly\Piece as Unsewn;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Measure\Fraction;

/** A part of a drawn unit that is a known unit by its shape, in its fabrics. */
final readonly class KnownUnit
{
    /** @param list<Patch> $patches in the order of the unit's own pieces */
    private function __construct(
        public Unit $unit,
        public array $patches,
        public ConvexPolygon $outline,
        public int $width,
        public int $height,
    ) {}

    /** @return self|null null where it is none that is known */
    public static function of(Assembly $part): ?self
    {
        if (count($part->patchIds()) > KnownShape::MOST_PATCHES) {
            return null;
        }
        $patches = self::patchesOf($part);
        $shape = KnownShape::of(array_map(static fn (Patch $patch): ConvexPolygon => $patch->outline, $patches));
        if ($shape === null) {
            return null;
        }
        $patches = array_map(static fn (int $number): Patch => $patches[$number], $shape->order);

        return new self(self::unit($shape->kind, $patches), $patches, $shape->outline, $shape->width, $shape->height);
    }

    public function name(): string
    {
        return $this->unit instanceof GridUnit ? 'four-patch' : $this->unit->name();
    }

    public function plural(): string
    {
        return $this->unit instanceof GridUnit ? 'four-patches' : $this->unit->plural();
    }

    /**
     * The known units in a drawn one, the largest first; what is part of one is not looked at again.
     *
     * @return list<Join> the joins that finish them
     */
    public static function within(Assembly $part): array
    {
        if (! $part instanceof Join) {
            return [];
        }

        return self::of($part) !== null ? [$part] : array_merge(...array_map(self::within(...), $part->children()));
    }

    /** @param non-empty-list<Patch> $patches */
    private static function unit(string $kind, array $patches): Unit
    {
        if ($kind !== KnownShape::FOUR_PATCH) {
            return new PatternUnit(UnitPatterns::all()[$kind], array_map(static fn (Patch $patch) => $patch->fabric, $patches));
        }
        $one = [Fraction::of(1), Fraction::of(1)];

        return new GridUnit(Grid::of($one, $one, array_map(static fn (Patch $patch, int $i): Cell => new Cell(intdiv($i, 2) + 1, $i % 2 + 1, 1, 1, new PatternUnit(UnitPatterns::all()['plain'], [$patch->fabric])), $patches, array_keys($patches))));
    }

    /** @return list<Patch> */
    private static function patchesOf(Assembly $part): array
    {
        return $part instanceof Unsewn ? [$part->patch] : array_merge(...array_map(self::patchesOf(...), $part->children()));
    }
}
