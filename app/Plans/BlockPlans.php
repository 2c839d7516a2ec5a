<?php

declare(strict_types=1);

namespace App\Plans;

use App\BlockFiles\BlockFileReader;
use App\Cutting\CuttingChoices;
use App\Models\ShelfBlock;
use Illuminate\Contracts\Cache\Repository;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\ChosenBuilds;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PlanMemory;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;

/** Asks core for the plans of a block on the shelf. */
final readonly class BlockPlans
{
    /** Seconds a screen waits for the best plan of a very large block. */
    private const PATIENCE = 8.0;

    /** Units of one class that are sorted into two piles one by one. */
    private const MOST_TO_SPLIT = 16;

    public function __construct(
        private BlockFileReader $reader,
        private Repository $cache,
    ) {}

    public function face(ShelfBlock $block): Face
    {
        return Face::of($this->block($block));
    }

    public function block(ShelfBlock $block): Block
    {
        return $this->reader->readAgain($block->document);
    }

    /**
     * Taken apart along the seams it is drawn with; chosen ways may give it others.
     *
     * @throws KeenSeamProblem when the block cannot be sewn in its order
     */
    public function drawn(ShelfBlock $block): Construction
    {
        return Construction::of($this->face($block), $block->order);
    }

    /** What was worked out about the block's file before. */
    public function memory(ShelfBlock $block): PlanMemory
    {
        return CachedPlans::of($this->cache, $block->document);
    }

    public function locks(ShelfBlock $block): Locks
    {
        return new Locks($this->construction($block), $block->locksNow());
    }

    /**
     * What is saved with a new file for the block: what was said of its seams and steps holds only while it is sewn
     * along the same seams in the same order.
     *
     * @return array<string, mixed>
     */
    public function changesWith(ShelfBlock $block, string $name, string $document): array
    {
        return $this->kept($block, ['name' => $name, 'document' => $document]);
    }

    /**
     * The same for how it is made.
     *
     * @return array<string, mixed>
     */
    public function changesCutting(ShelfBlock $block, CuttingChoices $choices): array
    {
        return $this->kept($block, ['cutting' => $choices->toArray()]);
    }

    /**
     * @param array<string, mixed> $changes
     *
     * @return array<string, mixed>
     */
    private function kept(ShelfBlock $block, array $changes): array
    {
        return $changes + $this->endsWith($block, (clone $block)->fill($changes));
    }

    /** @return array<string, list<never>> what was said of the seams that are no longer sewn once the block becomes the other */
    public function endsWith(ShelfBlock $block, ShelfBlock $changed): array
    {
        $isAnythingSaid = array_filter([...$block->locks, ...$block->two_piles, ...$block->steps_done, ...$block->measured_parts]) !== [];

        return ! $isAnythingSaid || $this->isSewnAlike($block, $changed) ? [] : ['locks' => [], 'two_piles' => [], 'steps_done' => [], 'measured_parts' => []];
    }

    /** The plan as the quilter has it, and what it would be without her locks. */
    public function press(ShelfBlock $block): PressStation
    {
        $planner = $this->planner($block);
        $question = $block->pressQuestion($planner->construction->classes);
        $locks = new Locks($planner->construction, $block->locksNow());

        return new PressStation($block, $this->withWork($planner, $block, $question, $locks), $planner->best($question, $this->patience()), $locks);
    }

    /** With her locks; where something is pressed otherwise already, all that is not pressed yet is planned anew round it. */
    private function withWork(PressingPlanner $planner, ShelfBlock $block, PressQuestion $question, Locks $locks): PressingPlan
    {
        $plan = $planner->planned($question->withLocks($locks->all), $block->rest, $this->patience());
        $progress = $block->progress($planner->construction);

        return $progress->agreesWith($plan->pressing)
            ? $plan
            : $planner->best($question->withLocks($this->withFacts($locks, $progress->facts($planner->construction, $question->twoPiles))->all), $this->patience());
    }

    /**
     * What is pressed already, with the quilter's own locks above it: she may press a seam again.
     *
     * @param list<Lock> $facts
     */
    private function withFacts(Locks $locks, array $facts): Locks
    {
        foreach ($facts as $fact) {
            if (! $locks->hold($fact->join)) {
                $locks = $locks->with($fact);
            }
        }

        return $locks;
    }

    /**
     * The quilter's plan with one seam pressed each way there is.
     *
     * @return array<string, PressingPlan> by direction
     *
     * @throws KeenSeamProblem
     */
    public function choices(ShelfBlock $block, int $join): array
    {
        $planner = $this->planner($block);
        $question = $block->pressQuestion($planner->construction->classes);
        $locks = new Locks($planner->construction, $block->locksNow());
        $choices = [];
        foreach (PressDirection::cases() as $direction) {
            $choices[$direction->value] = $this->withWork($planner, $block, $question, $locks->with(new Lock($join, $direction)));
        }

        return $choices;
    }

    /**
     * The best plan of every school, without locks.
     *
     * @return array<string, PressingPlan> by style
     */
    public function styles(ShelfBlock $block): array
    {
        $planner = $this->planner($block);
        $plans = [];
        foreach (PressStyle::cases() as $style) {
            $plans[$style->value] = $planner->best(new PressQuestion($style), $this->patience());
        }

        return $plans;
    }

    /**
     * The best plan, and for each class of several units in one pile the best plan when that class may be pressed in two.
     *
     * @return array{PressingPlan, array<int, PressingPlan>}
     */
    public function piles(ShelfBlock $block): array
    {
        $planner = $this->planner($block);
        $question = $block->pressQuestion($planner->construction->classes);
        $splits = [];
        foreach ($planner->construction->classes as $class) {
            $count = count($class->members);
            if ($count > 1 && $count <= self::MOST_TO_SPLIT && ! in_array($class->index, $question->twoPiles, true)) {
                $splits[$class->index] = $planner->best($question->withTwoPiles($class->index), $this->patience());
            }
        }

        return [$planner->best($question, $this->patience()), $splits];
    }

    /** @return list<string> labels of the classes that may be pressed in two piles */
    public function pileLabels(ShelfBlock $block): array
    {
        $severals = array_filter($this->construction($block)->classes, static fn (UnitClass $class): bool => count($class->members) > 1);

        return array_values(array_map(static fn (UnitClass $class): string => $class->label(), $severals));
    }

    /**
     * The plan in each other order that is possible, by what the order is called.
     *
     * @return array<string, PressingPlan>
     */
    public function inOtherOrders(ShelfBlock $block): array
    {
        $plans = [];
        foreach (Order::cases() as $order) {
            $other = clone $block;
            $other->order = $order;
            try {
                if ($order !== $block->order) {
                    $plans[$order->words()] = $this->planner($other)->best(new PressQuestion($block->style), $this->patience());
                }
            } catch (KeenSeamProblem) {
                continue; // the block has no such order
            }
        }

        return $plans;
    }

    private function isSewnAlike(ShelfBlock $a, ShelfBlock $b): bool
    {
        $seams = fn (ShelfBlock $block): array => array_map(
            static fn (Join $join): array => [$join->seam->from->key(), $join->seam->to->key()],
            $this->construction($block)->joins,
        );
        try {
            return $seams($a) === $seams($b);
        } catch (KeenSeamProblem) {
            return false;
        }
    }

    private function planner(ShelfBlock $block): PressingPlanner
    {
        return new PressingPlanner($this->construction($block), CachedPlans::of($this->cache, $block->document.$block->order->value));
    }

    /** As it is sewn once ways are chosen that make units with other seams than drawn. */
    private function construction(ShelfBlock $block): Construction
    {
        $drawn = $this->drawn($block);
        $choices = CuttingChoices::from($block->cutting);
        if (! $choices->mayChangeSeams()) {
            return $drawn;
        }
        $memory = CachedPlans::of($this->cache, $block->document.$block->order->value.$block->style->value.json_encode($choices->toArray(), JSON_THROW_ON_ERROR));
        $kept = $memory->recall('seams');
        if (! is_string($kept['file'] ?? null)) {
            $kept = ['file' => $this->withChosenSeams($block, $drawn, $choices)];
            $memory->keep('seams', $kept);
        }

        return Construction::of(Face::of($this->reader->readAgain($kept['file'])), $block->order);
    }

    private function withChosenSeams(ShelfBlock $block, Construction $drawn, CuttingChoices $choices): string
    {
        $unit = $drawn->face->block->unit;
        $plain = CuttingPlan::of($drawn, $choices->withoutUnits()->question($unit, Margin::Exact));
        $cutting = CuttingPlan::of($drawn, $choices->fitting($plain)->question($unit, Margin::Exact));
        $sewn = ChosenBuilds::sewn($drawn, $cutting, new PressQuestion($block->style), $this->patience());

        return json_encode(BlockFileWriter::write($sewn->face->block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /** @return \Closure(): bool */
    private function patience(): \Closure
    {
        $end = microtime(true) + self::PATIENCE;

        return static fn (): bool => microtime(true) > $end;
    }
}
