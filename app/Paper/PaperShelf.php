<?php

declare(strict_types=1);

namespace App\Paper;

use App\House\House;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\KeptParts;
use App\Workings\Planning;
use App\Workings\PlanNotFound;
use App\Workings\StillPlanning;
use App\Workings\WorkedTops;
use App\Workings\Workings;
use Illuminate\Contracts\Cache\Repository;
use KeenSeam\Core\Drawing\Sheets\SheetKind;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\KeenSeamProblem;
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
        private ShelfToPrint $shelf,
        private Workings $workings,
        private WorkedTops $tops,
        private KeptParts $parts,
        private Repository $cache,
        private SheetType $type,
        private Planning $planning,
    ) {}

    /**
     * @return string the key under which they lie ready
     *
     * @throws KeenSeamProblem
     * @throws StillPlanning   until they are made
     */
    public function ready(ShelfBlock|ShelfTop $thing, PaperAsked $asked): string
    {
        $asIs = $this->sources($thing, $asked);
        // A plan that is bettered meanwhile is no reason to begin again: what was asked for is finished first.
        $begun = $this->cache->get(self::begunKey($asIs));
        $key = is_string($begun) ? $begun : KeptParts::key('paper-'.$asked->form->value, [...$asIs, $this->plan($thing, $asked)]);
        if ($this->made($key) !== null) {
            $this->cache->forget(self::begunKey($asIs));

            return $key;
        }
        $told = $this->cache->get(self::stateKey($key));
        $told = is_array($told) ? $told : [];
        if (is_string($told['problem'] ?? null)) {
            $this->cache->forget(self::stateKey($key));
            $this->cache->forget(self::begunKey($asIs));
            throw PlanNotFound::since($told['problem']);
        }
        if (config('queue.default') === 'sync' || $this->isSmall($thing, $asked)) {
            $this->make($key, $thing, $asked);

            return $key;
        }
        if (! is_float($told['heard'] ?? null) || microtime(true) - $told['heard'] > self::LOST) {
            $told = ['done' => 0, 'heard' => microtime(true)];
            $this->cache->put(self::stateKey($key), $told, 600);
            $this->cache->put(self::begunKey($asIs), $key, 600);
            $this->parts->keep('asked-'.$key, [$thing::class, $thing->getAttributes(), $asked]);
            $this->planning->makeWay($key);
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
            $this->planning->asWorker($key, fn () => $this->make($key, $thing, $asked[2]));
            $this->cache->forget(self::stateKey($key));
        } catch (\Throwable $thrown) {
            $this->cache->put(self::stateKey($key), ['problem' => $thrown instanceof KeenSeamProblem ? $thrown->getMessage() : 'The sheets could not be made.'], 600);
            throw $thrown;
        }
    }

    private function make(string $key, ShelfBlock|ShelfTop $thing, PaperAsked $asked): void
    {
        $toPrint = $thing instanceof ShelfBlock ? $this->shelf->block($thing) : $this->shelf->top($thing);
        $pages = (new Papers($this->type))->pages($toPrint, $asked->paper, $asked->kinds, function (int $done) use ($key): void {
            $this->cache->put(self::stateKey($key), ['done' => $done, 'heard' => microtime(true)], 600);
        });
        $this->parts->keep($key, match ($asked->form) {
            PaperForm::Pdf => (new Pdf($this->type))->of($pages, $thing->name),
            PaperForm::Html => implode("\n", array_map(static fn (Sketch $page): string => Svg::of($page, $page->width, 'mm'), $pages)),
        });
    }

    private function isSmall(ShelfBlock|ShelfTop $thing, PaperAsked $asked): bool
    {
        $patches = count($thing instanceof ShelfBlock ? $this->workings->asAsked($thing)->face()->patches : TopFace::of($this->tops->top($thing))->face->patches);

        return $patches <= (count($asked->kinds) === 1 ? self::ONE_AT_ONCE : self::ALL_AT_ONCE);
    }

    /** @return list<mixed> everything that the sheets show, but for the plan */
    private function sources(ShelfBlock|ShelfTop $thing, PaperAsked $asked): array
    {
        $own = $thing instanceof ShelfBlock
            ? [$thing->document, $thing->version, $thing->cutting, $thing->chain, $thing->take_up, $thing->square_up, $thing->leave, $thing->ease, House::now()->cuttingSources()]
            : [...$thing->sewnSources(), $thing->preference, $thing->chain];

        return [$thing->name, now()->format('Y-m-d'), $asked->form->value, $asked->paper, ...$asked->kinds, $own];
    }

    private function plan(ShelfBlock|ShelfTop $thing, PaperAsked $asked): mixed
    {
        if (array_filter($asked->kinds, static fn (SheetKind $kind): bool => $kind->isOfThePlan()) === []) {
            return '';
        }

        return $thing instanceof ShelfBlock ? $this->workings->asAsked($thing)->planHead()->content : $this->tops->plan($thing)['plan']?->plan->cost;
    }

    /** How far the worker is; the sheets themselves lie under the key. */
    private static function stateKey(string $key): string
    {
        return 'state-'.$key;
    }

    /** @param list<mixed> $sources */
    private static function begunKey(array $sources): string
    {
        return KeptParts::key('paper-begun', $sources);
    }
}
