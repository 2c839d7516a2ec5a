<?php

declare(strict_types=1);

namespace App\Work;

use App\BlockFiles\BlockFileReader;
use App\Models\ShelfTop;
use App\Workings\KeptParts;
use App\Workings\WorkedTops;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\TopPlan;

/**
 * The work on tops at the machine.
 *
 * With its beginning the plan is held, so that the next blocks are pressed like those that are sewn. Everything is kept by
 * where seams lie, never by their numbers.
 *
 * @phpstan-import-type Held from ShelfTop
 * @phpstan-import-type Sewn from ShelfTop
 */
final class TopWork
{
    /** Deeds that can be taken back. */
    private const MOST_DEEDS = 300;

    /** @var array<string, HeldTop> the one that was opened last, by what is held */
    private array $opened = [];

    public function __construct(
        private readonly WorkedTops $tops,
        private readonly BlockFileReader $reader,
        private readonly KeptParts $parts,
    ) {}

    /**
     * @param string $key of the step; of no account when the work begins or is taken back
     *
     * @throws KeenSeamProblem
     */
    public function tell(ShelfTop $top, TopDeed $deed, string $key): void
    {
        $begun = $deed === TopDeed::Begin ? self::held($top, $this->tops->plan($top)['plan'] ?? throw WorkNotPossible::notPlanned()) : null;
        $held = $begun ?? $top->work['held'] ?? throw WorkNotPossible::notPlanned();
        $times = $this->times($held); // for a beginning, too, so that the first step does not wait for it
        if (in_array($deed, [TopDeed::One, TopDeed::Done], true) && ! isset($times[$key])) {
            throw WorkNotPossible::noSuchStep();
        }
        // Another window may have told something since the top was read.
        DB::transaction(static fn () => $top->keepWork(self::after($top->refresh()->work, $deed, $key, $begun, $times[$key] ?? 0)));
    }

    /**
     * @param Sewn      $work
     * @param Held|null $begun
     * @param int       $most  how often the step is done
     *
     * @return Sewn
     */
    private static function after(array $work, TopDeed $deed, string $key, ?array $begun, int $most): array
    {
        if ($begun !== null) {
            return ['held' => $begun] + $work;
        }
        if ($deed === TopDeed::Back) {
            $last = array_pop($work['deeds']);

            return $last === null ? $work : ['times' => [$last[0] => $last[1]] + $work['times']] + $work;
        }
        $before = $work['times'][$key] ?? 0;
        $now = $deed === TopDeed::One ? min($most, $before + 1) : $most;

        return $now === $before ? $work : ['times' => [$key => $now] + $work['times'], 'deeds' => array_slice([...$work['deeds'], [$key, $before]], -self::MOST_DEEDS)] + $work;
    }

    /**
     * @param Held $held
     *
     * @throws KeenSeamProblem
     */
    public function opened(array $held): HeldTop
    {
        $name = hash('xxh128', serialize($held));
        if (isset($this->opened[$name])) {
            return $this->opened[$name];
        }
        $kept = new ShelfTop(['document' => $held['document'], 'order' => $held['order'], 'sashes' => $held['sashes'], 'chain' => $held['chain'], 'preference' => $held['preference']]);

        $this->opened = [$name => new HeldTop($this->reader->readTop($held['document']), $kept->topOrder(), $kept->chain, $kept->preference, $held['pressed'])];

        return $this->opened[$name];
    }

    /**
     * Whether the top is another than the one that is sewn.
     *
     * @param Held $held
     */
    public static function isChanged(ShelfTop $top, array $held): bool
    {
        $isSewnAlike = $held['order'] === $top->order->value && $held['sashes'] === $top->sashes->value && $held['chain'] === $top->chain->value && $held['preference'] === $top->preference->value;

        // Blocks laid as the plan has turned them are the same top.
        return ! $isSewnAlike || ($held['from'] !== hash('xxh128', $top->document) && $held['document'] !== $top->document);
    }

    /**
     * @param Held $held
     *
     * @return array<string, int> how often each step is done, by key
     *
     * @throws KeenSeamProblem
     */
    private function times(array $held): array
    {
        return $this->parts->part(KeptParts::key('top-times', [serialize($held)]), function () use ($held): array {
            $opened = $this->opened($held);

            return array_map(static fn (Step $step): int => max(1, $step->times), $opened->steps + $opened->borderSteps);
        });
    }

    /** @return Held */
    private static function held(ShelfTop $top, TopPlan $plan): array
    {
        $places = SeamPlaces::of($plan->sewn->construction);
        $pressed = [];
        foreach ($plan->plan->pressing->directions as $join => $directions) {
            $pressed[$places->places[$join]] = array_map(static fn (PressDirection $direction): string => $direction->value, $directions);
        }

        return [
            'from' => hash('xxh128', $top->document),
            'document' => ShelfTop::textOf($plan->sewn->top->top),
            'order' => $top->order->value,
            'sashes' => $top->sashes->value,
            'chain' => $top->chain->value,
            'preference' => $top->preference->value,
            'pressed' => $pressed,
        ];
    }
}
