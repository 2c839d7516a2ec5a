<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\Internal\Pile;
use KeenSeam\Core\Guide\Internal\UnitRounds;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;

/**
 * Everything there is to do to a block, from the cloth to the finished block, in the order a quilter works.
 *
 * Steps that are done at one place stand together: one of every kind of unit is sewn, pressed and measured before the
 * others follow in chains. The order of work is common practice, no published source.
 */
final class WorkSteps
{
    private readonly Construction $construction;

    private readonly SeamWords $words;

    private readonly ?CuttingPlan $cutting;

    /** @var array<int, JoinSheet> by join */
    private readonly array $sheets;

    private function __construct(private readonly PressingPlan $plan, private readonly CutQuestion $question, private readonly Chain $chain)
    {
        $this->construction = $plan->construction;
        $this->words = new SeamWords($plan);
        $this->cutting = $this->cuttingPlan();
        $block = $this->construction->face->block;
        $drift = new Drift($plan, $block->seamAllowance->in($block->unit)->times(Fraction::of(2)), SquareUp::Units);
        $this->sheets = array_column(array_map(static fn (JoinSheet $sheet): array => ['id' => $sheet->join->id, 'sheet' => $sheet], $drift->sheets), 'sheet', 'id');
    }

    /**
     * @return non-empty-list<Step>
     *
     * @throws CutNotPossible when the number of blocks is absurd, or a way to make a unit is not known
     */
    public static function of(PressingPlan $plan, CutQuestion $question, Chain $chain = Chain::RowByRow): array
    {
        $steps = new self($plan, $question, $chain);

        return [...$steps->cutSteps(), ...$steps->pileSteps(), ...$steps->layOutSteps(), ...$steps->stripSteps(), ...$steps->lastSteps()];
    }

    /** @throws CutNotPossible */
    private function cuttingPlan(): ?CuttingPlan
    {
        if ($this->question->blocks < 1 || $this->question->blocks > CutQuestion::MOST_BLOCKS) {
            throw CutNotPossible::blocks(CutQuestion::MOST_BLOCKS);
        }
        // An order that runs through cells sews patches, not units.
        if ($this->construction->order->runsThroughCells()) {
            return null;
        }
        try {
            $sewn = $this->construction->order === Order::Rows ? $this->construction : Construction::of($this->construction->face, Order::Rows);
        } catch (SetInSeamNeeded|OrderNotPossible) {
            $sewn = $this->construction;
        }
        try {
            return CuttingPlan::of($sewn, $this->question);
        } catch (CutNotPossible $problem) {
            // Pieces too small to be cut may still lie there, ready to be sewn; a wrong answer of the quilter's is told.
            return $problem->where() === '/finished' || $problem->where() === '/seam_allowance' || $problem->where() === '/width' ? null : throw $problem;
        }
    }

    /** @return list<Step> one for each fabric */
    private function cutSteps(): array
    {
        $block = $this->construction->face->block;
        $steps = [];
        foreach ($block->fabrics as $fabric) {
            $patches = array_values(array_filter($this->construction->face->patches, static fn (Patch $patch): bool => $patch->fabric->key === $fabric->key));
            if ($patches === []) {
                continue;
            }
            $cuts = array_filter($this->cutting->cuts ?? [], static fn (Cut $cut): bool => $cut->fabric === $fabric->key);
            $pieces = array_map(fn (Cut $cut): string => $this->cutWords($cut), $cuts);
            $steps[] = new Step(
                StepKind::Cut,
                [],
                self::ids($patches),
                [],
                $fabric->name,
                $pieces === []
                    ? sprintf('Cut %s: %s, each with its allowance all round.', $fabric->name, Words::counted($this->question->blocks * count($patches), 'patch', 'patches'))
                    : sprintf('Cut %s: %s.', $fabric->name, implode('; ', $pieces)),
            );
        }

        return $steps;
    }

