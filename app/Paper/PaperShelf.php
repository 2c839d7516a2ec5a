<?php

declare(strict_types=1);

namespace App\Paper;

use App\House\House;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\KeptParts;
use App\Workings\PlanNotFound;
use App\Workings\StillPlanning;
use App\Workings\WorkedTops;
use App\Workings\Workings;
use Illuminate\Contracts\Cache\Repository;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Drawing\Sheets\SheetKind;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\Guide\BorderSteps;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\TopFace;

/** Sheets of what stands on the shelf, made once for what they show; many of a large thing are left to the worker. */
final readonly class PaperShelf
{
    /** Patches up to which one sheet, or all of them, are made within a request. */
    private const ONE_AT_ONCE = 400;

    private const ALL_AT_ONCE = 80;

    /** Seconds after which a worker of which nothing was heard is taken for lost. */
    private const LOST = 60.0;

    public function __construct(
        private Workings $workings,
        private WorkedTops $tops,
        private KeptParts $parts,
        private Repository $cache,
        private SheetType $type,
    ) {}

    /**
     * @return string the key under which they lie ready
     *
     * @throws KeenSeamProblem
     * @throws StillPlanning   until they are made
     */
    public function ready(ShelfBlock|ShelfTop $thing, PaperAsked $asked): string
    {
        $key = $this->key($thing, $asked);
        if ($this->made($key) !== null) {
            return $key;
        }
        $told = $this->cache->get($key);
        $told = is_array($told) ? $told : [];
        if (is_string($told['problem'] ?? null)) {
            $this->cache->forget($key);
            throw PlanNotFound::since($told['problem']);
        }
        if (config('queue.default') === 'sync' || $this->isSmall($thing, $asked)) {
            $this->make($key, $thing, $asked);

            return $key;
        }
        if (! is_float($told['heard'] ?? null) || microtime(true) - $told['heard'] > self::LOST) {
            $told = ['done' => 0, 'heard' => microtime(true)];
            $this->cache->put($key, $told, 600);
            $this->parts->keep('asked-'.$key, [$thing::class, $thing->getAttributes(), $asked]);
            MakePaper::dispatch($key);
        }
        throw StillPlanning::of($key, ['what' => 'paper', 'state' => 'working', 'done' => (int) ($told['done'] ?? 0), 'most' => count($asked->kinds), 'found' => 0]);
    }

    public function made(string $key): ?string
    {
        $made = $this->parts->recall($key);

        return is_string($made) ? $made : null;
    }

    /** What the worker does. */
    public function makeAsked(string $key): void
    {
        $this->parts->forgetAtHand();
        $asked = $this->parts->recall('asked-'.$key);
        if (! is_array($asked) || ! $asked[2] instanceof PaperAsked) {
            return;
        }
        $thing = ($asked[0] === ShelfTop::class ? new ShelfTop() : new ShelfBlock())->setRawAttributes($asked[1]);
        try {
            $this->make($key, $thing, $asked[2]);
            $this->cache->forget($key);
        } catch (\Throwable $thrown) {
            $this->cache->put($key, ['problem' => $thrown instanceof KeenSeamProblem ? $thrown->getMessage() : 'The sheets could not be made.'], 600);
            throw $thrown;
        }
    }

    private function make(string $key, ShelfBlock|ShelfTop $thing, PaperAsked $asked): void
    {
        $toPrint = $thing instanceof ShelfBlock ? $this->block($thing) : $this->top($thing);
        $pages = (new Papers($this->type))->pages($toPrint, $asked->paper, $asked->kinds, function (int $done) use ($key): void {
            $this->cache->put($key, ['done' => $done, 'heard' => microtime(true)], 600);
        });
        $this->parts->keep($key, match ($asked->form) {
            PaperForm::Pdf => (new Pdf($this->type))->of($pages, $thing->name),
            PaperForm::Html => implode("\n", array_map(static fn (Sketch $page): string => Svg::of($page, $page->width, 'mm'), $pages)),
        });
    }

    private function block(ShelfBlock $block): ToPrint
    {
        $working = $this->workings->asAsked($block);

        return new ToPrint(
            $block->name,
            $working->cutting(...),
            $working->plan(...),
            static function (PressingPlan $plan) use ($block, $working): Drift {
                $kept = $plan->construction->face->block;

                return new Drift($plan, TakeUp::readOrIdeal($block->take_up, $kept), $block->square_up, [], $working->facts()->measuredIn($kept->unit));
            },
            static fn (): array => $working->pedal()->steps,
            $block->tolerance($working->design()->unit),
        );
    }

    private function top(ShelfTop $kept): ToPrint
    {
        $top = $this->tops->top($kept);
        $question = new CutQuestion(1, $kept->preference);

        return new ToPrint(
            $kept->name,
            static fn (): CuttingPlan => CuttingPlan::of(TopConstruction::asPlaced(TopFace::of($top), $kept->topOrder())->construction, $question, $top),
            fn (): TopPlan => $this->tops->plan($kept)['plan'] ?? throw PlanNotFound::since('The plan of this top is still being worked out. Try again when it is there.'),
            static fn (PressingPlan $plan): Drift => new Drift($plan, TakeUp::readOrIdeal(null, $plan->construction->face->block), SquareUp::Units),
            static fn (PressingPlan $plan): array => [...WorkSteps::of($plan, $question, $kept->chain, $plan->construction), ...BorderSteps::of($top)],
            asPlaced: $top,
        );
    }

    private function isSmall(ShelfBlock|ShelfTop $thing, PaperAsked $asked): bool
    {
        $patches = count($thing instanceof ShelfBlock ? $this->workings->asAsked($thing)->face()->patches : TopFace::of($this->tops->top($thing))->face->patches);

        return $patches <= (count($asked->kinds) === 1 ? self::ONE_AT_ONCE : self::ALL_AT_ONCE);
    }

    /** Of everything that the sheets show. */
    private function key(ShelfBlock|ShelfTop $thing, PaperAsked $asked): string
    {
        $needsPlan = array_filter($asked->kinds, static fn (SheetKind $kind): bool => $kind !== SheetKind::Cut && $kind !== SheetKind::Templates) !== [];
        $own = $thing instanceof ShelfBlock
            ? [$thing->document, $thing->version, $thing->cutting, $thing->chain, $thing->take_up, $thing->square_up, $thing->leave, $thing->ease, House::now()->cuttingSources(), $needsPlan ? $this->workings->asAsked($thing)->planHead()->content : '']
            : [...$thing->sewnSources(), $thing->preference, $thing->chain, $needsPlan ? $this->tops->plan($thing)['plan']?->plan->cost : ''];

        return KeptParts::key('paper-'.$asked->form->value, [$thing->name, now()->format('Y-m-d'), $asked->paper, ...$asked->kinds, $own]);
    }
}
