<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\KnownUnit;
use KeenSeam\Core\Making\StageKind;

/**
 * Units under the ruler: the first of a pile measured, known units within drawn ones and whole units squared up.
 *
 * @internal
 */
final readonly class SquaringUp
{
    /** @param CuttingPlan|null $cutting null where nothing is known of how units are made */
    public function __construct(
        private Construction $construction,
        private ?CuttingPlan $cutting,
        private int $blocks,
        private UnitNames $names,
        private Ears $ears,
    ) {}

    /**
     * Known units within drawn ones, once they are pressed.
     *
     * @param list<Join> $joins
     *
     * @return list<Step> one for each kind and size
     */
    public function within(Pile $pile, array $joins): array
    {
        $inner = [];
        foreach ($joins as $join) {
            $unit = $this->construction->classes[$join->tie->unitClass ?? 0]->members[0];
            $known = $unit->cell->unit instanceof PatchesUnit && count($join->patchIds()) < count($unit->patches()) ? KnownUnit::of($join) : null;
            if ($known !== null && ! $this->isWithinKnown($join)) {
                $size = array_map(fn (int $steps): string => $this->names->raw($steps), [$known->width, $known->height]);
                $inner[$known->name().' '.implode(' x ', $size)][] = [$join, $known, $size];
            }
        }
        $steps = [];
        foreach ($inner as $alike) {
            [, $known, $size] = $alike[0];
            $count = count($alike) * $this->blocks;
            $sets = array_map(static fn (array $one): array => $one[0]->patchIds(), $alike);
            $steps[] = new Step(StepKind::SquareUp, [], array_merge(...$sets), [], ucfirst($count === 1 ? $known->name() : $known->plural()), sprintf('Square up %s to %s x %s %s before the next seam.', Words::counted($count, $known->name(), $known->plural()), $size[0], $size[1], $this->construction->face->block->unit->value), $count, $pile->classes[0]->label(), $sets, [$size[0], $size[1]], $pile->way?->key, StageKind::Trim);
        }

        return $steps;
    }

    /** Whether the known unit is itself a part of a larger one, which is squared up instead. */
    private function isWithinKnown(Join $join): bool
    {
        foreach ($this->construction->joins as $larger) {
            if ($larger->tie !== null && $larger->tie->unitClass === $join->tie?->unitClass && $larger->tie->member === $join->tie->member && in_array($join, $larger->children(), true)) {
                return KnownUnit::of($larger) !== null;
            }
        }

        return false;
    }

    /** The first of a pile, before the others are sewn. */
    public function trialMeasured(Pile $pile): Step
    {
        $class = $pile->classes[0];
        $sets = array_map(PatchIds::ofUnit(...), array_slice($class->members, 0, $pile->first[$class->index]));
        $size = $this->names->rawSize($class->members[0]);

        return new Step(
            StepKind::Measure,
            [],
            array_merge(...$sets),
            [],
            ucfirst($this->names->of($class, false)),
            sprintf('Measure the first %s before you sew the others: at least %s x %s %s.', $this->names->of($class, false), $size[0], $size[1], $this->construction->face->block->unit->value),
            1,
            $class->label(),
            $sets,
            $size,
            $pile->way?->key,
            StageKind::Trim,
            1,
        );
    }

    /** What comes out of the batches and has no place in the block. */
    private function spareWords(UnitClass $class): string
    {
        $made = $this->cutting?->unit($class->label());
        [$wrong, $spare, $half] = $made === null ? [0, 0, 0] : [$made->wrongHand(), $made->spare() - $made->wrongHand(), $made->halfMade()];

        return ($spare > 0 ? sprintf(' %d more %s spare: square %s up to the same size and keep %s for another day.', $spare, $spare === 1 ? 'is' : 'are', $spare === 1 ? 'it' : 'them', $spare === 1 ? 'it' : 'them') : '')
            .($wrong > 0 ? sprintf(' Lay aside the %d that came out the other way round: no place here takes %s.', $wrong, $wrong === 1 ? 'it' : 'them') : '')
            .($half > 0 ? sprintf(' %s half made: keep %s too.', $half === 1 ? '1 pair stays' : $half.' pairs stay', $half === 1 ? 'it' : 'them') : '');
    }

    /** All units of a class, and what comes out of the batches besides. */
    public function of(UnitClass $class, Pile $pile): Step
    {
        $sets = array_map(PatchIds::ofUnit(...), $class->members);
        $size = $this->names->rawSize($class->members[0]);
        [$one, $several] = [$this->names->of($class, false), $this->names->of($class, true)];
        $count = count($class->members) * $this->blocks;

        return new Step(
            StepKind::SquareUp,
            [],
            array_merge(...$sets),
            [],
            ucfirst($count === 1 ? $one : $several),
            sprintf('Square up %s to %s x %s %s%s.', Words::counted($count, $one, $several), $size[0], $size[1], $this->construction->face->block->unit->value, $this->ears->areOn($class) ? ' and take the dog ears off' : '').$this->spareWords($class),
            $count,
            $class->label(),
            $sets,
            $size,
            $pile->way?->key,
            StageKind::Trim,
        );
    }
}
