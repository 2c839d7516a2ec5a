<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressingPlan;

/** What one plan costs beside another, in a quilter's words. */
final class Comparison
{
    public const ALIKE = 'neither better nor worse';

    /** "1 more ridge on ridge, 2 more seam ends folded back"; the heaviest difference first. */
    public static function words(PressingPlan $now, PressingPlan $other): string
    {
        $words = array_filter([
            self::counted($other->count(Nesting::Stacked) - $now->count(Nesting::Stacked), 'ridge on ridge', 'ridge on ridge'),
            self::counted($other->count(Nesting::Lopsided) - $now->count(Nesting::Lopsided), 'lopsided crossing', 'lopsided crossings'),
            self::counted($other->count(Nesting::Flat) - $now->count(Nesting::Flat), 'crossing to pin', 'crossings to pin'),
            self::lumps($now, $other),
            self::counted($other->cost->folded - $now->cost->folded, 'seam end folded back', 'seam ends folded back'),
            self::shadow($now, $other),
        ]);

        return $words === [] ? self::ALIKE : implode(', ', array_slice(array_values($words), 0, 3));
    }

    private static function counted(int $change, string $one, string $several): ?string
    {
        return $change === 0 ? null : sprintf('%d %s %s', abs($change), $change > 0 ? 'more' : 'fewer', abs($change) === 1 ? $one : $several);
    }

    private static function lumps(PressingPlan $now, PressingPlan $other): ?string
    {
        $thicker = $thinner = 0;
        $then = $other->peaks();
        foreach ($now->peaks() as $i => $peak) {
            $thicker += $then[$i] > $peak ? 1 : 0;
            $thinner += $then[$i] < $peak ? 1 : 0;
        }

        return match (true) {
            $thicker > 0 && $thinner > 0 => sprintf('%s thicker and %d thinner', Words::counted($thicker, 'place', 'places'), $thinner),
            $thicker > 0 => sprintf('%s thicker', Words::counted($thicker, 'place', 'places')),
            $thinner > 0 => sprintf('%s thinner', Words::counted($thinner, 'place', 'places')),
            default => null,
        };
    }

    private static function shadow(PressingPlan $now, PressingPlan $other): ?string
    {
        $change = ($other->cost->shadowSteps - $now->cost->shadowSteps) / Cost::SHADOW_STEPS;
        $unit = $now->construction->face->block->unit->value;

        return abs($change) < 0.05 ? null : sprintf('about %s %s %s shadow', round(abs($change)) < 1 ? '1/2' : (string) round(abs($change)), $unit, $change > 0 ? 'more' : 'less');
    }
}
