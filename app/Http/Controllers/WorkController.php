<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\WorkDocument;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\EditNotReadable;
use App\Work\KeptLog;
use App\Work\WorkNotPossible;
use App\Work\WorkTable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\Logbook;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\TakenUnits;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Measure\Fraction;

/** The work at the machine, step by step. */
final readonly class WorkController
{
    /** Minutes for a seam while the quilter's own pace is not known. Common practice, no published source. */
    private const USUAL_PACE = 4;

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
        $kept = $work->plan->construction->face->block;
        $takeUp = $block->take_up === null ? $kept->seamAllowance->in($kept->unit)->times(Fraction::of(2)) : TakeUp::read($block->take_up, $kept);

        return new JsonResponse(WorkDocument::step($work, $work->step($key), $block, $takeUp));
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
        if (! isset($work->plan->construction->joins[$join])) {
            throw WorkNotPossible::notSewn();
        }
        $seams = $work->progress->toUnpick($work->plan->construction, $join);
        $names = SeamName::all($work->plan->construction);
        $pace = (new Logbook(KeptLog::recent()))->pace;
        $units = TakenUnits::by($work->plan->construction, $seams);

        return new JsonResponse([
            'seams' => array_map(static fn (int $seam): string => $names[$seam]->title, $seams),
            'units' => array_map(static fn (PlacedUnit $unit): string => sprintf('%s at row %d, column %d', $unit->cell->unit->name(), $unit->cell->row, $unit->cell->column), $units),
            // Each is opened and sewn again.
            'minutes' => 2 * count($seams) * ($pace === null ? self::USUAL_PACE : $pace / 60_000),
            'isOwnPace' => $pace !== null,
        ]);
    }
}
