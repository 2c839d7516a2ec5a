<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\TurnsAllowed;

/**
 * What is to be decided for a top: for every pile of a design all that is decided for the block alone, for every block its
 * pile and turn, and a direction for every other seam.
 *
 * @extends Variables<MemberChoice|TopChoice>
 *
 * @internal
 */
final class TopVariables extends Variables
{
    /** @var list<array{int, Lock}> locks over which a block's pile, or a unit's turn, has a say too */
    public array $conditional = [];

    /** @var array<int, array<int, array<int, array{SlotSource, bool}|null>>> by join, segment and choice, as far as somebody asked */
    private array $known = [];

    /** @var array<string, SeamVariables> of the block alone, by what is made */
    private array $designs = [];

    /** @var array<string, list<int>> so many variables come before those of the pile, by what is made */
    private array $before = [];

    /** @var array<int, int> variable by copy, where there is something to choose */
    private array $choices = [];

    /** @var list<non-empty-list<TopChoice>> by copy */
    private array $choicesOf = [];

    /** @var array<int, list<int>> variables by join that is free, one a segment that is decided apart */
    private array $free = [];

    /** @var array<int, int> number of the copy that a join is in, by the join's id */
    private array $copyOf = [];

    /** @var array<int, array<int, array{int, bool, bool}>> what a join of a copy is: join of its design, swapped, reversed; by join and choice */
    private array $inDesign = [];

    /** @var array<int, Join> all of them by id, those of other turns too */
    public readonly array $joins;

    /** @throws LockNotPossible */
    public function __construct(
        private readonly TopConstruction $top,
        private readonly PressQuestion $question,
        private readonly TurnsAllowed $turns,
        private readonly TopHolds $holds,
    ) {
        $this->joins = [...$top->construction->joins, ...$top->others];
        foreach ($top->copies as $number => $copy) {
            $this->admit($number, $copy);
        }
        foreach ($top->construction->joins as $join) {
            if (! isset($this->copyOf[$join->id])) {
                $this->free[$join->id] = array_map(fn (): int => $this->variable($this->question->style->school()->directions($join)), $this->question->allowsFurls() ? range(0, $join->segmentCount() - 1) : [0]);
            }
        }
        foreach ($question->locks as $lock) {
            $this->lock($lock);
        }
    }

    /** @return list<int> variables that may decide over a segment, that of the block's turn among them */
    public function scope(int $join, int $segment): array
    {
        $free = $this->freeAt($join, $segment);
        if ($free !== null) {
            return [$free];
        }
        $copy = $this->copyOf[$join];
        $scope = isset($this->choices[$copy]) ? [$this->choices[$copy]] : [];
        foreach (array_keys($this->choicesOf[$copy]) as $choice) {
            $read = $this->read($join, $segment, $choice);
            array_push($scope, ...($read === null ? [] : $read[0]->variables()));
        }

        return $scope;
    }

    /**
     * @param array<int, int> $chosen value of each variable of the scope
     *
     * @return PressDirection|null null where the block lies so that it has no such seam
     */
    public function direction(int $join, int $segment, array $chosen): ?PressDirection
    {
        $free = $this->freeAt($join, $segment);
        if ($free !== null) {
            $direction = $this->values[$free][$chosen[$free]];

            return $direction instanceof PressDirection ? $direction : throw new \LogicException('A free seam has a direction.');
        }
        $read = $this->read($join, $segment, $this->chosen($this->copyOf[$join], $chosen));
        if ($read === null) {
            return null;
        }
        $direction = $read[0]->direction($this->seamValues(), $chosen);

        return $read[1] ? $direction->swapped() : $direction;
    }

