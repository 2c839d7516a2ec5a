<?php

declare(strict_types=1);

namespace App\Workings;

use App\BlockFiles\BlockFileReader;
use App\Cutting\CuttingChoices;
use App\Documents\FaceDocument;
use App\Documents\PressDocument;
use App\Models\Habit;
use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\ChosenBuilds;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;

/**
 * Everything that is worked out of one block as it stands: its face, how it is sewn, pressed and cut, the steps, the
 * sheets. Each part is worked out when it is first asked for, once, and kept by what it depends on, so that the next
 * request finds it. The block may change meanwhile; what is asked then is another part.
 */
final class WorkingOut
{
    public function __construct(
        private readonly ShelfBlock $block,
        private readonly KeptParts $parts,
        private readonly BlockFileReader $reader,
        private readonly Patience $patience,
    ) {}

    /** The same questions for the block as it would be. */
    public function with(ShelfBlock $block): self
    {
        return new self($block, $this->parts, $this->reader, $this->patience);
    }

    public function face(): Face
    {
        return $this->parts->part(KeptParts::key('face', [$this->block->document]), fn (): Face => Face::of($this->reader->readAgain($this->block->document)));
    }

    public function design(): Block
    {
        return $this->face()->block;
    }

    /**
     * How the screens draw the face, ready to be sent, and of how many units it is.
     *
     * @return array{face: array<string, mixed>, units: int}
     */
    public function shown(): array
    {
        return $this->parts->part(KeptParts::key('shown', [$this->block->document]), fn (): array => ['face' => FaceDocument::of($this->face()), 'units' => count($this->face()->whole->parts)]);
    }

    /**
     * Taken apart along the seams it is drawn with; chosen ways may give it others.
     *
     * @throws KeenSeamProblem when the block cannot be sewn in its order
     */
    public function drawn(): Construction
    {
        return $this->parts->part(KeptParts::key('drawn', $this->drawnSources()), fn (): Construction => Construction::of($this->face(), $this->block->order));
    }

    /**
     * As it is sewn once ways are chosen that make units with other seams than drawn.
     *
     * @throws KeenSeamProblem when the block cannot be sewn in its order
     */
    public function construction(): Construction
    {
        if (! $this->choices()->mayChangeSeams()) {
            return $this->drawn();
        }

        return $this->parts->part(KeptParts::key('sewn', $this->sewnSources()), fn (): Construction => $this->withChosenSeams());
    }

    public function places(): SeamPlaces
    {
        return $this->parts->part(KeptParts::key('places', $this->sewnSources()), fn (): SeamPlaces => SeamPlaces::of($this->construction()));
    }

    public function facts(): Facts
    {
        return new Facts($this->block, $this->places());
    }

    public function choices(): CuttingChoices
    {
        return CuttingChoices::from($this->block->cutting);
    }

    /** Of the block as it is drawn, with the choices that fit it. */
    public function cutting(): CuttingPlan
    {
        return $this->cuttingWith($this->choicesThatFit());
    }

    public function choicesThatFit(): CuttingChoices
    {
        $choices = $this->choices();

        return $choices->fitting($this->cuttingWith($choices->withoutUnits()));
    }

    /** @throws KeenSeamProblem when a choice cannot be */
    public function cuttingWith(CuttingChoices $choices): CuttingPlan
    {
        return $this->parts->part(
            KeptParts::key('cutting', [...$this->drawnSources(), $choices->toArray(), Habit::margin()]),
            fn (): CuttingPlan => CuttingPlan::of($this->drawn(), $choices->question($this->drawn()->face->block->unit, Habit::margin())),
        );
    }

    /** How the quilter wants it pressed, her locks left out. */
    public function question(): PressQuestion
    {
        return new PressQuestion($this->block->style, twoPiles: $this->facts()->twoPiles(), equalParts: $this->block->equal_parts);
    }

    public function locks(): Locks
    {
        return new Locks($this->construction(), $this->facts()->locks());
    }

    /**
     * The plan as the quilter has it: with her locks, and where something is pressed otherwise already, with all that is
     * not pressed yet planned anew round it.
     */
    public function plan(): PressingPlan
    {
        return $this->planOf($this->facts()->progress());
    }

    public function planHead(): PlanHead
    {
        return $this->headOf($this->facts()->progress());
    }

