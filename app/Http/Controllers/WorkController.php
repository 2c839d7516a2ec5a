<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\StepSheet;
use App\Documents\WorkDocument;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\EditNotReadable;
use App\Work\Hands;
use App\Work\KeptLog;
use App\Work\SewnAs;
use App\Work\WorkTable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\Logbook;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\TakenUnits;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Guide\WrongHand;
use KeenSeam\Core\KeenSeamProblem;

/** The work at the machine, step by step. */
final readonly class WorkController
{
    /** More keys than a long evening without a server. */
    private const MOST_EVENTS = 500;

    public function __construct(private WorkTable $table, private SewnAs $sewnAs) {}

    /** @throws KeenSeamProblem */
    public function show(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(WorkDocument::of($this->table->of($block), $block));
    }

    /** @throws KeenSeamProblem */
    public function step(ShelfBlock $block, string $key): JsonResponse
    {
        $work = $this->table->of($block);

        return JsonResponse::fromJsonString(StepSheet::text($work, $work->step($key), $block));
    }

    /** @throws KeenSeamProblem */
    public function tell(Request $request, ShelfBlock $block): JsonResponse
    {
        $events = $request->json('events');
        if (! is_array($events) || count($events) > self::MOST_EVENTS || array_filter($events, is_array(...)) !== $events) {
            throw EditNotReadable::field('events', 'list of what was done');
        }
        [$before, $said] = $this->table->tell($block, array_values($events));
        // A seam that lies otherwise than planned may have changed the rest of the plan.
        $now = $this->table->of($block);

        return new JsonResponse([...WorkDocument::changed($before, $now, $block, is_string($request->json('mark')) ? $request->json('mark') : ''), 'said' => $said]);
    }

    /** @throws KeenSeamProblem */
    public function chain(Request $request, ShelfBlock $block): JsonResponse
    {
        $this->sewnAs->choose($block, (new EditFields($request->json()->all()))->choice('chain', Chain::class));

        return $this->show($block);
    }

    /**
     * Piles that may be of the wrong hand; for one of them the ways to mend it.
     *
     * @throws KeenSeamProblem
     */
    public function hands(Request $request, ShelfBlock $block): JsonResponse
    {
        $hands = new Hands($this->table->of($block));
        $fields = new EditFields(array_map(static fn (mixed $value): mixed => is_string($value) && ctype_digit($value) ? (int) $value : $value, $request->query()));
        $mends = $fields->has('unit') ? $hands->mends($fields->text('unit'), $fields->number('count')) : [];

        return new JsonResponse([
            'piles' => $hands->piles(),
            'mends' => array_map(static fn (WrongHand $mend): array => ['how' => $mend->how->value, 'words' => $mend->words], $mends),
        ]);
    }

    /**
     * What it would cost to open a seam.
     *
     * @throws KeenSeamProblem
     */
    public function unpicking(ShelfBlock $block, int $join): JsonResponse
    {
        $work = $this->table->of($block);
        $construction = $work->working->construction();
        JoinNotKnown::unlessIn($construction, $join);
        $seams = $work->progress->toUnpick($construction, $join);
        $names = SeamName::all($construction);
        $log = new Logbook(KeptLog::recent());
        $units = TakenUnits::by($construction, $seams);

        return new JsonResponse([
            'seams' => array_map(static fn (int $seam): string => $names[$seam]->title, $seams),
            'units' => array_map(static fn (PlacedUnit $unit): string => UnitName::of($unit, false).' at '.Words::place($unit), $units),
            'minutes' => $log->minutesToSewAgain(count($seams)),
            'isOwnPace' => $log->pace !== null,
        ]);
    }
}
