<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\Figure;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Top\TurnsAllowed;

/**
 * The pressing of a whole top as variables and factors.
 *
 * What lies deep inside a block costs the same however the block is turned: it is priced once a design and counted as often
 * as there are copies. Near a block's edge the cost depends on the pile and turn of every block that has cloth there.
 *
 * @internal
 */
final class TopModel
{
    public readonly TopVariables $variables;

    public readonly Weight $weight;

    private readonly CopiesNear $near;

    private readonly PricedFactors $priced;

    /** @var list<Factor>|null */
    private ?array $factors = null;

    /** @var array<int, Cost> by the layers of a crossing */
    private array $ofPeak = [];

    /** @var array<int, int> how many copies are made alike, by copy */
    private array $alike = [];

    /** @var array<string, array{Join|null}> the seam that is sewn last of those that end at a place, by the whole and the place */
    private array $last = [];

    /**
     * @param list<Junction> $junctions
     */
    public function __construct(
        private readonly TopConstruction $top,
        private readonly array $junctions,
        private readonly JunctionTables $tables,
        private readonly PressQuestion $question,
        TurnsAllowed $turns,
        private readonly TopHolds $holds = new TopHolds(),
    ) {
        $this->variables = new TopVariables($top, $question, $turns, $holds);
        $this->weight = Weight::of($top->construction, $question->style);
        $this->priced = new PricedFactors($this->weight, $this->variables->values);
        $this->near = new CopiesNear($top);
        $counts = array_count_values(array_map(static fn ($copy): string => $copy->made, $top->copies));
        $this->alike = array_map(static fn ($copy): int => $counts[$copy->made], $top->copies);
    }

    /**
     * @param \Closure(): bool             $timeIsUp
     * @param \Closure(): (list<int>|null) $start    values of all variables to go on from, asked for where the search is long
     */
    public function solve(\Closure $timeIsUp, \Closure $start): Optimum
    {
        $unit = $this->question->style->school()->figures()[0] === Figure::Mismatch ? Weight::SECOND : null;

        return Search::sharing($this->domains(), $this->factors(), $this->variables->ofPiles(), $timeIsUp, $unit, $start);
    }

    /** @return list<int> number of values of each variable */
    public function domains(): array
    {
        return array_map(count(...), $this->variables->values);
    }

    /** @return list<Factor> */
    public function factors(): array
    {
        if ($this->factors === null) {
            $this->weighSeams();
            $this->weighJunctions();
            foreach ($this->variables->conditional as [$segment, $lock]) {
                $this->priced->add($this->variables->scope($lock->join, $segment), fn (array $chosen): ?Cost => $this->variables->direction($lock->join, $segment, $chosen) === $lock->at($segment) ? new Cost() : null);
            }
            $this->holdPiles();
            $this->factors = $this->priced->all();
        }

        return $this->factors;
    }

    /** Forbids what the quilter does not want of a pile. */
    private function holdPiles(): void
    {
        $made = array_values(array_unique(array_map(static fn ($copy): string => $copy->made, $this->top->copies)));
        foreach ($made as $name) {
            foreach ($this->variables->pilesOf($name) as $pile) {
                foreach ($this->holds->pressed[TopHolds::pile($name, $pile)] ?? [] as $join => $directions) {
                    foreach ($directions as $segment => $wanted) {
                        $source = $this->variables->ofDesign($name)->source($join, $segment)->after($this->variables->before($name, $pile));
                        $this->priced->add(self::ordered($source->variables()), fn (array $chosen): ?Cost => $source->direction($this->variables->seamValues(), $chosen) === $wanted ? new Cost() : null);
                    }
                }
            }
        }
    }

    private function weighSeams(): void
    {
        $lattice = $this->top->construction->face->lattice;
        foreach ($this->top->construction->joins as $join) {
            $times = $this->timesOf($join);
            if ($times === 0) {
                continue;
            }
            $segments = $this->variables->segments($join);
            foreach ($segments as $segment) {
                $price = static fn (PressDirection $direction): Cost => count($segments) > 1
                    ? SeamCosts::ofSegment($join, $segment, $direction, $lattice)
                    : SeamCosts::ofJoin($join, array_fill(0, $join->segmentCount(), $direction), $lattice);
                $this->priced->add($this->scope([[$join->id, $segment]], $join), fn (array $chosen): Cost => $price($this->directionAsPlaced($join, $segment, $chosen))->times($times));
            }
            foreach ($join->matchPoints() as $number => $match) {
                $this->weighMatch($join, $match, $number, count($segments) > 1, $times);
            }
        }
    }

