<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Wall\History;
use App\Workings\Figures;
use App\Workings\Planning;
use App\Workings\WorkingOut;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\PressWords;
use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Guide\RuleWords;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\Flap;
use KeenSeam\Core\Pressing\HabitWarning;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\MatchReport;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\SchoolProposal;

/** Everything the press station draws: the faces, the seams and crossings, the figures and the steps; and what changed of it. */
final class PressDocument
{
    /**
     * All that follows from the plan alone, for Spliced::text().
     *
     * @return array<string, mixed>
     */
    public static function ofPlan(PressingPlan $plan): array
    {
        $face = $plan->construction->face;
        $rules = new Rules($plan->construction);

        return [
            'face' => FaceDocument::of($face),
            'units' => count($face->whole->parts),
            'joins' => self::joins($plan),
            'piles' => self::piles($plan),
            'crossings' => self::crossings($plan),
            'junctions' => self::junctions($plan),
            'flaps' => self::flapsOneByOne($plan),
            'rows' => array_map(static fn (RowWords $row): array => ['title' => $row->title, 'way' => $row->way, 'why' => $row->why, 'joins' => $row->joins, 'say' => $row->say], RowWords::of($plan, $rules)),
            'subjects' => self::subjects($plan, $rules),
            'opened' => AdviceDocument::opened($plan->construction),
            'proposal' => self::proposal($plan->construction),
            'lookAlikes' => PressWords::lookAlikes($plan->construction),
            'habits' => array_map(static fn (HabitWarning $warning): array => [
                'text' => $face->lattice->toText($warning->at),
                'runsStraightOn' => $warning->runsStraightOn,
            ], HabitWarning::allIn($plan->construction)),
            'totals' => Figures::of($plan),
            'steps' => array_map(static fn (Step $step): array => [
                'do' => $step->do->value,
                'joins' => $step->joins,
                'patches' => $step->patchIds,
                'title' => $step->title,
                'text' => $step->text,
            ], PlanSteps::of($plan)),
        ];
    }