    /** "4 squares 3 7/8 in, stack a, cut once corner to corner" */
    private function cutWords(Cut $cut): string
    {
        $unit = $this->construction->face->block->unit->value;
        $size = $cut->width->equals($cut->height) ? $cut->width->toText() : $cut->width->toText().' x '.$cut->height->toText();

        return sprintf('%s %s %s, stack %s%s', Words::counted($cut->count, $cut->shape->value, $cut->shape->value.'s'), $size, $unit, $cut->letter, $cut->then === Then::None ? '' : ', '.$cut->then->value);
    }

    /** @return list<Step> */
    private function pileSteps(): array
    {
        $levels = [];
        foreach ($this->piles() as $pile) {
            $levels[$pile->level][] = $pile;
        }
        ksort($levels);
        $steps = [];
        foreach ($levels as $piles) {
            $tried = array_filter($piles, static fn (Pile $pile): bool => $pile->hasTrial());
            $steps = [...$steps, ...$this->rounds($piles, true), ...array_map($this->trialMeasured(...), array_values($tried)), ...$this->rounds($piles, false)];
            foreach ($piles as $pile) {
                foreach ($pile->classes as $class) {
                    $steps[] = $this->squaredUp($class);
                }
            }
        }

        return $steps;
    }

    /** @return list<Pile> */
    private function piles(): array
    {
        $classes = $this->construction->classes;
        $twins = ClassKinship::twins($classes);
        $piles = [];
        $piled = [];
        foreach ($classes as $class) {
            if (isset($piled[$class->index])) {
                continue;
            }
            $made = $this->madeUnit($class);
            $together = [$class];
            if ($made !== null && isset($twins[$class->index]) && ! $made->way->isEitherHand && $made->way->other > 0) {
                $together[] = $classes[$twins[$class->index]];
            }
            $first = [];
            foreach ($together as $number => $one) {
                $piled[$one->index] = true;
                $inABatch = $made === null || $made->way->isByChoice ? 1 : ($number === 0 ? $made->way->own : $made->way->other);
                $first[$one->index] = min(count($one->members), max(1, $inABatch));
            }
            $rounds = [];
            foreach ($together as $one) {
                foreach (UnitRounds::of($this->construction, $one) as $number => $round) {
                    $rounds[$number] = [...$rounds[$number] ?? [], ...$round];
                }
            }
            $piles[] = new Pile($together, array_values($rounds), $made?->way, $made->batches ?? 0, $first, self::level($class->members[0]), $this->question->blocks);
        }

        return $piles;
    }

    private function madeUnit(UnitClass $class): ?MadeUnit
    {
        $key = ClassKinship::classKey($class->members[0]);
        $hand = ClassKinship::handKey($class->members[0], true);
        foreach ($this->cutting->units ?? [] as $made) {
            if (ClassKinship::classKey($made->unit->first) === $key) {
                return $made;
            }
        }
        // A mirror twin is listed with the other hand.
        foreach ($this->cutting->units ?? [] as $made) {
            if ($made->unit->mirrored > 0 && ClassKinship::handKey($made->unit->first, false) === $hand) {
                return $made;
            }
        }

        return null;
    }

    /** How deep units lie within a unit. */
    private static function level(PlacedUnit $unit): int
    {
        $inner = array_map(static fn (Patch|PlacedUnit $part): int => $part instanceof Patch ? 0 : self::level($part) + 1, $unit->parts);

        return max(0, ...$inner);
    }

    /**
     * Everything sewn and pressed, round by round: all piles at the machine, then all at the iron.
     *
     * @param list<Pile> $piles
     *
     * @return list<Step>
     */
    private function rounds(array $piles, bool $isFirst): array
    {
        $deepest = max(0, ...array_map(static fn (Pile $pile): int => count($pile->rounds), $piles));
        $steps = [];
        for ($round = 0; $round < $deepest; ++$round) {
            $trips = ['mark' => [], 'join' => [], 'cut-apart' => [], 'press' => []];
            foreach ($piles as $pile) {
                if ($pile->joins($round, $isFirst) !== []) {
                    foreach ($this->roundSteps($pile, $round, $isFirst) as $step) {
                        $trips[$step->do->value][] = $step;
                    }
                }
            }
            $steps = [...$steps, ...array_merge(...array_values($trips))];
        }

        return $steps;
    }

