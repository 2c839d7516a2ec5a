<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\SeamWords;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Listed;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\InnerTrim;
use KeenSeam\Core\Making\KnownUnit;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\StageKind;
use KeenSeam\Core\Making\StripSet;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;

/**
 * Making the units of a block: one of a kind first, measured, then the rest; all that is done at one place together.
 *
 * @internal
 */
final readonly class UnitSteps
{
    private Construction $construction;

    private SeamWords $words;

    private UnitNames $names;

    private Ears $ears;

    private RawEdges $edges;

    private SquaringUp $squaringUp;

    /** @param CuttingPlan|null $cutting null where nothing is known of how units are made */
    public function __construct(
        private PressingPlan $plan,
        private ?CuttingPlan $cutting,
        private int $blocks,
        private SquareUp $squareUp = SquareUp::Units,
    ) {
        $this->construction = $plan->construction;
        $this->words = new SeamWords($plan);
        $this->names = new UnitNames($this->construction);
        $this->edges = new RawEdges($this->construction);
        $this->ears = new Ears($this->construction, $this->edges);
        $this->squaringUp = new SquaringUp($this->construction, $cutting, $blocks, $this->names, $this->ears);
    }

    /** @return list<Step> */
    public function all(): array
    {
        $levels = [];
        foreach ((new Piles($this->construction, $this->cutting, $this->blocks))->all() as $pile) {
            $levels[$pile->level][] = $pile;
        }
        ksort($levels);
        $steps = [];
        foreach ($levels as $piles) {
            $tried = array_filter($piles, static fn (Pile $pile): bool => $pile->hasTrial());
            $steps = [...$steps, ...$this->rounds($piles, true), ...array_map($this->squaringUp->trialMeasured(...), array_values($tried)), ...$this->rounds($piles, false)];
            foreach ($piles as $pile) {
                foreach ($pile->classes as $class) {
                    // A block of one unit is squared up as the block.
                    if ($this->squareUp === SquareUp::Units && count($class->members[0]->patches()) < count($this->construction->face->patches)) {
                        $steps[] = $this->squaringUp->of($class, $pile);
                    }
                }
            }
        }

        return $steps;
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
        $deepest = max([0, ...array_map(static fn (Pile $pile): int => count($pile->rounds), $piles)]);
        $steps = [];
        for ($round = 0; $round < $deepest; ++$round) {
            // Sets of strips are cut across once they are pressed.
            $trips = ['mark' => [], 'join' => [], 'cut-apart' => [], 'press' => [], 'cut across' => [], 'square-up' => []];
            foreach ($piles as $pile) {
                $before = null;
                foreach ($pile->joins($round, $isFirst) === [] ? [] : $this->roundSteps($pile, $round, $isFirst) as $step) {
                    $trips[$step->do === StepKind::CutApart && $before === StepKind::Press ? 'cut across' : $step->do->value][] = $step;
                    $before = $step->do;
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
        $times = $pile->times($joins, $round, $isFirst);
        $ids = array_map(static fn (Join $join): int => $join->id, $joins);
        $patches = PatchIds::ofJoins($joins);
        [$one, $several] = [$this->names->ofPile($pile, false), $this->names->ofPile($pile, true)];
        $these = $pile->size() * $this->blocks === 1 ? $one : $several;
        $title = ucfirst($these);
        $shown = $this->oneOfEachClass($joins);
        $made = array_map(static fn (Join $join): int => $join->id, $shown);
        $isTrial = $isFirst && $pile->hasTrial();
        $template = new Step(StepKind::Mark, [], $patches, [], $title, '', 1, $pile->classes[0]->label(), way: $pile->way?->key);
        $step = fn (StepKind $do, StageKind $stage, string $text, int $times): Step => $template->doing($do, $stage, $text, $times, match (true) {
            $isTrial => $times,
            // Where the seams of a block do not part the first batch from the others, it is still made first.
            $isFirst && $pile->isBatch() && $pile->batches > 1 => max(1, intdiv($times, $pile->batches)),
            default => null,
        }, $do === StepKind::CutApart && ! $pile->isBatch() ? [] : $pile->stages($stage, $round));
        if ($pile->isFromStrips() && $round === 0) {
            return $this->stripSteps($pile, $template, $joins);
        }
        $steps = [];
        [$marks, $drawn] = $this->marks($pile, $joins, $round, $isFirst);
        if ($marks !== '') {
            $steps[] = $step(StepKind::Mark, StageKind::Mark, $marks, $drawn);
        }
        $start = match (true) {
            $round > 0 => 'Go on with the '.($isTrial && ! $pile->isBatch() ? 'first '.$one : $these),
            $isTrial => sprintf('Start the %s with %s, to be measured before the rest', $several, $pile->isBatch() ? 'one batch' : 'one'),
            $isFirst => sprintf('Start %s', Words::counted($pile->size() * $this->blocks, $one, $several)),
            default => 'Now the rest of the '.$several,
        };
        $steps[] = $step(
            StepKind::Join,
            StageKind::Sew,
            sprintf('%s: %s%s%s', $start, $this->sewWords($pile, $shown, $round, $times, $isTrial), $round === 0 ? $this->stackWords($pile).$this->words->turnWordsWithin($pile->classes) : '', $pile->isCutToShape() ? $this->ears->overhangWords($shown).$this->feedWords($shown, $times > 1) : ''),
            $times,
        )->with($ids, $made);
        if ($pile->isBatch() || $times > 1) {
            $cuts = $pile->isBatch() ? array_unique(array_map(static fn (Stage $stage): string => $stage->words, $pile->way?->stagesOf(StageKind::Cut, $round) ?? [])) : [];
            $steps[] = $step(StepKind::CutApart, StageKind::Cut, match (true) {
                ! $pile->isBatch() => 'Cut the chain apart.',
                $cuts === [] || ! $pile->followsStages() => 'Cut the sewn pieces apart, between the seams.',
                default => implode(' ', $cuts),
            }, $pile->isBatch() ? max(1, $pile->times($joins, $round, $isFirst, StageKind::Cut)) : 1)->with([], $made);
        }
        $isFlipped = $pile->way?->key === 'flipped';
        $secondPile = implode('', array_map(fn (UnitClass $class): string => $this->words->secondPileWords($class, $joins), $pile->classes));
        $steps[] = $step(
            StepKind::Press,
            StageKind::Press,
            sprintf('%s%s.%s%s%s', $isFlipped ? 'Open and look before you cut off the waste. ' : '', self::flat('seam', $this->pilePressWords($pile, $shown)), $secondPile, $this->ears->words($pile, $round), $this->trimWords($pile, $joins)),
            $pile->isBatch() ? max(1, $pile->times($joins, $round, $isFirst, StageKind::Press)) : $times,
        )->with($ids, $made);

        return [...$steps, ...$this->squaringUp->within($pile, $joins)];
    }

    /**
     * The strips of all sets, sewn lengthwise and cut across. They are pressed before they are cut, unless rows that are cut
     * from one set are pressed unlike.
     *
     * @param list<Join> $joins within the rows
     *
     * @return list<Step>
     */
    private function stripSteps(Pile $pile, Step $template, array $joins): array
    {
        $shown = $this->oneOfEachClass($joins);
        [$ids, $made] = array_map(static fn (array $of): array => array_map(static fn (Join $join): int => $join->id, $of), [$joins, $shown]);
        $labels = array_map(static fn (UnitClass $class): string => $class->label(), $pile->classes);
        $sets = array_values(array_map(static fn (array $strip): StripSet => $strip['set'], array_filter($this->cutting->strips ?? [], static fn (array $strip): bool => array_intersect($strip['for'], $labels) !== [])));
        $count = array_sum(array_map(static fn (StripSet $set): int => $set->sets(), $sets));
        $seams = array_sum(array_map(static fn (StripSet $set): int => $set->seamCount(), $sets));
        $press = [];
        foreach ($shown as $join) {
            [$left, $right] = $sides = Words::sides($join);
            sort($sides);
            $toward = match ($this->plan->pressing->of($join)[0]) {
                PressDirection::Left => $left,
                PressDirection::Right => $right,
                PressDirection::Open => '',
            };
            $press[implode(' ', $sides)][$toward] = true;
        }
        $isAlike = array_filter($press, static fn (array $ways): bool => count($ways) > 1) === [];
        $step = fn (StepKind $do, StageKind $stage, int $round, string $text, int $times): Step => $template->doing($do, $stage, $text, max(1, $times), null, $pile->way?->stagesOf($stage, $round) ?? []);
        [$one, $several] = [$this->names->ofPile($pile, false), $this->names->ofPile($pile, true)];
        $sewn = $step(StepKind::Join, StageKind::Sew, 0, sprintf('Start %s: sew the strips of %s together lengthwise, every other seam from the other end.%s', Words::counted($pile->size() * $this->blocks, $one, $several), $count === 1 ? 'the set' : sprintf('each of the %d sets', $count), $this->stackWords($pile)), $seams)->with($ids, $made);
        $cut = $step(StepKind::CutApart, StageKind::Cut, 1, implode(' ', array_map(static fn (StripSet $set): string => $set->cutWords(), $sets)), $count)->with([], $made);
        $pressed = $step(StepKind::Press, StageKind::Press, 1, self::flat($seams === 1 ? 'seam' : 'seams', $this->pilePressWords($pile, $shown)).'.', $isAlike ? $seams : count($joins) * $this->blocks)->with($ids, $made);

        return $isAlike ? [$sewn, $pressed, $cut] : [$sewn, $cut, $pressed];
    }

    /**
     * Which part lies on top and which end goes in first, said once where it is so of all.
     *
     * @param non-empty-list<Join> $shown
     */
    private function feedWords(array $shown, bool $isChain): string
    {
        $ideal = $this->construction->face->block->seamAllowance->in($this->construction->face->block->unit)->times(Fraction::of(2));
        $words = [];
        foreach ($shown as $join) {
            $words[] = Hold::feed(Drift::at($this->plan, $ideal, $this->squareUp, $join, [], $this->edges)->sheets[0], Words::sides($join), $isChain);
        }
        $common = array_values(array_intersect(...$words));

        return implode('', array_map(static fn (string $one): string => ' '.$one, $common));
    }

    /**
     * Lines that are drawn before a round is sewn: across a seam only when that seam is pressed.
     *
     * @param list<Join> $joins of the round
     *
     * @return array{string, int} nothing where none is drawn; and on how many pieces
     */
    private function marks(Pile $pile, array $joins, int $round, bool $isFirst): array
    {
        // Where corners share a trip their squares are all marked before the first.
        $byRound = $pile->followsStages();
        $stages = $byRound || $round === 0 ? ($pile->way?->stagesOf(StageKind::Mark, $byRound ? $round : null) ?? []) : [];
        $words = implode(' ', array_unique(array_map(static fn (Stage $stage): string => $stage->words, $stages)));
        if ($words === '') {
            return ['', 0];
        }
        if ($pile->isBatch() && $byRound) {
            return [$words, max(1, $pile->times($joins, $round, $isFirst, StageKind::Mark))];
        }
        $units = $pile->hasTrial() ? ($isFirst ? array_sum($pile->first) : $this->blocks * $pile->size() - array_sum($pile->first)) : $this->blocks * $pile->size();

        return [$words, $units * array_sum(array_map(static fn (Stage $stage): int => $stage->count, $stages))];
    }

    /**
     * What goes under the needle, and how often.
     *
     * @param non-empty-list<Join> $shown
     */
    private function sewWords(Pile $pile, array $shown, int $round, int $times, bool $isTrial): string
    {
        $sewn = self::alike(array_map($this->words->sewnWords(...), $shown));
        if ($pile->isBatch() && $pile->followsStages()) {
            $how = array_unique(array_map(static fn (Stage $stage): string => $stage->words, $pile->way?->stagesOf(StageKind::Sew, $round) ?? []));

            return sprintf('%s%s, %s. %s', $round === 0 ? $pile->way?->words.'; ' : '', $sewn, Words::counted($times, 'pair', 'pairs'), implode(' ', $how));
        }
        $how = match (true) {
            $times === 1 => 'once',
            $isTrial => sprintf('%d seams on the one', $times),
            default => sprintf('%d times, as a chain that starts on a scrap', $times),
        };

        return sprintf('sew %s, %s.', $sewn, $how);
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
            : Listed::of(array_map(static fn (string $label, string $press): string => sprintf('%s (%s)', $press, $label), array_keys($words), $words));
    }

    /** At the iron: first as it was sewn, then to the side. */
    private static function flat(string $seam, string $press): string
    {
        return $press === 'open' ? sprintf('Set the %s flat, and press %s open', $seam, $seam === 'seam' ? 'it' : 'them') : sprintf('Set the %s flat, open, and press %s', $seam, $press);
    }

    /** Which stacks of cut pieces the units of a pile are made from. */
    private function stackWords(Pile $pile): string
    {
        $labels = array_map(static fn (UnitClass $class): string => $class->label(), $pile->classes);
        $plain = array_merge(...array_map(self::plainIn(...), array_merge(...array_map(static fn (UnitClass $class): array => $class->members, $pile->classes))));
        $letters = [];
        foreach ($this->cutting->cuts ?? [] as $cut) {
            // "U2.1" is a part of U2.
            if (array_intersect($plain, $cut->patches) !== [] || array_intersect(array_map(static fn (string $for): string => explode('.', $for)[0], $cut->for), $labels) !== []) {
                $letters[] = $cut->letter;
            }
        }

        return match (count($letters)) {
            0 => '',
            1 => sprintf(' Take stack %s.', $letters[0]),
            default => sprintf(' Take stacks %s.', Listed::of($letters)),
        };
    }

    /** @return list<int> ids of plain patches that lie in a small grid by themselves */
    private static function plainIn(PlacedUnit $grid): array
    {
        $plain = array_filter($grid->parts, static fn (Patch|PlacedUnit $part): bool => $part instanceof PlacedUnit && count($part->patches()) === 1);

        return array_merge(...array_map(PatchIds::ofUnit(...), array_values($plain)));
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

    /**
     * An edge that several patches make is trimmed straight before the next seam runs along it.
     *
     * @param list<Join> $joins
     */
    private function trimWords(Pile $pile, array $joins): string
    {
        if (! $pile->isCutToShape()) {
            return '';
        }
        $ofPile = array_merge(...$pile->rounds);
        // Known units within a drawn one are squared up whole.
        $isTrimmed = array_filter($joins, static fn (Join $join): bool => InnerTrim::isNeededAfter($join, $ofPile) && KnownUnit::of($join) === null);

        return $isTrimmed === [] ? '' : ' '.InnerTrim::WORDS;
    }
}
