<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Layout\Internal\CellBox;
use KeenSeam\Core\Layout\Internal\CellPictures;
use KeenSeam\Core\Layout\Internal\Judged;
use KeenSeam\Core\Layout\Internal\Moves;

/**
 * The symmetry that a layout has, or most nearly has, and the cells that break it.
 *
 * Of the symmetries that all cells obey after changing few of them, the one with most moves counts, then the one with
 * fewest changes. A symmetry is not the layout's where a cell would have to change that no placement of its unit mends
 * (another kind of unit, a turning centre), nor where what breaks it is carried into each other by a symmetry that the
 * layout has exactly: that is the design.
 */
final readonly class OddOnesOut
{
    /** One cell in so many may be odd, of those that hold more than a plain patch. */
    private const ONE_IN = 4;

    /**
     * @param list<OddCell>   $odd        in reading order
     * @param list<list<int>> $orbits     numbers of the units, in reading order, that the symmetry carries into each other
     * @param bool            $isBorneOut whether units elsewhere agree on the symmetry; the first two on an empty wall only differ
     */
    private function __construct(
        public Symmetry $symmetry,
        public array $odd,
        public array $orbits,
        public bool $isBorneOut,
    ) {}

    /** @param bool $isOnPoint whether what hangs is this face turned by 45 degrees clockwise; symmetries are those of what hangs */
    public static function of(Face $face, bool $isOnPoint = false): self
    {
        return self::among(new CellPictures($face), $face, $isOnPoint);
    }

    /** @internal */
    public static function among(CellPictures $pictures, Face $face, bool $isOnPoint): self
    {
        $grid = $face->block->grid;
        $busy = count(array_filter($pictures->units, static fn ($unit): bool => $unit->cell->unit->kind() !== 'plain'));
        $allowed = max(1, intdiv($busy, self::ONE_IN));
        $all = Moves::allOf($pictures->units, CellBox::of($face->outline()), count($grid->columns), count($grid->rows), $isOnPoint);
        usort($all, static fn (Moves $a, Moves $b): int => $b->count <=> $a->count);
        $judged = [];
        foreach ($all as $moves) {
            $one = Judged::of($moves, $pictures, $allowed);
            if ($one !== null) {
                $judged[] = $one;
            }
            // The largest there is, and nothing breaks it: no other has to be looked at.
            if ($judged !== [] && $judged[0]->changes === 0) {
                break;
            }
        }
        usort($judged, static fn (Judged $a, Judged $b): int => [$b->moves->count, $a->changes] <=> [$a->moves->count, $b->changes]);
        $exact = array_filter($judged, static fn (Judged $one): bool => $one->changes === 0);
        foreach ($judged as $one) {
            $odd = self::isDesign($one, $exact) ? null : $one->oddCells($pictures);
            if ($odd !== null) {
                return new self($one->moves->symmetry, $odd, $one->moves->orbits, $one->isBorneOut);
            }
        }

        return new self(Symmetry::None, [], [], false);
    }

    /**
     * Whether what breaks the symmetry is carried into each other by one that the layout has exactly.
     *
     * @param array<Judged> $exact
     */
    private static function isDesign(Judged $one, array $exact): bool
    {
        foreach ($exact as $obeyed) {
            foreach ($obeyed->moves->orbits as $orbit) {
                if (count(array_intersect_key(array_flip($orbit), $one->odd)) > 1) {
                    return true;
                }
            }
        }

        return false;
    }
}
