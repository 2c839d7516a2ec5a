<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\TurnedUnit;

/** The order of work of a plan: units as piles, then rows, then rows to each other; each is pressed before a seam crosses it. */
final class PlanSteps
{
    private readonly Construction $construction;

    private function __construct(private readonly PressingPlan $plan)
    {
        $this->construction = $plan->construction;
    }

    /** @return list<Step> */
    public static function of(PressingPlan $plan): array
    {
        $steps = new self($plan);
        $units = array_map($steps->unitSteps(...), $plan->construction->classes);
        $strands = array_map($steps->strandSteps(...), $plan->construction->strands);

        return [...array_merge(...$units), ...$steps->turnSteps(), ...array_merge(...$strands)];
    }

    /** @return list<Step> */
    private function unitSteps(UnitClass $class): array
    {
        $joins = array_filter($this->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === $class->index);
        $rounds = [];
        foreach ($joins as $join) {
            $rounds[$this->roundWithinUnit($join)][] = $join;
        }
        ksort($rounds);
        $unit = $class->members[0]->cell->unit;
        $count = count($class->members);
        $title = ucfirst($count === 1 ? $unit->name() : $unit->plural());
        $steps = [];
        foreach (array_values($rounds) as $i => $round) {
            $patches = $this->patchesOf($round);
            $ids = array_map(static fn (Join $join): int => $join->id, $round);
            $secondPile = $this->secondPileWords($class, $round);
            $round = $this->ofFirstMember($round);
            $sewn = Words::tallied(array_map($this->sewnWords(...), $round));
            $times = $count === 1 ? 'once' : sprintf('%d times, as a chain', $count);
            $named = Words::counted($count, $unit->name(), $unit->plural());
            $made = array_map(static fn (Join $join): int => $join->id, $round);
            $steps[] = new Step(
                StepKind::Join,
                $ids,
                $patches,
                $made,
                $title,
                $i === 0 ? sprintf('Start %s: sew %s, %s.', $named, $sewn, $times) : sprintf('Go on with the %s: sew %s, %s.', $named, $sewn, $times),
            );
            $steps[] = new Step(StepKind::Press, $ids, $patches, $made, $title, sprintf('Press %s.', Words::tallied(array_map($this->unitPressWords(...), $round))).$secondPile);
        }

        return $steps;
    }

    /** How many joins of the same unit lie below this one, one inside the other. */
    private function roundWithinUnit(Join $join): int
    {
        $below = array_filter(
            $join->children(),
            static fn ($child): bool => $child instanceof Join
                && $child->tie?->unitClass === $join->tie?->unitClass && $child->tie?->member === $join->tie?->member,
        );

        return array_reduce($below, fn (int $round, Join $child): int => max($round, $this->roundWithinUnit($child) + 1), 0);
    }

    /**
     * @param list<Join> $joins
     *
     * @return list<Join>
     */
    private function ofFirstMember(array $joins): array
    {
        return array_values(array_filter($joins, static fn (Join $join): bool => $join->tie?->member === 0));
    }

    private function sewnWords(Join $join): string
    {
        return sprintf('%s to %s', Words::fabricsAlong($join->seam, $join->right), Words::fabricsAlong($join->seam, $join->left));
    }

    private function unitPressWords(Join $join): string
    {
        $left = Words::fabricsAlong($join->seam, $join->left);
        $right = Words::fabricsAlong($join->seam, $join->right);
        if ($left === $right) {
            [$left, $right] = ['the part sewn first', 'the part sewn to it'];
        }

        return $this->pressedWords($join, $left, $right);
    }

    /** "toward row 1", "open", "toward row 1 at first, furled at crossings 1 and 3". */
    private function pressedWords(Join $join, string $left, string $right): string
    {
        $directions = $this->plan->pressing->of($join);
        $furls = [];
        foreach (array_slice($directions, 1) as $i => $direction) {
            if ($direction !== $directions[$i]) {
                $furls[] = $i + 1;
            }
        }
        $first = match ($directions[0]) {
            PressDirection::Left => 'toward '.$left,
            PressDirection::Right => 'toward '.$right,
            PressDirection::Open => 'open',
        };

        return $furls === [] ? $first : sprintf('%s at first, furled at %s %s', $first, count($furls) === 1 ? 'crossing' : 'crossings', Words::listed($furls));
    }