    /** How often what is inside a block is counted there: all at the first copy, or each by itself where piles are to be chosen. */
    private function timesOf(Join $join): int
    {
        $copy = $this->variables->copyOf($join->id);

        return $copy === null ? 1 : $this->timesOfCopy($copy);
    }

    private function timesOfCopy(int $copy): int
    {
        if ($this->hasPiles($copy)) {
            return 1;
        }

        return $this->top->copies[$copy]->member === 0 ? $this->alike[$copy] : 0;
    }

    private function hasPiles(int $copy): bool
    {
        $design = $this->top->copies[$copy]->place->wholeDesign();

        return $design !== null && $this->top->top->top->pilesOf($design) > 1;
    }

    private function weighMatch(Join $join, Meeting $match, int $number, bool $isStretched, int $times): void
    {
        $inside = $this->variables->copyOf($join->id) !== null;
        $ends = array_map(fn (Join $last): array => $this->endsAt($last, $match->at, $inside), $match->ends());
        $own = $isStretched ? [[$join->id, $number], [$join->id, $number + 1]] : [];
        $slots = [...$own, ...array_merge(...array_map(static fn (array $of): array => array_map(static fn (Join $one): array => [$one->id, $one->segmentAt($match->at)], $of), $ends))];
        $mayFurl = $this->question->allowsFurls();
        $scope = $this->scope($slots, $inside ? $join : null);
        $kind = $inside ? '' : $this->kindOfMatch($join, $match, $ends, $own, $scope);
        $this->priced->add($scope, function (array $chosen) use ($join, $match, $number, $ends, $isStretched, $inside, $mayFurl, $times): ?Cost {
            [$left, $right] = array_map(fn (array $of): array => $this->ending($of, $match->at, $inside, $chosen), $ends);
            $cost = Cost::ofNesting(Nesting::where($join->seam, $match->at, ...$left, ...$right));
            if ($isStretched) {
                [$before, $after] = $inside
                    ? [$this->directionAsPlaced($join, $number, $chosen), $this->directionAsPlaced($join, $number + 1, $chosen)]
                    : [$this->variables->direction($join->id, $number, $chosen), $this->variables->direction($join->id, $number + 1, $chosen)];
                if ($before === null || $after === null) {
                    throw new \LogicException('A seam between blocks is always there.');
                }
                if ($before !== $after && (! $mayFurl || ! Furl::turns($join, $match->at, $before, $after, $left, $right))) {
                    return null;
                }
                $cost = $cost->plus(SeamCosts::ofMatch($match, $before, $after));
            }

            return $cost->times($times);
        }, $kind);
    }

    /**
     * The same for crossings where seams end alike and are read alike.
     *
     * @param list<non-empty-list<Join>> $ends
     * @param list<array{int, int}>      $own   the join and its stretches before and after the crossing, where they are decided apart
     * @param list<int>                  $scope
     */
    private function kindOfMatch(Join $join, Meeting $match, array $ends, array $own, array $scope): string
    {
        $places = array_flip($scope);
        $kind = 'match '.$join->seam->direction()->reduced()->key();
        foreach ($own as [$id, $segment]) {
            $kind .= ','.$this->variables->nameBy($id, $segment, $places).' '.$join->leftSide.' '.$match->seamsOfLeft.' '.$match->seamsOfRight;
        }
        foreach ($ends as $of) {
            $copy = $this->variables->copyOf($of[0]->id);
            $kind .= '/'.($copy === null ? '' : $this->nameOfWays($copy, $places));
            foreach ($of as $end) {
                $kind .= ';'.$end->seam->direction()->reduced()->key().' '.$end->leftSide.($end->seam->from->equals($match->at) ? ' from ' : ' to ')
                    .$this->variables->nameBy($end->id, $end->segmentAt($match->at), $places);
            }
        }

        return $kind;
    }

    /**
     * How a copy is sewn by what is chosen for it.
     *
     * @param array<int, int> $places of the variables
     */
    private function nameOfWays(int $copy, array $places): string
    {
        $choice = $this->variables->choiceOf($copy);

        return $choice === null || ! isset($places[$choice]) ? '' : $places[$choice].':'.implode(',', $this->waysOf($copy));
    }

    /**
     * The seams that may end last at a place, one for each way in which the block there may be sewn.
     *
     * @return non-empty-list<Join>
     */
    private function endsAt(Join $asPlaced, Point $at, bool $inside): array
    {
        $copy = $inside ? null : $this->variables->copyOf($asPlaced->id);
        if ($copy === null) {
            return [$asPlaced];
        }
        $ends = [];
        foreach ($this->rootsOf($copy) as $root) {
            $last = $this->lastAt($root, $at);
            if ($last !== null) {
                $ends[$last->id] = $last;
            }
        }

        return $ends === [] ? [$asPlaced] : array_values($ends);
    }

