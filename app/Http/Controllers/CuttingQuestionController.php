<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Cutting\CuttingChoices;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use App\Wall\EditNotReadable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Making\LargestBlock;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\PatternCheck;
use KeenSeam\Core\Making\Precut;
use KeenSeam\Core\Making\Scaled;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/** What is asked beside the cutting list; nothing is kept of it. */
final readonly class CuttingQuestionController
{
    /** A pattern's list is a page or two. */
    private const LONGEST_PATTERN = 40_000;

    public function __construct(private BlockPlans $plans) {}

    /**
     * From squares or strips of one size: how large a block?
     *
     * @throws KeenSeamProblem
     */
    public function largest(Request $request, ShelfBlock $block): JsonResponse
    {
        [$sewn, $question] = $this->asked($block);
        $side = $this->length($request, 'size', $sewn);
        $largest = LargestBlock::from($sewn, $side, $request->input('as') === 'strip', $question);
        if ($largest === null) {
            return new JsonResponse(['finished' => null, 'units' => [], 'trim' => []]);
        }
        $unit = $largest->block->unit;

        return new JsonResponse([
            'finished' => [$largest->block->finishedWidth->toText($unit), $largest->block->finishedHeight->toText($unit)],
            'units' => array_map(static fn (MadeUnit $made): array => self::made($made, $sewn), $largest->plan->units),
            'trim' => array_values(array_map(
                static fn (Cut $cut): array => ['fabric' => $cut->fabric, 'size' => self::sizeText($cut->width, $cut->height), 'off' => $side->minus($cut->longerSide())->toText()],
                array_filter($largest->plan->cuts, static fn (Cut $cut): bool => ! $cut->longerSide()->equals($side)),
            )),
        ]);
    }

    /**
     * The same block at other finished sizes, side by side.
     *
     * @throws KeenSeamProblem
     */
    public function sizes(Request $request, ShelfBlock $block): JsonResponse
    {
        [$sewn, $question] = $this->asked($block);
        $width = $sewn->face->block->finishedWidth->in($sewn->face->block->unit);
        $given = $request->input('sizes');
        $texts = array_slice(preg_split('~\s*,\s*~', trim(is_string($given) ? $given : ''), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, 6);
        $sizes = array_map(static fn (string $text): Fraction => Length::parse($text, $sewn->face->block->unit)->in($sewn->face->block->unit), $texts);

        return new JsonResponse(['sizes' => array_map(fn (Fraction $size): array => $this->atSize($sewn, $size->dividedBy($width), $question), $sizes)]);
    }

    /** @throws KeenSeamProblem */
    public function precut(Request $request, ShelfBlock $block): JsonResponse
    {
        [$sewn, $question] = $this->asked($block);
        [$width, $height] = [$this->length($request, 'width', $sewn), $this->length($request, 'height', $sewn)];
        $byFabric = [];
        foreach (CuttingPlan::of($sewn, $question)->cuts as $cut) {
            $byFabric[$cut->fabric][] = $cut;
        }

        return new JsonResponse(['fabrics' => array_values(array_map(static function (array $cuts) use ($width, $height): array {
            $precut = Precut::of($cuts, $width, $height);

            return [
                'fabric' => $precut->fabric,
                'needed' => $precut->needed,
                'tooLarge' => array_map(static fn (Cut $cut): string => $cut->count.' of '.self::sizeText($cut->width, $cut->height), $precut->tooLarge),
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

        return new JsonResponse(['findings' => $check->findings, 'lines' => $check->lines]);
    }

    /** @return array<string, mixed> */
    private function atSize(Construction $sewn, Fraction $scale, CutQuestion $question): array
    {
        $block = Scaled::block($sewn->face->block, $scale);
        $finished = [$block->finishedWidth->toText($block->unit), $block->finishedHeight->toText($block->unit)];
        try {
            $plan = Scaled::plan($sewn, $scale, $question);
        } catch (CutNotPossible $problem) {
            return ['finished' => $finished, 'problem' => $problem->getMessage(), 'isOnRuler' => false, 'units' => []];
        }

        return [
            'finished' => $finished,
            'problem' => '',
            'isOnRuler' => FriendlySizes::of($plan->construction->face)->awkward === [],
            'units' => array_map(static fn (MadeUnit $made): array => self::made($made, $plan->construction), $plan->units),
        ];
    }

    /** @return array<string, mixed> */
    private static function made(MadeUnit $made, Construction $sewn): array
    {
        $two = $sewn->face->block->seamAllowance->in($sewn->face->block->unit)->times(Fraction::of(2));
        $marks = (new CutQuestion())->marksFor($sewn->face->block->unit);

        return [
            'class' => $made->unit->label,
            'unfinished' => self::sizeText($made->unit->width->plus($two), $made->unit->height->plus($two)),
            'pieces' => array_map(static fn ($piece): string => self::sizeText($piece->width->raisedTo($marks), $piece->height->raisedTo($marks)), $made->way->pieces),
        ];
    }

    /** @return array{Construction, CutQuestion} */
    private function asked(ShelfBlock $block): array
    {
        $sewn = $this->plans->sewn($block);
        $kept = CuttingChoices::from($block->cutting);
        $unit = $sewn->face->block->unit;

        return [$sewn, $kept->fitting(CuttingPlan::of($sewn, $kept->withoutWays()->question($unit)))->question($unit)];
    }

    private function length(Request $request, string $field, Construction $sewn): Fraction
    {
        $text = $request->input($field);
        $length = is_string($text) && mb_strlen($text) < 40 ? Length::parse($text, $sewn->face->block->unit) : throw EditNotReadable::field($field, 'length');

        return $length->isPositive() ? $length->in($sewn->face->block->unit) : throw EditNotReadable::field($field, 'length above zero');
    }

    private static function sizeText(Fraction $width, Fraction $height): string
    {
        return $width->equals($height) ? $width->toText() : $width->toText().' x '.$height->toText();
    }
}
