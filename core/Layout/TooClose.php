<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\Luminance;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\PlacedUnit;

/**
 * Two fabrics of a unit that lie side by side and are so close in value that the figure will not show, or one fabric on
 * itself where a kind of unit has two.
 */
final readonly class TooClose
{
    /** In a grey picture, less than this contrast ratio reads as one shade. Common practice, no published source. */
    private const LEAST_CONTRAST = 1.5;

    /** @param non-empty-list<PlacedUnit> $units the block's units in which they meet */
    private function __construct(
        public Fabric $one,
        public Fabric $other,
        public array $units,
    ) {}

    /** @return list<self> */
    public static function allOn(Face $face): array
    {
        $found = [];
        foreach ($face->whole->parts as $unit) {
            if (! $unit instanceof PlacedUnit) {
                continue;
            }
            foreach (self::pairsIn($unit) as $pair => [$a, $b]) {
                $found[$pair]['fabrics'] = [$a, $b];
                $found[$pair]['units'][] = $unit;
            }
        }

        return array_values(array_map(static fn (array $one): self => new self($one['fabrics'][0], $one['fabrics'][1], $one['units']), $found));
    }

    /** @return array<string, array{Fabric, Fabric}> */
    private static function pairsIn(PlacedUnit $unit): array
    {
        $pairs = [];
        $patches = $unit->patches();
        foreach ($patches as $i => $a) {
            foreach (array_slice($patches, 0, $i) as $b) {
                [$one, $other] = [$a->fabric, $b->fabric];
                $isLost = $one->key === $other->key
                    ? self::isFigureOf($unit, $a, $b)
                    : $one->value === $other->value && Luminance::contrast($one->color, $other->color) < self::LEAST_CONTRAST;
                if ($isLost && self::lieSideBySide($a, $b)) {
                    $pairs[min($one->key, $other->key).' '.max($one->key, $other->key)] = $one->key < $other->key ? [$one, $other] : [$other, $one];
                }
            }
        }

        return $pairs;
    }

    /** Whether the two belong to one unit that is pieced to show a figure; in a drawn one, and in a small grid, equal neighbours may be wanted. */
    private static function isFigureOf(PlacedUnit $unit, Patch $a, Patch $b): bool
    {
        foreach ($unit->parts as $part) {
            if ($part instanceof PlacedUnit) {
                $inside = count(array_filter($part->patches(), static fn (Patch $patch): bool => $patch === $a || $patch === $b));
                if ($inside > 0) {
                    return $inside === 2 && self::isFigureOf($part, $a, $b);
                }
            }
        }

        return $unit->cell->unit instanceof PatternUnit || $unit->cell->unit instanceof FlippedCornersUnit;
    }

    private static function lieSideBySide(Patch $a, Patch $b): bool
    {
        foreach ($a->outline->edges() as [$from, $to]) {
            foreach ($b->outline->edges() as [$start, $end]) {
                $direction = $to->minus($from);
                $isOnLine = $direction->cross($start->minus($from)) === 0 && $direction->cross($end->minus($from)) === 0;
                // Neighbours' outlines run along a shared line in opposite senses.
                if ($isOnLine && $direction->dot($start->minus($from)) > 0 && $direction->dot($to->minus($end)) > 0) {
                    return true;
                }
            }
        }

        return false;
    }
}
