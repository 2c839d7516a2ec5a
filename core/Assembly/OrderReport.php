<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\AssemblyShape;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\Length;

/** Figures by which orders of sewing are compared. */
final readonly class OrderReport
{
    /** Above so many patches nobody learns joins one by one; the count is left out. */
    private const MOST_PATCHES_TO_COMPARE = 1200;

    /**
     * @param int       $matchPoints  places where seams of both sides must meet
     * @param int       $biasJoins    joins that run off the grain, where edges stretch
     * @param string    $longestJoin  finished, to 1/16 in or half a millimetre
     * @param int|null  $joinsToLearn joins that differ by more than a turn
     * @param int       $chainBatches trips to the machine when everything ready is chained
     * @param int       $presses      trips to the iron: a seam is pressed before another crosses or meets it
     * @param list<int> $batchOf      by join id, in which of the trips to the machine it can be sewn, from 1
     */
    private function __construct(
        public int $joins,
        public int $matchPoints,
        public int $biasJoins,
        public string $longestJoin,
        public ?int $joinsToLearn,
        public int $chainBatches,
        public int $presses,
        public array $batchOf,
    ) {}

    public static function of(Construction $construction): self
    {
        return self::ofJoins($construction->face, $construction->joins);
    }

    /** @param list<Join> $all the parts of each before it */
    public static function ofJoins(Face $face, array $all): self
    {
        $matchPoints = $bias = 0;
        $longest = 0.0;
        $batches = $trips = [];
        foreach ($all as $join) {
            $direction = $join->seam->direction();
            $matchPoints += count($join->matchPoints());
            $bias += $direction->x !== 0 && $direction->y !== 0 ? 1 : 0;
            $longest = max($longest, $join->seam->length());
            $parts = array_filter($join->children(), static fn (Assembly $part): bool => $part instanceof Join);
            $batches[spl_object_id($join)] = 1 + max([0, ...array_map(static fn (Join $part): int => $batches[spl_object_id($part)], $parts)]);
            $trips[spl_object_id($join)] = max([0, ...array_map(
                static fn (Join $part): int => $trips[spl_object_id($part)] + (self::isMet($join, $part) ? 1 : 0),
                $parts,
            )]);
        }

        return new self(
            count($all),
            $matchPoints,
            $bias,
            self::printed($face, $longest),
            self::joinsToLearn($face, $all),
            max([0, ...$batches]),
            $trips === [] ? 0 : max($trips) + 1,
            array_values($batches),
        );
    }

    /** Whether an earlier seam ends on the later one, so that it must lie flat by then. */
    private static function isMet(Join $later, Join $earlier): bool
    {
        return $later->seam->contains($earlier->seam->from) || $later->seam->contains($earlier->seam->to);
    }

    /** @param list<Join> $all */
    private static function joinsToLearn(Face $face, array $all): ?int
    {
        if (count($face->patches) > self::MOST_PATCHES_TO_COMPARE) {
            return null;
        }

        return AssemblyShape::kinds($all);
    }

    private static function printed(Face $face, float $steps): string
    {
        $lattice = $face->lattice;
        $grain = $face->block->unit === \KeenSeam\Core\Measure\LengthUnit::Inch ? Grain::Sixteenth : Grain::HalfMillimetre;
        $whole = (int) round($steps);
        $isExact = abs($steps - $whole) < 1e-9;
        // A slanting join has no exact length in fractions; 1/1000 of a step is far below any ruler's mark.
        $length = Length::of($isExact ? Fraction::of($whole, $lattice->steps) : Fraction::of((int) round($steps * 1000), 1000 * $lattice->steps), $lattice->unit);
        $text = $grain->print($length).($face->block->unit === \KeenSeam\Core\Measure\LengthUnit::Inch ? ' in' : '');

        return $isExact || str_starts_with($text, Grain::ROUNDED) ? $text : Grain::ROUNDED.$text;
    }
}
