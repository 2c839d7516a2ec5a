<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\ShelfBlock;
use App\Models\WorkEvent;
use App\Wall\EditFields;
use App\Workings\Workings;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\Guide\Deed;
use KeenSeam\Core\Guide\MeasureVerdict;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\TakenUnits;
use KeenSeam\Core\Guide\UnpickCause;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\MeasuredNotLikely;
use KeenSeam\Core\Matching\SeamsAcross;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Measure\Length;

/** Keeps what is told from the machine: each key once, in order, and nothing of it lost. */
final readonly class WorkTable
{
    public function __construct(private Workings $workings) {}

    /** @throws KeenSeamProblem when the block cannot be sewn in its order */
    public function of(ShelfBlock $block): Work
    {
        $working = $this->workings->of($block);

        return new Work($working, $working->pedal(), $working->facts()->progress(), $working->choices()->blocks);
    }

    /**
     * Does what was told, in order; what was told before is done already.
     *
     * @param list<array<array-key, mixed>> $events
     *
     * @return array{Work, list<array{id: string, of: string, message: string, isRefused: bool}>} the work before it, and what there is to say to some of them, and of which part
     */
    public function tell(ShelfBlock $block, array $events): array
    {
        $before = $this->of($block);

        return DB::transaction(static function () use ($block, $events, $before): array {
            $block->refresh();
            $before = $work = $before->with($before->working->facts()->progress());
            $said = [];
            foreach ($events as $event) {
                $fields = new EditFields($event);
                [$uuid, $at] = [$fields->text('id'), $fields->moment('at')];
                if (WorkEvent::query()->where('uuid', $uuid)->exists()) {
                    continue;
                }
                try {
                    [$work, $data, $message] = self::done($block, $work, $fields, $at);
                    if ($message !== '') {
                        $said[] = ['id' => $uuid, 'of' => $data['title'] ?? '', 'message' => $message, 'isRefused' => false];
                    }
                } catch (KeenSeamProblem $problem) {
                    $said[] = ['id' => $uuid, 'of' => '', 'message' => $problem->getMessage(), 'isRefused' => true];

                    continue;
                }
                WorkEvent::query()->create(['shelf_block_id' => $block->id, 'uuid' => $uuid, 'kind' => $fields->text('do'), 'data' => $data, 'at' => $at]);
            }
            // Not a new version: steps done never stand against a change made in another window.
            $block->keepWork($work->working->facts()->withProgress($work->progress, array_map(static fn (Step $step): string => $step->key(), $work->pedal->steps)), $work->stepsDone(), count($work->pedal->steps));

            return [$before, $said];
        });
    }

    /**
     * @return array{Work, array<string, mixed>, string} the work after it, what the logbook keeps of it, what to say to it
     *
     * @throws KeenSeamProblem
     */
    private static function done(ShelfBlock $block, Work $work, EditFields $fields, int $at): array
    {
        $deed = $fields->choice('do', Deed::class);
        $block->paused_at = $deed === Deed::Paused ? $at : null;
        if ($deed === Deed::Unpicked) {
            return self::unpicked($work, $fields);
        }
        if ($deed === Deed::Paused || $deed === Deed::Resumed) {
            $next = $work->progress->next($work->pedal->steps);

            return [$work, $next === null || $deed === Deed::Resumed ? [] : ['times' => 0] + self::logged($work, $work->pedal->steps[$next]), ''];
        }
        $step = $work->step($fields->text('step'));
        $data = self::logged($work, $step);
        $pressing = $work->pedal->pressing;

        return match ($deed) {
            Deed::Done => [$work->with($work->progress->with($step, $pressing)), $data, ''],
            Deed::Counted => [$work->with($work->progress->withOneMore($step, $pressing)), ['times' => min(1, $data['times'])] + $data, ''],
            Deed::Back => self::back($block, $work, $step, $data),
            Deed::Otherwise => [$work->with($work->progress->pressedOtherwise($step, $pressing)), $data, ''],
            Deed::Measured => self::measured($block, $work, $step, $fields, $data),
        };
    }

    /**
     * @return array{Work, array<string, mixed>, string}
     *
     * @throws WorkNotPossible
     */
    private static function unpicked(Work $work, EditFields $fields): array
    {
        if ($fields->has('unit')) {
            return (new Hands($work))->mended($fields);
        }
        $construction = $work->working->construction();
        if ($fields->has('step')) {
            return self::unpickedWithin($work, $work->step($fields->text('step')), $fields);
        }
        $join = $fields->number('join');
        $cause = $fields->choice('cause', UnpickCause::class);
        $blocks = $fields->has('blocks') ? $fields->number('blocks') : 1;
        $reason = $fields->has('reason') ? trim($fields->text('reason')) : '';
        $opened = $work->progress->toUnpick($construction, $join);
        if ($opened === []) {
            throw WorkNotPossible::notSewn();
        }
        if ($blocks < 1 || $blocks > $work->blocks) {
            throw WorkNotPossible::soManyBlocks($work->blocks);
        }
        $units = TakenUnits::named(TakenUnits::by($construction, [$join]));

        return [
            $work->with($work->progress->unpicked($construction, $join, $work->pedal->steps, $blocks, $work->blocks)),
            ['join' => $join, 'title' => SeamName::all($construction)[$join]->title, 'cause' => $cause->value, ...($reason === '' ? [] : ['reason' => $reason]), 'seams' => count($opened) * $blocks, 'blocks' => $blocks, 'units' => $units],
            '',
        ];
    }

    /**
     * Pieces of a step that is not sewn to its end.
     *
     * @return array{Work, array<string, mixed>, string}
     *
     * @throws KeenSeamProblem
     */
    private static function unpickedWithin(Work $work, Step $step, EditFields $fields): array
    {
        $pieces = $fields->has('count') ? $fields->number('count') : 1;
        $counted = $work->progress->isDone($step) || $step->do !== StepKind::Join ? 0 : $work->progress->counted($step);
        if ($pieces < 1 || $pieces > $counted) {
            throw WorkNotPossible::notCounted($counted);
        }
        $reason = $fields->has('reason') ? trim($fields->text('reason')) : '';

        return [
            $work->with($work->progress->uncounted($step, $pieces)),
            ['title' => $step->title, 'cause' => $fields->choice('cause', UnpickCause::class)->value, ...($reason === '' ? [] : ['reason' => $reason]), 'seams' => $pieces, 'units' => TakenUnits::named(TakenUnits::by($work->working->construction(), $step->joins))],
            '',
        ];
    }

    /**
     * Takes back what was done last to a step, and only that.
     *
     * @param array<string, mixed> $data
     *
     * @return array{Work, array<string, mixed>, string}
     */
    private static function back(ShelfBlock $block, Work $work, Step $step, array $data): array
    {
        if (! $work->progress->isDone($step) && $work->progress->counted($step) === 0) {
            return [$work, $data, ''];
        }
        $last = WorkEvent::query()->where('shelf_block_id', $block->id)
            ->where('data->step', $step->key())
            ->whereNull('data->isUndone')
            ->whereIn('kind', array_map(static fn (Deed $deed): string => $deed->value, array_filter(Deed::cases(), static fn (Deed $deed): bool => $deed->isWork())))
            ->orderByDesc('id')->first();
        $opened = $last === null ? null : ($last->data['open'] ?? null);
        $last?->update(['data' => ['isUndone' => true] + $last->data]);

        return [$work->with($work->progress->without($step, is_array($opened) ? array_values(array_filter($opened, is_int(...))) : null)), $data, ''];
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
        $plan = $work->working->plan();
        $kept = $plan->construction->face->block;
        $unit = $kept->unit;
        $join = $step->sets === [] ? null : $work->joinOf(...$step->sets[0]);
        if ($join === null || $step->size === null) {
            throw WorkNotPossible::nothingToMeasure();
        }
        $texts = [$fields->text('width'), $fields->text('height')];
        $size = [];
        foreach ($texts as $i => $side) {
            $size[$i] = $fields->length(['width', 'height'][$i], $unit)->in($unit);
            MeasuredNotLikely::unlessNear($size[$i]->toFloat(), Length::parse($step->size[$i], $unit)->in($unit)->toFloat(), $side, $unit);
        }
        $facts = $work->working->facts();
        $made = $plan->construction->joins[$join];
        $isUnit = $made->tie !== null && $block->square_up === SquareUp::Units;
        $verdict = MeasureVerdict::of(
            $plan,
            TakeUp::readOrIdeal($block->take_up, $kept),
            $block->square_up,
            $facts->measuredIn($unit),
            $block->tolerance($unit),
            $join,
            [$size[0]->toFloat(), $size[1]->toFloat()],
        );
        // A unit that is too large is not so any more once it is squared up.
        $lasting = static fn (int $i): string => $isUnit && $size[$i]->compareTo(Length::parse($step->size[$i], $unit)->in($unit)) > 0 ? $step->size[$i] : $texts[$i];
        $block->measured_parts = $facts->withMeasured($join, [$lasting(0), $lasting(1)]);

        return [
            $work->with($work->progress->with($step, $work->pedal->pressing)),
            $data + [
                'width' => $texts[0],
                'height' => $texts[1],
                'meant' => $step->size,
                'across' => SeamsAcross::of($plan, $made, $block->square_up),
                'ideal' => TakeUp::ideal($kept)->toText(),
                'unit' => $unit->value,
                'isUnit' => $isUnit,
            ],
            $verdict->words,
        ];
    }

    /** @return array{step: string, title: string, does: string, place: string, times: int, open: list<int>, seams: int, madeUnit: string|null} */
    private static function logged(Work $work, Step $step): array
    {
        return [
            'step' => $step->key(),
            'title' => $step->title,
            'does' => $step->do->value,
            'place' => $step->do->place(),
            'times' => $work->progress->left($step),
            'open' => $step->do === StepKind::Join || $step->do === StepKind::Press ? $work->progress->open($step) : [],
            'seams' => count($step->joins),
            'madeUnit' => $step->do === StepKind::SquareUp ? ($work->pedal->plurals[$step->unitClass ?? ''] ?? null) : null,
        ];
    }
}
