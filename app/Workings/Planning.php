<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;

/**
 * Who searches for a plan, and how long: the request itself while that is quick, else a worker of the queue, which keeps
 * the best so far. What was found in a hurry is bettered when it is asked for again.
 */
final class Planning
{
    /** Seconds that a request searches for a plan by itself where a worker can go on. */
    private const AT_ONCE = 1.0;

    /** Seconds after the first search of a request in which it begins another. */
    private const ALL_AT_ONCE = 1.0;

    /** Blocks of more seams are not even begun within a request; where they may change sides, of half as many. */
    private const LARGE = 1500;

    /** Seconds that a request searches where nobody else can. */
    private const ALONE = 8.0;

    /** Seconds of one search in the queue. */
    public const LONG = 60.0;

    /** Seconds of each search that a sheet needs which the worker makes. */
    private const FOR_SHEET = 3.0;

    /** So often a plan is bettered unasked. */
    private const TRIES = 2;

    /** The key of a sheet, and of a plan of which nothing is known yet, that waits for the worker. */
    private const SHEETS_WAIT = 'sheet-waits';

    private const PLANS_WAIT = 'plan-waits';

    /** Seconds after which a search of which nothing was heard is taken for lost. */
    private const LOST = 20.0;

    /** Whether this is the worker at work: then nothing is left to another. */
    private bool $isWorker = false;

    /** @var array<string, true> keys that this request has searched for by itself */
    private array $searched = [];

    /** @var array{Request|null, float} until when the request may begin to search for another plan */
    private array $until = [null, 0.0];

    public function __construct(
        private readonly KeptParts $parts,
        private readonly Repository $cache,
    ) {}

    /**
     * @param string                      $key     of the plan
     * @param PressingPlan|null           $known   what is kept of it
     * @param \Closure(): PressingPlanner $planner
     *
     * @throws StillPlanning when there is no plan yet
     * @throws PlanNotFound  when there can be none
     */
    public function plan(string $key, ?PressingPlan $known, ShelfBlock $block, PressQuestion $question, Construction $construction, \Closure $planner): PressingPlan
    {
        if ($this->isWorker) {
            return $known ?? $this->searchedOnce($key, $planner(), $question, self::FOR_SHEET);
        }
        if (config('queue.default') === 'sync') {
            return $known !== null && ! $this->searchesHere($key) ? $known : $this->searchedOnce($key, $planner(), $question, self::ALONE);
        }
        if ($known === null && count($construction->joins) * ($question->allowsFurls() ? 2 : 1) <= self::LARGE && $this->hasTime()) {
            $known = $this->searchedOnce($key, $planner(), $question, self::AT_ONCE);
        }
        if ($known?->proved !== true && ($known === null || $this->tries($key) < self::TRIES)) {
            $this->ask($key, $block, $question);
            if ($known === null && $this->told($key)['state'] === 'waiting') {
                $this->cache->put(self::PLANS_WAIT, $key, (int) self::LONG);
            }
        }

        $problem = $this->told($key)['problem'];

        return $known ?? throw (is_string($problem) ? PlanNotFound::since($problem) : StillPlanning::of($key, $this->state($key)));
    }

