<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Whereabouts;
use KeenSeam\Core\Pressing\Junction;

/**
 * Which blocks of a top have cloth near a place.
 *
 * @internal
 */
final class CopiesNear
{
    /** @var array<int, Box> of each copy, what lies so deep in it that no other copy's cloth reaches there */
    private readonly array $deep;

    private readonly Whereabouts $near;

    public function __construct(TopConstruction $top)
    {
        $face = $top->construction->face;
        // Beyond a block's edge lies its allowance, and what is folded over it.
        $reach = ceil(2 * $face->lattice->toFloatSteps($face->block->seamAllowance) + $face->lattice->toFloatSteps(Junction::radius()));
        $boxes = array_map(static fn (TopCopy $copy): Box => $copy->place->units[0]->outline->box(), $top->copies);
        $this->deep = array_map(static fn (Box $box): Box => $box->wider(-$reach), $boxes);
        $this->near = new Whereabouts(array_map(static fn (Box $box): Box => $box->wider($reach), $boxes));
    }

    /** @return array{int|null, list<int>} the copy deep in which a point lies, and all that may have cloth there */
    public function at(Point $at): array
    {
        $near = $this->near->at($at->x, $at->y);
        foreach ($near as $number) {
            if ($this->deep[$number]->holds($at->x, $at->y)) {
                return [$number, [$number]];
            }
        }

        return [null, $near];
    }
}
