<?php

declare(strict_types=1);

namespace App\Http;

use App\Documents\PressDocument;
use App\Documents\Sheets;
use App\Documents\Spliced;
use App\Models\ShelfBlock;
use App\Workings\Planning;
use App\Workings\WorkingOut;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\KeenSeamProblem;

/** Answers of the press station: all of it, or after a change what is otherwise than before. */
final readonly class PressAnswers
{
    /** Bytes of a plan's sheet that is compared with another; of a larger one the screen asks for all again. */
    private const COMPARED = 4_000_000;

    public function __construct(
        private Workings $workings,
        private Planning $planning,
    ) {}

    /** @throws KeenSeamProblem */
    public function whole(ShelfBlock $block): Response
    {
        $working = $this->workings->of($block);

        return Spliced::answer(PressDocument::ofBlock($block, $working, $this->planning), Sheets::press($working));
    }

    /**
     * The plan is made before anything is saved: a change that cannot be changes nothing.
     *
     * @param \Closure(WorkingOut): void $change to the block
     *
     * @throws KeenSeamProblem
     */
    public function after(Request $request, ShelfBlock $block, \Closure $change): JsonResponse
    {
        $version = SeenVersion::of($request);
        $working = $this->workings->of($block);
        $from = $working->planHead()->content;
        $before = Sheets::press($working);
        $change($working);
        $after = Sheets::press($working);
        $block->saveOver($version, []);

        $isCompared = max(strlen($before), strlen($after)) <= self::COMPARED;

        // Told as a change of no plan, it makes the screen ask for the whole.
        return new JsonResponse([...PressDocument::ofBlock($block, $working, $this->planning), 'from' => $isCompared ? $from : '', 'changed' => (object) ($isCompared ? Spliced::changed($before, $after) : [])]);
    }
}
