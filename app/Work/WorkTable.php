<?php

declare(strict_types=1);

namespace App\Work;

use App\Cutting\CuttingChoices;
use App\Models\ShelfBlock;
use App\Models\WorkEvent;
use App\Plans\BlockPlans;
use App\Wall\EditFields;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\Guide\PlanSteps;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Matching\MeasuredNotLikely;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Pressing\PressingPlan;

/** Keeps what is told from the machine: each key once, in order, and nothing of it lost. */
final readonly class WorkTable
{
    /** Seams sewn without a pause tell the pace; after longer than this somebody was away. */
    private const LONGEST_PAUSE = 20 * 60 * 1000;

    public function __construct(private BlockPlans $plans) {}

    /** @throws KeenSeamProblem when the block cannot be sewn in its order */
    public function of(ShelfBlock $block): Work
    {
        $plan = $this->plans->press($block)->shown;
        $choices = CuttingChoices::from($block->cutting);
        try {
            $steps = WorkSteps::of($plan, $choices->question($plan->construction->face->block->unit));
        } catch (CutNotPossible) {
            // A way that was chosen for a unit which is another one by now.
            $steps = WorkSteps::of($plan, new CutQuestion($choices->blocks));
        }

        $progress = $block->work === [] ? self::counted($plan, $steps, $block->stepsDoneNow()) : $block->progress($plan->construction);

        return new Work($plan, $steps, $progress);
    }

    /**
     * Progress that was kept as a count of the plan's own steps, as older shelves have it.
     *
     * @param list<Step> $steps
     */
    private static function counted(PressingPlan $plan, array $steps, int $count): WorkProgress
    {
        $progress = new WorkProgress();
        foreach (array_slice(PlanSteps::of($plan), 0, $count) as $step) {
            $progress = $progress->with($step, $plan->pressing);
        }
        $started = array_filter($steps, static fn (Step $step): bool => $step->joins !== [] && $progress->open($step) === []);
        foreach (array_slice($steps, 0, (int) array_key_last($started)) as $step) {
            $progress = $step->joins === [] ? $progress->with($step, $plan->pressing) : $progress;
        }

        return $progress;
    }

    /**
     * Does what was told, in order; what was told before is done already.
     *
     * @param list<array<array-key, mixed>> $events
     *
     * @return list<array{id: string, message: string, isRefused: bool}> what there is to say to some of them
     */
    public function tell(ShelfBlock $block, array $events): array
    {
        $work = $this->of($block);
        $signature = KeptProgress::signature($work->plan->construction);

        return DB::transaction(static function () use ($block, $events, $work, $signature): array {
            $block->refresh();
            $work = $block->work === [] ? $work : $work->with($block->progress($work->plan->construction));
            $said = [];
            foreach ($events as $event) {
                $fields = new EditFields($event);
                $uuid = $fields->text('id');
                if (WorkEvent::query()->where('uuid', $uuid)->exists()) {
                    continue;
                }
                try {
                    [$work, $data, $message] = self::done($block, $work, $fields);
                    if ($message !== '') {
                        $said[] = ['id' => $uuid, 'message' => $message, 'isRefused' => false];
                    }
                } catch (KeenSeamProblem $problem) {
                    $said[] = ['id' => $uuid, 'message' => $problem->getMessage(), 'isRefused' => true];

                    continue;
                }
                WorkEvent::query()->create(['shelf_block_id' => $block->id, 'uuid' => $uuid, 'kind' => $fields->text('do'), 'data' => $data, 'at' => $fields->moment('at')]);
            }
            // Not a new version: steps done never stand against a change made in another window.
            $block->keepWork($signature, KeptProgress::toArray($work->progress), $work->stepsDone());

            return $said;
        });
    }

    /**
     * @return array{Work, array<string, mixed>, string} the work after it, what the logbook keeps of it, what to say to it
     *
     * @throws KeenSeamProblem
     */
    private static function done(ShelfBlock $block, Work $work, EditFields $fields): array
    {
        $kind = $fields->choice('do', WorkKind::class);
        if ($kind === WorkKind::Unpicked) {
            $join = $fields->number('join');
            $cause = $fields->choice('cause', UnpickCause::class);
            $opened = $work->progress->toUnpick($work->plan->construction, $join);
            if ($opened === []) {
                throw WorkNotPossible::notSewn();
            }

            return [$work->with($work->progress->unpicked($work->plan->construction, $join, $work->steps)), ['join' => $join, 'cause' => $cause->value, 'seams' => count($opened)], ''];
        }
        $step = $work->step($fields->text('step'));
        $data = self::logged($step);

        return match ($kind) {
            WorkKind::Done => [$work->with($work->progress->with($step, $work->plan->pressing)), $data, ''],
            WorkKind::Back => [$work->with($work->progress->without($step)), $data, ''],
            WorkKind::Otherwise => [$work->with($work->progress->pressedOtherwise($step, $work->plan->pressing)), $data, ''],
            WorkKind::Measured => self::measured($block, $work, $step, $fields, $data),
        };
    }

    /**
     * @param array<string, mixed> $data
     *
     * @return array{Work, array<string, mixed>, string}
     *
     * @throws KeenSeamProblem
     */
    private static function measured(ShelfBlock $block, Work $work, Step $step, EditFields $fields, array $data): array
    {
        $unit = $work->plan->construction->face->block->unit;
        $join = $step->sets === [] ? null : $work->joinOf(...$step->sets[0]);
        if ($join === null || $step->size === null) {
            throw WorkNotPossible::nothingToMeasure();
        }
        $size = [$fields->text('width'), $fields->text('height')];
        $worst = 0.0;
        foreach ($size as $i => $side) {
            $measured = $fields->length(['width', 'height'][$i], $unit)->in($unit)->toFloat();
            $meant = Length::parse($step->size[$i], $unit)->in($unit)->toFloat();
            MeasuredNotLikely::unlessNear($measured, $meant, $side, $unit);
            $worst = abs($measured - $meant) > abs($worst) ? $measured - $meant : $worst;
        }
        $block->measure($join, $size);
        $words = $block->tolerance($unit)->verdict($worst)->afterMeasuring($worst);

        return [$work->with($work->progress->with($step, $work->plan->pressing)), $data + ['width' => $size[0], 'height' => $size[1], 'meant' => $step->size], $words];
    }

    /** @return array<string, mixed> */
    private static function logged(Step $step): array
    {
        return ['step' => $step->key(), 'title' => $step->title, 'does' => $step->do->value, 'place' => $step->do->place(), 'times' => $step->times, 'seams' => count($step->joins)];
    }

    /** Milliseconds this quilter takes for a seam, in the middle of all; null before there are enough. */
    public static function pace(): ?int
    {
        $events = WorkEvent::query()->orderByDesc('id')->limit(400)->get(['kind', 'data', 'at', 'shelf_block_id'])->reverse()->values();
        $paces = [];
        foreach ($events as $i => $event) {
            $before = $i === 0 ? null : $events[$i - 1];
            $times = $event->data['times'] ?? 0;
            $took = $before === null ? 0 : $event->at - $before->at;
            if ($event->kind === WorkKind::Done->value && ($event->data['does'] ?? '') === 'join' && is_int($times) && $times > 0 && $took > 0 && $took < self::LONGEST_PAUSE * $times) {
                $paces[] = intdiv($took, $times);
            }
        }
        sort($paces);

        return count($paces) < 3 ? null : $paces[intdiv(count($paces), 2)];
    }
}
