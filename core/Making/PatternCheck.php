<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Making\Internal\PatternSearch;
use KeenSeam\Core\Making\Internal\Requirement;
use KeenSeam\Core\Measure\Fraction;

/**
 * Compares a pattern's own cutting list with what the block needs, before anything is cut: first the way and the margin
 * that explain each line are found, then only what none explains is told. Larger is no mistake.
 *
 * A line is "fabric, size, count", like "Harbour ink, 2 7/8, 6, cut once" or "B, 2 1/2 x 4 1/2, 4"; for finished units
 * "unit, U2, 4" or "unit, U2 mirrored, 4". Empty lines are passed over.
 */
final readonly class PatternCheck
{
    private const MOST_LINES = 500;

    /**
     * @param list<array{line: int, way: string, margin: Margin}>                                                                  $explained
     * @param list<array{what: string, fabric: string|null, size: array{Fraction, Fraction}|null, class: string|null, count: int}> $short
     * @param list<array{line: int, reason: string}>                                                                               $unknown
     */
    private function __construct(
        public array $explained,
        public array $short,
        public array $unknown,
        public int $lines,
    ) {}

    /** @throws PatternNotReadable with the number of the line */
    public static function of(CuttingPlan $plan, string $text): self
    {
        $lines = self::lines($plan, $text);
        $cuts = array_values(array_filter($lines, static fn (PatternLine $line): bool => ! $line->isOfUnits()));
        $search = new PatternSearch($cuts === [] ? [] : self::groups($plan), $cuts, static fn (PatternLine $line): ?string => self::fabric($plan, $line->name)?->key);
        $explained = [];
        foreach ($search->served() as [$need, $i, , $way]) {
            $margin = Requirement::isExact((int) $need->fit($cuts[$i])) ? Margin::Exact : Margin::Larger;
            $explained[$cuts[$i]->number] ??= ['line' => $cuts[$i]->number, 'way' => $way, 'margin' => $margin];
        }
        $short = array_map(static fn (array $one): array => self::lacking($plan, ...$one), $search->short());
        [$told, $lackingUnits, $unknownUnits] = self::units($plan, array_values(array_filter($lines, static fn (PatternLine $line): bool => $line->isOfUnits())));
        $explained += $told;
        ksort($explained);
        $unknown = [...self::unknown($plan, $cuts, $explained, $search->short()), ...$unknownUnits];
        usort($unknown, static fn (array $a, array $b): int => $a['line'] <=> $b['line']);

        return new self(array_values($explained), [...$short, ...$lackingUnits], $unknown, count($lines));
    }

    /**
     * @return non-empty-list<PatternLine>
     *
     * @throws PatternNotReadable
     */
    private static function lines(CuttingPlan $plan, string $text): array
    {
        if (! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
            throw PatternNotReadable::noText();
        }
        $texts = preg_split('~\R~u', $text) ?: [];
        $isSaid = static fn (string $line): bool => trim($line, " \t;,") !== '';
        if (count(array_filter($texts, $isSaid)) > self::MOST_LINES) {
            throw PatternNotReadable::tooLong(self::MOST_LINES);
        }
        $lines = [];
        foreach ($texts as $i => $line) {
            $isHeading = $lines === [] && preg_match('~\d~', $line) !== 1 && count(array_filter(array_slice($texts, $i + 1), $isSaid)) > 0;
            if ($isSaid($line) && ! $isHeading) {
                $lines[] = PatternLine::read($i + 1, $line, $plan->construction->face->block->unit);
            }
        }

        return $lines === [] ? throw PatternNotReadable::nothing() : $lines;
    }

    /** @return list<list<array{way: string, needs: list<Requirement>}>> for every unit what each of its ways needs; then the plain patches */
    private static function groups(CuttingPlan $plan): array
    {
        $groups = [];
        foreach ($plan->units as $made) {
            $options = [];
            // Where nothing on the list tells, it is the way she has chosen.
            foreach ([$made->way, ...array_filter($made->ways, static fn (Way $way): bool => $way !== $made->way)] as $way) {
                foreach ($way->givesLookAlikes() ? BuildChoice::cases() : [BuildChoice::Alike] as $build) {
                    $parts = $way->partsFor($made->unit->need, $made->unit->mirrored, $build);
                    if ($parts !== null) {
                        $options[] = ['way' => $way->key, 'needs' => self::needs($plan, $made->unit, $way, $parts)];
                    }
                }
            }
            $groups[] = $options;
        }
        $groups[] = [['way' => 'plain', 'needs' => array_map(static fn (array $plain): Requirement => self::need($plan, $plain[0], $plain[1], 'plain'), $plan->plain)]];

        return $groups;
    }

    /** @return list<Requirement> */
    private static function needs(CuttingPlan $plan, UnitToMake $unit, Way $way, int $parts): array
    {
        $pieces = array_map(static fn (Piece $piece): array => [$piece, $piece->piecesFor($way->batchesFor($parts), $parts, $way->parts)], $way->pieces);
        // What is a patch by itself is cut with the grid it lies in, unless strips take its place.
        $plain = $way->key === Recipes\FromUnits::KEY ? ($plan->plainIn[$unit->label] ?? []) : [];
        $alike = [];
        foreach ([...$pieces, ...$plain] as [$piece, $count]) {
            $key = $piece->stackKey($plan->bench->marks);
            $alike[$key] ??= [$piece, 0];
            $alike[$key][1] += $count;
        }

        return array_values(array_map(static fn (array $one): Requirement => self::need($plan, $one[0], $one[1], $unit->label), $alike));
    }

    private static function need(CuttingPlan $plan, Piece $piece, int $count, string $for): Requirement
    {
        return new Requirement($piece, $count, $for, $plan->bench->marks, $plan->construction->face->block->unit);
    }

    /** @return array{what: string, fabric: string|null, size: array{Fraction, Fraction}|null, class: string|null, count: int} */
    private static function lacking(CuttingPlan $plan, Requirement $need, int $count): array
    {
        $block = $plan->construction->face->block;

        return [
            'what' => sprintf('%s %s%s, for %s', $block->fabrics[$need->piece->fabric]->name, SizeText::of(...$need->size()), $need->piece->then === Then::None ? '' : ', '.$need->piece->then->value, $need->for === 'plain' ? 'plain patches' : $need->for),
            'fabric' => $need->piece->fabric,
            'size' => $need->size(),
            'class' => null,
            'count' => $need->piece->then->wholes($count),
        ];
    }

    /**
     * @param list<PatternLine>             $lines
     * @param array<int, mixed>             $explained by line
     * @param list<array{Requirement, int}> $short
     *
     * @return list<array{line: int, reason: string}>
     */
    private static function unknown(CuttingPlan $plan, array $lines, array $explained, array $short): array
    {
        $unknown = [];
        foreach ($lines as $i => $line) {
            if (isset($explained[$line->number])) {
                continue;
            }
            $fabric = self::fabric($plan, $line->name);
            $same = array_values(array_filter(array_slice($lines, 0, $i), static fn (PatternLine $other): bool => $other->key() === $line->key()));
            $small = $fabric === null ? [] : array_values(array_filter($short, static fn (array $one): bool => $one[0]->piece->fabric === $fabric->key && $one[0]->isTooLargeFor($line)));
            $isNeeded = $fabric !== null && array_filter($plan->cuts, static fn (Cut $cut): bool => $cut->fabric === $fabric->key) !== [];
            $unknown[] = ['line' => $line->number, 'reason' => match (true) {
                $same !== [] => sprintf('It stands there twice: line %d says the same.', $same[0]->number),
                $fabric === null => sprintf('This block has no fabric "%s".', mb_substr($line->name, 0, 40)),
                ! $isNeeded => sprintf('This block needs nothing of %s.', $fabric->name),
                $small !== [] => sprintf('Too small: %s is needed.', SizeText::of(...$small[0][0]->size())),
                default => 'No way to make this block needs it.',
            }];
        }

        return $unknown;
    }

    /**
     * @param list<PatternLine> $lines
     *
     * @return array{array<int, array{line: int, way: string, margin: Margin}>, list<array{what: string, fabric: string|null, size: array{Fraction, Fraction}|null, class: string|null, count: int}>, list<array{line: int, reason: string}>}
     */
    private static function units(CuttingPlan $plan, array $lines): array
    {
        [$explained, $given, $unknown, $seen] = [[], [], [], []];
        $labels = array_map(static fn (MadeUnit $made): string => $made->unit->label, $plan->units);
        foreach ($lines as $line) {
            $isMirrored = preg_match('~\s+mirrored$~i', $line->name) === 1;
            $label = strtoupper(trim((string) preg_replace('~\s+mirrored$~i', '', $line->name)));
            if (! in_array($label, $labels, true)) {
                $unknown[] = ['line' => $line->number, 'reason' => sprintf('This block has no unit "%s".', mb_substr($line->name, 0, 40))];
            } elseif (isset($seen[$line->key()])) {
                $unknown[] = ['line' => $line->number, 'reason' => sprintf('It stands there twice: line %d says the same.', $seen[$line->key()])];
            } else {
                $seen[$line->key()] = $line->number;
                $given[$label][$isMirrored ? 1 : 0] = ($given[$label][$isMirrored ? 1 : 0] ?? 0) + $line->count;
                $explained[$line->number] = ['line' => $line->number, 'way' => 'unit', 'margin' => Margin::Exact];
            }
        }
        $short = [];
        foreach ($lines === [] ? [] : $plan->units as $made) {
            foreach ([$made->unit->need, $made->unit->mirrored] as $hand => $need) {
                $lack = $need - ($given[$made->unit->label][$hand] ?? 0);
                if ($lack > 0) {
                    $short[] = ['what' => sprintf('%s%s, %s', $made->unit->label, $hand === 1 ? ' mirrored' : '', $lack === 1 ? $made->unit->name : $made->unit->plural), 'fabric' => null, 'size' => null, 'class' => $made->unit->label, 'count' => $lack];
                }
            }
        }

        return [$explained, $short, $unknown];
    }

    private static function fabric(CuttingPlan $plan, string $named): ?Fabric
    {
        $fabrics = $plan->construction->face->block->fabrics;
        foreach ([static fn (Fabric $fabric): bool => $fabric->key === $named, static fn (Fabric $fabric): bool => mb_strtolower($fabric->key) === mb_strtolower($named), static fn (Fabric $fabric): bool => mb_strtolower($fabric->name) === mb_strtolower($named)] as $is) {
            foreach ($fabrics as $fabric) {
                if ($is($fabric)) {
                    return $fabric;
                }
            }
        }

        return null;
    }
}
