<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\WorkDocument;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\EditNotReadable;
use App\Work\KeptLog;
use App\Work\WorkTable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\Logbook;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\TakenUnits;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\TakeUp;

/** The work at the machine, step by step. */
final readonly class WorkController
{
    /** More keys than a long evening without a server. */
    private const MOST_EVENTS = 500;

    public function __construct(private WorkTable $table) {}

    /** @throws KeenSeamProblem */
    public function show(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(WorkDocument::of($this->table->of($block), $block));
    }

    /** @throws KeenSeamProblem */
    public function step(ShelfBlock $block, string $key): JsonResponse
    {
        $work = $this->table->of($block);

        return new JsonResponse(WorkDocument::step($work, $work->step($key), $block, TakeUp::readOrIdeal($block->take_up, $work->plan->construction->face->block)));
    }

    /** @throws KeenSeamProblem */
    public function tell(Request $request, ShelfBlock $block): JsonResponse
    {
        $events = $request->json('events');
        if (! is_array($events) || count($events) > self::MOST_EVENTS || array_filter($events, is_array(...)) !== $events) {
            throw EditNotReadable::field('events', 'list of what was done');
        }
        $said = $this->table->tell($block, array_values($events));

        return new JsonResponse([...WorkDocument::of($this->table->of($block), $block), 'said' => $said]);
    }

    /** @throws KeenSeamProblem */
    public function chain(Request $request, ShelfBlock $block): JsonResponse
    {
        $block->sewAs((new EditFields($request->json()->all()))->choice('chain', Chain::class));

        return $this->show($block);
    }

    /**
     * What it would cost to open a seam.
     *
     * @throws KeenSeamProblem
     */
    public function unpicking(ShelfBlock $block, int $join): JsonResponse
    {
        $work = $this->table->of($block);
        JoinNotKnown::unlessIn($work->plan->construction, $join);
        $seams = $work->progress->toUnpick($work->plan->construction, $join);
        $names = SeamName::all($work->plan->construction);
        $log = new Logbook(KeptLog::recent());
        $units = TakenUnits::by($work->plan->construction, $seams);

        return new JsonResponse([
            'seams' => array_map(static fn (int $seam): string => $names[$seam]->title, $seams),
            'units' => array_map(static fn (PlacedUnit $unit): string => $unit->cell->unit->name().' at '.Words::place($unit), $units),
            'minutes' => $log->minutesToSewAgain(count($seams)),
            'isOwnPace' => $log->pace !== null,
        ]);
    }
}
