<?php

declare(strict_types=1);

namespace App\Workings;

use App\BlockFiles\BlockFileReader;
use App\Cutting\CuttingChoices;
use App\Models\Habit;
use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\Standing;
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
use KeenSeam\Core\Pressing\RestOfSeams;

/**
 * Everything that is worked out of one block as it stands: its face, how it is sewn, pressed and cut, the steps, the
 * sheets. Each part is worked out when it is first asked for, once, and kept by what it depends on, so that the next
 * request finds it. The block may change meanwhile; what is asked then is another part.
 */
final class WorkingOut
{
    /** Seconds that ways to sew a unit are compared by the plans they lead to. */
    private const PATIENCE = 3.0;

    /** Bytes of a file whose face and construction are sooner worked out than read. */
    private const LONG_FILE = 200_000;

    /** Patches, or seams, of a block whose sheets no request makes by itself. */
    private const LARGE = 3000;

    /** @var array<string, Block> by file */
    private array $designs = [];

    /** @var array<string, PressingPlanner> by what is pressed */
    private array $planners = [];

    public function __construct(
        private readonly ShelfBlock $block,
        private readonly KeptParts $parts,
        private readonly BlockFileReader $reader,
        private readonly Planning $planning,
    ) {}

    /** The same questions for the block as it would be. */
    public function with(ShelfBlock $block): self
    {
        return new self($block, $this->parts, $this->reader, $this->planning);
    }

    public function face(): Face
    {
        return $this->large(KeptParts::key('face', [$this->block->document]), fn (): Face => Face::of($this->reader->readAgain($this->block->document)));
    }

    /** Whoever needs the block only does not wait for its face. */
    public function design(): Block
    {
        $face = $this->parts->recall(KeptParts::key('face', [$this->block->document]));

        return $face instanceof Face ? $face->block : ($this->designs[$this->block->document] ??= $this->reader->readAgain($this->block->document));
    }

    /**
     * Taken apart along the seams it is drawn with; chosen ways may give it others.
     *
     * @throws KeenSeamProblem when the block cannot be sewn in its order
     */
    public function drawn(): Construction
    {
        return $this->large(KeptParts::key('drawn', $this->drawnSources()), fn (): Construction => Construction::of($this->face(), $this->block->order));
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

        return $this->large(KeptParts::key('sewn', $this->sewnSources()), fn (): Construction => $this->withChosenSeams());
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
        $head = $this->planHead();
        // One that is bettered meanwhile is still the one that the head tells of.
        $kept = $head->proved ? null : $this->parts->recall('plan-of-'.$head->content);

        return $kept instanceof KeptPlan ? $kept->on($this->construction()) : $this->planned($this->facts()->locks(), $this->facts()->progress());
    }

    public function planHead(): PlanHead
    {
        [$locks, $progress] = [$this->facts()->locks(), $this->facts()->progress()];
        $head = $this->headAsLocked($locks);
        if ($progress->agreesWith($head->pressing)) {
            return $head;
        }

        return $this->headOf($this->questionRound($locks, $progress));
    }

    /** The search her plan comes from, while it may still be bettered. */
    public function search(): ?string
    {
        [$locks, $progress] = [$this->facts()->locks(), $this->facts()->progress()];
        $question = $this->question()->withLocks($locks);
        if (! $progress->agreesWith($this->headAsLocked($locks)->pressing)) {
            $question = $this->questionRound($locks, $progress);
        } elseif ($locks !== [] && $this->block->rest !== RestOfSeams::Follows) {
            $question = $question->withoutLocks();
        }

        return $this->headOf($question)->proved ? null : $this->planKey($question, []);
    }

    /** What it would be without her locks. */
    public function planWithoutLocks(): PressingPlan
    {
        return $this->best($this->question());
    }

    public function headWithoutLocks(): PlanHead
    {
        return $this->headOf($this->question());
    }

    /** With other locks than her own. */
    public function planWithLocks(Locks $locks): PressingPlan
    {
        return $this->planned($locks->all, $this->facts()->progress());
    }