    /** @return list<Step> */
    private function roundSteps(Pile $pile, int $round, bool $isFirst): array
    {
        $joins = $pile->joins($round, $isFirst);
        $times = $pile->times($joins, $isFirst);
        $ids = array_map(static fn (Join $join): int => $join->id, $joins);
        $patches = $this->patchesOf($joins);
        $class = $pile->classes[0];
        [$one, $several] = [$this->namedIn($pile, false), $this->namedIn($pile, true)];
        $title = ucfirst($pile->size() === 1 ? $one : $several);
        $label = $pile->classes[0]->label();
        $shown = $this->oneOfEachClass($joins);
        $made = array_map(static fn (Join $join): int => $join->id, $shown);
        $sewn = self::alike(array_map($this->words->sewnWords(...), $shown));
        $steps = [];
        $marking = $pile->way?->marking() ?? [];
        if ($marking !== [] && $round === $pile->way->markedBefore(count($pile->rounds))) {
            $steps[] = new Step(StepKind::Mark, [], $patches, [], $title, implode(' ', $marking), $times, $label);
        }
        $start = match (true) {
            $round > 0 => 'Go on with the '.($pile->size() === 1 ? $one : $several),
            $isFirst && $pile->hasTrial() => sprintf('Start the %s with %s, to be measured before the rest', $several, $pile->isBatch() ? 'one batch' : 'one'),
            $isFirst => sprintf('Start %s', Words::counted($pile->size() * $this->question->blocks, $one, $several)),
            default => 'Now the rest of the '.$several,
        };
        $how = $times === 1 ? 'once' : sprintf('%d times, as a chain that starts on a scrap', $times);
        $steps[] = new Step(
            StepKind::Join,
            $ids,
            $patches,
            $made,
            $title,
            sprintf('%s: %ssew %s, %s.%s%s', $start, $pile->isBatch() && $round === 0 ? $pile->way?->words.'; ' : '', $sewn, $how, $round === 0 ? $this->stackWords($pile) : '', $pile->isCutToShape() ? $this->overhangWords($shown) : ''),
            $times,
            $label,
        );
        if ($pile->isBatch() || $times > 1) {
            $steps[] = new Step(StepKind::CutApart, [], $patches, $made, $title, $pile->isBatch() ? 'Cut the sewn pieces apart, between the seams.' : 'Cut the chain apart.', $pile->isBatch() ? $times : 1, $label);
        }
        $press = $this->pilePressWords($pile, $shown);
        // A batch is cut into its units before they are pressed.
        $pressed = $pile->isBatch() && count($pile->rounds) === 1 && $pile->way !== null ? $times * ($pile->way->own + $pile->way->other) : $times;
        $isFlipped = $pile->way?->key === 'flipped';
        $secondPile = implode('', array_map(fn (UnitClass $class): string => $this->words->secondPileWords($class, $joins), $pile->classes));
        $steps[] = new Step(
            StepKind::Press,
            $ids,
            $patches,
            $made,
            $title,
            sprintf('%sSet the seam flat, open, and press %s.%s%s', $isFlipped ? 'Open and look before you cut off the waste. ' : '', $press, $secondPile, $this->earWords($pile, $round)),
            $pressed,
            $label,
        );

        return $steps;
    }

    /**
     * "toward Ink"; where the two hands of a pile are pressed unlike, each with its label.
     *
     * @param non-empty-list<Join> $shown
     */
    private function pilePressWords(Pile $pile, array $shown): string
    {
        $words = [];
        foreach ($pile->classes as $class) {
            $joins = array_filter($shown, static fn (Join $join): bool => $join->tie?->unitClass === $class->index);
            if ($joins !== []) {
                $words[$class->label()] = self::alike(array_values(array_map($this->words->unitPressWords(...), $joins)));
            }
        }

        return count(array_unique($words)) === 1
            ? array_values($words)[0]
            : Words::listed(array_map(static fn (string $label, string $press): string => sprintf('%s (%s)', $press, $label), array_keys($words), $words));
    }

