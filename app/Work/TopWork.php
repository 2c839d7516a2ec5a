<?php

declare(strict_types=1);

namespace App\Work;

use App\BlockFiles\BlockFileReader;
use App\Models\ShelfTop;
use App\Workings\KeptParts;
use App\Workings\WorkedTops;
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
        $work = $top->work;
        if ($deed === TopDeed::Begin) {
            $work['held'] = self::held($top, $this->tops->plan($top)['plan'] ?? throw WorkNotPossible::notPlanned());
            $this->times($work['held']); // so that the first step does not wait for it
        } elseif ($work['held'] === null) {
            throw WorkNotPossible::notPlanned();
        } elseif ($deed === TopDeed::Back) {
            $last = array_pop($work['deeds']);
            $work['times'] = $last === null ? $work['times'] : [$last[0] => $last[1]] + $work['times'];
        } else {
            $times = $this->times($work['held'])[$key] ?? throw WorkNotPossible::noSuchStep();
            $before = $work['times'][$key] ?? 0;
            $work['times'][$key] = $deed === TopDeed::One ? min($times, $before + 1) : $times;
            if ($work['times'][$key] !== $before) {
                $work['deeds'] = array_slice([...$work['deeds'], [$key, $before]], -self::MOST_DEEDS);
            }
        }
        $top->keepWork($work);
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