    /**
     * Reads the same segment again and again.
     *
     * @return \Closure(array<int, int>): PressDirection
     */
    public function reader(int $join, int $segment): \Closure
    {
        $missing = static fn (): \LogicException => new \LogicException('The seam is there as the block lies.');
        $copy = $this->copyOf[$join] ?? null;
        if ($copy === null) {
            return fn (array $chosen): PressDirection => $this->direction($join, $segment, $chosen) ?? throw $missing();
        }
        $ways = array_map(fn (int $choice): ?array => $this->read($join, $segment, $choice), array_keys($this->choicesOf[$copy]));
        $choice = $this->choices[$copy] ?? null;
        $values = $this->seamValues();

        return static function (array $chosen) use ($ways, $choice, $values, $missing): PressDirection {
            [$source, $isSwapped] = $ways[$choice === null ? 0 : $chosen[$choice]] ?? throw $missing();
            [$variable, $isSwappedThere] = $source->decision($chosen);
            $direction = $values[$variable][$chosen[$variable]];
            if (! $direction instanceof PressDirection) {
                throw $missing();
            }

            return $isSwapped === $isSwappedThere ? $direction : $direction->swapped();
        };
    }

    /**
     * A text that is equal for segments that are read alike from variables with the same places.
     *
     * @param array<int, int> $places of the variables
     */
    public function nameBy(int $join, int $segment, array $places): string
    {
        $free = $this->freeAt($join, $segment);
        if ($free !== null) {
            return 'f'.$places[$free];
        }
        $copy = $this->copyOf[$join];
        $name = 'c'.(isset($this->choices[$copy]) ? $places[$this->choices[$copy]] : '');
        foreach (array_keys($this->choicesOf[$copy]) as $choice) {
            $read = $this->read($join, $segment, $choice);
            $name .= $read === null ? ' -' : ' '.$read[0]->nameBy($places).($read[1] ? 's' : '');
        }

        return $name;
    }

    /** @return int|null the variable that alone decides over a segment of a seam between blocks; null within one */
    private function freeAt(int $join, int $segment): ?int
    {
        $variables = $this->free[$join] ?? [];

        // Where the seam is pressed as a whole there is one for all of it.
        return $variables[$segment] ?? $variables[0] ?? null;
    }

    /** @return list<int> numbers of the segments that are decided apart; only the first where it is pressed as a whole */
    public function segments(Join $join): array
    {
        return isset($this->free[$join->id]) ? array_keys($this->free[$join->id]) : ($this->question->allowsFurls() ? range(0, $join->segmentCount() - 1) : [0]);
    }

    public function hasNoChoice(): bool
    {
        return $this->choices === [];
    }

    /** @return int|null the variable of a copy's pile and turn; null where there is nothing to choose */
    public function choiceOf(int $copy): ?int
    {
        return $this->choices[$copy] ?? null;
    }

    /** @return non-empty-list<TopChoice> */
    public function choices(int $copy): array
    {
        return $this->choicesOf[$copy];
    }

    /** @param array<int, int> $chosen */
    public function chosenFor(int $copy, array $chosen): TopChoice
    {
        return $this->choicesOf[$copy][$this->chosen($copy, $chosen)];
    }

    /** The copy that a join is in; null for seams between blocks. */
    public function copyOf(int $join): ?int
    {
        return $this->copyOf[$join] ?? null;
    }

    public function ofDesign(string $made): SeamVariables
    {
        return $this->designs[$made];
    }

    /**
     * How the seams of a copy are pressed, as its design has them.
     *
     * @param list<int> $values of all variables
     *
     * @return list<non-empty-list<PressDirection>> by join of the design, one a segment
     */
    public function pressedInDesign(int $copy, array $values): array
    {
        $made = $this->top->copies[$copy]->made;
        $before = $this->before[$made][$this->chosenFor($copy, $values)->pile];

        return array_map(fn (Join $join): array => array_map(
            fn (int $segment): PressDirection => $this->designs[$made]->source($join->id, $segment)->after($before)->direction($this->seamValues(), $values),
            range(0, $join->segmentCount() - 1),
        ), $this->top->copies[$copy]->design->joins);
    }

    /** @return list<int> numbers of its piles, from 0 */
    public function pilesOf(string $made): array
    {
        return array_keys($this->before[$made]);
    }

    /** How many variables come before those of a pile. */
    public function before(string $made, int $pile): int
    {
        return $this->before[$made][$pile];
    }