    /** @return non-empty-array<int, Assembly> the ways in which a copy may be sewn, by id of the last join */
    private function rootsOf(int $copy): array
    {
        $roots = [];
        foreach ($this->variables->choices($copy) as $choice) {
            $roots[self::idOf($choice->turn->root)] = $choice->turn->root;
        }

        return $roots;
    }

    /** @return non-empty-list<int> for each choice of a copy, the number of the way in which it is then sewn */
    private function waysOf(int $copy): array
    {
        $numbers = array_flip(array_keys($this->rootsOf($copy)));

        return array_map(static fn (TopChoice $choice): int => $numbers[self::idOf($choice->turn->root)], $this->variables->choices($copy));
    }

    /** The id of its last join; -1 where it has none. */
    private static function idOf(Assembly $whole): int
    {
        return $whole instanceof Join ? $whole->id : -1;
    }

    private function lastAt(Assembly $root, Point $at): ?Join
    {
        return ($this->last[self::idOf($root).' '.$at->key()] ??= [self::outermostAt($root, $at)])[0];
    }

    private static function outermostAt(Assembly $root, Point $at): ?Join
    {
        $waiting = [$root];
        while (($next = array_shift($waiting)) !== null) {
            if ($next instanceof Join && ($next->seam->from->equals($at) || $next->seam->to->equals($at))) {
                return $next;
            }
            array_push($waiting, ...($next instanceof Join ? $next->children() : []));
        }

        return null;
    }

    /**
     * @param non-empty-list<Join> $joins
     * @param array<int, int>      $chosen
     *
     * @return array{Join, PressDirection} the one of them that is there as things are chosen, and how it lies at the place
     */
    private function ending(array $joins, Point $at, bool $inside, array $chosen): array
    {
        $copy = $inside ? null : $this->variables->copyOf($joins[0]->id);
        $root = $copy === null ? null : $this->variables->chosenFor($copy, $chosen)->turn->root;
        $join = $root === null ? $joins[0] : $this->lastAt($root, $at) ?? $joins[0];
        $direction = $inside ? $this->directionAsPlaced($join, $join->segmentAt($at), $chosen) : $this->variables->direction($join->id, $join->segmentAt($at), $chosen);

        return [$join, $direction ?? throw new \LogicException('The seam is there as the block lies.')];
    }

    private function weighJunctions(): void
    {
        foreach ($this->junctions as $junction) {
            [$inside, $near] = $this->near->at($junction->at);
            if ($inside !== null) {
                $this->weighInside($junction, $inside);
            } else {
                $this->weighNear($junction, $near);
            }
        }
    }

    private function weighInside(Junction $junction, int $copy): void
    {
        $times = $this->timesOfCopy($copy);
        if ($times === 0) {
            return;
        }
        $table = $this->tables->of($junction);
        $joins = array_map(fn (array $slot): Join => $this->variables->joins[$slot[0]], $table->slots);
        $scope = $this->scope($table->slots, $joins[0] ?? null);
        $this->priced->add($scope, fn (array $chosen): Cost => Cost::ofPeak($table->peak(array_map(fn (Join $join, array $slot): PressDirection => $this->directionAsPlaced($join, $slot[1], $chosen), $joins, $table->slots)), $this->question->lump)->times($times));
    }

