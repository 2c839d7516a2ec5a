<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\TurnedUnit;

/**
 * What is to be decided: a direction for every join that is free and for every join of a unit class, each as a whole
 * or by segments, and a choice for every unit that may be turned or laid on one of two piles.
 *
 * @extends Variables<MemberChoice>
 *
 * @internal
 */
final class SeamVariables extends Variables
{
    /** @var array<int, non-empty-list<SlotSource>> by join id, one a segment; one for the whole where joins are pressed as wholes */
    private array $sources = [];

    /** @var array<int, array<int, int>> variable by unit class and member */
    private array $choices = [];

    /** @var list<array{int, Lock}> locked joins over which a unit's choice has a say too */
    public array $conditionalLocks = [];

    /** @var array<int, array<int, array{join: int, swapped: bool, reversed: bool}>> joins pressed like another of the same unit, by class and number */
    private readonly array $alike;

    /** @var array<int, int> joins that are decided stretch by stretch, by id; all are where the style allows furls */
    private array $stretched = [];

    /** @var array<int, int> one of these by each unit class that has some */
    private array $stretchedClasses = [];

    /** @throws LockNotPossible */
    public function __construct(
        private readonly Construction $construction,
        private readonly PressQuestion $question,
    ) {
        $this->alike = $question->equalParts === EqualParts::Alike ? $construction->alikeWithinUnits() : [];
        foreach ($question->stretched as $id) {
            JoinNotKnown::unlessIn($construction, $id);
            $this->stretched[$id] = $id;
            $tie = $construction->joins[$id]->tie;
            if ($tie !== null) {
                $this->stretchedClasses[$tie->unitClass] = $id;
            }
        }
        $this->makeFree();
        $this->makeTied();
        foreach ($question->locks as $lock) {
            $this->lock($lock);
        }
    }

    public function source(int $join, int $segment): SlotSource
    {
        $sources = $this->sources[$join];

        return $sources[min($segment, count($sources) - 1)];
    }

    /** @return list<int> numbers of the join's segments that are decided apart; only the first where it is pressed as a whole */
    public function segments(Join $join): array
    {
        return array_keys($this->sources[$join->id]);
    }

