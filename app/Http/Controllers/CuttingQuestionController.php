<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PatternDocument;
use App\Documents\SizeQuestion;
use App\House\House;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\EditNotReadable;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\PatternCheck;
use KeenSeam\Core\Making\Precut;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** What is asked beside the cutting list; nothing is kept of it. */
final readonly class CuttingQuestionController
{
    /** A pattern's list is a page or two. */
    private const LONGEST_PATTERN = 40_000;

    public function __construct(private Workings $workings) {}

    /**
     * From squares or strips of one size: how large a block?
     *
     * @throws KeenSeamProblem
     */
    public function largest(Request $request, ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);

        return JsonResponse::fromJsonString(SizeQuestion::largest($this->length($request, 'size', $working->design()->unit), $request->input('as') === 'strip')->answer($working));
    }

    /**
     * The same block at other finished sizes, side by side.
     *
     * @throws KeenSeamProblem
     */
    public function sizes(Request $request, ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);
        $unit = $working->design()->unit;
        $given = $request->input('sizes');
        $texts = array_slice(preg_split('~\s*,\s*~', trim(is_string($given) ? $given : ''), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, 6);

        return JsonResponse::fromJsonString(SizeQuestion::sizes(array_map(static fn (string $text): Fraction => (new EditFields(['sizes' => $text]))->length('sizes', $unit)->in($unit), $texts))->answer($working));
    }

    /** @throws KeenSeamProblem */
    public function precut(Request $request, ShelfBlock $block): JsonResponse
    {
        $plan = $this->workings->of($block)->cutting();
        $sewn = $plan->construction;
        [$width, $height] = [$this->length($request, 'width', $sewn->face->block->unit), $this->length($request, 'height', $sewn->face->block->unit)];
        $byFabric = [];
        foreach ($plan->cuts as $cut) {
            $byFabric[$cut->fabric][] = $cut;
        }

        return new JsonResponse(['fabrics' => array_values(array_map(static function (array $cuts) use ($width, $height): array {
            $precut = Precut::of($cuts, $width, $height);

            return [
                'fabric' => $precut->fabric,
                'needed' => $precut->needed,
                'tooLarge' => array_map(static fn (Cut $cut): string => $cut->count.' of '.SizeText::of($cut->width, $cut->height), $precut->tooLarge),
            ];
        }, $byFabric))]);
    }

    /** @throws KeenSeamProblem */
    public function pattern(Request $request, ShelfBlock $block): JsonResponse
    {
        [$sewn, $question] = $this->asked($block);
        $text = $request->json('text');
        if (! is_string($text) || strlen($text) > self::LONGEST_PATTERN) {
            throw EditNotReadable::field('text', 'list of up to 40 KB');
        }
        $check = PatternCheck::of(CuttingPlan::of($sewn, $question), $text);

        return new JsonResponse(['findings' => PatternDocument::sentences($check), 'lines' => $check->lines]);
    }

    /**
     * What a pattern lists is exact, whatever the house adds.
     *
     * @return array{Construction, CutQuestion}
     */
    private function asked(ShelfBlock $block): array
    {
        $working = $this->workings->of($block);
        $drawn = $working->drawn();

        return [$drawn, $working->choicesThatFit()->question($drawn->face->block->unit, House::now()->withMargin(Margin::Exact))];
    }

    private function length(Request $request, string $field, LengthUnit $unit): Fraction
    {
        $text = $request->input($field);
        $length = is_string($text) && mb_strlen($text) < 40 ? (new EditFields([$field => $text]))->length($field, $unit) : throw EditNotReadable::field($field, 'length');

        return $length->isPositive() ? $length->in($unit) : throw EditNotReadable::field($field, 'length above zero');
    }
}