    /** Which stacks of cut pieces the units of a pile are made from. */
    private function stackWords(Pile $pile): string
    {
        $labels = array_map(static fn (UnitClass $class): string => $class->label(), $pile->classes);
        $letters = [];
        foreach ($this->cutting->cuts ?? [] as $cut) {
            if (array_intersect($cut->for, $labels) !== []) {
                $letters[] = $cut->letter;
            }
        }

        return match (count($letters)) {
            0 => '',
            1 => sprintf(' Take stack %s.', $letters[0]),
            default => sprintf(' Take stacks %s.', Words::listed($letters)),
        };
    }

    /**
     * Said once where all are alike: the step says how many times.
     *
     * @param list<string> $items
     */
    private static function alike(array $items): string
    {
        return count(array_unique($items)) === 1 ? $items[0] : Words::tallied($items);
    }

    /** @param list<Join> $joins */
    private function overhangWords(array $joins): string
    {
        return array_filter($joins, $this->hangsOver(...)) === [] ? '' : ' Begin where the two raw edges make the V.';
    }

    private function hangsOver(Join $join): bool
    {
        return array_filter($this->sheets[$join->id]->allowances, static fn (array $end): bool => abs($end[0] - $end[1]) > 1e-9) !== [];
    }

    /** Whether an edge beside the seam slants, so that the allowance sticks out beyond it. */
    private function hasEars(Join $join): bool
    {
        $block = $this->construction->face->block;

        return max(array_merge(...$this->sheets[$join->id]->allowances)) > $block->seamAllowance->in($block->unit)->toFloat() + 1e-9;
    }

    /** Ears come off where the next seam runs over them, and stay where they are what the next piece is laid to. */
    private function earWords(Pile $pile, int $round): string
    {
        $next = $pile->rounds[$round + 1] ?? [];
        if ($next === [] || ! $pile->isCutToShape() || array_filter($pile->rounds[$round], $this->hasEars(...)) === []) {
            return '';
        }

        return array_filter($next, $this->hangsOver(...)) === [] ? ' Clip the dog ears: the next seam runs over them.' : ' Leave the ears that hang over: the next piece is laid to them.';
    }

    /**
     * One unit of each class shows what is done to all.
     *
     * @param list<Join> $joins
     *
     * @return non-empty-list<Join>
     */
    private function oneOfEachClass(array $joins): array
    {
        $member = [];
        foreach ($joins as $join) {
            $class = $join->tie->unitClass ?? -1;
            $member[$class] = min($member[$class] ?? PHP_INT_MAX, $join->tie->member ?? 0);
        }
        $shown = array_values(array_filter($joins, static fn (Join $join): bool => $join->tie !== null && $member[$join->tie->unitClass] === $join->tie->member));

        return $shown === [] ? throw new \LogicException('A round without joins is no round.') : $shown;
    }

    private function trialMeasured(Pile $pile): Step
    {
        $class = $pile->classes[0];
        $sets = array_map(self::patchIds(...), array_slice($class->members, 0, $pile->first[$class->index]));
        $size = $this->rawSize($class->members[0]);

        return new Step(
            StepKind::Measure,
            [],
            array_merge(...$sets),
            [],
            ucfirst($this->named($class, false)),
            sprintf('Measure the first %s before you sew the others: at least %s x %s %s.', $this->named($class, false), $size[0], $size[1], $this->construction->face->block->unit->value),
            1,
            $class->label(),
            $sets,
            $size,
        );
    }

