<?php

declare(strict_types=1);

namespace App\Workings;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\ChosenBuilds;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;

/**
 * What WorkingOut is to a block of the shelf, for a file that stands on none: each part is worked out when it is first
 * asked for, once, and nothing is kept.
 */
final class WorkedFile
{
    private ?Construction $drawn = null;

    private ?Construction $sewn = null;

    private ?CuttingPlan $cutting = null;

    /** @param \Closure(): bool $timeIsUp for the search and the comparing of ways together */
    public function __construct(
        private readonly Block $block,
        private readonly Order $order,
        private readonly CutQuestion $question,
        private readonly PressQuestion $press,
        private readonly \Closure $timeIsUp,
    ) {}

    /** Taken apart along the seams it is drawn with. */
    public function drawn(): Construction
    {
        return $this->drawn ??= Construction::of(Face::of($this->block), $this->order);
    }

    public function cutting(): CuttingPlan
    {
        return $this->cutting ??= CuttingPlan::of($this->drawn(), $this->question);
    }

    /** As it is sewn in the ways that were asked for, which may give units other seams than drawn. */
    public function sewn(): Construction
    {
        return $this->sewn ??= $this->question->choosesUnits() ? ChosenBuilds::sewn($this->drawn(), $this->cutting(), $this->press, $this->timeIsUp) : $this->drawn();
    }

    /** The best plan for how it is to be pressed, with two piles for these unit classes besides. */
    public function plan(int ...$twoPiles): PressingPlan
    {
        return (new PressingPlanner($this->sewn()))->best(array_reduce($twoPiles, static fn (PressQuestion $question, int $class): PressQuestion => $question->withTwoPiles($class), $this->press), $this->timeIsUp);
    }
}
