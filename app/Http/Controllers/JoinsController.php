<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\JoinsStationDocument;
use App\Http\SeenVersion;
use App\Models\SeamTestRecord;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use App\Wall\EditFields;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SeamTest;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Measure\Fraction;

/** The joins station: what must meet, and what the quilter's own seams do to it. */
final readonly class JoinsController
{
    public function __construct(private BlockPlans $plans) {}

    public function show(ShelfBlock $block): JsonResponse
    {
        return $this->shown($block);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        if ($fields->has('takeUp')) {
            TakeUp::read($fields->text('takeUp'), $this->plans->block($block));
        }
        $block->saveOver(SeenVersion::of($request), [
            'take_up' => $fields->has('takeUp') ? $fields->text('takeUp') : null,
            'square_up' => $fields->choice('squareUp', SquareUp::class),
        ]);

        return $this->shown($block);
    }

    /**
     * Keeps a seam test and uses its take-up for this block.
     *
     * @throws KeenSeamProblem
     */
    public function test(Request $request, ShelfBlock $block): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $kept = $this->plans->block($block);
        [$unit, $ideal] = [$kept->unit, self::ideal($kept)];
        [$width, $measured] = [$fields->length('width', $unit)->in($unit), $fields->length('measured', $unit)->in($unit)];
        $test = SeamTest::of($fields->number('strips'), $width, $measured, $ideal, $unit);
        $block->saveOver(SeenVersion::of($request), ['take_up' => $test->takeUp->toText()]);
        SeamTestRecord::query()->create([
            'units' => $unit->value,
            'strips' => $test->strips,
            'width' => $width->toText(),
            'measured' => $measured->toText(),
            'take_up' => $test->takeUp->toText(),
            'notes' => $fields->has('notes') ? $fields->text('notes') : '',
        ]);
        $answer = $this->document($block);

        return new JsonResponse($answer + ['advice' => $test->words($ideal, $unit)]);
    }

    private function shown(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse($this->document($block));
    }

    /** @return array<string, mixed> */
    private function document(ShelfBlock $block): array
    {
        $plan = $this->plans->press($block)->shown;
        $kept = $plan->construction->face->block;
        $takeUp = $block->take_up === null ? self::ideal($kept) : TakeUp::read($block->take_up, $kept);
        $tests = SeamTestRecord::query()->where('units', $kept->unit->value)->orderByDesc('id')->limit(10)->get()->all();

        return JoinsStationDocument::of($block, $plan, new Drift($plan, $takeUp, $block->square_up), $takeUp, $tests);
    }

    private static function ideal(Block $block): Fraction
    {
        return $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
    }
}
