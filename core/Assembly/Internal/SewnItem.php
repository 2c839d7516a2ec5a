<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;

/**
 * Something that is whole when an order of sewing is looked for: a patch, or a unit that is made before.
 *
 * @internal
 */
final readonly class SewnItem
{
    /**
     * @param list<Point>        $ends   places on the outline where inner seams end
     * @param array<int, string> $shapes what it looks like after 0 to 3 quarter turns, without its place
     */
    private function __construct(
        public ConvexPolygon $outline,
        public array $ends,
        public array $shapes,
        public bool $isPatch,
    ) {}

    public static function of(Patch|PlacedUnit $part): self
    {
        if ($part instanceof Patch) {
            return new self($part->outline, [], array_map(static fn (int $turns): string => $part->fabric->key, Turn::QUARTERS), true);
        }
        $ends = [];
        foreach ($part->patches() as $patch) {
            foreach ($patch->outline->points as $corner) {
                if (! $part->outline->containsInside($corner)) {
                    $ends[$corner->key()] = $corner;
                }
            }
        }

        return new self($part->outline, array_values($ends), array_map(
            static fn (int $turns): string => UnitShape::whole(UnitShape::parts($part, $turns)),
            Turn::QUARTERS,
        ), false);
    }
}
