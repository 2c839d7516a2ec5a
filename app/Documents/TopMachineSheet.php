<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfTop;
use App\Work\HeldTop;
use App\Work\TopWork;
use App\Workings\KeptParts;
use App\Workings\WorkedTops;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\KeenSeamProblem;

/** How far the sewing of a top has come, as the machine's screen shows it. */
final readonly class TopMachineSheet
{
    public function __construct(
        private TopWork $work,
        private WorkedTops $tops,
        private KeptParts $parts,
    ) {}

    /**
     * @return array<string, mixed>
     *
     * @throws KeenSeamProblem
     */
    public function of(ShelfTop $top): array
    {
        $held = $top->work['held'];
        if ($held === null) {
            return ['state' => $this->tops->plan($top)['plan'] === null ? 'planning' : 'new', 'isChanged' => false, 'steps' => [], 'next' => null, 'wholes' => [], 'seams' => [], 'back' => false, 'picture' => null];
        }
        $sheet = $this->parts->part(KeptParts::key('top-machine', [serialize($held)]), fn (): array => self::sheet($this->work->opened($held)));
        $times = $top->work['times'];
        $steps = array_map(static fn (array $step): array => $step + ['counted' => min($step['times'], $times[$step['key']] ?? 0)], $sheet['steps']);
        $isDone = array_map(static fn (array $step): bool => $step['counted'] >= $step['times'], $steps);
        $next = array_search(false, $isDone, true);
        $sewn = [];
        foreach ($steps as $number => $step) {
            $sewn += $isDone[$number] && $step['do'] === StepKind::Join->value ? array_flip($step['seams']) : [];
        }

        return [
            'state' => 'going',
            'isChanged' => TopWork::isChanged($top, $held),
            'steps' => $steps,
            'next' => $next === false ? null : $next,
            'wholes' => array_keys(array_filter($sheet['sewnBy'], static fn (array $of): bool => array_filter($of, static fn (int $step): bool => ! $isDone[$step]) === [])),
            'seams' => array_map(static fn (array $seam, int $number): array => $seam + ['isSewn' => isset($sewn[$number])], $sheet['seams'], array_keys($sheet['seams'])),
            'back' => $top->work['deeds'] !== [],
            'picture' => $sheet['picture'],
        ];
    }

    /** @return array{steps: list<array{key: string, do: string, at: string, caution: string, title: string, text: string, times: int, places: list<int>, seams: list<int>, part: string}>, sewnBy: array<int, list<int>>, seams: list<array{from: array{float, float}, to: array{float, float}}>, picture: array<string, mixed>} */
    private static function sheet(HeldTop $held): array
    {
        $construction = $held->sewn->construction;
        $placeOf = $blockOf = $seams = $sewnBy = $steps = [];
        $number = 0;
        foreach ($held->sewn->top->parts as $part) {
            if ($part->place !== null) {
                $placeOf += array_fill_keys($part->patchIds(), $number++);
            }
        }
        foreach ($held->sewn->copies as $copy) {
            $blockOf += array_fill_keys($copy->joins, $placeOf[$copy->firstPatch]);
        }
        foreach ($held->sewn->between() as $join) {
            $seams[$join->id] = ['from' => FaceDocument::point($join->seam->from, $construction->face->lattice), 'to' => FaceDocument::point($join->seam->to, $construction->face->lattice)];
        }
        $numbers = array_flip(array_keys($seams));
        foreach ($held->steps + $held->borderSteps as $key => $step) {
            foreach (array_unique(array_intersect_key($blockOf, array_flip($step->joins))) as $place) {
                $sewnBy[$place][] = count($steps);
            }
            $steps[] = [
                'key' => (string) $key,
                'do' => $step->do->value,
                'at' => $step->do->place(),
                'caution' => $step->do->caution(),
                'title' => $step->title,
                'text' => $step->text,
                'times' => max(1, $step->times),
                'places' => array_values(array_unique(array_intersect_key($placeOf, array_flip($step->patchIds)))),
                'seams' => array_values(array_intersect_key($numbers, array_flip($step->joins))),
                'part' => isset($held->borderSteps[$key]) ? 'borders' : self::part($step, $blockOf),
            ];
        }

        return ['steps' => $steps, 'sewnBy' => $sewnBy, 'seams' => array_values($seams), 'picture' => TopSheet::picture($held->sewn->top)];
    }

    /** @param array<int, int> $blockOf by join */
    private static function part(Step $step, array $blockOf): string
    {
        if ($step->do === StepKind::Cut) {
            return 'cutting';
        }

        return $step->unitClass !== null || ($step->joins !== [] && array_diff_key(array_flip($step->joins), $blockOf) === []) ? 'blocks' : 'top';
    }
}
