<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Listed;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\OpenedSeams;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\SchoolProposal;

/** What is said at the press station of a plan and of what may be done about it. */
final class PressWords
{
    /** @param non-empty-list<Join> $joins one of each pile */
    public static function open(Construction $construction, array $joins): string
    {
        $names = SeamName::all($construction);
        $seams = array_values(array_unique(array_map(static fn (Join $join): string => $join->tie === null
            ? lcfirst($names[$join->id]->title)
            : sprintf('the seams in the %s', UnitName::ofClass($construction->classes[$join->tie->unitClass], true)), $joins)));

        return count($seams) === 1 ? sprintf('Press open %s', $seams[0]) : sprintf('Press open: %s', implode('; ', $seams));
    }

    public static function furlHere(string $title): string
    {
        return sprintf('Furl here: %s changes sides at this crossing', lcfirst($title));
    }

    public static function twoPiles(Construction $construction, int $class): string
    {
        return sprintf('Press the %s in two piles', UnitName::ofClass($construction->classes[$class], true));
    }

    public static function wings(Construction $construction, int $class): string
    {
        return sprintf('The two wings of the %s are pressed two ways. Pressed alike they would cost:', UnitName::ofClass($construction->classes[$class], true));
    }

    /** @param non-empty-list<Join> $joins */
    public static function tooShort(Construction $construction, array $joins): string
    {
        return sprintf('%s only %s long: hard to hold open at the iron.', count($joins) === 1 ? 'It is' : 'One of them is', self::length($construction, min(array_map(static fn (Join $join): float => $join->seam->length(), $joins))));
    }

    /** @return list<string> what the size of the block has to say about opening seams */
    public static function opened(Construction $construction, OpenedSeams $opened): array
    {
        $words = [];
        if ($opened->short !== []) {
            $shortest = min(array_map(static fn (int $join): float => $construction->joins[$join]->seam->length(), $opened->short));
            $words[] = sprintf('%s shorter than %s, the shortest %s: too short to hold open at the iron.', Words::counted(count($opened->short), 'seam is', 'seams are'), $construction->face->block->unit === LengthUnit::Inch ? '2 in' : '50 mm', self::length($construction, $shortest));
        }
        if ($opened->near !== []) {
            $words[] = sprintf('%s so near to each other that their allowances, opened, would lie on each other.', Words::counted(count($opened->near), 'pair of seams is', 'pairs of seams are'));
        }
        $words[] = sprintf('With every seam open, allowances would cover %d %% of the back.', (int) round(100 * $opened->covered));

        return $words;
    }

    /** Which school, and why, in one sentence. */
    public static function proposal(Construction $construction, SchoolProposal $proposal): string
    {
        $many = Words::counted($proposal->crossings, 'crossing has', 'crossings have');
        $unit = self::length($construction, $proposal->smallestUnit * $construction->face->lattice->steps);

        return match ($proposal->style) {
            PressStyle::Nest => sprintf('Nest suits it: at no crossing do %d patches meet, so ridges lock without a lump.', SchoolProposal::MANY),
            PressStyle::NestFurl => sprintf('Furl suits it: %s %d patches or more, and with units of %s opened allowances would cover %d %% of the back and make ridges of their own.', $many, SchoolProposal::MANY, $unit, (int) round(100 * $proposal->covered)),
            default => sprintf('By the lump suits it: %s %d patches or more, and units of %s leave room to open the seams there.', $many, SchoolProposal::MANY, $unit),
        };
    }

    /** @return list<string> which copies of look-alikes are built which way */
    public static function lookAlikes(Construction $construction): array
    {
        $words = [];
        foreach (ClassKinship::lookAlikes($construction->classes) as $class => $others) {
            foreach ($others as $other) {
                if ($class < $other) {
                    $words[] = sprintf('The %s at %s and at %s look alike and are built two ways: keep them in two piles.', UnitName::ofClass($construction->classes[$class], true), self::places($construction->classes[$class]), self::places($construction->classes[$other]));
                }
            }
        }

        return $words;
    }

    /** The rule that most would press three rows by; null where the plan has it so, or there are not three. */
    public static function usualRows(PressingPlan $plan, Rules $rules): ?Rule
    {
        $ways = array_map(static fn (RowWords $row): string => $row->way, RowWords::of($plan, $rules));

        return $ways === ['in', 'out', 'in'] ? Rule::parse(($rules->bandsAreRows() ? 'rows' : 'columns').': out in out') : null;
    }

    public static function unlikeUsual(PressingPlan $plan, PressingPlan $usual, Rules $rules): string
    {
        $what = $rules->bandsAreRows() ? 'three rows' : 'three columns';
        $words = Comparison::words($plan, $usual);

        return $words === Comparison::ALIKE
            ? sprintf('Most press %s out, in, out; here that is as good.', $what)
            : sprintf('Most press %s out, in, out. Here in, out, in is better; the other way round there would be %s.', $what, $words);
    }

    private static function places(UnitClass $class): string
    {
        return Listed::of(array_map(static fn (PlacedUnit $unit): string => Words::place($unit), $class->members));
    }

    /** @param float $steps of the lattice */
    private static function length(Construction $construction, float $steps): string
    {
        $lattice = $construction->face->lattice;
        $grain = $construction->face->block->unit === LengthUnit::Inch ? Grain::Eighth : Grain::HalfMillimetre;

        $text = $grain->print(Length::of(Fraction::of((int) round($steps * 1000), 1000 * $lattice->steps), $lattice->unit));

        return str_replace(Grain::ROUNDED, 'about ', $text).($construction->face->block->unit === LengthUnit::Inch ? ' in' : '');
    }
}
