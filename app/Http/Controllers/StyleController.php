<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PressDocument;
use App\Exceptions\ChoiceNotKnown;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\PressStyle;

/** The school of pressing. */
final readonly class StyleController
{
    public function __construct(private BlockPlans $plans) {}

    /** All schools side by side. */
    public function index(ShelfBlock $block): JsonResponse
    {
        $figures = [];
        foreach ($this->plans->styles($block) as $style => $plan) {
            $figures[] = ['style' => $style, 'figures' => PressDocument::figures($plan), 'proved' => $plan->proved];
        }

        return new JsonResponse(['styles' => $figures]);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $style = $request->json('style');
        $block->style = PressStyle::tryFrom(is_string($style) ? $style : '') ?? throw ChoiceNotKnown::of('style', PressStyle::cases());
        $station = $this->plans->press($block);
        $block->saveOver(SeenVersion::of($request), []);

        return new JsonResponse(PressDocument::of($station));
    }
}
