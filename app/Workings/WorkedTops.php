<?php

declare(strict_types=1);

namespace App\Workings;

use App\BlockFiles\BlockFileReader;
use App\Models\ShelfTop;
use Illuminate\Contracts\Cache\Repository;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Pressing\TopPlanner;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;

/** Opens tops of the shelf to be worked out; their plans are kept by what they were worked out from. */
final readonly class WorkedTops
{
    /** Seconds of a search within a request, and of one in the queue. */
    private const AT_ONCE = 2.0;

    private const LONG = 45.0;

    /** Seconds that a request searches where nobody else can. */
    private const ALONE = 8.0;

    /** Larger tops are left to the worker at once: to price their seams takes seconds. */
    private const LARGE = 900;

    /** Seconds after which a search of which nothing was heard is taken for lost. */
    private const LOST = 90.0;

    public function __construct(
        private BlockFileReader $reader,
        private KeptParts $parts,
        private Repository $cache,
    ) {}

    /** @throws KeenSeamProblem */
    public function top(ShelfTop $top): Top
    {
        return $this->reader->readTop($top->document);
    }

    /**
     * What is told of a top as its blocks are placed, worked out once.
     *
     * @param \Closure(TopConstruction): array<string, mixed> $told
     *
     * @return array<string, mixed>
     *
     * @throws KeenSeamProblem
     */
    public function told(ShelfTop $top, string $part, \Closure $told): array
    {
        return $this->parts->part(KeptParts::key($part, $top->sewnSources()), fn (): array => $told(TopConstruction::asPlaced(TopFace::of($this->top($top)), $top->topOrder())));
    }

    /**
     * A top as it is changed to: read like a file, laid out, and its blocks taken apart, so that only what can be sewn is kept;
     * rows of blocks always can.
     *
     * @param array<array-key, mixed> $file
     *
     * @throws KeenSeamProblem
     */
    public function fromFile(array $file): Top
    {
        return $this->fromText(json_encode($file, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }

    /** @throws KeenSeamProblem */
    public function fromText(string $text): Top
    {
        $top = $this->reader->readTop($text);
        foreach (TopFace::of($top)->designs as $key => $face) {
            Construction::of($face, Order::from($top->designs[$key]->order));
        }

        return $top;
    }

    /**
     * The plan of a top as far as it is known, and whether a worker is bettering it.
     *
     * @return array{state: 'done'|'working', plan: TopPlan|null}
     *
     * @throws KeenSeamProblem
     */
    public function plan(ShelfTop $top): array
    {
        $key = $this->key($top);
        [$known, $isLong] = $this->kept($key);
        if ($known !== null && ($known->plan->proved || $isLong)) {
            return ['state' => 'done', 'plan' => $known];
        }
        $waits = $this->cache->get('top-'.$key);
        if (is_float($waits) && microtime(true) - $waits < self::LOST) {
            return ['state' => 'working', 'plan' => $known];
        }
        $face = TopFace::of($this->top($top));
        $isAlone = config('queue.default') === 'sync';
        if ($known === null && ($isAlone || count($face->face->patches) <= self::LARGE)) {
            $known = self::searched($face, $top, $isAlone ? self::ALONE : self::AT_ONCE);
            $this->parts->keep($key, [$known, $isAlone]);
        }
        if ($isAlone || $known?->plan->proved === true) {
            return ['state' => 'done', 'plan' => $known];
        }
        $this->cache->put('top-'.$key, microtime(true), 600);
        $this->parts->keep('asked-'.$key, $top->getAttributes());
        SearchForTopPlan::dispatch($key);

        return ['state' => 'working', 'plan' => $known];
    }

    /** The plan of a top as far as it was worked out by now. */
    public function known(ShelfTop $top): ?TopPlan
    {
        return $this->kept($this->key($top))[0];
    }

    /** What the worker does. What it finds never takes the place of something better. */
    public function searchLong(string $key): void
    {
        $this->parts->forgetAtHand();
        $asked = $this->parts->recall('asked-'.$key);
        if (is_array($asked)) {
            $top = (new ShelfTop())->setRawAttributes($asked);
            $found = self::searched(TopFace::of($this->top($top)), $top, self::LONG);
            [$known] = $this->kept($key);
            $isBetter = $known === null || $found->plan->proved || $found->plan->cost->compareTo($known->plan->cost, PressStyle::Nest) < 0;
            $this->parts->keep($key, [$isBetter ? $found : $known, true]);
            $this->cache->forget('top-'.$key);
        }
    }

    /** @return array{TopPlan|null, bool} the plan that is kept, and whether it was searched for long */
    private function kept(string $key): array
    {
        $kept = $this->parts->recall($key);

        return is_array($kept) && ($kept[0] ?? null) instanceof TopPlan ? [$kept[0], $kept[1] === true] : [null, false];
    }

    private static function searched(TopFace $face, ShelfTop $top, float $seconds): TopPlan
    {
        $end = microtime(true) + $seconds;

        $placed = TopConstruction::of($face, $top->topOrder());
        $held = TopHeld::of($top);

        return (new TopPlanner($placed, $held->holds($placed)))->best(new PressQuestion(PressStyle::Nest, $held->locks($placed)), static fn (): bool => microtime(true) > $end);
    }

    private function key(ShelfTop $top): string
    {
        return KeptParts::key('top-plan', $top->sewnSources());
    }
}
