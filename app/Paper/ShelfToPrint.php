<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\PlanNotFound;
use App\Workings\WorkedTops;
use App\Workings\Workings;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Guide\BorderSteps;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\TopFace;

/** Blocks and tops of the shelf as they are printed and listed: with the margins, measures and choices of the screens. */
final readonly class ShelfToPrint
{
    public function __construct(private Workings $workings, private WorkedTops $tops) {}

    /** @throws KeenSeamProblem */
    public function block(ShelfBlock $block): ToPrint
    {
        $working = $this->workings->asAsked($block);

        return new ToPrint(
            $block->name,
            $working->cutting(...),
            $working->plan(...),
            static function (PressingPlan $plan) use ($block, $working): Drift {
                $kept = $plan->construction->face->block;

                return new Drift($plan, TakeUp::readOrIdeal($block->take_up, $kept), $block->square_up, [], $working->facts()->measuredIn($kept->unit));
            },
            static fn (): array => $working->pedal()->steps,
            $block->tolerance($working->design()->unit),
        );
    }

    /** @throws KeenSeamProblem */
    public function top(ShelfTop $kept): ToPrint
    {
        $top = $this->tops->top($kept);
        $question = new CutQuestion(1, $kept->preference);

        return new ToPrint(
            $kept->name,
            static fn (): CuttingPlan => CuttingPlan::of(TopConstruction::asPlaced(TopFace::of($top), $kept->topOrder())->construction, $question, $top),
            fn (): TopPlan => $this->tops->plan($kept)['plan'] ?? throw PlanNotFound::since('The plan of this top is still being worked out. Try again when it is there.'),
            static fn (PressingPlan $plan): Drift => new Drift($plan, TakeUp::readOrIdeal(null, $plan->construction->face->block), SquareUp::Units),
            static fn (PressingPlan $plan): array => [...WorkSteps::of($plan, $question, $kept->chain, $plan->construction), ...BorderSteps::of($top)],
            asPlaced: $top,
        );
    }
}
