<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PilesDocument;
use App\Documents\PressDocument;
use App\Exceptions\ChoiceNotKnown;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\EqualParts;

/** Which units are pressed in two piles, whether equal parts of one unit share a pile, and what a second pile would gain. */
final readonly class PilesController
{
    public function __construct(private BlockPlans $plans) {}

    public function index(ShelfBlock $block): JsonResponse
    {
        [$now, $splits] = $this->plans->piles($block);

        return new JsonResponse(PilesDocument::of($block, $now, $splits));
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $block->pressInTwoPilesNow($this->labels($request, $block));
        $equalParts = $request->json('equalParts', $block->equal_parts->value);
        $block->equal_parts = EqualParts::tryFrom(is_string($equalParts) ? $equalParts : '') ?? throw ChoiceNotKnown::of('equalParts', EqualParts::cases());
        $station = $this->plans->press($block);
        $block->saveOver(SeenVersion::of($request), []);

        return new JsonResponse(PressDocument::of($station));
    }

    /** @return list<string> */
    private function labels(Request $request, ShelfBlock $block): array
    {
        $given = $request->json('twoPiles', $block->twoPilesNow());
        $known = $this->plans->pileLabels($block);
        $labels = is_array($given) ? array_values(array_intersect($known, $given)) : [];

        return is_array($given) && count($labels) === count($given) ? $labels : throw ChoiceNotKnown::among('twoPiles', $known);
    }
}