    /**
     * Goes on for as long as a worker may, unless it is stopped.
     *
     * @param \Closure(): PressingPlanner $planner
     */
    public function searchLong(string $key, PressQuestion $question, \Closure $planner): void
    {
        $this->isWorker = true;
        // One that was interrupted goes on with what is left of its time.
        $told = $this->told($key);
        $began = microtime(true) - $told['spent'];
        $this->tell($key, ['state' => 'working', 'began' => $began, 'heard' => microtime(true)]);
        $this->isAtLast(self::PLANS_WAIT, $key);
        [$looked, $isStopped, $isInterrupted] = [0.0, false, false];
        $isOver = function () use ($key, $began, &$looked, &$isStopped, &$isInterrupted): bool {
            if (microtime(true) - $looked > 0.25) {
                $looked = microtime(true);
                $isStopped = $isStopped || $this->cache->get(self::stopKey($key)) !== null;
                // A sheet is made in a few seconds; the search goes on after it, from what it has found.
                // So it does where another waits for its first plan, once it has one itself.
                $isInterrupted = $isInterrupted || $this->cache->get(self::SHEETS_WAIT) !== null
                    || ($this->told($key)['found'] > 0 && ! in_array($this->cache->get(self::PLANS_WAIT), [null, $key], true));
                $this->tell($key, ['heard' => $looked]);
            }

            return $isStopped || $isInterrupted || microtime(true) - $began > self::LONG;
        };
        try {
            $plan = $this->searched($key, $planner(), $question, $isOver);
            $goesOn = $isInterrupted && ! $isStopped && ! $plan->proved;
            $this->tell($key, ['state' => $plan->proved ? 'proved' : ($goesOn ? 'waiting' : ($isStopped ? 'stopped' : 'ended')), 'heard' => microtime(true), 'spent' => $goesOn ? microtime(true) - $began : 0.0]);
            if ($goesOn) {
                SearchForPlan::dispatch($key);
            }
        } catch (\Throwable $thrown) {
            $this->failed($key, $thrown, 'The plan could not be worked out.');
            throw $thrown;
        } finally {
            $this->isWorker = false;
            $this->cache->forget(self::stopKey($key));
        }
    }

    /**
     * Has a sheet of a very large block made by the worker, where there is one.
     *
     * @throws StillPlanning until it is made
     * @throws PlanNotFound  when it could not be made
     */
    public function leaveToWorker(string $key, ShelfBlock $block, Sheet $what): void
    {
        if ($this->isWorker || config('queue.default') === 'sync') {
            return;
        }
        $told = $this->told($key);
        if ($told['state'] === 'failed') {
            // Asked again, it is tried again.
            $this->tell($key, ['state' => 'idle', 'problem' => null]);
            throw PlanNotFound::since((string) $told['problem']);
        }
        if (! in_array($told['state'], ['waiting', 'working'], true) || $this->isLost($told)) {
            $this->tell($key, ['state' => 'waiting', 'heard' => microtime(true)]);
            $this->parts->keep('asked-'.$key, [$block->getAttributes(), $what]);
            $this->makeWay($key);
            MakeSheet::dispatch($key);
        }
        throw StillPlanning::of($key, $this->state($key));
    }

    /** @param \Closure(): void $make */
    public function makeSheet(string $key, \Closure $make): void
    {
        $this->tell($key, ['state' => 'working', 'began' => microtime(true), 'heard' => microtime(true)]);
        try {
            $this->asWorker($key, $make);
            $this->tell($key, ['state' => 'idle']);
        } catch (\Throwable $thrown) {
            $this->failed($key, $thrown, 'It could not be worked out.');
            throw $thrown;
        }
    }

    /** Whoever waits for it is told why it does not come. */
    private function failed(string $key, \Throwable $thrown, string $else): void
    {
        $this->tell($key, ['state' => 'failed', 'heard' => microtime(true), 'problem' => $thrown instanceof KeenSeamProblem ? $thrown->getMessage() : $else]);
    }

    /**
     * Nothing of it is left to another.
     *
     * @param \Closure(): void $make
     */
    public function asWorker(string $key, \Closure $make): void
    {
        $this->isWorker = true;
        $this->isAtLast(self::SHEETS_WAIT, $key);
        try {
            $make();
        } finally {
            $this->isWorker = false;
        }
    }

    /** The search that the worker is at stops for a moment, so that what is wanted sooner need not wait for its end. */
    public function makeWay(string $for): void
    {
        $this->cache->put(self::SHEETS_WAIT, $for, (int) self::LONG);
    }

    private function isAtLast(string $waits, string $key): void
    {
        if ($this->cache->get($waits) === $key) {
            $this->cache->forget($waits);
        }
    }

    /** Looks on at the quilter's wish, however often it was tried. */
    public function lookOn(string $key): void
    {
        $this->tell($key, ['tries' => 0, 'state' => 'idle']);
    }

    public function stop(string $key): void
    {
        $this->cache->put(self::stopKey($key), true, (int) self::LONG);
    }

