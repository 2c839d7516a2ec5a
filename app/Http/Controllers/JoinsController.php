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
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\MeasuredNotLikely;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\Scatter;
use KeenSeam\Core\Matching\SeamTest;
use KeenSeam\Core\Matching\Sensitivity;
use KeenSeam\Core\Matching\Spread;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Matching\Tolerance;

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
        $changes = [
            'take_up' => $fields->has('takeUp') ? $fields->text('takeUp') : null,
            'square_up' => $fields->choice('squareUp', SquareUp::class),
        ];
        if ($fields->has('leave') || $fields->has('ease')) {
            $unit = $this->plans->block($block)->unit;
            Tolerance::of($fields->length('leave', $unit), $fields->length('ease', $unit), $unit);
            $changes += ['leave' => $fields->text('leave'), 'ease' => $fields->text('ease')];
        }
        $block->saveOver(SeenVersion::of($request), $changes);

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
        [$unit, $ideal] = [$kept->unit, TakeUp::ideal($kept)];
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

    /**
     * Keeps, or forgets, the real size of what a join made.
     *
     * @throws KeenSeamProblem
     */
    public function measure(Request $request, ShelfBlock $block, int $join): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $plan = $this->plans->press($block)->shown;
        JoinNotKnown::unlessIn($plan->construction, $join);
        $measured = $block->measuredNow();
        unset($measured[$join]);
        if ($fields->has('width')) {
            $unit = $plan->construction->face->block->unit;
            $meant = Remedy::rawSize($plan, $join);
            foreach (['width', 'height'] as $i => $side) {
                MeasuredNotLikely::unlessNear($fields->length($side, $unit)->in($unit)->toFloat(), $meant[$i], $fields->text($side), $unit);
            }
            $measured[$join] = [$fields->text('width'), $fields->text('height')];
        }
        $block->saveOver(SeenVersion::of($request), ['measured_parts' => [$block->order->value => $measured] + $block->measured_parts]);

        return $this->shown($block);
    }

    /**
     * How sure it is that everything meets without easing, and what would help most.
     *
     * @throws KeenSeamProblem
     */
    public function spread(Request $request, ShelfBlock $block): JsonResponse
    {
        $plan = $this->plans->press($block)->shown;
        $unit = $plan->construction->face->block->unit;
        $asked = new EditFields($request->query());
        $length = static fn (string $field): float => $asked->length($field, $unit)->in($unit)->toFloat();
        if (count($plan->construction->joins) > Spread::MOST_JOINS) {
            return new JsonResponse(['tooMany' => Spread::MOST_JOINS]);
        }
        [$scatter, $tolerance] = [new Scatter($length('sewing'), $length('cutting'), $length('folding')), $length('tolerance')];
        $sensitivity = Sensitivity::of($plan, $block->square_up);
        $now = Spread::of($sensitivity, $scatter, $tolerance);
        $better = [['words' => 'Sew twice as evenly', 'chance' => Spread::of($sensitivity, $scatter->sewnTwiceAsEvenly(), $tolerance)->block]];
        if ($block->square_up === SquareUp::None) {
            $better[] = ['words' => 'Square up every unit', 'chance' => Spread::of(Sensitivity::of($plan, SquareUp::Units), $scatter, $tolerance)->block];
        }
        $seams = self::heaviest($sensitivity);
        if ($seams !== null) {
            $better[] = ['words' => sprintf('Press %s open', lcfirst($seams->title)), 'chance' => Spread::of($sensitivity, $scatter, $tolerance, $seams->pressedToo)->block];
        }
        foreach ($this->plans->inOtherOrders($block) as $words => $other) {
            $better[] = ['words' => 'Sew it '.lcfirst($words), 'chance' => Spread::of(Sensitivity::of($other, $block->square_up), $scatter, $tolerance)->block];
        }
        usort($better, static fn (array $a, array $b): int => $b['chance'] <=> $a['chance']);

        return new JsonResponse(['joins' => $now->joins, 'block' => $now->block, 'error' => $now->error, 'runs' => Spread::RUNS, 'better' => $better]);
    }

    /** The seams, pressed together, from which most of what goes wrong comes, if they are not open already. */
    private static function heaviest(Sensitivity $sensitivity): ?SeamName
    {
        $weights = [];
        $names = SeamName::all($sensitivity->plan->construction);
        foreach ($names as $id => $name) {
            if (!$sensitivity->isOpen($sensitivity->plan->construction->joins[$id])) {
                $weights[$id] = $sensitivity->weight($name->pressedToo);
            }
        }
        $heaviest = $weights === [] ? null : array_search(max($weights), $weights, true);

        return is_int($heaviest) ? $names[$heaviest] : null;
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
        $takeUp = TakeUp::readOrIdeal($block->take_up, $kept);
        $tests = SeamTestRecord::query()->where('units', $kept->unit->value)->orderByDesc('id')->limit(10)->get()->all();

        return JoinsStationDocument::of($block, $plan, new Drift($plan, $takeUp, $block->square_up, [], $block->measuredSizes($kept->unit)), $takeUp, $tests);
    }
}