    /** Whether a join may change sides at a crossing: where the style allows it, or a lock says so of it or of its likes. */
    public function mayFurl(Join $join): bool
    {
        if ($this->question->style->allowsFurls()) {
            return true;
        }
        foreach ($this->question->locks as $lock) {
            if ($lock->furls() && $this->isPressedLike($join, $this->construction->joins[$lock->join])) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<int>                  $chosen    value of each variable
     * @param array<int, PressDirection> $overrides by variable
     */
    public function pressing(array $chosen, array $overrides = []): Pressing
    {
        $values = $this->values;
        foreach ($overrides as $variable => $direction) {
            $values[$variable] = array_map(static fn (): PressDirection => $direction, $values[$variable]);
        }

        return new Pressing(array_map(fn (Join $join): array => array_map(
            fn (int $segment): PressDirection => $this->source($join->id, $segment)->direction($values, $chosen),
            range(0, $join->segmentCount() - 1),
        ), $this->construction->joins));
    }

    /**
     * The variables that decide over the locked join as things are chosen, each with its new direction.
     *
     * @param list<int> $chosen
     *
     * @return array<int, PressDirection>
     *
     * @throws LockNotPossible
     */
    public function overriding(array $chosen, Lock $lock): array
    {
        $lock->joinIn($this->construction);
        $overrides = [];
        foreach ($this->sources[$lock->join] as $segment => $source) {
            [$variable, $swapped] = $source->decision($chosen);
            $overrides[$variable] = $swapped ? $lock->at($segment)->swapped() : $lock->at($segment);
        }

        return $overrides;
    }

    /**
     * @param list<int> $chosen
     *
     * @return list<TurnedUnit> the units to be turned, or pressed apart from the rest of their pile
     */
    public function turnedUnits(array $chosen): array
    {
        $turned = [];
        foreach ($this->choices as $class => $members) {
            foreach ($members as $member => $variable) {
                $choice = $this->values[$variable][$chosen[$variable]];
                if ($choice instanceof MemberChoice && ($choice->turn !== null || $choice->pile > 0)) {
                    $turned[] = new TurnedUnit($class, $member, $choice->turn?->turn, $choice->pile);
                }
            }
        }

        return $turned;
    }

    private function makeFree(): void
    {
        foreach ($this->construction->joins as $join) {
            if ($join->tie === null) {
                $this->sources[$join->id] = array_map(
                    fn (): SlotSource => new SlotSource(null, [[$this->variable($this->directions($join)), false]]),
                    $this->segmentsToDecide($join),
                );
            }
        }
    }

    private function makeTied(): void
    {
        $first = [];
        foreach ($this->construction->joins as $join) {
            if ($join->tie !== null && $join->tie->member === 0) {
                $first[$join->tie->unitClass][$join->tie->join] = $join;
            }
        }
        $variables = []; // by class, pile, join of the class and segment, as the first member has them
        foreach ($first as $class => $joins) {
            foreach ($this->piles($class) as $pile) {
                foreach (array_diff_key($joins, $this->alike[$class] ?? []) as $number => $join) {
                    $variables[$class][$pile][$number] = array_map(fn (): int => $this->variable($this->directions($join)), $this->segmentsToDecide($join));
                }
            }
        }
        foreach ($this->construction->joins as $join) {
            if ($join->tie !== null) {
                $class = $this->construction->classes[$join->tie->unitClass];
                $this->sources[$join->id] = $this->tiedSources($join, $class, $variables[$class->index]);
            }
        }
    }

    /**
     * @param array<int, array<int, non-empty-list<int>>> $variables by pile, join of the class and segment
     *
     * @return non-empty-list<SlotSource>
     */
    private function tiedSources(Join $join, UnitClass $class, array $variables): array
    {
        $tie = $join->tie ?? throw new \LogicException('A tied join has a tie.');
        $choices = $this->choicesOf($class, $tie->member);
        $variable = count($choices) > 1 ? ($this->choices[$class->index][$tie->member] ??= $this->variable($choices)) : null;
        $isReversed = $class->isReversed($tie->member, $tie->join);
        $alike = $this->alike[$class->index] ?? [];

        return array_map(static function (int $segment) use ($choices, $variables, $tie, $variable, $isReversed, $alike): SlotSource {
            return new SlotSource($variable, array_map(static function (MemberChoice $choice) use ($variables, $tie, $segment, $isReversed, $alike): array {
                $origin = $choice->turn?->origins[$tie->join] ?? ['join' => $tie->join, 'swapped' => false, 'reversed' => false];
                $like = $alike[$origin['join']] ?? ['join' => $origin['join'], 'swapped' => false, 'reversed' => false];
                $segments = $variables[$choice->pile][$like['join']];
                $own = ($isReversed !== $origin['reversed']) !== $like['reversed'] ? count($segments) - 1 - $segment : $segment;

                return [$segments[$own], $origin['swapped'] !== $like['swapped']];
            }, $choices));
        }, $this->segmentsToDecide($join));
    }

    /** @return non-empty-list<MemberChoice> */
    private function choicesOf(UnitClass $class, int $member): array
    {
        // The first member may stay as it is: turning or swapping all of them is only another name for the same.
        if ($member === 0) {
            return [new MemberChoice(null, 0)];
        }
        $choices = [];
        foreach ($this->piles($class->index) as $pile) {
            foreach ([null, ...$class->turns] as $turn) {
                $choices[] = new MemberChoice($turn, $pile);
            }
        }

        return $choices;
    }

    /** @return non-empty-list<int> */
    private function piles(int $class): array
    {
        return in_array($class, $this->question->twoPiles, true) ? [0, 1] : [0];
    }

    /** @return non-empty-list<int> */
    private function segmentsToDecide(Join $join): array
    {
        $isStretched = $this->question->style->allowsFurls() || isset($this->stretched[$join->id]) || ($join->tie !== null && isset($this->stretchedClasses[$join->tie->unitClass]));

        return $isStretched ? range(0, $join->segmentCount() - 1) : [0];
    }

    /** @return non-empty-list<PressDirection> */
    private function directions(Join $join): array
    {
        return $this->question->style->school()->directions($join);
    }

    private function lock(Lock $lock): void
    {
        $lock->joinIn($this->construction);
        foreach ($this->sources[$lock->join] as $segment => $source) {
            $only = $source->only();
            if ($only === null) {
                $this->conditionalLocks[] = [$segment, $lock];
                foreach ($source->variables() as $mayDecide) {
                    $this->widen($mayDecide, $lock->at($segment));
                }
                continue;
            }
            [$variable, $swapped] = $only;
            $this->hold($variable, $swapped ? $lock->at($segment)->swapped() : $lock->at($segment), $lock);
        }
    }

    /**
     * Whether the stretches of these joins that end at a place may all lie so, as far as no unit's choice has a say.
     *
     * @param array<int, PressDirection> $needs by join
     */
    public function mayLie(array $needs, Point $at): bool
    {
        $wanted = [];
        foreach ($needs as $id => $direction) {
            $only = $this->source($id, $this->construction->joins[$id]->segmentAt($at))->only();
            if ($only === null) {
                continue;
            }
            $lies = $only[1] ? $direction->swapped() : $direction;
            if (! in_array($lies, $this->values[$only[0]], true) || ($wanted[$only[0]] ?? $lies) !== $lies) {
                return false;
            }
            $wanted[$only[0]] = $lies;
        }

        return true;
    }

    private function isPressedLike(Join $a, Join $b): bool
    {
        return $a->id === $b->id || ($a->tie !== null && $b->tie !== null && $a->tie->unitClass === $b->tie->unitClass && $this->isTurnedTo($a->tie->unitClass, $a->tie->join, $b->tie->join));
    }

    /** Whether two joins of a class may come to be the same one: the same number, or one that a turn or an equal part makes of the other. */
    private function isTurnedTo(int $class, int $join, int $other): bool
    {
        $alike = $this->alike[$class] ?? [];
        $number = static fn (int $number): int => $alike[$number]['join'] ?? $number;
        // What a turn makes of the one, the turn back makes of the other.
        foreach ([null, ...$this->construction->classes[$class]->turns] as $turn) {
            if ($number($turn?->origins[$join]['join'] ?? $join) === $number($other)) {
                return true;
            }
        }

        return false;
    }
}
