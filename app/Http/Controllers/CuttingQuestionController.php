<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PatternDocument;
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
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Making\LargestBlock;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\PatternCheck;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Precut;
use KeenSeam\Core\Making\Scaled;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\Length;
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
        [$sewn, $question] = $this->asked($block, Margin::Exact);
        $side = $this->length($request, 'size', $sewn);
        $largest = LargestBlock::from($sewn, $side, $request->input('as') === 'strip', $question);
        if ($largest === null) {
            return new JsonResponse(['finished' => null, 'units' => [], 'trim' => []]);
        }
        $unit = $largest->block->unit;

        return new JsonResponse([
            'finished' => [self::onRuler($largest->block->finishedWidth->in($unit), $unit), self::onRuler($largest->block->finishedHeight->in($unit), $unit)],
            'units' => array_map(static fn (MadeUnit $made): array => self::made($made, $sewn), $largest->plan->units),
            'trim' => array_values(array_map(
                static fn (Cut $cut): array => ['fabric' => $cut->fabric, 'size' => SizeText::of($cut->width, $cut->height), 'off' => $side->minus($cut->longerSide())->toText()],
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
        $sizes = array_map(static fn (string $text): Fraction => (new EditFields(['sizes' => $text]))->length('sizes', $sewn->face->block->unit)->in($sewn->face->block->unit), $texts);

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
                'tooLarge' => array_map(static fn (Cut $cut): string => $cut->count.' of '.SizeText::of($cut->width, $cut->height), $precut->tooLarge),
            ];
        }, $byFabric))]);
    }

    /** @throws KeenSeamProblem */
    public function pattern(Request $request, ShelfBlock $block): JsonResponse
    {
        [$sewn, $question] = $this->asked($block, Margin::Exact);
        $text = $request->json('text');
        if (! is_string($text) || strlen($text) > self::LONGEST_PATTERN) {
            throw EditNotReadable::field('text', 'list of up to 40 KB');
        }
        $check = PatternCheck::of(CuttingPlan::of($sewn, $question), $text);

        return new JsonResponse(['findings' => PatternDocument::sentences($check), 'lines' => $check->lines]);
    }

    /** @return array<string, mixed> */
    private function atSize(Construction $drawn, Fraction $scale, CutQuestion $question): array
    {
        $block = Scaled::block($drawn->face->block, $scale);
        $told = static fn (Length $length): string => self::onRuler($length->in($block->unit), $block->unit);
        $answer = ['finished' => [$told($block->finishedWidth), $told($block->finishedHeight)], 'isOnRuler' => false, 'nearest' => [], 'pieces' => [], 'units' => []];
        try {
            $plan = Scaled::plan($drawn, $scale, $question);
        } catch (CutNotPossible $problem) {
            return ['problem' => $problem->getMessage()] + $answer;
        }
        $friendly = FriendlySizes::of($plan->construction->face);

        return [
            'problem' => '',
            'isOnRuler' => $friendly->awkward === [],
            'nearest' => array_map(static fn (array $size): string => $size[0]->toText($block->unit), $friendly->nearest),
            'pieces' => array_map(static fn (Cut $cut): array => [
                'letter' => $cut->letter,
                'fabric' => $cut->fabric,
                'count' => $cut->count,
                'shape' => $cut->shape->value,
                'size' => self::onRuler($cut->width, $block->unit).($cut->width->equals($cut->height) ? '' : ' x '.self::onRuler($cut->height, $block->unit)),
                'then' => $cut->then === Then::None ? '' : $cut->then->value,
                'for' => $cut->for,
            ], $plan->cuts),
            'units' => array_map(static fn (MadeUnit $made): array => self::made($made, $plan->construction), $plan->units),
        ] + $answer;
    }

    /** @return array<string, mixed> */
    private static function made(MadeUnit $made, Construction $drawn): array
    {
        $unit = $drawn->face->block->unit;
        $marks = (new CutQuestion())->marksFor($unit);
        $raw = array_map(static fn (Fraction $side): string => self::onRuler($side, $unit), $made->unit->raw($drawn->face->block->seamAllowance->in($unit)));

        return [
            'class' => $made->unit->label,
            'name' => $made->unit->need + $made->unit->mirrored === 1 ? $made->unit->name : $made->unit->plural,
            'count' => $made->unit->need + $made->unit->mirrored,
            'unfinished' => $raw[0] === $raw[1] ? $raw[0] : implode(' x ', $raw),
            'pieces' => array_map(static fn (Piece $piece): string => SizeText::of(...$piece->exact($marks)), $made->way->pieces),
        ];
    }

    /** As a ruler shows it: to 1/16 in or half a millimetre, marked when it was rounded. */
    private static function onRuler(Fraction $length, LengthUnit $unit): string
    {
        return str_replace(' mm', '', ($unit === LengthUnit::Inch ? Grain::Sixteenth : Grain::HalfMillimetre)->print(Length::of($length, $unit)));
    }

    /**
     * @param Margin|null $habit the house's; what a pattern lists and the most that can be had are exact
     *
     * @return array{Construction, CutQuestion}
     */
    private function asked(ShelfBlock $block, ?Margin $habit = null): array
    {
        $working = $this->workings->of($block);
        $drawn = $working->drawn();

        return [$drawn, $working->choicesThatFit()->question($drawn->face->block->unit, $habit === null ? House::now() : House::now()->withMargin($habit))];
    }

    private function length(Request $request, string $field, Construction $sewn): Fraction
    {
        $text = $request->input($field);
        $length = is_string($text) && mb_strlen($text) < 40 ? (new EditFields([$field => $text]))->length($field, $sewn->face->block->unit) : throw EditNotReadable::field($field, 'length');

        return $length->isPositive() ? $length->in($sewn->face->block->unit) : throw EditNotReadable::field($field, 'length above zero');
    }
}
