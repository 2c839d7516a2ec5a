<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\Recipes;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Making\Way;

/**
 * The way in which each unit is made: the one the quilter chose, else the one that suits what she prefers best.
 *
 * @internal
 */
final class WayChoice
{
    /**
     * @param list<UnitToMake> $units
     *
     * @return list<MadeUnit>
     *
     * @throws CutNotPossible where a choice is for a unit, or a way, that is not there
     */
    public static function all(array $units, Bench $bench, CutQuestion $question): array
    {
        self::ensureKnown($question, $units);

        return array_map(static fn (UnitToMake $unit): MadeUnit => self::made($unit, Recipes::waysOf($unit, $bench), $question, $bench->marks), $units);
    }

    /**
     * @param list<UnitToMake> $units
     *
     * @throws CutNotPossible where a choice is for a unit that is not there
     */
    private static function ensureKnown(CutQuestion $question, array $units): void
    {
        $labels = array_map(static fn (UnitToMake $unit): string => $unit->label, $units);
        foreach ([$question->ways, $question->builds, $question->margins->units] as $chosen) {
            foreach (array_keys($chosen) as $label) {
                if (! in_array((string) $label, $labels, true)) {
                    throw CutNotPossible::unknownUnit((string) $label, $labels);
                }
            }
        }
    }

    /** @param list<Way> $ways */
    private static function made(UnitToMake $unit, array $ways, CutQuestion $question, int $marks): MadeUnit
    {
        $build = $question->buildOf($unit->label);
        $possible = [];
        foreach ($ways as $way) {
            $parts = $way->partsFor($unit->need, $unit->mirrored, $build);
            if ($parts !== null) {
                $possible[] = new MadeUnit($unit, $way, $ways, $build, $parts, CuttingPlan::clothFor($way, $parts, $marks));
            }
        }
        $chosen = $question->ways[$unit->label] ?? null;
        foreach ($possible as $made) {
            if ($made->way->key === $chosen) {
                return $made;
            }
        }
        if ($chosen !== null || $possible === []) {
            throw CutNotPossible::unknownWay((string) $chosen, $unit->label, array_map(static fn (MadeUnit $made): string => $made->way->key, $possible));
        }
        usort($possible, static fn (MadeUnit $a, MadeUnit $b): int => self::weighed($a, $question) <=> self::weighed($b, $question));

        return $possible[0];
    }

    /** @return list<float|int> smaller is better; equal ways stay in the order in which they are offered */
    private static function weighed(MadeUnit $made, CutQuestion $question): array
    {
        $pieces = array_sum(array_map(static fn (Piece $piece): int => $piece->perBatch, $made->way->pieces)) * $made->batches();
        $cloth = $made->cloth->toFloat();
        // What is squared up after sewing comes out truest; bias edges and cut triangles stretch.
        $isTrue = array_filter($made->way->pieces, static fn (Piece $piece): bool => $piece->then !== Then::None) === [] && ! $made->way->isOuterBias;
        $isByChoice = $made->way->isByChoice ? 1 : 0;
        $isOtherHand = $made->unit->mirrored === 0 && $made->wrongHand() > 0 ? 1 : 0;

        return match ($question->preference) {
            // Outer edges stay on the straight grain wherever there is a way.
            Preference::LeastCloth => [$isByChoice, $isOtherHand, $made->way->isOuterBias ? 1 : 0, $cloth],
            Preference::Accuracy => [$isByChoice, $isOtherHand, $isTrue ? 0 : 1, $made->way->isOuterBias ? 1 : 0, $cloth],
            Preference::FewestCuts => [$isByChoice, $isOtherHand, $pieces, $cloth],
        };
    }
}
