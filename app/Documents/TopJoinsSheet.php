<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfTop;
use App\Workings\WorkedTops;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\TopBorders;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\Back;

/** The joins of a top that no block has by itself, and the ruler of each. */
final readonly class TopJoinsSheet
{
    /** Cloth so many allowances round a crossing is shown. */
    private const LENS = 2.5;

    public function __construct(private WorkedTops $tops) {}

    /** @return array{state: 'done'|'working', joins: list<array{id: int, title: string, finished: string, points: int}>, borders: list<array{title: string, finished: string}>} those with the most points first */
    public function of(ShelfTop $kept): array
    {
        $plan = $this->tops->known($kept);
        if ($plan === null) {
            return ['state' => 'working', 'joins' => [], 'borders' => []];
        }
        $top = $plan->sewn->top->top;
        $construction = $plan->sewn->construction;
        $names = SeamName::all($construction);
        $joins = array_map(static fn (Join $join): array => [
            'id' => $join->id,
            'title' => $names[$join->id]->title,
            'finished' => Amount::rounded($join->seam->length() / $construction->face->lattice->steps, $plan->sewn->top->top->unit),
            'points' => count($join->matchPoints()),
        ], $plan->sewn->between());
        usort($joins, static fn (array $a, array $b): int => [$b['points'], $a['id']] <=> [$a['points'], $b['id']]);

        $borders = array_map(static fn (array $seam): array => ['title' => sprintf('%s, %s', count($top->borders) === 1 ? 'The border' : 'Border '.$seam['border'], $seam['isSide'] ? 'left and right' : 'top and bottom'), 'finished' => Amount::rounded($seam['length']->toFloat(), $top->unit)], TopBorders::seams($top));

        return ['state' => 'done', 'joins' => $joins, 'borders' => $borders];
    }

    /**
     * A crossing of long seams from near: its plies, and the cloth round it as it lies on the back.
     *
     * @return array<string, mixed>
     *
     * @throws KeenSeamProblem
     */
    public function crossing(ShelfTop $top, int $join, int $number): array
    {
        $plan = $this->tops->plan($top)['plan'];
        if ($plan === null) {
            return ['state' => 'working', 'junction' => null, 'flaps' => [], 'width' => 0, 'units' => $this->tops->top($top)->unit->value];
        }
        $construction = $plan->sewn->construction;
        JoinNotKnown::unlessIn($construction, $join);
        $at = $construction->joins[$join]->matchPoints()[$number]->at ?? throw JoinNotKnown::of($join, $construction);
        $lattice = $construction->face->lattice;
        [$x, $y] = FaceDocument::point($at, $lattice);
        $reach = self::LENS * $plan->sewn->top->top->allowance->in($plan->sewn->top->top->unit)->toFloat();
        $spans = static fn (array $along, float $middle): bool => min([INF, ...$along]) < $middle + $reach && max([-INF, ...$along]) > $middle - $reach;
        $isNear = static fn (array $points): bool => $spans(array_column($points, 0), $x) && $spans(array_column($points, 1), $y);

        return [
            'state' => 'done',
            'junction' => array_values(array_filter(PressDocument::junctions($plan->plan), static fn (array $junction): bool => $junction['text'] === $lattice->toText($at)))[0] ?? null,
            'flaps' => array_values(array_filter(PressDocument::flaps($plan->plan, Back::of($construction, $plan->plan->pressing)), static fn (array $flap): bool => $isNear($flap['points']))),
            'width' => FaceDocument::corner([max(array_map(static fn (Point $corner): int => $corner->x, $construction->face->outline()->points)), 0], $lattice)[0],
            'units' => $plan->sewn->top->top->unit->value,
        ];
    }

    /**
     * The ruler of one join, all blocks sewn to their allowance.
     *
     * @return array<string, mixed>
     *
     * @throws KeenSeamProblem
     */
    public function join(ShelfTop $top, int $number): array
    {
        $plan = $this->tops->plan($top)['plan'];
        if ($plan === null) {
            return ['state' => 'working', 'join' => null, 'face' => null];
        }
        $construction = $plan->sewn->construction;
        JoinNotKnown::unlessIn($construction, $number);
        $unit = $plan->sewn->top->top->unit;
        $takeUp = $plan->sewn->top->top->allowance->in($unit)->times(Fraction::of(2));
        $drift = new Drift($plan->plan, $takeUp, SquareUp::Units, only: $construction->joins[$number]);

        return [
            'state' => 'done',
            'join' => JoinsStationDocument::join(Tolerance::usual($unit), [], $plan->plan, $drift->sheets[0], SeamName::all($construction)[$number]),
            'face' => FaceDocument::of($plan->made[0]->plan->construction->face),
        ];
    }
}