    /** What it would be without her locks. */
    public function planWithoutLocks(): PressingPlan
    {
        return $this->best($this->question());
    }

    public function headWithoutLocks(): PlanHead
    {
        return $this->head($this->planKey($this->question(), []), fn (): PressingPlan => $this->planWithoutLocks());
    }

    /** With other locks than her own. */
    public function planWithLocks(Locks $locks): PressingPlan
    {
        return $this->planned($locks->all, $this->facts()->progress());
    }

    /** What a school of pressing makes of the block, without locks. */
    public function headOfStyle(PressStyle $style): PlanHead
    {
        $question = new PressQuestion($style);

        return $this->head($this->planKey($question, []), fn (): PressingPlan => $this->best($question));
    }

    /**
     * The plan in each other order that is possible, by what the order is called.
     *
     * @return array<string, PressingPlan>
     */
    public function inOtherOrders(): array
    {
        $plans = [];
        foreach (Order::cases() as $order) {
            try {
                if ($order !== $this->block->order) {
                    $plans[$order->words()] = $this->with((clone $this->block)->fill(['order' => $order]))->best(new PressQuestion($this->block->style));
                }
            } catch (KeenSeamProblem) {
                continue; // the block has no such order
            }
        }

        return $plans;
    }

    /**
     * What is saved with a new file for the block. What was said and done of its seams stays with their places; the count of
     * steps that the shelf tells holds only while it is sewn alike.
     *
     * @return array<string, mixed>
     */
    public function changesWith(string $name, string $document): array
    {
        $changes = ['name' => $name, 'document' => $document];
        if (array_filter($this->block->steps_done) === []) {
            return $changes;
        }
        try {
            $other = $this->with((clone $this->block)->fill($changes));
            $isAlike = $other->places()->whole() === $this->places()->whole();
        } catch (KeenSeamProblem) {
            $isAlike = false;
        }

        return $isAlike ? $changes : $changes + ['steps_done' => []];
    }

    /** For whoever has worked it out already, of the block's file as it is now. */
    public function keepFace(Face $face): void
    {
        $this->parts->keep(KeptParts::key('face', [$this->block->document]), $face);
    }

    /** The best plan for a question of one's own. */
    public function best(PressQuestion $question): PressingPlan
    {
        return $this->parts->part($this->planKey($question, []), fn (): PressingPlan => $this->planner()->best($question, $this->patience->timeIsUp()));
    }

    /** The plan's steps, without cutting and making.
     *
     * @return list<Step>
     */
    public function planSteps(): array
    {
        return $this->parts->part(KeptParts::key('plan-steps', [$this->planHead()->content]), fn (): array => PlanSteps::of($this->plan()));
    }

    public function pedal(): Pedal
    {
        $head = $this->planHead();
        $sources = [$head->content, $this->block->cutting, Habit::margin(), $this->block->chain];

        return $this->parts->part(KeptParts::key('pedal', $sources), fn (): Pedal => new Pedal(
            substr(md5($head->content.serialize($sources)), 0, 12),
            array_map(fn (Step $step): Step => $step->at($this->places()), $this->steps()),
            $head->pressing,
            $this->places(),
            Pedal::plurals($this->construction()),
        ));
    }

