<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PilesDocument;
use App\Exceptions\ChoiceNotKnown;
use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\EqualParts;

/** Which units are pressed in two piles, whether equal parts of one unit share a pile, and what a second pile would gain. */
final readonly class PilesController
{
    /** Units of one class that are sorted into two piles one by one. */
    private const MOST_TO_SPLIT = 16;

    public function __construct(
        private Workings $workings,
        private PressAnswers $answers,
    ) {}

    public function index(ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);
        $question = $working->plans()->question();
        $splits = [];
        foreach ($working->construction()->classes as $class) {
            $count = count($class->members);
            if ($count > 1 && $count <= self::MOST_TO_SPLIT && ! in_array($class->index, $question->twoPiles, true)) {
                $splits[$class->index] = $working->plans()->best($question->withTwoPiles($class->index));
            }
        }

        return new JsonResponse(PilesDocument::of($block, $working, $splits));
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $equalParts = $request->json('equalParts', $block->equal_parts->value);
        $equalParts = EqualParts::tryFrom(is_string($equalParts) ? $equalParts : '') ?? throw ChoiceNotKnown::of('equalParts', EqualParts::cases());
        $classes = $this->classes($request, $this->workings->of($block));

        return $this->answers->after($request, $block, 'Change the piles', static function (WorkingOut $working) use ($block, $equalParts, $classes): void {
            $block->two_piles = $working->facts()->withTwoPiles($classes);
            $block->equal_parts = $equalParts;
        });
    }

    /** @return list<int> indexes of the classes that are asked for by their labels */
    private function classes(Request $request, WorkingOut $working): array
    {
        $labels = array_map(static fn (UnitClass $class): string => $class->label(), array_filter($working->construction()->classes, static fn (UnitClass $class): bool => count($class->members) > 1));
        $given = $request->json('twoPiles');
        if ($given === null) {
            return $working->facts()->twoPiles();
        }
        $classes = is_array($given) ? array_keys(array_intersect($labels, array_filter($given, is_string(...)))) : [];

        return is_array($given) && count($classes) === count($given) ? $classes : throw ChoiceNotKnown::among('twoPiles', array_values($labels));
    }
}
