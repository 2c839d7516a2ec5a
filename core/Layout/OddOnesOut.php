<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Layout\Internal\Box;
use KeenSeam\Core\Layout\Internal\CellPictures;
use KeenSeam\Core\Layout\Internal\Judged;
use KeenSeam\Core\Layout\Internal\Moves;

/**
 * The symmetry that a layout has, or most nearly has, and the cells that break it.
 *
 * Of the symmetries that all cells obey after changing few of them, the one with most moves counts, then the one with
 * fewest changes. What breaks it as a whole, as a smaller symmetry has it, is no mistake but the design: then
 * the smaller one counts, so that a regular layout has no odd cells.
 */
final readonly class OddOnesOut
{
    /** One cell in so many may be odd, of those that hold more than a plain patch. */
    private const ONE_IN = 4;

    /** Cells that are odd together, as a smaller symmetry has them, where that one is not without breaks itself. */
    private const ODD_TOGETHER = 4;

    /** @param list<OddCell> $odd in reading order */
    private function __construct(
        public Symmetry $symmetry,
        public array $odd,
    ) {}

    public static function of(Face $face): self
    {
        return self::among(new CellPictures($face), $face);
    }

    /** @internal */
    public static function among(CellPictures $pictures, Face $face): self
    {
        $grid = $face->block->grid;
        $busy = count(array_filter($pictures->units, static fn ($unit): bool => $unit->cell->unit->kind() !== 'plain'));
        // One unit alone is no odd one out of anything.
        $allowed = count($pictures->units) === 1 ? 0 : max(1, intdiv($busy, self::ONE_IN));
        $judged = [];
        foreach (Moves::allOf($pictures->units, Box::of($face->outline()), count($grid->columns), count($grid->rows)) as $moves) {
            $one = Judged::of($moves, $pictures, $allowed);
            if ($one !== null) {
                $judged[] = $one;
            }
        }
        usort($judged, static fn (Judged $a, Judged $b): int => [$b->moves->count, $a->changes] <=> [$a->moves->count, $b->changes]);
        foreach ($judged as $i => $one) {
            if (! self::isDesign($one, array_slice($judged, $i + 1)) && ! self::isOtherUnits($one, $judged, $pictures)) {
                return new self($one->moves->symmetry, $one->oddCells($pictures));
            }
        }

        return new self(Symmetry::None, []);
    }

    /**
     * Whether a repeat is broken only by units that no turn would mend, while another symmetry is whole: a centre, say.
     *
     * @param list<Judged> $all
     */
    private static function isOtherUnits(Judged $repeat, array $all, CellPictures $pictures): bool
    {
        return $repeat->moves->symmetry === Symmetry::Repeat && $repeat->odd !== []
            && array_filter($repeat->oddCells($pictures), static fn (OddCell $odd): bool => $odd->mend !== null) === []
            && array_filter($all, static fn (Judged $other): bool => $other->changes === 0 && $other->moves->symmetry !== Symmetry::Repeat) !== [];
    }

    /**
     * Whether a smaller symmetry explains what the larger one calls odd.
     *
     * @param list<Judged> $others
     */
    private static function isDesign(Judged $larger, array $others): bool
    {
        foreach ($others as $smaller) {
            $explained = array_diff(array_keys($larger->odd), array_keys($smaller->odd));
            if ($smaller->moves->count === $larger->moves->count || $explained === []) {
                continue;
            }
            $least = $smaller->changes === 0 ? 2 : self::ODD_TOGETHER;
            $whole = array_filter($smaller->moves->orbits, static fn (array $orbit): bool => count($orbit) >= $least && array_diff($orbit, $explained) === []);
            if (count(array_merge([], ...$whole)) === count($explained)) {
                return true;
            }
        }

        return false;
    }
}
