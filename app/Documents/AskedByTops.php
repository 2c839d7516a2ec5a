<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\WorkedTops;
use App\Workings\Workings;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Pressing\TopPlan;

/** What the tops in which a block lies ask of its outer seams: those that end at its edge. */
final readonly class AskedByTops
{
    public function __construct(private WorkedTops $tops, private Workings $workings) {}

    /**
     * @return list<array<string, mixed>> of each top: whether it is planned, and for each pile the seams
     *
     * @throws KeenSeamProblem
     */
    public function of(ShelfBlock $block): array
    {
        $asked = [];
        foreach (ShelfTop::query()->orderBy('name')->orderBy('id')->get() as $top) {
            foreach ($top->blocks as $key => $taken) {
                if ($taken['id'] === $block->id) {
                    $plan = $this->tops->known($top);
                    $asked[] = [
                        'top' => ['id' => $top->id, 'name' => $top->name],
                        'isCurrent' => $taken['sum'] === ShelfTop::sum($block),
                        'isPlanned' => $plan !== null,
                        'piles' => $plan === null ? [] : $this->piles($block, $plan, (string) $key),
                    ];
                }
            }
        }

        return $asked;
    }

    /** @return list<array{count: int, pile: int, mirrored: bool, seams: list<array{join: int, directions: list<string>, differs: bool}>}> */
    private function piles(ShelfBlock $block, TopPlan $plan, string $key): array
    {
        $working = $this->workings->of($block);
        $places = SeamPlaces::of($working->construction());
        $now = $working->planHead()->pressing->directions;
        $piles = [];
        foreach ($plan->made as $pile) {
            if ($pile->design->key !== $key) {
                continue;
            }
            [$design, $directions] = $plan->pressedOf(TopHolds::pile($key.($pile->mirrored ? ' mirrored' : ''), $pile->pile)) ?? throw new \LogicException('A pile has copies.');
            $there = SeamPlaces::of($design)->places;
            $seams = [];
            foreach ($design->outerJoins() as $join) {
                $own = $places->joinAt($there[$join->id]);
                if ($own !== null) {
                    $seams[] = [
                        'join' => $own,
                        'directions' => array_map(static fn (PressDirection $direction): string => $direction->value, $directions[$join->id]),
                        'differs' => ($now[$own] ?? []) !== $directions[$join->id],
                    ];
                }
            }
            $piles[] = ['count' => $pile->count, 'pile' => $pile->pile + 1, 'mirrored' => $pile->mirrored, 'seams' => $seams];
        }

        return $piles;
    }
}