    /** @param list<int> $copies that have cloth there */
    private function weighNear(Junction $junction, array $copies): void
    {
        $tables = [];
        $kind = '';
        foreach ($this->waysToSew($copies) as $name => $roots) {
            $instead = [];
            foreach ($roots as $copy => $root) {
                $placed = $this->top->copies[$copy]->root;
                if ($placed instanceof Join && $placed !== $root) {
                    $instead[$placed->id] = $root;
                }
            }
            $tables[$name] = $instead === [] ? $this->tables->of($junction) : $this->tables->sewnOtherwise($junction, $instead);
            $kind .= '/'.$tables[$name]->shape();
        }
        $scope = [];
        foreach ($tables as $table) {
            foreach ($table->slots as [$join, $segment]) {
                array_push($scope, ...$this->variables->scope($join, $segment));
            }
        }
        $scope = self::ordered($scope);
        $places = array_flip($scope);
        foreach ($tables as $table) {
            foreach ($table->slots as [$join, $segment]) {
                $kind .= ';'.$this->variables->nameBy($join, $segment, $places);
            }
        }
        foreach ($copies as $copy) {
            $kind .= '|'.$this->nameOfWays($copy, $places);
        }
        // A block none of whose seams has cloth there may be sewn in any way.
        $ways = [];
        foreach ($copies as $copy) {
            $choice = $this->variables->choiceOf($copy);
            $ways[] = $choice === null || ! isset($places[$choice]) ? [null, [0]] : [$choice, $this->waysOf($copy)];
        }
        $read = [];
        foreach ($tables as $name => $table) {
            $read[$name] = array_map(fn (array $slot): \Closure => $this->variables->reader(...$slot), $table->slots);
        }
        $peaks = [];
        $this->priced->add($scope, function (array $chosen) use ($ways, $tables, $read, &$peaks): Cost {
            $name = '';
            foreach ($ways as [$choice, $numbers]) {
                $name .= $numbers[$choice === null ? 0 : $chosen[$choice]].' ';
            }
            $directions = [];
            $pressed = $name;
            foreach ($read[$name] as $reader) {
                $directions[] = $direction = $reader($chosen);
                $pressed .= $direction->value;
            }
            $peak = $peaks[$pressed] ??= $tables[$name]->peak($directions);

            return $this->ofPeak[$peak] ??= Cost::ofPeak($peak, $this->question->lump);
        }, 'cloth '.$kind);
    }

    /**
     * Every way in which some copies may be sewn.
     *
     * @param list<int> $copies
     *
     * @return non-empty-array<string, array<int, Assembly>> the whole of each, by copy; by the numbers of their ways
     */
    private function waysToSew(array $copies): array
    {
        $ways = ['' => []];
        foreach ($copies as $copy) {
            $longer = [];
            foreach ($ways as $name => $roots) {
                foreach (array_values($this->rootsOf($copy)) as $number => $root) {
                    $longer[$name.$number.' '] = $roots + [$copy => $root];
                }
            }
            $ways = $longer;
        }

        return $ways;
    }

    /**
     * The variables that decide over segments. Of a block's own seams seen by themselves only its pile counts, not its turn.
     *
     * @param list<array{int, int}> $slots  joins and their segments
     * @param Join|null             $inside one of them where all are of one block and seen by themselves
     *
     * @return list<int>
     */
    private function scope(array $slots, ?Join $inside): array
    {
        $copy = $inside === null ? null : $this->variables->copyOf($inside->id);
        $scope = [];
        foreach ($slots as [$join, $segment]) {
            if ($copy === null) {
                array_push($scope, ...$this->variables->scope($join, $segment));
                continue;
            }
            foreach ($this->sourcesAsPlaced($copy, $join, $segment) as $source) {
                array_push($scope, ...$source->variables());
            }
        }
        if ($copy !== null && $this->hasPiles($copy) && $this->variables->choiceOf($copy) !== null) {
            $scope[] = $this->variables->choiceOf($copy);
        }

        return self::ordered($scope);
    }

    /** @return list<SlotSource> of a segment of the block as its design is made, one a pile */
    private function sourcesAsPlaced(int $copy, int $join, int $segment): array
    {
        $of = $this->top->copies[$copy];
        $number = array_search($join, $of->joins, true);
        if (! is_int($number)) {
            throw new \LogicException('The seam is one of the block.');
        }
        $seam = $of->turns[0]->seams[$number];
        $own = $seam['reversed'] ? $of->design->joins[$number]->segmentCount() - 1 - $segment : $segment;
        $design = $of->place->wholeDesign() ?? throw new \LogicException('A copy is of a design.');

        return array_map(fn (int $pile): SlotSource => $this->variables->ofDesign($of->made)->source($number, $own)->after($this->variables->before($of->made, $pile)), range(0, $this->top->top->top->pilesOf($design) - 1));
    }

    /**
     * How a seam of a block lies as the pile that is chosen is pressed, whatever the block's turn.
     *
     * @param array<int, int> $chosen
     */
    private function directionAsPlaced(Join $join, int $segment, array $chosen): PressDirection
    {
        $copy = $this->variables->copyOf($join->id);
        if ($copy === null) {
            return $this->variables->direction($join->id, $segment, $chosen) ?? throw new \LogicException('A seam between blocks is always there.');
        }
        $pile = $this->hasPiles($copy) ? $this->variables->chosenFor($copy, $chosen)->pile : 0;

        return $this->sourcesAsPlaced($copy, $join->id, $segment)[$pile]->direction($this->variables->seamValues(), $chosen);
    }

    /**
     * @param list<int> $scope
     *
     * @return list<int>
     */
    private static function ordered(array $scope): array
    {
        $scope = array_values(array_unique($scope));
        sort($scope);

        return $scope;
    }
}
