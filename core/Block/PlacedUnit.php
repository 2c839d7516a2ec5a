<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Geometry\ConvexPolygon;

/** A unit where it lies on the block's face, with the parts it is sewn from. */
final readonly class PlacedUnit
{
    /**
     * @param Placement                  $placement on the block's face, all enclosing grids counted in
     * @param non-empty-list<Patch|self> $parts     in the order the unit's own sewing counts them
     */
    public function __construct(
        public Cell $cell,
        public Placement $placement,
        public ConvexPolygon $outline,
        public array $parts,
    ) {}

    /** Width to height of the cell it lies in. */
    public function ratio(): float
    {
        [$width, $height] = $this->outline->size();

        return $width / $height;
    }

    /** @return list<Patch> */
    public function patches(): array
    {
        return array_merge(...array_map(
            static fn (Patch|self $part): array => $part instanceof Patch ? [$part] : $part->patches(),
            $this->parts,
        ));
    }
}
