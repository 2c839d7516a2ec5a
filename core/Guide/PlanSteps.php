<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Guide\Internal\PatchIds;
use KeenSeam\Core\Guide\Internal\UnitRounds;
use KeenSeam\Core\Pressing\PressingPlan;

/** The order of work of a plan: units as piles, then rows, then rows to each other; each is pressed before a seam crosses it. */
final class PlanSteps
{
    private readonly Construction $construction;

    private readonly SeamWords $words;

    private readonly PartNames $names;

    private function __construct(private readonly PressingPlan $plan)
    {
        $this->construction = $plan->construction;
        $this->words = new SeamWords($plan);
        $this->names = new PartNames($plan->construction);
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
        $rounds = UnitRounds::of($this->construction, $class);
        $unit = $class->members[0]->cell->unit;
        $count = count($class->members);
        $title = ucfirst($count === 1 ? $unit->name() : $unit->plural());
        $steps = [];
        foreach ($rounds as $i => $round) {
            $patches = PatchIds::ofJoins($round);
            $ids = array_map(static fn (Join $join): int => $join->id, $round);
            $secondPile = $this->words->secondPileWords($class, $round);
            $round = $this->ofFirstMember($round);
            $sewn = Words::tallied(array_map($this->words->sewnWords(...), $round));
            $times = $count === 1 ? 'once' : sprintf('%d times, as a chain', $count);
            $named = Words::counted($count, $unit->name(), $unit->plural());
            $made = array_map(static fn (Join $join): int => $join->id, $round);
            $steps[] = new Step(
                StepKind::Join,
                $ids,
                $patches,
                $made,
                $title,
                $i === 0 ? sprintf('Start %s: sew %s, %s.', $named, $sewn, $times) : sprintf('Go on with the %s: sew %s, %s.', $count === 1 ? $unit->name() : $named, $sewn, $times),
            );
            $steps[] = new Step(StepKind::Press, $ids, $patches, $made, $title, sprintf('Press %s.', Words::tallied(array_map($this->words->unitPressWords(...), $round))).$secondPile);
        }

        return $steps;
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

    /** @return list<Step> */
    private function turnSteps(): array
    {
        $words = $this->words->turnWords();
        if ($words === '') {
            return [];
        }
        $patches = [];
        foreach ($this->plan->turnedUnits as $turned) {
            if ($turned->turn !== null) {
                $patches = [...$patches, ...array_map(static fn (Patch $patch): int => $patch->id, $this->construction->classes[$turned->unitClass]->members[$turned->member]->patches())];
            }
        }

        return [new Step(StepKind::LayOut, [], $patches, [], 'Lay out', 'Lay the '.$this->names->piece().'s out. '.$words)];
    }

    /** @return list<Step> */
    private function strandSteps(Strand $strand): array
    {
        $joins = array_map(fn (int $id): Join => $this->construction->joins[$id], $strand->joins);
        $patches = PatchIds::ofJoins($joins);
        $ids = $strand->joins;
        if ($strand->depth > 0) {
            $name = $this->names->ofStrand($strand);
            $title = PartNames::title($name);
            $piece = $this->names->partsOf($strand);

            return [
                new Step(StepKind::Join, $ids, $patches, [max($ids)], $title, sprintf('Sew %s: %s, one after the other.', $name, Words::counted(count($strand->parts), $piece, $piece.'s'))),
                new Step(StepKind::Press, $ids, $patches, [max($ids)], $title, $this->words->pressWords($joins, ...$this->names->endsOf($strand))),
            ];
        }
        $steps = [];
        foreach ($joins as $i => $join) {
            [$sewn, $next, $title] = $this->names->growing($strand, $i);
            $steps[] = new Step(StepKind::Join, [$join->id], $join->patchIds(), [$join->id], $title, sprintf(
                'Sew %s to %s%s.',
                $next,
                $sewn,
                count($join->matchPoints()) === 0 ? '' : sprintf(', matching %s', Words::counted(count($join->matchPoints()), 'crossing', 'crossings')),
            ));
            $steps[] = new Step(StepKind::Press, [$join->id], $join->patchIds(), [$join->id], $title, $this->words->pressWords([$join], $sewn, $next));
        }

        return $steps;
    }
}
