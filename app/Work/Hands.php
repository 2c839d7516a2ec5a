<?php

declare(strict_types=1);

namespace App\Work;

use App\Exceptions\ChoiceNotKnown;
use App\Wall\EditFields;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Guide\HandMend;
use KeenSeam\Core\Guide\MendedHands;
use KeenSeam\Core\Guide\UnpickCause;
use KeenSeam\Core\Guide\WrongHand;
use KeenSeam\Core\KeenSeamProblem;

/** Piles of units that came out as the other hand: which there are, and how they are mended. */
final readonly class Hands
{
    public function __construct(private Work $work) {}

    /** @return list<array{label: string, name: string, loose: int}> kinds of units that are sewn and still lie loose */
    public function piles(): array
    {
        $piles = [];
        foreach ($this->work->working->construction()->classes as $class) {
            $loose = $this->loose($class);
            if ($loose > 0) {
                $piles[] = ['label' => $class->label(), 'name' => UnitName::ofClass($class, true), 'loose' => $loose];
            }
        }

        return $piles;
    }

    /**
     * @return non-empty-list<WrongHand>
     *
     * @throws KeenSeamProblem
     */
    public function mends(string $label, int $count): array
    {
        $class = $this->unitClass($label);
        $loose = $this->loose($class);
        if ($count < 1 || $count > $loose) {
            throw WorkNotPossible::soManyUnits($loose, UnitName::ofClass($class, $loose !== 1));
        }
        $twin = $this->twin($class);

        return WrongHand::mends($this->work->working->construction(), $class, $count, $twin === null ? 0 : $this->work->progress->notBegun($this->work->working->construction(), $twin) * $this->work->blocks);
    }

    /**
     * @return array{Work, array<string, mixed>, string} the work after it, what the logbook keeps of it, what to say to it
     *
     * @throws KeenSeamProblem
     */
    public function mended(EditFields $fields): array
    {
        [$label, $count, $how] = [$fields->text('unit'), $fields->number('count'), $fields->choice('how', HandMend::class)];
        $class = $this->unitClass($label);
        $mend = array_values(array_filter($this->mends($label, $count), static fn (WrongHand $mend): bool => $mend->how === $how))[0] ?? throw WorkNotPossible::notSoMended();
        $progress = (new MendedHands($this->work->progress, $this->work->working->construction(), $this->work->pedal->steps, $this->work->blocks))->after($class, $mend, $this->twin($class));

        return [
            $this->work->with($progress),
            ['title' => ucfirst(UnitName::ofClass($class, true)), 'cause' => UnpickCause::WrongHand->value, 'seams' => count($mend->joins) * $count, 'units' => UnitName::ofClass($class, true)],
            $mend->words,
        ];
    }

    private function unitClass(string $label): UnitClass
    {
        $classes = $this->work->working->construction()->classes;
        foreach ($classes as $class) {
            if ($class->label() === $label) {
                return $class;
            }
        }
        throw ChoiceNotKnown::among('unit', array_map(static fn (UnitClass $class): string => $class->label(), $classes));
    }

    private function loose(UnitClass $class): int
    {
        return count($this->work->progress->loose($this->work->working->construction(), $class)) * $this->work->blocks;
    }

    /** Its mirror twin, where that is made by itself: of what comes both ways out of one batch each hand has its place already. */
    private function twin(UnitClass $class): ?UnitClass
    {
        $construction = $this->work->working->construction();
        $twin = ClassKinship::twins($construction->classes)[$class->index] ?? null;
        foreach ($twin === null ? [] : $this->work->pedal->steps as $step) {
            $classes = array_map(static fn (int $join): ?int => $construction->joins[$join]->tie?->unitClass, $step->joins);
            if (in_array($class->index, $classes, true) && in_array($twin, $classes, true)) {
                return null;
            }
        }

        return $twin === null ? null : $construction->classes[$twin];
    }
}