    /** @return array{what: string, state: string, done: int, most: int, found: int} seconds, and how many better plans were found */
    public function state(string $key): array
    {
        $told = $this->told($key);
        $isOn = in_array($told['state'], ['waiting', 'working'], true);

        return [
            'what' => str_starts_with($key, 'plan:') ? 'plan' : 'sheet',
            'state' => $isOn && $this->isLost($told) ? 'lost' : $told['state'],
            'done' => $told['state'] === 'working' ? (int) min(self::LONG, microtime(true) - $told['began']) : 0,
            'most' => (int) self::LONG,
            'found' => $told['found'],
        ];
    }

    /** Whether somebody is at it, or about to be. */
    public function isOn(string $key): bool
    {
        return in_array($this->state($key)['state'], ['waiting', 'working'], true);
    }

    /** Whether the request itself is to better what is known, since nobody else does. */
    public function searchesHere(string $key): bool
    {
        return config('queue.default') === 'sync' && ! isset($this->searched[$key]) && $this->tries($key) < self::TRIES;
    }

    /** How many plans were found, each better than the one before. */
    public function found(string $key): int
    {
        return $this->told($key)['found'];
    }

    /** Asks for a better one than is known, where somebody else can look for it. */
    public function better(string $key, ShelfBlock $block, PressQuestion $question): void
    {
        if (config('queue.default') !== 'sync' && $this->tries($key) < self::TRIES) {
            $this->ask($key, $block, $question);
        }
    }

    private function ask(string $key, ShelfBlock $block, PressQuestion $question): void
    {
        $told = $this->told($key);
        if (in_array($told['state'], ['waiting', 'working', 'failed'], true) && ! $this->isLost($told)) {
            return;
        }
        $this->tell($key, ['state' => 'waiting', 'heard' => microtime(true), 'tries' => $told['tries'] + 1, 'problem' => null]);
        $this->parts->keep('asked-'.$key, [$block->getAttributes(), $question]);
        SearchForPlan::dispatch($key);
    }

    private function searchedOnce(string $key, PressingPlanner $planner, PressQuestion $question, float $seconds): PressingPlan
    {
        $this->searched[$key] = true;
        $this->tell($key, ['tries' => $this->tries($key) + 1]);

        return $this->searched($key, $planner, $question, self::until($seconds));
    }

    private function hasTime(): bool
    {
        if ($this->until[0] !== request()) {
            $this->until = [request(), microtime(true) + self::ALL_AT_ONCE];
        }

        return microtime(true) < $this->until[1];
    }

    /** @param \Closure(): bool $timeIsUp */
    private function searched(string $key, PressingPlanner $planner, PressQuestion $question, \Closure $timeIsUp): PressingPlan
    {
        $plan = $planner->best($question, $timeIsUp, function (PressingPlan $better) use ($key): void {
            $this->keep($key, $better);
        });
        $this->keep($key, $plan);

        return $plan;
    }

    private function keep(string $key, PressingPlan $plan): void
    {
        $this->parts->keep($key, KeptPlan::of($plan));
        $this->tell($key, ['found' => $this->told($key)['found'] + 1]);
    }

    private function tries(string $key): int
    {
        return $this->told($key)['tries'];
    }

    /** @param array{state: string, tries: int, began: float, heard: float, spent: float, found: int, problem: string|null} $told */
    private function isLost(array $told): bool
    {
        // One that waits may wait behind another; it is asked for again only when that one would be over.
        return microtime(true) - $told['heard'] > ($told['state'] === 'waiting' ? self::LONG + self::LOST : self::LOST);
    }

    /** @return array{state: string, tries: int, began: float, heard: float, spent: float, found: int, problem: string|null} */
    private function told(string $key): array
    {
        $told = $this->cache->get('planning-'.$key);

        return (is_array($told) ? $told : []) + ['state' => 'idle', 'tries' => 0, 'began' => 0.0, 'heard' => 0.0, 'spent' => 0.0, 'found' => 0, 'problem' => null];
    }

    /** @param array<string, mixed> $news */
    private function tell(string $key, array $news): void
    {
        $this->cache->put('planning-'.$key, $news + $this->told($key), 86_400);
    }

    private static function stopKey(string $key): string
    {
        return 'stop-'.$key;
    }

    /** @return \Closure(): bool */
    private static function until(float $seconds): \Closure
    {
        $end = microtime(true) + $seconds;

        return static fn (): bool => microtime(true) > $end;
    }
}