    /** What a school of pressing makes of the block, without locks. */
    public function headOfStyle(PressStyle $style): PlanHead
    {
        return $this->headOf(new PressQuestion($style));
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

    /** What is proved of her plan, and what her locks cost, in words. */
    public function standing(): string
    {
        return $this->parts->part(KeptParts::key('standing', [$this->planHead()->content, $this->headWithoutLocks()->content]), fn (): string => Standing::words($this->plan(), $this->planWithoutLocks(), $this->block->style));
    }

    /** The best plan for a question of one's own. */
    public function best(PressQuestion $question): PressingPlan
    {
        $key = $this->planKey($question, []);
        $known = $this->parts->recall($key);
        $known = $known instanceof KeptPlan ? $known->on($this->construction()) : null;

        return $known?->proved === true ? $known : $this->planning->plan($key, $known, $this->block, $question, $this->construction(), $this->planner(...));
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

        return $this->heavy(PedalSheet::Whole, KeptParts::key('pedal', $sources), fn (): Pedal => new Pedal(
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
     * @param Sheet|null                       $heavy   what it is, where it may take long
     */
    public function sheet(string $name, array $sources, \Closure $work, ?Sheet $heavy = null): string
    {
        return $this->heavy($heavy, KeptParts::key($name, [$this->planHead()->content, ...$sources]), static fn (): string => SheetText::of($work()));
    }

    public function planner(): PressingPlanner
    {
        $key = KeptParts::key('construction', $this->sewnSources());

        return $this->planners[$key] ??= new PressingPlanner($this->construction(), $this->parts->memory($key));
    }

    /** What was found about the block's file before, by name.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public function ofFile(string $name, \Closure $work, ?Sheet $heavy = null): mixed
    {
        return $this->heavy($heavy, KeptParts::key($name, [$this->block->document]), $work);
    }

    /**
     * Graphs of objects that take long to be read again where they are very large: those are worked out anew instead.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    private function large(string $key, \Closure $work): mixed
    {
        return strlen($this->block->document) > self::LONG_FILE ? $this->parts->hold($key, $work) : $this->parts->part($key, $work);
    }

    /**
     * On a very large block a worker makes it.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     *
     * @throws StillPlanning
     */
    private function heavy(?Sheet $what, string $key, \Closure $work): mixed
    {
        $kept = $this->parts->recall($key);
        if ($kept === null && $what !== null && count($this->face()->patches) > self::LARGE) {
            $this->planning->leaveToWorker($key, $this->block, $what);
        }

        return $kept ?? $this->parts->keep($key, $work());
    }

    /** @param list<Lock> $locks */
    private function planned(array $locks, WorkProgress $progress): PressingPlan
    {
        $head = $this->headAsLocked($locks);

        return $progress->agreesWith($head->pressing) ? $this->asLocked($locks) : $this->best($this->questionRound($locks, $progress));
    }

    /** @param list<Lock> $locks */
    private function headAsLocked(array $locks): PlanHead
    {
        $question = $this->question()->withLocks($locks);
        if ($locks === [] || $this->block->rest === RestOfSeams::Follows) {
            return $this->headOf($question);
        }

        return $this->head($this->flippedKey($question, $this->headOf($question->withoutLocks())), fn (): PressingPlan => $this->asLocked($locks));
    }

    /** Of a plan that is bettered there is another head each time. */
    private function headOf(PressQuestion $question): PlanHead
    {
        $key = $this->planKey($question, []);
        $head = $this->parts->recall('head-'.$key);
        // What is drawn of a very large one stays until the search is at its end.
        $stays = $head instanceof PlanHead && count($head->pressing->directions) > self::LARGE && $this->planning->isOn($key);
        if ($head instanceof PlanHead && ($head->proved || $stays || ($head->found === $this->planning->found($key) && ! $this->planning->searchesHere($key)))) {
            if (! $head->proved) {
                $this->planning->better($key, $this->block, $question);
            }

            return $head;
        }

        return $this->parts->keep('head-'.$key, $this->headMade($key, $this->best($question), $this->planning->found($key)));
    }

    /** @param list<Lock> $locks */
    private function asLocked(array $locks): PressingPlan
    {
        $question = $this->question()->withLocks($locks);
        if ($locks === [] || $this->block->rest === RestOfSeams::Follows) {
            return $this->best($question);
        }
        // Laid over the plan that is known without them, whether that is the best there can be or not yet.
        $best = $this->best($question->withoutLocks());

        return $this->parts->part($this->flippedKey($question, $best), fn (): KeptPlan => KeptPlan::of($this->planner()->bestThenFlipped($question)))->on($this->construction());
    }

    /** @param list<Lock> $locks */
    private function questionRound(array $locks, WorkProgress $progress): PressQuestion
    {
        $key = KeptParts::key('round', [...$this->sewnSources(), $this->question()->withLocks($locks)->name(), $progress->pressed, $progress->elsewhere]);

        return $this->parts->part($key, function () use ($locks, $progress): PressQuestion {
            $all = new Locks($this->construction(), $locks);
            foreach ($progress->facts($this->construction(), $this->question()->twoPiles) as $fact) {
                // Her own locks are above it: she may press a seam again.
                $all = $all->hold($fact->join) ? $all : $all->with($fact);
            }

            return $this->question()->withLocks($all->all);
        });
    }

    /** @param \Closure(): PressingPlan $plan */
    private function head(string $key, \Closure $plan): PlanHead
    {
        return $this->parts->part('head-'.$key, fn (): PlanHead => $this->headMade($key, $plan(), 0));
    }

    private function headMade(string $key, PressingPlan $plan, int $found): PlanHead
    {
        $content = hash('xxh128', $key.serialize([$plan->pressing, $plan->proved, $plan->bound]));
        if (! $plan->proved) {
            $this->parts->keep('plan-of-'.$content, KeptPlan::of($plan));
        }

        return new PlanHead($content, $plan->pressing, Figures::of($plan), $plan->proved, $found);
    }

    private function flippedKey(PressQuestion $question, PressingPlan|PlanHead $best): string
    {
        return $this->planKey($question, [$best->pressing]);
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
        $sewn = ChosenBuilds::sewn($drawn, $cutting, new PressQuestion($this->block->style), self::untilEnd());
        // Written and read once, so that it is the same whether it was kept or not.
        $file = json_encode(BlockFileWriter::write($sewn->face->block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return Construction::of(Face::of($this->reader->readAgain($file)), $this->block->order);
    }

    /** @param list<mixed> $more */
    private function planKey(PressQuestion $question, array $more): string
    {
        return KeptParts::key('plan', [...$this->sewnSources(), $question->name(), ...array_filter($more, static fn (mixed $one): bool => $one !== null && $one !== [])]);
    }

    /** @return \Closure(): bool that ways are compared no longer */
    private static function untilEnd(): \Closure
    {
        $end = microtime(true) + self::PATIENCE;

        return static fn (): bool => microtime(true) > $end;
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