    /**
     * What besides the plan belongs to the block and its quilter.
     *
     * @return array<string, mixed>
     */
    public static function ofBlock(ShelfBlock $block, WorkingOut $working, Planning $planning): array
    {
        $facts = $working->facts();
        $progress = $facts->progress();
        $head = $working->planHead();
        $best = $working->plans()->headWithoutLocks();
        $locks = $facts->locks();
        $search = $working->plans()->search();

        return [
            'block' => ['id' => $block->id, 'name' => $block->name, 'version' => $block->version],
            'plan' => $head->content,
            'withoutLocks' => $best->figures,
            'proved' => $head->proved,
            'says' => $working->plans()->standing(),
            'planning' => $search === null ? null : ['key' => $search, ...$planning->state($search)],
            'locks' => count($locks),
            'locksAsleep' => $facts->locksAsleep(),
            'locked' => $locks === [] ? [] : $working->plans()->locks()->held(),
            'pressed' => array_keys($progress->pressed),
            'rules' => self::rules($working),
            'ruled' => array_values(array_unique(array_merge(...array_map(static fn (array $rule): array => $rule['on'] ? $rule['joins'] : [], $working->plans()->rules())))),
            'ownWay' => $block->own_way,
            'lump' => $block->lump,
            ...History::around($block, History::PRESS),
            'rest' => $block->rest->value,
            'stepsDone' => $progress->sewn === [] ? 0 : self::stepsDone($working->planSteps(), $progress),
            'seamsSewn' => count($progress->sewn),
            'order' => $block->orderId(),
            'style' => $block->style->value,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function rules(WorkingOut $working): array
    {
        $fabrics = $working->design()->fabrics;

        return array_map(static fn (array $rule): array => ['text' => $rule['rule'], 'on' => $rule['on'], 'words' => RuleWords::of(Rule::parse($rule['rule']), $fabrics), 'joins' => count($rule['joins']), 'problem' => $rule['problem']], $working->plans()->rules());
    }

    /**
     * What can be pointed at to make a rule: all rows, the last seams, a kind of unit; single rows and cells besides.
     *
     * @return list<array{subject: string, words: string, joins: list<int>}>
     */
    private static function subjects(PressingPlan $plan, Rules $rules): array
    {
        $subjects = [];
        $bands = array_merge(...$rules->bandJoins());
        if ($bands !== []) {
            $subjects[] = ['subject' => $rules->bandsAreRows() ? 'rows' : 'columns', 'words' => $rules->bandsAreRows() ? 'All rows' : 'All columns', 'joins' => array_map(static fn (Join $join): int => $join->id, $bands)];
        }
        if ($rules->lastJoins() !== []) {
            $subjects[] = ['subject' => 'last', 'words' => 'The last seams', 'joins' => array_map(static fn (Join $join): int => $join->id, $rules->lastJoins())];
        }
        foreach ($rules->joinsByKind() as $kind => $joins) {
            $subjects[] = ['subject' => 'units '.$kind, 'words' => ucfirst(RuleWords::kind($kind)), 'joins' => $joins];
        }

        return $subjects;
    }

    /** @return array{style: string, words: string} */
    private static function proposal(Construction $construction): array
    {
        $proposal = SchoolProposal::of($construction);

        return ['style' => $proposal->style->value, 'words' => PressWords::proposal($construction, $proposal)];
    }

    /**
     * How many of the plan's steps are done before the first that is not.
     *
     * @param list<Step> $steps
     */
    private static function stepsDone(array $steps, WorkProgress $progress): int
    {
        $done = 0;
        foreach ($steps as $step) {
            if ($step->do !== StepKind::LayOut && ! $progress->isDone($step)) {
                break;
            }
            ++$done;
        }

        return $done;
    }

    /** @return \Generator<array<string, mixed>> */
    private static function flapsOneByOne(PressingPlan $plan): \Generator
    {
        foreach (Back::of($plan->construction, $plan->pressing) as $flap) {
            yield self::flaps($plan, [$flap])[0];
        }
    }

    /**
     * @param list<Flap> $flaps
     *
     * @return list<array<string, mixed>>
     */
    public static function flaps(PressingPlan $plan, array $flaps): array
    {
        $lattice = $plan->construction->face->lattice;

        return array_map(static fn (Flap $flap): array => [
            'patch' => $flap->patchId,
            'allowance' => $flap->isAllowance,
            'turnedUp' => $flap->turnedUp,
            'points' => array_map(static fn (array $corner): array => FaceDocument::corner($corner, $lattice), $flap->corners),
        ], $flaps);
    }

    /** @return list<list<int>> joins that are pressed as one, where that are several */
    private static function piles(PressingPlan $plan): array
    {
        $piles = [];
        foreach (SeamName::all($plan->construction) as $name) {
            if (count($name->pressedToo) > 1) {
                $piles[self::pileName($name->pressedToo)] = $name->pressedToo;
            }
        }

        return array_values($piles);
    }

    /** @param list<int> $pile */
    private static function pileName(array $pile): string
    {
        return 'from '.($pile[0] ?? '');
    }

    /** @return \Generator<array<string, mixed>> */
    public static function joins(PressingPlan $plan): \Generator
    {
        $lattice = $plan->construction->face->lattice;
        $piles = array_flip(array_map(self::pileName(...), self::piles($plan)));

        $names = SeamName::all($plan->construction);
        $cells = self::cells($plan);
        foreach ($plan->construction->joins as $join) {
            $name = $names[$join->id];
            yield [
            'id' => $join->id,
            'title' => $name->title,
            'left' => $name->left,
            'right' => $name->right,
            'pile' => $piles[self::pileName($name->pressedToo)] ?? null,
            'isOfUnit' => $join->tie !== null,
            'cell' => $join->tie === null ? null : $cells[$join->patchIds()[0]],
            'place' => $join->tie === null ? null : Words::place($plan->construction->classes[$join->tie->unitClass]->members[$join->tie->member]),
            'from' => FaceDocument::point($join->seam->from, $lattice),
            'to' => FaceDocument::point($join->seam->to, $lattice),
            'leftSide' => $join->leftSide,
            'press' => array_map(static fn (PressDirection $press): string => $press->value, $plan->pressing->of($join)),
            'divisions' => array_map(static fn ($match): array => FaceDocument::point($match->at, $lattice), $join->matchPoints()),
            'patches' => $join->patchIds(),
            ];
        }
    }

    /** @return array<int, array{int, int}> first row and column of the block's own cell that each patch lies in */
    private static function cells(PressingPlan $plan): array
    {
        $cells = [];
        foreach ($plan->construction->face->whole->parts as $part) {
            if ($part instanceof PlacedUnit) {
                $cells += array_fill_keys(array_map(static fn (Patch $patch): int => $patch->id, $part->patches()), [$part->cell->row, $part->cell->column]);
            }
        }

        return $cells;
    }

    /** @return list<array<string, mixed>> */
    public static function crossings(PressingPlan $plan): array
    {
        $lattice = $plan->construction->face->lattice;
        $joins = $plan->construction->joins;

        return array_map(static function (MatchReport $match) use ($lattice, $joins): array {
            $meeting = $joins[$match->join]->meetingAt($match->at);

            return [
                'join' => $match->join,
                'seams' => [$meeting->lastOfLeft?->id, $meeting->lastOfRight?->id],
                'at' => FaceDocument::point($match->at, $lattice),
                'text' => $lattice->toText($match->at),
                'kind' => $match->nesting->value,
            ];
        }, $plan->matches);
    }

    /** @return list<array<string, mixed>> */
    public static function junctions(PressingPlan $plan): array
    {
        $lattice = $plan->construction->face->lattice;

        return array_map(static fn (Junction $junction, array $plies): array => [
            'at' => FaceDocument::point($junction->at, $lattice),
            'text' => $lattice->toText($junction->at),
            'patches' => count($junction->patchIds),
            'peak' => max([0, ...$plies]),
            'plies' => $plies,
        ], $plan->junctions, $plan->plies);
    }
}