    private function squaredUp(UnitClass $class): Step
    {
        $sets = array_map(self::patchIds(...), $class->members);
        $size = $this->rawSize($class->members[0]);
        [$one, $several] = [$this->named($class, false), $this->named($class, true)];
        $count = count($class->members) * $this->question->blocks;

        return new Step(
            StepKind::SquareUp,
            [],
            array_merge(...$sets),
            [],
            ucfirst($count === 1 ? $one : $several),
            sprintf('Square up %s to %s x %s %s and take the dog ears off.', Words::counted($count, $one, $several), $size[0], $size[1], $this->construction->face->block->unit->value),
            $count,
            $class->label(),
            $sets,
            $size,
        );
    }

    /** What the units of a pile are called. */
    private function namedIn(Pile $pile, bool $isSeveral): string
    {
        $unit = $pile->classes[0]->members[0]->cell->unit;

        return count($pile->classes) > 1 ? ($isSeveral ? $unit->plural() : $unit->name()).' of both hands' : $this->named($pile->classes[0], $isSeveral);
    }

    /** What a unit is called; with its raw size, or its label, where others are called the same. */
    private function named(UnitClass $class, bool $isSeveral): string
    {
        $unit = $class->members[0]->cell->unit;
        $name = $isSeveral ? $unit->plural() : $unit->name();
        $same = array_filter($this->construction->classes, static fn (UnitClass $other): bool => $other !== $class && $other->members[0]->cell->unit->name() === $unit->name());
        if ($same === []) {
            return $name;
        }
        $size = $this->rawSize($class->members[0]);
        $isSameSize = array_filter($same, fn (UnitClass $other): bool => $this->rawSize($other->members[0]) === $size) !== [];

        return sprintf('%s (%s)', $name, $isSameSize ? $class->label() : implode(' x ', $size));
    }

    /** @return array{string, string} raw, in the unit's own frame */
    private function rawSize(PlacedUnit $unit): array
    {
        $corner = $unit->outline->corner();
        $size = [0, 0];
        foreach ($unit->outline->points as $point) {
            $size = [max($size[0], $point->x - $corner->x), max($size[1], $point->y - $corner->y)];
        }
        $block = $this->construction->face->block;
        $two = $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
        [$width, $height] = $unit->placement->turn->swapsSides() ? [$size[1], $size[0]] : $size;
        $steps = $this->construction->face->lattice->steps;

        return [Fraction::of($width, $steps)->plus($two)->toText(), Fraction::of($height, $steps)->plus($two)->toText()];
    }

    /** @return list<Step> */
    private function layOutSteps(): array
    {
        $turns = $this->words->turnWords();

        return [new Step(
            StepKind::LayOut,
            [],
            self::ids($this->construction->face->patches),
            [],
            'Lay out',
            'Lay the whole block out, face up, and compare it with the picture: every unit, its turn, which fabric lies where.'.($turns === '' ? '' : ' '.$turns).($this->question->blocks > 1 ? ' A block you have not made before is best sewn to its end once, and looked at, before the others.' : ''),
            $this->question->blocks,
        )];
    }

    /**
     * Rows, then what is made of rows, then the block itself.
     *
     * @return list<Step>
     */
    private function stripSteps(): array
    {
        $open = array_filter($this->construction->strands, static fn (Strand $strand): bool => $strand->depth > 0);
        $steps = [];
        while ($open !== []) {
            $waiting = array_merge(...array_map(static fn (Strand $strand): array => $strand->joins, $open));
            $ready = array_values(array_filter($open, static fn (Strand $strand): bool => array_intersect(self::joinsUnder($strand), $waiting) === []));
            $steps = [...$steps, ...$this->wave($ready)];
            $open = array_filter($open, static fn (Strand $strand): bool => ! in_array($strand, $ready, true));
        }
        foreach ($this->construction->strands as $strand) {
            if ($strand->depth === 0) {
                $steps = [...$steps, ...$this->lastJoins($strand)];
            }
        }

        return $steps;
    }

