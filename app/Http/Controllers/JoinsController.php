<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\JoinsStationDocument;
use App\Documents\Sheets;
use App\Documents\Spliced;
use App\Http\SeenVersion;
use App\Models\SeamTestRecord;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Workings\WorkingOut;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\KeenSeamProblem;
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
    public function __construct(private Workings $workings) {}

    public function show(ShelfBlock $block): Response
    {
        return $this->shown($block);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): Response
    {
        $fields = new EditFields($request->json()->all());
        if ($fields->has('takeUp')) {
            TakeUp::read($fields->text('takeUp'), $this->workings->of($block)->design());
        }
        $changes = [
            'take_up' => $fields->has('takeUp') ? $fields->text('takeUp') : null,
            'square_up' => $fields->choice('squareUp', SquareUp::class),
        ];
        if ($fields->has('leave') || $fields->has('ease')) {
            $unit = $this->workings->of($block)->design()->unit;
            Tolerance::of($fields->length('leave', $unit), $fields->length('ease', $unit), $unit);
            $changes += ['leave' => $fields->text('leave'), 'ease' => $fields->text('ease')];
        }
        $this->save($block, SeenVersion::of($request), $changes);

        return $this->shown($block);
    }

    /**
     * Keeps a seam test and uses its take-up for this block.
     *
     * @throws KeenSeamProblem
     */
    public function test(Request $request, ShelfBlock $block): Response
    {
        $fields = new EditFields($request->json()->all());
        $kept = $this->workings->of($block)->design();
        [$unit, $ideal] = [$kept->unit, TakeUp::ideal($kept)];
        [$width, $measured] = [$fields->length('width', $unit)->in($unit), $fields->length('measured', $unit)->in($unit)];
        $test = SeamTest::of($fields->number('strips'), $width, $measured, $ideal, $unit);
        $this->save($block, SeenVersion::of($request), ['take_up' => $test->takeUp->toText()]);
        SeamTestRecord::query()->create([
            'units' => $unit->value,
            'strips' => $test->strips,
            'width' => $width->toText(),
            'measured' => $measured->toText(),
            'take_up' => $test->takeUp->toText(),
            'notes' => $fields->has('notes') ? $fields->text('notes') : '',
        ]);
        $working = $this->workings->of($block);

        return Spliced::answer([...$this->heading($block, $working), 'advice' => $test->words($ideal, $unit)], Sheets::joins($block, $working));
    }

    /**
     * Keeps, or forgets, the real size of what a join made.
     *
     * @throws KeenSeamProblem
     */
    public function measure(Request $request, ShelfBlock $block, int $join): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $working = $this->workings->of($block);
        $plan = $working->plan();
        JoinNotKnown::unlessIn($plan->construction, $join);
        $size = null;
        if ($fields->has('width')) {
            $unit = $plan->construction->face->block->unit;
            $meant = Remedy::rawSize($plan, $join);
            foreach (['width', 'height'] as $i => $side) {
                MeasuredNotLikely::unlessNear($fields->length($side, $unit)->in($unit)->toFloat(), $meant[$i], $fields->text($side), $unit);
            }
            $size = [$fields->text('width'), $fields->text('height')];
        }
        [$version, $before] = [SeenVersion::of($request), Sheets::joins($block, $working)];
        $this->save($block, $version, ['measured_parts' => $working->facts()->withMeasured($join, $size)]);

        return new JsonResponse([...$this->heading($block, $working), 'changed' => (object) Spliced::changed($before, Sheets::joins($block, $working))]);
    }

    /**
     * How sure it is that everything meets without easing, and what would help most.
     *
     * @throws KeenSeamProblem
     */
    public function spread(Request $request, ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);
        $plan = $working->plan();
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
        foreach ($working->plans()->inOtherOrders() as $words => $other) {
            $better[] = ['words' => 'Sew it '.lcfirst($words), 'chance' => Spread::of(Sensitivity::of($other, $block->square_up), $scatter, $tolerance)->block];
        }
        usort($better, static fn (array $a, array $b): int => $b['chance'] <=> $a['chance']);

        return new JsonResponse(['joins' => (object) $now->joins, 'block' => $now->block, 'error' => $now->error, 'runs' => Spread::RUNS, 'better' => $better]);
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

    /**
     * The sheet is made before anything is saved: whoever has to wait for it asks again, and her change is still the same.
     *
     * @param array<string, mixed> $changes
     */
    private function save(ShelfBlock $block, int $version, array $changes): void
    {
        $working = $this->workings->of($block);
        $block->fill($changes);
        Sheets::joins($block, $working);
        $block->saveOver($version, []);
    }

    private function shown(ShelfBlock $block): Response
    {
        $working = $this->workings->of($block);

        return Spliced::answer($this->heading($block, $working), Sheets::joins($block, $working));
    }

    /** @return array<string, mixed> */
    private function heading(ShelfBlock $block, WorkingOut $working): array
    {
        return JoinsStationDocument::heading($block, SeamTestRecord::query()->where('units', $working->design()->unit->value)->orderByDesc('id')->limit(10)->get()->values()->all());
    }
}
