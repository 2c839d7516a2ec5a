<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\ChoiceNotKnown;
use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\PressStyle;

/** The school of pressing. */
final readonly class StyleController
{
    private const MOST_PLIES = 100;

    public function __construct(
        private Workings $workings,
        private PressAnswers $answers,
    ) {}

    /** All schools side by side. */
    public function index(ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);
        $figures = [];
        foreach (PressStyle::cases() as $style) {
            $head = $working->plans()->headOfStyle($style);
            $figures[] = ['style' => $style->value, 'figures' => $head->figures, 'proved' => $head->proved];
        }

        return new JsonResponse(['styles' => $figures, 'pressed' => count($working->facts()->progress()->pressed)]);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $style = $request->json('style');
        $style = PressStyle::tryFrom(is_string($style) ? $style : '') ?? throw ChoiceNotKnown::of('style', PressStyle::cases());

        $lump = $request->json('lump', $block->lump);
        if (! is_int($lump) || $lump < 1 || $lump > self::MOST_PLIES) {
            throw ChoiceNotKnown::count('lump');
        }

        return $this->answers->after($request, $block, sprintf('School: %s', $style->words()), static function () use ($block, $style, $lump): void {
            [$block->style, $block->lump] = [$style, $lump];
        });
    }
}
