<?php

declare(strict_types=1);

namespace App\Http;

use App\Documents\PressDocument;
use App\Documents\Sheets;
use App\Documents\Spliced;
use App\Exceptions\NoWheelThere;
use App\Models\ShelfBlock;
use App\Wall\History;
use App\Workings\Planning;
use App\Workings\WorkingOut;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\LockNotPossible;

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
     * @param string                     $words  what the change is, as a quilter says it
     * @param \Closure(WorkingOut): void $change to the block
     *
     * @throws KeenSeamProblem
     */
    public function after(Request $request, ShelfBlock $block, string $words, \Closure $change): JsonResponse
    {
        $version = SeenVersion::of($request);
        $working = $this->workings->of($block);
        $from = $working->planHead()->content;
        $before = Sheets::press($working);
        $change($working);
        try {
            $after = Sheets::press($working);
        } catch (LockNotPossible $problem) {
            throw $problem->crossing === null ? $problem : NoWheelThere::of($problem, $working->construction(), $problem->crossing);
        }
        History::record($block, $version, $words, [], History::PRESS);

        return $this->changed($block, $working, $from, $before, $after);
    }

    /**
     * Takes the last change at this station back or, with +1, makes it again.
     *
     * @throws KeenSeamProblem
     */
    public function step(Request $request, ShelfBlock $block, int $by): JsonResponse
    {
        $version = SeenVersion::of($request);
        $working = $this->workings->of($block);
        $from = $working->planHead()->content;
        $before = Sheets::press($working);
        History::step($block, $version, $by, function (ShelfBlock $changed): array {
            Sheets::press($this->workings->of($changed));

            return [];
        }, History::PRESS);
        $working = $this->workings->of($block);

        return $this->changed($block, $working, $from, $before, Sheets::press($working));
    }

    private function changed(ShelfBlock $block, WorkingOut $working, string $from, string $before, string $after): JsonResponse
    {
        $isCompared = max(strlen($before), strlen($after)) <= self::COMPARED;

        // Told as a change of no plan, it makes the screen ask for the whole.
        return new JsonResponse([...PressDocument::ofBlock($block, $working, $this->planning), 'from' => $isCompared ? $from : '', 'changed' => (object) ($isCompared ? Spliced::changed($before, $after) : [])]);
    }
}