    /**
     * A sheet of the plan, as text that is ready to be sent.
     *
     * @param list<mixed>                      $sources what it depends on besides the plan
     * @param \Closure(): array<string, mixed> $work
     */
    public function sheet(string $name, array $sources, \Closure $work): string
    {
        return $this->parts->part(KeptParts::key($name, [$this->planHead()->content, ...$sources]), static fn (): string => json_encode($work(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION));
    }

    public function planner(): PressingPlanner
    {
        static $planners = new \WeakMap();
        $construction = $this->construction();

        return $planners[$construction] ??= new PressingPlanner($construction, $this->parts->memory(KeptParts::key('construction', $this->sewnSources())));
    }

    /** What was found about the block's file before, by name.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public function ofFile(string $name, \Closure $work): mixed
    {
        return $this->parts->part(KeptParts::key($name, [$this->block->document]), $work);
    }

    private function planOf(WorkProgress $progress): PressingPlan
    {
        return $this->planned($this->facts()->locks(), $progress);
    }

    /** @param list<Lock> $locks */
    private function planned(array $locks, WorkProgress $progress): PressingPlan
    {
        $key = $this->keyWith($locks, []);
        $head = $this->head($key, fn (): PressingPlan => $this->asLocked($locks));
        if ($progress->agreesWith($head->pressing)) {
            return $this->asLocked($locks);
        }

        return $this->roundFacts($locks, $progress);
    }

    private function headOf(WorkProgress $progress): PlanHead
    {
        $locks = $this->facts()->locks();
        $head = $this->head($this->keyWith($locks, []), fn (): PressingPlan => $this->asLocked($locks));
        if ($progress->agreesWith($head->pressing)) {
            return $head;
        }

        return $this->head($this->keyWith($locks, [$progress->pressed, $progress->elsewhere]), fn (): PressingPlan => $this->roundFacts($locks, $progress));
    }

    /** @param list<Lock> $locks */
    private function asLocked(array $locks): PressingPlan
    {
        return $this->parts->part($this->keyWith($locks, []), fn (): PressingPlan => $this->planner()->planned($this->question()->withLocks($locks), $this->block->rest, $this->patience->timeIsUp()));
    }

    /** @param list<Lock> $locks */
    private function roundFacts(array $locks, WorkProgress $progress): PressingPlan
    {
        return $this->parts->part($this->keyWith($locks, [$progress->pressed, $progress->elsewhere]), function () use ($locks, $progress): PressingPlan {
            $all = new Locks($this->construction(), $locks);
            foreach ($progress->facts($this->construction(), $this->question()->twoPiles) as $fact) {
                // Her own locks are above it: she may press a seam again.
                $all = $all->hold($fact->join) ? $all : $all->with($fact);
            }

            return $this->planner()->best($this->question()->withLocks($all->all), $this->patience->timeIsUp());
        });
    }

    /** @param \Closure(): PressingPlan $plan */
    private function head(string $key, \Closure $plan): PlanHead
    {
        return $this->parts->part('head-'.$key, static function () use ($plan, $key): PlanHead {
            $found = $plan();

            return new PlanHead(hash('xxh128', $key.serialize([$found->pressing, $found->proved, $found->bound])), $found->pressing, $found->cost, PressDocument::figures($found), $found->proved);
        });
    }

    /** @return non-empty-list<Step> */
    private function steps(): array
    {
        $choices = $this->choices();
        $drawn = $choices->mayChangeSeams() ? $this->drawn() : null;
        try {
            return WorkSteps::of($this->plan(), $choices->question($this->design()->unit, Habit::margin()), $this->block->chain, $drawn);
        } catch (CutNotPossible) {
            // A way that was chosen for a unit which is another one by now.
            return WorkSteps::of($this->plan(), new CutQuestion($choices->blocks), $this->block->chain, $drawn);
        }
    }

    private function withChosenSeams(): Construction
    {
        $drawn = $this->drawn();
        $unit = $drawn->face->block->unit;
        $plain = CuttingPlan::of($drawn, $this->choices()->withoutUnits()->question($unit, Margin::Exact));
        $cutting = CuttingPlan::of($drawn, $this->choices()->fitting($plain)->question($unit, Margin::Exact));
        $sewn = ChosenBuilds::sewn($drawn, $cutting, new PressQuestion($this->block->style), $this->patience->timeIsUp());
        // Written and read once, so that it is the same whether it was kept or not.
        $file = json_encode(BlockFileWriter::write($sewn->face->block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return Construction::of(Face::of($this->reader->readAgain($file)), $this->block->order);
    }

    /** @param list<Lock> $locks
     * @param list<mixed> $facts
     */
    private function keyWith(array $locks, array $facts): string
    {
        return $this->planKey($this->question()->withLocks($locks), [$locks === [] ? null : $this->block->rest, ...$facts]);
    }

    /** @param list<mixed> $more */
    private function planKey(PressQuestion $question, array $more): string
    {
        return KeptParts::key('plan', [...$this->sewnSources(), $question->name(), ...array_filter($more, static fn (mixed $one): bool => $one !== null && $one !== [])]);
    }

    /** @return list<mixed> */
    private function drawnSources(): array
    {
        return [$this->block->document, $this->block->order];
    }

    /** @return list<mixed> */
    private function sewnSources(): array
    {
        $choices = $this->choices();

        return [...$this->drawnSources(), ...($choices->mayChangeSeams() ? [$this->block->style, $choices->toArray()] : [])];
    }
}
