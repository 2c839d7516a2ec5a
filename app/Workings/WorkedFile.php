<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\ChosenBuilds;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Making\Margins;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rules;

/**
 * What WorkingOut is to a block of the shelf, for a file that stands on none: each part is worked out when it is first
 * asked for, once, and nothing is kept. What is asked wins over what the file keeps, and that over what is usual.
 */
final class WorkedFile
{
    /** @var list<string> what the file keeps and its block has no place for any more, in sentences */
    public array $leftOut = [];

    private ?Construction $drawn = null;

    private ?Construction $sewn = null;

    private ?CuttingPlan $cutting = null;

    private ?CutQuestion $fullQuestion = null;

    /** @param \Closure(): bool $timeIsUp for the search and the comparing of ways together */
    public function __construct(
        private readonly Block $block,
        private readonly FilePlan $kept,
        private readonly ?ChosenOrder $order,
        private readonly CutQuestion $question,
        private readonly PressAsked $press,
        private readonly \Closure $timeIsUp,
    ) {}

    /** Taken apart along the seams it is drawn with. */
    public function drawn(): Construction
    {
        if ($this->drawn === null) {
            $face = Face::of($this->block);
            $kept = $this->order === null ? $this->kept : new FilePlan();
            [$this->drawn, $leftOut] = $this->order === null
                ? $kept->takenApart(static fn (ChosenOrder $order): Construction => Construction::of($face, $order))
                : [Construction::of($face, $this->order), []];
            array_push($this->leftOut, ...$leftOut);
        }

        return $this->drawn;
    }

    public function cutting(): CuttingPlan
    {
        return $this->cutting ??= CuttingPlan::of($this->drawn(), $this->question());
    }

    /** How it is cut and made, with what the file keeps of it. */
    public function question(): CutQuestion
    {
        return $this->fullQuestion ??= $this->withKept($this->question);
    }

    /** As it is sewn in the ways that were asked for, which may give units other seams than drawn. */
    public function sewn(): Construction
    {
        return $this->sewn ??= $this->question()->choosesUnits() ? ChosenBuilds::sewn($this->drawn(), $this->cutting(), $this->questionOfPressing($this->press->locks), $this->timeIsUp) : $this->drawn();
    }

    public function style(): PressStyle
    {
        return $this->press->style ?? $this->kept->style ?? PressStyle::Nest;
    }

    /** The best plan for how it is to be pressed, with two piles for these unit classes besides. */
    public function plan(int ...$twoPiles): PressingPlan
    {
        $locks = $this->locks();
        [$kept, $noUnits] = $this->kept->twoPiles(SeamPlaces::of($this->sewn()));
        array_push($this->leftOut, ...$noUnits);
        $question = array_reduce(array_unique([...$kept, ...$twoPiles]), static fn (PressQuestion $question, int $class): PressQuestion => $question->withTwoPiles($class), $this->questionOfPressing($locks));

        return (new PressingPlanner($this->sewn()))->best($question, $this->timeIsUp);
    }

    /**
     * What is asked of single seams and in rules, and below it what the file keeps.
     *
     * @return list<Lock>
     *
     * @throws \KeenSeam\Core\KeenSeamProblem when a rule or a lock that is asked fits no seam
     */
    public function locks(): array
    {
        $sewn = $this->sewn();
        foreach ($this->press->locks as $lock) {
            $lock->joinIn($sewn);
        }
        $own = $this->press->rules === [] ? $this->press->locks : (new Rules($sewn))->locks($this->press->rules, new Locks($sewn, $this->press->locks));
        [$locks, $leftOut] = $this->kept->pressing($sewn, SeamPlaces::of($sewn), $own);
        array_push($this->leftOut, ...$leftOut);

        return $locks;
    }

    /** @param list<Lock> $locks */
    private function questionOfPressing(array $locks): PressQuestion
    {
        return new PressQuestion($this->style(), $locks, $this->press->lump ?? $this->kept->lump ?? PressQuestion::LUMP, equalParts: $this->press->equalParts);
    }

    private function withKept(CutQuestion $asked): CutQuestion
    {
        if ($this->kept->ways === [] && $this->kept->builds === [] && $this->kept->margins === []) {
            return $asked;
        }
        $places = SeamPlaces::of($this->drawn());
        $plain = CuttingPlan::of($this->drawn(), new CutQuestion($asked->blocks, $asked->preference, marks: $asked->marks, usableWidth: $asked->usableWidth));
        [$ways, $builds, $margins, $stacks, $leftOut] = $this->kept->making($plain, $places);
        array_push($this->leftOut, ...$leftOut);

        return new CutQuestion(
            $asked->blocks,
            $asked->preference,
            $asked->ways + $ways,
            new Margins($asked->margins->habit, $asked->margins->isForSewnSquares, $asked->margins->units + $margins, $asked->margins->stacks + $stacks),
            $asked->marks,
            $asked->usableWidth,
            $asked->builds + $builds,
        );
    }
}