    /** @return array<int, true> the variables that tell how piles are pressed */
    public function ofPiles(): array
    {
        $variables = [];
        foreach ($this->before as $made => $piles) {
            foreach ($piles as $before) {
                $variables += array_fill($before, count($this->designs[$made]->values), true);
            }
        }

        return $variables;
    }

    /**
     * Ways to lay the blocks in which those that stand alike lie alike: all in one way, checkerboards, and every other row or
     * column, of every two ways there are.
     *
     * @return iterable<array<int, int>> value by variable
     */
    public function patterns(): iterable
    {
        $most = max([1, ...array_map(count(...), $this->choicesOf)]);
        for ($pair = 0; $pair < $most * $most; ++$pair) {
            [$one, $other] = [intdiv($pair, $most), $pair % $most];
            foreach ($one === $other ? [0] : [0, 1, 2] as $kind) {
                $decided = [];
                foreach ($this->choices as $copy => $variable) {
                    [$row, $column] = $this->top->copies[$copy]->place->place?->parity() ?? [0, 0];
                    $isOther = [$row !== $column, $row === 1, $column === 1][$kind];
                    $decided[$variable] = ($isOther ? $other : $one) % count($this->choicesOf[$copy]);
                }
                yield $decided;
            }
        }
    }

    /**
     * What was decided for a corner of the top, for all of it: each pile pressed so, and each block laid like the one of the
     * corner that stands like it.
     *
     * @param list<int> $values value of each of the corner's variables
     *
     * @return array<int, int> value by variable; those that the corner says nothing of are left out
     */
    public function laidFrom(self $corner, array $values): array
    {
        $decided = [];
        foreach ($this->before as $made => $piles) {
            foreach (isset($corner->before[$made]) ? $piles : [] as $pile => $before) {
                foreach (array_keys($this->designs[$made]->values) as $i) {
                    $decided[$before + $i] = $values[$corner->before[$made][$pile] + $i];
                }
            }
        }
        $standing = [];
        foreach ($corner->top->copies as $copy => $of) {
            $standing[$of->standing()] ??= $corner->chosenFor($copy, $values);
        }
        foreach ($this->choices as $copy => $variable) {
            $chosen = $standing[$this->top->copies[$copy]->standing()] ?? null;
            foreach ($this->choicesOf[$copy] as $number => $choice) {
                if ($chosen !== null && $choice->pile === $chosen->pile && $choice->turn->turn === $chosen->turn->turn) {
                    $decided[$variable] = $number;
                }
            }
        }

        return $decided;
    }

    private function admit(int $number, TopCopy $copy): void
    {
        $design = $copy->place->wholeDesign();
        $piles = $design instanceof Design ? $this->top->top->top->pilesOf($design) : 1;
        if (! isset($this->designs[$copy->made])) {
            $seams = new SeamVariables($copy->design, new PressQuestion($this->question->style, [], $this->question->lump, [], $this->question->equalParts, $this->question->allowsFurls() && ! $this->question->style->allowsFurls() ? array_keys($copy->design->joins) : []));
            $this->designs[$copy->made] = $seams;
            for ($pile = 0; $pile < $piles; ++$pile) {
                $this->before[$copy->made][] = count($this->values);
                array_push($this->values, ...$seams->values);
            }
        }
        $this->choicesOf[$number] = $this->choicesFor($copy, $piles);
        if (count($this->choicesOf[$number]) > 1) {
            $this->choices[$number] = $this->variable($this->choicesOf[$number]);
        }
        foreach ($this->choicesOf[$number] as $choice => $of) {
            foreach ($of->turn->seams as $inDesign => $seam) {
                $this->copyOf[$seam['join']] = $number;
                $this->inDesign[$seam['join']][$choice] = [$inDesign, $seam['swapped'], $seam['reversed']];
            }
        }
    }