    /** @return list<int> ids of the joins that made its parts */
    private static function joinsUnder(Strand $strand): array
    {
        $ids = [];
        $look = static function (mixed $part) use (&$look, &$ids): void {
            if ($part instanceof Join) {
                $ids[] = $part->id;
                array_map($look, $part->children());
            }
        };
        array_map($look, $strand->parts);

        return $ids;
    }

    /**
     * @param list<Strand> $strands that can be sewn side by side
     *
     * @return list<Step>
     */
    private function wave(array $strands): array
    {
        $sewn = $this->chain === Chain::Webbed && count($strands) > 1 ? $this->webbed($strands) : array_map($this->sewnStrand(...), $strands);
        [$checked, $pressed, $measured] = [[], [], []];
        foreach ($strands as $strand) {
            $joins = $this->joinsOf($strand);
            $title = $this->titleOf($strand);
            $points = array_sum(array_map(static fn (Join $join): int => count($join->matchPoints()), $joins));
            $patches = $this->patchesOf($joins);
            $last = max($strand->joins);
            if ($points > 0) {
                $checked[] = new Step(StepKind::Check, [], $patches, [$last], $title, $this->checkWords($points), $this->question->blocks);
            }
            $pressed[] = new Step(StepKind::Press, $strand->joins, $patches, [$last], $title, $this->words->pressWords($joins, 'its first unit', 'its last unit'), count($joins) * $this->question->blocks);
            $measured[] = $this->measured($last, $title);
        }

        return [...$sewn, ...$checked, ...$pressed, ...$measured];
    }

    private function sewnStrand(Strand $strand): Step
    {
        $joins = $this->joinsOf($strand);
        $title = $this->titleOf($strand);

        return new Step(
            StepKind::Join,
            $strand->joins,
            $this->patchesOf($joins),
            [max($strand->joins)],
            $title,
            sprintf('Sew %s: flip each unit onto the one before it, right sides together, and sew %s between them, %s%s.', lcfirst($title), $this->edgeWords($joins), Words::counted(count($joins), 'seam', 'seams'), $this->inAllBlocks(count($joins) > 1)),
            count($joins) * $this->question->blocks,
        );
    }

    /**
     * @param list<Strand> $strands
     *
     * @return list<Step>
     */
    private function webbed(array $strands): array
    {
        $steps = [];
        $longest = max(0, ...array_map(static fn (Strand $strand): int => count($strand->joins), $strands));
        $names = $this->construction->order->stripName($strands[0]->depth).'s';
        for ($i = 0; $i < $longest; ++$i) {
            $joins = [];
            foreach ($strands as $strand) {
                if (isset($strand->joins[$i])) {
                    $joins[] = $this->construction->joins[$strand->joins[$i]];
                }
            }
            $ids = array_map(static fn (Join $join): int => $join->id, $joins);
            $steps[] = new Step(
                StepKind::Join,
                $ids,
                $this->patchesOf($joins),
                $ids,
                ucfirst($names),
                sprintf('Sew unit %d onto %s in all %s, one after the other; %s.', $i + 2, $i === 0 ? 'the first' : 'what is sewn', $names, $i + 1 < $longest ? 'leave the threads between them uncut' : 'the threads between them keep the '.$names.' in order'),
                count($joins) * $this->question->blocks,
            );
        }

        return $steps;
    }

