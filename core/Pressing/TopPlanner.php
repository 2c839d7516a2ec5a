<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Pressing\Internal\JunctionTables;
use KeenSeam\Core\Pressing\Internal\Optimum;
use KeenSeam\Core\Pressing\Internal\TopFaces;
use KeenSeam\Core\Pressing\Internal\TopModel;
use KeenSeam\Core\Pressing\Internal\TopStarts;
use KeenSeam\Core\Pressing\Internal\TopVariables;
use KeenSeam\Core\Pressing\Internal\Weight;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TurnsAllowed;

/** Finds how a whole top costs least: the pressing of every pile, the pile and turn of every block, and all seams between. */
final readonly class TopPlanner
{
    /** Rows and columns of the corner that a large top begins with. */
    private const CORNER = 3;

    public function __construct(private TopConstruction $top, private TopHolds $holds = new TopHolds()) {}

    /**
     * @param (\Closure(): bool)|null $timeIsUp asked now and then; once true, the best plan so far is given with its gap
     *
     * @throws LockNotPossible
     */
    public function best(PressQuestion $question, ?\Closure $timeIsUp = null): TopPlan
    {
        $timeIsUp ??= static fn (): bool => false;

        return $this->top->top->top->turns === TurnsAllowed::Any ? $this->bestOfAny($question, $timeIsUp) : $this->bestOfFace($question, $timeIsUp);
    }

    /**
     * The best plan that leaves the face as it is.
     *
     * @param \Closure(): bool $timeIsUp
     *
     * @throws LockNotPossible
     */
    private function bestOfFace(PressQuestion $question, \Closure $timeIsUp): TopPlan
    {
        $junctions = Junction::allOn($this->top->construction->face);
        $turns = $this->top->top->top->turns;
        $tables = new JunctionTables($this->top->construction, $question->allowsFurls(), $this->top->others);
        $model = new TopModel($this->top, $junctions, $tables, $question, $turns, $this->holds);
        $optimum = $model->solve($timeIsUp, fn (): ?array => $this->fromCorner($model, $question, $timeIsUp));
        if ($optimum->boundHigh >= Weight::FORBIDDEN) {
            throw LockNotPossible::contradicting($question->locks);
        }

        return $this->planOf($model, $optimum, $question);
    }

    /**
     * The best of all faces that turned blocks make: of every one where there are few, else of those in which blocks that
     * stand alike lie alike, and then block by block as long as there is time.
     *
     * @param \Closure(): bool $timeIsUp
     *
     * @throws LockNotPossible
     */
    private function bestOfAny(PressQuestion $question, \Closure $timeIsUp): TopPlan
    {
        $faces = new TopFaces($this->top, $question->locks, $this->holds);
        $best = null;
        $isProved = $faces->areAll();
        foreach ($faces->each() as $top) {
            if ($best !== null && $timeIsUp()) {
                $isProved = false;
                break;
            }
            $best = self::better($best, $this->planOfFace($top, $question, $timeIsUp), $question->style);
        }
        $best ??= $this->planOfFace($this->top->top->top, $question, $timeIsUp);
        foreach ($faces->areAll() ? [] : array_keys($this->top->copies) as $copy) {
            foreach ($faces->withOneTurned($best->sewn, $copy) as $top) {
                if ($timeIsUp()) {
                    break 2;
                }
                $best = self::better($best, $this->planOfFace($top, $question, $timeIsUp), $question->style);
            }
        }
        $plan = $best->plan;

        // No plan costs less than nothing; where not all were tried no more than that is known.
        return new TopPlan($best->sewn, $plan->found($plan->turnedUnits, $isProved ? $plan->bound : new Cost(), $isProved && $plan->proved), $best->piles, $best->made);
    }

    /** @param \Closure(): bool $timeIsUp */
    private function planOfFace(Top $top, PressQuestion $question, \Closure $timeIsUp): TopPlan
    {
        return (new self(TopConstruction::of(TopFace::of($top), $this->top->order), $this->holds))->bestOfFace($question, $timeIsUp);
    }

    private static function better(?TopPlan $a, TopPlan $b, PressStyle $style): TopPlan
    {
        if ($a === null) {
            return $b;
        }
        [$better, $other] = $b->plan->cost->compareTo($a->plan->cost, $style) < 0 ? [$b, $a] : [$a, $b];
        $plan = $better->plan;

        // Proved are both or neither: the best of two is only as sure as the less sure one.
        return new TopPlan($better->sewn, $plan->found($plan->turnedUnits, $plan->bound, $plan->proved && $other->plan->proved), $better->piles, $better->made);
    }

    /**
     * A start for a large top: what is best for its upper left corner, laid over all of it again and again. Only
     * the seams between the blocks, and blocks that the corner does not have, are then left to be decided.
     *
     * @param \Closure(): bool $timeIsUp
     *
     * @return list<int>|null the values of the model
     */
    private function fromCorner(TopModel $model, PressQuestion $question, \Closure $timeIsUp): ?array
    {
        $corner = $this->top->top->top->corner(self::CORNER);
        if ($corner === null || $model->variables->hasNoChoice() || $question->locks !== [] || $this->holds->places !== [] || $this->holds->pressed !== []) {
            return null;
        }
        $sewn = TopConstruction::of(TopFace::of($corner), $this->top->order);
        $small = new TopModel($sewn, Junction::allOn($sewn->construction->face), new JunctionTables($sewn->construction, $question->allowsFurls(), $sewn->others), $question, $corner->turns);
        $decided = $model->variables->laidFrom($small->variables, (new TopStarts($small))->inPattern($timeIsUp));

        $starts = new TopStarts($model);

        return $starts->bettered($starts->completed($decided), [], $timeIsUp);
    }

    private function planOf(TopModel $model, Optimum $optimum, PressQuestion $question): TopPlan
    {
        $variables = $model->variables;
        $sewn = $this->turned($variables, $optimum->values);
        $directions = [];
        $piles = $turned = [];
        foreach ($sewn->copies as $number => $copy) {
            $choice = $variables->chosenFor($number, $optimum->values);
            $piles[] = $choice->pile;
            $inDesign = $variables->pressedInDesign($number, $optimum->values);
            foreach ($copy->turns[0]->seams as $join => $seam) {
                $along = $inDesign[$join];
                $directions[$seam['join']] = $seam['reversed'] ? array_reverse($along) : $along;
            }
            array_push($turned, ...$this->turnedUnits($sewn, $number, $variables->ofDesign($copy->made)->turnedUnits(array_slice($optimum->values, $variables->before($copy->made, $choice->pile)))));
        }
        foreach ($sewn->construction->joins as $join) {
            $directions[$join->id] ??= array_map(
                static fn (int $segment): PressDirection => $variables->direction($join->id, $segment, $optimum->values) ?? throw new \LogicException('A seam between blocks is always there.'),
                range(0, $join->segmentCount() - 1),
            );
        }
        ksort($directions);
        $plan = (new PressingPlanner($sewn->construction))->price(new Pressing(array_values($directions)), $question);

        return new TopPlan($sewn, $plan->found($turned, $model->weight->bound($optimum, $plan->cost), $optimum->exact), $piles, $this->made($sewn, $variables, $optimum->values, $question));
    }

    /**
     * @param list<int> $values
     *
     * @return list<TopPile>
     */
    private function made(TopConstruction $sewn, TopVariables $variables, array $values, PressQuestion $question): array
    {
        $copies = [];
        foreach ($sewn->copies as $number => $copy) {
            $copies[$copy->made.' '.$variables->chosenFor($number, $values)->pile][] = $number;
        }

        return array_values(array_map(function (array $numbers) use ($sewn, $variables, $values, $question): TopPile {
            $copy = $sewn->copies[$numbers[0]];
            $design = $copy->place->wholeDesign() ?? throw new \LogicException('A copy is of a design.');
            $mirrored = $copy->place->place?->placement->mirrored === true;
            $directions = $variables->pressedInDesign($numbers[0], $values);
            $construction = $copy->design;
            if ($mirrored) {
                $alone = TopConstruction::asPlaced(TopFace::of($sewn->top->top->alone($design, new Placement(mirrored: true))), $this->top->order);
                $construction = $alone->construction;
                $laid = [];
                foreach ($alone->copies[0]->turns[0]->seams as $number => $seam) {
                    $laid[$seam['join']] = $seam['reversed'] ? array_reverse($directions[$number]) : $directions[$number];
                }
                ksort($laid);
                $directions = array_values($laid);
            }

            return new TopPile($design, $mirrored, $variables->chosenFor($numbers[0], $values)->pile, count($numbers), (new PressingPlanner($construction))->price(new Pressing($directions), $question));
        }, $copies));
    }

    /**
     * @param list<int> $values
     *
     * @return TopConstruction with the blocks lying as they were chosen to
     */
    private function turned(TopVariables $variables, array $values): TopConstruction
    {
        $byPlace = [];
        foreach ($this->top->copies as $number => $copy) {
            $turn = $variables->chosenFor($number, $values)->turn->turn;
            $place = $copy->place->place;
            if ($turn !== Turn::None && $place !== null) {
                $byPlace[$place->key()] = $place->lying(new Placement(Turn::ofQuarters($place->placement->turn->quarters() + $turn->quarters()), $place->placement->mirrored));
            }
        }
        if ($byPlace === []) {
            return $this->top;
        }
        $top = $this->top->top->top;

        return TopConstruction::asPlaced(TopFace::of($top->withPlaces(array_map(static fn ($place) => $byPlace[$place->key()] ?? $place, $top->places))), $this->top->order);
    }

    /**
     * Units of a design that are turned within it, as they are numbered in the top.
     *
     * @param list<TurnedUnit> $inDesign
     *
     * @return list<TurnedUnit>
     */
    private function turnedUnits(TopConstruction $sewn, int $number, array $inDesign): array
    {
        $copy = $sewn->copies[$number];
        $classes = [];
        foreach ($copy->design->joins as $join) {
            $tie = $sewn->construction->joins[$copy->joins[$join->id]]->tie;
            if ($join->tie !== null && $tie !== null) {
                $classes[$join->tie->unitClass][$join->tie->member] = [$tie->unitClass, $tie->member];
            }
        }
        // Only a half turn leaves the last seam of a unit where it was, and that is the same in a mirrored block.
        return array_map(static fn (TurnedUnit $unit): TurnedUnit => new TurnedUnit(...$classes[$unit->unitClass][$unit->member], turn: $unit->turn, pile: $unit->pile), $inDesign);
    }
}
