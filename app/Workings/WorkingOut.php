<?php

declare(strict_types=1);

namespace App\Workings;

use App\BlockFiles\BlockFileReader;
use App\Cutting\CuttingChoices;
use App\House\House;
use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\ChosenBuilds;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\Rules;

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

    /** @var array<string, Block> by file */
    private array $designs = [];

    private ?Plans $plans = null;

    private ?Rules $rules = null;

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

    /** The same of the seams it is drawn with. */
    public function drawnPlaces(): SeamPlaces
    {
        return $this->parts->part(KeptParts::key('drawn-places', $this->drawnSources()), fn (): SeamPlaces => SeamPlaces::of($this->drawn()));
    }

    public function facts(): Facts
    {
        return new Facts($this->block, $this->places(), $this->construction());
    }

    /** What rules of pressing say of it, as it is sewn. */
    public function rules(): Rules
    {
        return $this->rules ??= new Rules($this->construction());
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
            KeptParts::key('cutting', [...$this->drawnSources(), $choices->toArray(), ...House::now()->cuttingSources()]),
            fn (): CuttingPlan => CuttingPlan::of($this->drawn(), $choices->question($this->drawn()->face->block->unit, House::now())),
        );
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

    public function plans(): Plans
    {
        return $this->plans ??= new Plans($this, $this->block, $this->parts, $this->planning);
    }

    /** The plan as the quilter has it. */
    public function plan(): PressingPlan
    {
        return $this->plans()->mine();
    }

    public function planHead(): PlanHead
    {
        return $this->plans()->head();
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
        $sources = [$head->content, $this->block->cutting, ...House::now()->cuttingSources(), $this->block->chain, $this->block->square_up];

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
        return $this->ofPlan($name, $sources, static fn (): string => SheetText::of($work()), $heavy);
    }

    /**
     * What was made of the plan before, by name.
     *
     * @param list<mixed>        $sources what it depends on besides the plan
     * @param \Closure(): string $work
     */
    public function ofPlan(string $name, array $sources, \Closure $work, ?Sheet $heavy = null): string
    {
        return $this->heavy($heavy, KeptParts::key($name, [$this->planHead()->content, ...$sources]), $work);
    }

    /**
     * An answer to a question of cutting, as text.
     *
     * @param list<mixed>                      $sources what it depends on besides how the block is drawn and cut
     * @param \Closure(): array<string, mixed> $work
     */
    public function cuttingSheet(string $name, array $sources, \Closure $work, Sheet $heavy): string
    {
        return $this->heavy($heavy, KeptParts::key($name, [...$this->drawnSources(), $this->choices()->toArray(), ...House::now()->cuttingSources(), ...$sources]), static fn (): string => SheetText::of($work()));
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
     * On a large block a worker makes it.
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
        if ($kept === null && $what !== null && count($this->face()->patches) > $what->atOnce()) {
            $this->planning->leaveToWorker($key, $this->block, $what);
        }

        return $kept ?? $this->parts->keep($key, $work());
    }

    /** @return non-empty-list<Step> */
    private function steps(): array
    {
        $choices = $this->choices();
        $drawn = $choices->mayChangeSeams() ? $this->drawn() : null;
        try {
            return WorkSteps::of($this->plan(), $choices->question($this->design()->unit, House::now()), $this->block->chain, $drawn, $this->block->square_up);
        } catch (CutNotPossible) {
            // A way that was chosen for a unit which is another one by now.
            return WorkSteps::of($this->plan(), new CutQuestion($choices->blocks), $this->block->chain, $drawn, $this->block->square_up);
        }
    }

    private function withChosenSeams(): Construction
    {
        $drawn = $this->drawn();
        $unit = $drawn->face->block->unit;
        $house = House::usual()->withMargin(Margin::Exact); // seams do not follow from the house
        $plain = CuttingPlan::of($drawn, $this->choices()->withoutUnits()->question($unit, $house));
        $cutting = CuttingPlan::of($drawn, $this->choices()->fitting($plain)->question($unit, $house));
        $sewn = ChosenBuilds::sewn($drawn, $cutting, new PressQuestion($this->block->style), self::untilEnd());
        // Written and read once, so that it is the same whether it was kept or not.
        $file = json_encode(BlockFileWriter::write($sewn->face->block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return Construction::of(Face::of($this->reader->readAgain($file)), $this->block->order);
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

    /** @return list<mixed> what depends on how it is sewn depends on these */
    public function sewnSources(): array
    {
        $choices = $this->choices();

        return [...$this->drawnSources(), ...($choices->mayChangeSeams() ? [$this->block->style, $choices->toArray()] : [])];
    }
}
