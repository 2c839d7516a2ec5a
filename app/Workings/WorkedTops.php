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
     * The plan of a top as far as it is known, and whether a worker is bettering it; for how many seconds, of at most so many.
     *
     * @return array{state: 'done'|'working', plan: TopPlan|null, done: int, most: int}
     *
     * @throws KeenSeamProblem
     */
    public function plan(ShelfTop $top): array
    {
        $key = $this->key($top);
        [$known, $isLong] = $this->kept($key);
        if ($known !== null && ($known->plan->proved || $isLong)) {
            return self::answer('done', $known);
        }
        $search = $this->search($key);
        if ($search !== null) {
            return self::answer('working', $known, $search['began']);
        }
        $face = TopFace::of($this->top($top));
        $isAlone = config('queue.default') === 'sync';
        if ($isAlone || ($known === null && count($face->face->patches) <= self::LARGE)) {
            $known = self::better($known, self::searched($face, $top, self::until($isAlone ? self::ALONE : self::AT_ONCE)));
            $this->parts->keep($key, [$known, $isAlone]);
        }
        if ($isAlone || $known?->plan->proved === true) {
            return self::answer('done', $known);
        }
        $this->cache->put('top-'.$key, ['asked' => microtime(true), 'began' => null], 600);
        $this->parts->keep('asked-'.$key, $top->getAttributes());
        SearchForTopPlan::dispatch($key);

        return self::answer('working', $known);
    }

    /** The best so far is good enough. */
    public function stop(ShelfTop $top): void
    {
        $key = $this->key($top);
        if ($this->search($key) !== null) {
            $this->cache->put(self::stopKey($key), true, (int) self::LONG);
        }
    }

    /** The next time the plan is asked for it is searched on, where it is not proved. */
    public function lookOn(ShelfTop $top): void
    {
        $key = $this->key($top);
        [$known] = $this->kept($key);
        if ($known !== null) {
            $this->parts->keep($key, [$known, false]);
        }
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
            $began = microtime(true);
            $this->cache->put('top-'.$key, ['asked' => $began, 'began' => $began], 600);
            [$end, $looked, $isStopped] = [self::until(self::LONG), 0.0, false];
            $found = self::searched(TopFace::of($this->top($top)), $top, function () use ($end, $key, &$looked, &$isStopped): bool {
                if (! $isStopped && microtime(true) - $looked > 0.25) {
                    $looked = microtime(true);
                    $isStopped = $this->cache->get(self::stopKey($key)) !== null;
                }

                return $isStopped || $end();
            });
            $this->parts->keep($key, [self::better($this->kept($key)[0], $found), true]);
            $this->cache->forget('top-'.$key);
            $this->cache->forget(self::stopKey($key));
        }
    }

    private static function better(?TopPlan $known, TopPlan $found): TopPlan
    {
        return $known === null || $found->plan->proved || $found->plan->cost->compareTo($known->plan->cost, PressStyle::Nest) < 0 ? $found : $known;
    }

    /** @return array{asked: float, began: float|null}|null a search that waits or goes on; null where there is none, or nothing more will be heard of it */
    private function search(string $key): ?array
    {
        $told = $this->cache->get('top-'.$key);
        $asked = is_array($told) && is_float($told['asked'] ?? null) ? $told['asked'] : null;

        return $asked === null || microtime(true) - $asked > self::LOST ? null : ['asked' => $asked, 'began' => is_float($told['began'] ?? null) ? $told['began'] : null];
    }

    /**
     * @param 'done'|'working' $state
     *
     * @return array{state: 'done'|'working', plan: TopPlan|null, done: int, most: int}
     */
    private static function answer(string $state, ?TopPlan $plan, ?float $began = null): array
    {
        return ['state' => $state, 'plan' => $plan, 'done' => $began === null ? 0 : (int) min(self::LONG, microtime(true) - $began), 'most' => (int) self::LONG];
    }

    private static function stopKey(string $key): string
    {
        return 'top-stop-'.$key;
    }

    /** @return \Closure(): bool */
    private static function until(float $seconds): \Closure
    {
        $end = microtime(true) + $seconds;

        return static fn (): bool => microtime(true) > $end;
    }

    /** @return array{TopPlan|null, bool} the plan that is kept, and whether it was searched for long */
    private function kept(string $key): array
    {
        $kept = $this->parts->recall($key);

        return is_array($kept) && ($kept[0] ?? null) instanceof TopPlan ? [$kept[0], $kept[1] === true] : [null, false];
    }

    /** @param \Closure(): bool $timeIsUp */
    private static function searched(TopFace $face, ShelfTop $top, \Closure $timeIsUp): TopPlan
    {
        $placed = TopConstruction::of($face, $top->topOrder());
        $held = TopHeld::of($top);

        return (new TopPlanner($placed, $held->holds($placed)))->best(new PressQuestion(PressStyle::Nest, $held->locks($placed)), $timeIsUp);
    }

    private function key(ShelfTop $top): string
    {
        return KeptParts::key('top-plan', $top->sewnSources());
    }
}
