<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * Compares a pattern's own cutting list with what the block needs, before anything is cut.
 *
 * A line is "fabric, size, count", like "Harbour ink, 2 7/8, 6" or "B, 2 1/2 x 4 1/2, 4"; for finished units
 * "unit, U2, 4" or "unit, U2 mirrored, 4". Lines that say nothing are passed over.
 */
final readonly class PatternCheck
{
    /** A size that is off by less is taken for the same piece, cut wrong. */
    private const NEAR = [1, 1];

    private const MOST_LINES = 500;

    /** @param list<string> $findings one sentence each; none when the lists agree */
    private function __construct(
        public array $findings,
        public int $lines,
    ) {}

    /** @throws PatternNotReadable with the number of the line */
    public static function of(CuttingPlan $plan, string $text): self
    {
        $lines = array_values(array_filter(preg_split('~\R~u', $text) ?: [], static fn (string $line): bool => trim($line, " \t;,") !== ''));
        if (count($lines) > self::MOST_LINES) {
            throw PatternNotReadable::tooLong(self::MOST_LINES);
        }
        if ($lines === []) {
            throw PatternNotReadable::nothing();
        }
        $cuts = $units = $findings = $seen = [];
        foreach ($lines as $number => $line) {
            $fields = array_map(static fn (?string $field): string => trim((string) $field), str_getcsv($line, str_contains($line, ';') ? ';' : ','));
            if ($number === 0 && count($lines) > 1 && ! preg_match('~\d~', $line)) {
                continue; // a heading
            }
            if (count($fields) < 3 || preg_match('~^\d{1,5}$~D', $fields[2]) !== 1) {
                throw PatternNotReadable::line($number + 1, $line);
            }
            if (isset($seen[strtolower($line)])) {
                $findings[] = sprintf('Line %d, "%s", stands there twice.', $number + 1, trim($line));
            }
            $seen[strtolower($line)] = true;
            if (strtolower($fields[0]) === 'unit') {
                $units[strtolower($fields[1])] = ($units[strtolower($fields[1])] ?? 0) + (int) $fields[2];
            } else {
                $fabric = self::fabric($plan, $fields[0]) ?? throw PatternNotReadable::fabric($number + 1, $fields[0]);
                [$width, $height] = self::size($fields[1], $plan->construction->face->block->unit, $number + 1);
                $cuts[] = ['fabric' => $fabric, 'width' => $width, 'height' => $height, 'count' => (int) $fields[2]];
            }
        }

        return new self([...$findings, ...self::compared($plan, $cuts), ...self::comparedUnits($plan, $units)], count($lines));
    }

    /**
     * @param list<array{fabric: Fabric, width: Fraction, height: Fraction, count: int}> $given
     *
     * @return list<string>
     */
    private static function compared(CuttingPlan $plan, array $given): array
    {
        if ($given === []) {
            return [];
        }
        $findings = [];
        $left = self::summed($given);
        $missing = [];
        foreach ($plan->cuts as $cut) {
            $key = self::key($cut->fabric, $cut->width, $cut->height);
            $name = $plan->construction->face->block->fabrics[$cut->fabric]->name;
            $size = self::sizeText($cut->width, $cut->height);
            if (! isset($left[$key])) {
                $missing[] = $cut;
                continue;
            }
            $short = $cut->count - $left[$key]['count'];
            if ($short !== 0) {
                $findings[] = sprintf('%s %s: %d needed, the pattern says %d, %d %s.', $name, $size, $cut->count, $left[$key]['count'], abs($short), $short > 0 ? 'short' : 'over');
            }
            unset($left[$key]);
        }
        $near = Length::ofInches(...self::NEAR)->in($plan->construction->face->block->unit);
        foreach ($missing as $cut) {
            $name = $plan->construction->face->block->fabrics[$cut->fabric]->name;
            foreach ($left as $key => $one) {
                $off = $one['width']->minus($cut->width)->absolute();
                if ($one['fabric']->key === $cut->fabric && $off->compareTo($near) < 0 && $one['height']->minus($cut->height)->absolute()->compareTo($near) < 0) {
                    $findings[] = sprintf('%s: the pattern cuts %s where %s is needed%s.', $name, self::sizeText($one['width'], $one['height']), self::sizeText($cut->width, $cut->height), $one['count'] === $cut->count ? '' : sprintf(', and %d instead of %d', $one['count'], $cut->count));
                    unset($left[$key]);
                    continue 2;
                }
            }
            $findings[] = sprintf('%s %s: %d needed, the pattern has none.', $name, self::sizeText($cut->width, $cut->height), $cut->count);
        }
        foreach ($left as $one) {
            $findings[] = sprintf('%s %s: the pattern cuts %d, this block needs none.', $one['fabric']->name, self::sizeText($one['width'], $one['height']), $one['count']);
        }

        return $findings;
    }

    /**
     * @param array<string, int> $given counts by "u2" and "u2 mirrored"
     *
     * @return list<string>
     */
    private static function comparedUnits(CuttingPlan $plan, array $given): array
    {
        if ($given === []) {
            return [];
        }
        $findings = [];
        foreach ($plan->units as $made) {
            $label = $made->unit->label;
            $plural = $made->unit->unit->plural();
            [$own, $mirrored] = [$given[strtolower($label)] ?? 0, $given[strtolower($label).' mirrored'] ?? 0];
            unset($given[strtolower($label)], $given[strtolower($label).' mirrored']);
            if ($made->unit->mirrored > 0 && $mirrored === 0 && $own >= $made->unit->need + $made->unit->mirrored) {
                $findings[] = sprintf('%s: the pattern has all %d %s of one hand; %d of them must be mirrored.', $label, $own, $plural, $made->unit->mirrored);
            } elseif ($made->unit->mirrored > 0 && $mirrored === 0) {
                $findings[] = sprintf('%s: the pattern lacks the mirror twin, %d %s.', $label, $made->unit->mirrored, $plural);
            } elseif ($mirrored !== $made->unit->mirrored) {
                $findings[] = sprintf('%s mirrored: %d %s needed, the pattern says %d.', $label, $made->unit->mirrored, $plural, $mirrored);
            } elseif ($own !== $made->unit->need) {
                $findings[] = sprintf('%s: %d %s needed, the pattern says %d.', $label, $made->unit->need, $plural, $own);
            }
        }
        foreach (array_keys($given) as $unknown) {
            $findings[] = sprintf('The pattern counts units "%s"; this block has none of that name.', $unknown);
        }

        return $findings;
    }

    /**
     * @param list<array{fabric: Fabric, width: Fraction, height: Fraction, count: int}> $given
     *
     * @return array<string, array{fabric: Fabric, width: Fraction, height: Fraction, count: int}>
     */
    private static function summed(array $given): array
    {
        $summed = [];
        foreach ($given as $one) {
            $key = self::key($one['fabric']->key, $one['width'], $one['height']);
            $summed[$key] ??= ['count' => 0] + $one;
            $summed[$key]['count'] += $one['count'];
        }

        return $summed;
    }

    private static function key(string $fabric, Fraction $width, Fraction $height): string
    {
        $sides = [$width, $height];
        usort($sides, static fn (Fraction $a, Fraction $b): int => $a->compareTo($b));

        return $fabric.' '.$sides[0]->toText().' '.$sides[1]->toText();
    }

    private static function fabric(CuttingPlan $plan, string $named): ?Fabric
    {
        foreach ($plan->construction->face->block->fabrics as $fabric) {
            if (strcasecmp($fabric->key, $named) === 0 || strcasecmp($fabric->name, $named) === 0) {
                return $fabric;
            }
        }

        return null;
    }

    /** @return array{Fraction, Fraction} */
    private static function size(string $text, LengthUnit $unit, int $line): array
    {
        $sides = preg_split('~\s*(?:x|×|by)\s*~iu', trim($text)) ?: [];
        try {
            $lengths = array_map(static fn (string $side): Fraction => Length::parse($side, $unit)->in($unit), $sides);
        } catch (LengthNotReadable $problem) {
            throw PatternNotReadable::size($line, $text);
        }

        return count($lengths) <= 2 && $lengths !== [] ? [$lengths[0], $lengths[1] ?? $lengths[0]] : throw PatternNotReadable::size($line, $text);
    }

    private static function sizeText(Fraction $width, Fraction $height): string
    {
        return $width->equals($height) ? $width->toText() : $width->toText().' x '.$height->toText();
    }
}