    /** @return non-empty-list<TopChoice> */
    private function choicesFor(TopCopy $copy, int $piles): array
    {
        $turns = array_filter($copy->turns, fn ($turn): bool => $turn->turn === Turn::None || ($this->turns !== TurnsAllowed::Fixed && ! $this->holds->hold($copy, $this->question->locks)));
        $isFirst = $copy->member === 0 && ! $this->isAnyHeld($copy->made, $piles);
        if ($isFirst) {
            // The first may stay as it lies: turning all of them where no seam changes is only another way to press them.
            $roots = [];
            $turns = array_filter($turns, static function ($turn) use (&$roots): bool {
                $isNew = ! in_array($turn->root, $roots, true);
                $roots[] = $turn->root;

                return $isNew;
            });
        }
        $choices = [];
        foreach ($isFirst ? [0] : range(0, $piles - 1) as $pile) {
            foreach ($turns as $turn) {
                $choices[] = new TopChoice($turn, $pile);
            }
        }

        return $choices === [] ? throw new \LogicException('A block may always lie as it is placed.') : $choices;
    }

    /** Whether the quilter decided over some of what is made alike: then no one of them can be turned with all others. */
    private function isAnyHeld(string $made, int $piles): bool
    {
        $held = array_filter(range(0, $piles - 1), fn (int $pile): bool => isset($this->holds->pressed[TopHolds::pile($made, $pile)]));

        return $held !== [] || array_filter($this->top->copies, fn (TopCopy $copy): bool => $copy->made === $made && $this->holds->hold($copy, $this->question->locks)) !== [];
    }

    /** @return array{SlotSource, bool}|null from where a segment is read if that is chosen, and whether sides are swapped; null where it is no seam then */
    private function read(int $join, int $segment, int $choice): ?array
    {
        return isset($this->known[$join][$segment]) && array_key_exists($choice, $this->known[$join][$segment])
            ? $this->known[$join][$segment][$choice]
            : $this->known[$join][$segment][$choice] = $this->readAnew($join, $segment, $choice);
    }

    /** @return array{SlotSource, bool}|null */
    private function readAnew(int $join, int $segment, int $choice): ?array
    {
        $inDesign = $this->inDesign[$join][$choice] ?? null;
        if ($inDesign === null) {
            return null;
        }
        [$number, $swapped, $reversed] = $inDesign;
        $copy = $this->copyOf[$join];
        [$made, $pile] = [$this->top->copies[$copy]->made, $this->choicesOf[$copy][$choice]->pile];
        $seam = $this->top->copies[$copy]->design->joins[$number];
        $source = $this->designs[$made]->source($number, $reversed ? $seam->segmentCount() - 1 - $segment : $segment);

        return [$source->after($this->before[$made][$pile]), $swapped];
    }

    /** @param array<int, int> $chosen */
    private function chosen(int $copy, array $chosen): int
    {
        return isset($this->choices[$copy]) ? $chosen[$this->choices[$copy]] : 0;
    }

    /** @return list<list<PressDirection|MemberChoice>> */
    public function seamValues(): array
    {
        /** @var list<list<PressDirection|MemberChoice>> $values a seam is never read from a block's choice */
        $values = $this->values;

        return $values;
    }

    private function lock(Lock $lock): void
    {
        $join = $lock->joinIn($this->top->construction);
        foreach ($this->segments($join) as $segment) {
            $free = $this->freeAt($join->id, $segment);
            if ($free !== null) {
                $this->hold($free, $lock->at($segment), $lock);
            } else {
                $this->lockWithin($join, $segment, $lock);
            }
        }
    }

    /** A seam of a block: held where nothing else has a say, else weighed with every choice there is. */
    private function lockWithin(Join $join, int $segment, Lock $lock): void
    {
        $wanted = $lock->at($segment);
        $choices = $this->choicesOf[$this->copyOf[$join->id]];
        // Not there is a seam that the block does not have when it lies so.
        $reads = array_filter(array_map(fn (int $choice): ?array => $this->read($join->id, $segment, $choice), array_keys($choices)));
        [$source, $isSwapped] = $reads[0] ?? [null, false];
        $only = count($choices) === 1 ? $source?->only() : null;
        if ($only !== null) {
            $this->hold($only[0], $only[1] !== $isSwapped ? $wanted->swapped() : $wanted, $lock);

            return;
        }
        $this->conditional[] = [$segment, $lock];
        foreach ($reads as [$source]) {
            foreach ($source->variables() as $variable) {
                $this->widen($variable, $wanted);
            }
        }
    }
}