    /** @return list<Step> */
    private function lastJoins(Strand $strand): array
    {
        $name = $this->construction->order->stripName(1);
        $steps = [];
        foreach ($this->joinsOf($strand) as $i => $join) {
            $sewn = $name.($i > 0 ? 's ' : ' ').Words::span(1, $i + 1);
            $next = $name.' '.($i + 2);
            $title = ucfirst($name).'s '.Words::span(1, $i + 2);
            $points = count($join->matchPoints());
            $common = [$join->patchIds(), [$join->id], $title];
            $steps[] = new Step(StepKind::Join, [$join->id], ...$common, text: sprintf(
                'Flip %s onto %s, right sides together, and sew%s%s.',
                $next,
                $sewn,
                $points === 0 ? '' : sprintf(', matching %s', Words::counted($points, 'crossing', 'crossings')),
                $this->inAllBlocks(false),
            ), times: $this->question->blocks);
            if ($points > 0) {
                $steps[] = new Step(StepKind::Check, [], ...$common, text: $this->checkWords($points), times: $this->question->blocks);
            }
            $steps[] = new Step(StepKind::Press, [$join->id], ...$common, text: $this->words->pressWords([$join], $sewn, $next), times: $this->question->blocks);
            if ($join !== $this->construction->root) {
                $steps[] = $this->measured($join->id, $title);
            }
        }

        return $steps;
    }

    /** How several blocks are chained. */
    private function inAllBlocks(bool $hasSeveralSeams): string
    {
        $blocks = $this->question->blocks;

        return $blocks === 1 ? '' : sprintf(' in each of the %d blocks: %s', $blocks, $hasSeveralSeams ? 'the first of every block in one chain, then the next' : 'all of them in one chain');
    }

    private function checkWords(int $points): string
    {
        return sprintf('Open it and look at the face. %s well enough to leave, or do you unpick a few stitches?', $points === 1 ? 'Does the crossing meet' : sprintf('Do all %d crossings meet', $points));
    }

    private function measured(int $join, string $title): Step
    {
        $made = $this->construction->joins[$join];
        $size = array_map(Amount::text(...), Remedy::rawSize($this->plan, $join));

        return new Step(
            StepKind::Measure,
            [],
            $made->patchIds(),
            [$join],
            $title,
            sprintf('Measure %s: %s x %s %s from raw edge to raw edge.', lcfirst($title), $size[0], $size[1], $this->construction->face->block->unit->value),
            $this->question->blocks,
            sets: [$made->patchIds()],
            size: $size,
        );
    }

    /** @return non-empty-list<Step> */
    private function lastSteps(): array
    {
        $block = $this->construction->face->block;
        $two = $block->seamAllowance->times(2);
        $size = [$block->finishedWidth->plus($two)->in($block->unit)->toText(), $block->finishedHeight->plus($two)->in($block->unit)->toText()];
        $patches = self::ids($this->construction->face->patches);
        $asked = sprintf('%s x %s %s', $size[0], $size[1], $block->unit->value);

        return [
            new Step(StepKind::SquareUp, [], $patches, [], 'The block', sprintf('Square up the block to %s: straight edges, and not into the allowance of a point.', $asked), $this->question->blocks, sets: [$patches], size: $size),
            new Step(StepKind::Measure, [], $patches, [], 'The block', sprintf('Measure the block: %s from raw edge to raw edge.', $asked), $this->question->blocks, sets: [$patches], size: $size),
        ];
    }

    /** @param list<Join> $joins */
    private function edgeWords(array $joins): string
    {
        $isUpright = static fn (Join $join): bool => $join->seam->from->x === $join->seam->to->x;
        $isLevel = static fn (Join $join): bool => $join->seam->from->y === $join->seam->to->y;

        return match (true) {
            array_filter($joins, $isUpright) === $joins => 'the upright edge',
            array_filter($joins, $isLevel) === $joins => 'the level edge',
            default => 'the edge',
        };
    }

    private function titleOf(Strand $strand): string
    {
        return ucfirst($this->construction->order->stripName($strand->depth)).' '.$strand->number;
    }

    /** @return non-empty-list<Join> */
    private function joinsOf(Strand $strand): array
    {
        return array_map(fn (int $id): Join => $this->construction->joins[$id], $strand->joins);
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

    /** @return list<int> */
    private static function patchIds(PlacedUnit $unit): array
    {
        return self::ids($unit->patches());
    }

    /**
     * @param list<Patch> $patches
     *
     * @return list<int>
     */
    private static function ids(array $patches): array
    {
        return array_map(static fn (Patch $patch): int => $patch->id, $patches);
    }
}