    /**
     * Where a class is pressed in two piles: which units lie on the second, and how that one is pressed.
     *
     * @param list<Join> $round
     */
    private function secondPileWords(UnitClass $class, array $round): string
    {
        $members = [];
        foreach ($this->plan->turnedUnits as $unit) {
            if ($unit->unitClass === $class->index && $unit->pile > 0) {
                $members[] = $unit->member;
            }
        }
        if ($members === []) {
            return '';
        }
        $joins = array_values(array_filter($round, static fn (Join $join): bool => $join->tie?->member === $members[0]));
        $places = array_map(static fn (int $member): string => sprintf('row %d column %d', $class->members[$member]->cell->row, $class->members[$member]->cell->column), $members);

        return sprintf(' Lay those for %s on a second pile and press it %s.', Words::listed($places), Words::tallied(array_map($this->unitPressWords(...), $joins)));
    }

    /** @return list<Step> */
    private function turnSteps(): array
    {
        $turned = array_values(array_filter($this->plan->turnedUnits, static fn (TurnedUnit $unit): bool => $unit->turn !== null));
        if ($turned === []) {
            return [];
        }
        $units = array_map(fn (TurnedUnit $unit) => $this->construction->classes[$unit->unitClass]->members[$unit->member], $turned);
        $words = array_map(static fn ($unit, TurnedUnit $turned): string => sprintf(
            'the one at row %d, column %d by %d degrees',
            $unit->cell->row,
            $unit->cell->column,
            $turned->turn->value ?? 0,
        ), $units, $turned);
        $patches = array_merge(...array_map(static fn ($unit): array => array_map(static fn ($patch): int => $patch->id, $unit->patches()), $units));

        return [new Step(StepKind::LayOut, [], $patches, [], 'Lay out', sprintf(
            'Lay the units out and turn %s, clockwise: they look the same, and their seams then nest.',
            Words::listed($words),
        ))];
    }

    /** @return list<Step> */
    private function strandSteps(Strand $strand): array
    {
        $joins = array_map(fn (int $id): Join => $this->construction->joins[$id], $strand->joins);
        $patches = $this->patchesOf($joins);
        $ids = $strand->joins;
        if ($strand->depth > 0) {
            $title = ucfirst($this->construction->order->stripName($strand->depth)).' '.$strand->number;

            return [
                new Step(StepKind::Join, $ids, $patches, [max($ids)], $title, sprintf('Sew %s: %s, one after the other.', lcfirst($title), Words::counted(count($strand->parts), 'unit', 'units'))),
                new Step(StepKind::Press, $ids, $patches, [max($ids)], $title, $this->pressWords($joins, 'its first unit', 'its last unit')),
            ];
        }
        $steps = [];
        foreach ($joins as $i => $join) {
            $name = $this->construction->order->stripName(1);
            $sewn = $name.($i > 0 ? 's ' : ' ').Words::span(1, $i + 1);
            $next = $name.' '.($i + 2);
            $title = ucfirst($name).'s '.Words::span(1, $i + 2);
            $steps[] = new Step(StepKind::Join, [$join->id], $join->patchIds(), [$join->id], $title, sprintf(
                'Sew %s to %s%s.',
                $next,
                $sewn,
                count($join->matchPoints()) === 0 ? '' : sprintf(', matching %s', Words::counted(count($join->matchPoints()), 'crossing', 'crossings')),
            ));
            $steps[] = new Step(StepKind::Press, [$join->id], $join->patchIds(), [$join->id], $title, $this->pressWords([$join], $sewn, $next));
        }

        return $steps;
    }

    /** @param list<Join> $joins */
    private function pressWords(array $joins, string $left, string $right): string
    {
        $numbers = [];
        foreach ($joins as $i => $join) {
            $numbers[$this->pressedWords($join, $left, $right)][] = $i + 1;
        }
        if (count($numbers) === 1) {
            return sprintf('Press %s %s.', count($joins) === 1 ? 'the seam' : 'all seams', array_key_first($numbers));
        }
        $groups = [];
        foreach ($numbers as $words => $seams) {
            $groups[] = sprintf('%s %s %s', count($seams) === 1 ? 'seam' : 'seams', Words::listed($seams), $words);
        }

        return sprintf('Press %s.', Words::listed($groups));
    }

    /**
     * @param list<Join> $joins
     *
     * @return list<int>
     */
    private function patchesOf(array $joins): array
    {
        $ids = array_values(array_unique(array_merge(...array_map(static fn (Join $join): array => $join->patchIds(), $joins))));
        sort($ids);

        return $ids;
    }
}
