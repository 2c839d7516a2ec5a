<?php

declare(strict_types=1);

namespace App\Documents;

use App\Cutting\CuttingChoices;
use App\Models\ShelfBlock;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FabricToBuy;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\SquaringUp;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\Way;
use KeenSeam\Core\Measure\Fraction;

/** Everything the cutting table shows: units as cards with their ways, the list to cut, and the fabric it takes. */
final readonly class CuttingDocument
{
    private function __construct(
        private ShelfBlock $block,
        private CuttingPlan $plan,
        private CuttingChoices $choices,
    ) {}

    /** @return array<string, mixed> */
    public static function of(ShelfBlock $block, CuttingPlan $plan, CuttingChoices $choices): array
    {
        return (new self($block, $plan, $choices))->toArray();
    }

    /** The name under which a cut is ticked off. */
    public static function nameOf(Cut $cut): string
    {
        return implode(' ', ['cut', $cut->fabric, $cut->width->toText(), $cut->height->toText(), $cut->then->name]);
    }

    /** @return array<string, mixed> */
    private function toArray(): array
    {
        $face = $this->plan->construction->face;

        return [
            'block' => ['id' => $this->block->id, 'name' => $this->block->name, 'version' => $this->block->version],
            'choices' => $this->choices->toArray(),
            'preferences' => array_map(static fn (Preference $one): array => ['preference' => $one->value, 'words' => $one->words()], Preference::cases()),
            'width' => $this->choices->question($face->block->unit)->widthFor($face->block->unit)->toText(),
            'face' => FaceDocument::of($face),
            'units' => array_map($this->unit(...), $this->plan->units),
            'cuts' => array_map(fn (Cut $cut): array => [
                'name' => self::nameOf($cut),
                'letter' => $cut->letter,
                'fabric' => $cut->fabric,
                'shape' => $cut->shape->value,
                'size' => self::sizeText($cut->width, $cut->height),
                'count' => $cut->count,
                'then' => $cut->then === Then::None ? '' : $cut->then->value,
                'bias' => $cut->then->biasWords(),
                'for' => $cut->for,
                'isDone' => in_array(self::nameOf($cut), $this->block->cut_done, true),
            ], $this->plan->cuts),
            'mixedUp' => array_map(static fn (array $pair): array => [$pair[0]->letter, $pair[1]->letter], $this->plan->nearlyEqual()),
            'fabric' => array_map($this->fabric(...), array_map(strval(...), array_keys($this->plan->fabric)), $this->plan->fabric),
        ];
    }

    /** @return array<string, mixed> */
    private function unit(MadeUnit $made): array
    {
        $unit = $made->unit;
        $count = $unit->need + $unit->mirrored;

        return [
            ...CutDocument::unit($made, $this->plan),
            'name' => $count === 1 ? $unit->unit->name() : $unit->unit->plural(),
            'patches' => array_map(static fn (array $patch): array => ['fabric' => $patch[0], 'points' => $patch[1]], $unit->picture->toShares()),
            'halves' => $this->halves($made),
            'ruler' => $this->ruler($made),
            'ways' => array_map(fn (Way $way): array => $this->way($way, $made), $made->ways),
            'isOversize' => $this->choices->isOversize[$unit->label] ?? false,
            'isDone' => in_array('unit '.$unit->label, $this->block->cut_done, true),
        ];
    }

    /** @return array<string, mixed> */
    private function way(Way $way, MadeUnit $made): array
    {
        $unit = $made->unit;
        $batches = $way->batches($unit->need, $unit->mirrored);
        $own = $way->isEitherHand ? $unit->need + $unit->mirrored : ($batches ?? 0) * $way->own;
        $other = $way->isEitherHand ? 0 : ($batches ?? 0) * $way->other;

        return [
            'key' => $way->key,
            'words' => $way->words,
            'batches' => $batches,
            'spare' => $batches === null ? 0 : $own + $other - $unit->need - $unit->mirrored,
            'wrongHand' => max(0, $other - $unit->mirrored),
            'seams' => $way->seams * ($batches ?? 0),
            'isOuterBias' => $way->isOuterBias,
            'cloth' => (int) round(CuttingPlan::clothFor($way, $batches ?? 0, $this->marks())->toFloat()),
            'pieces' => array_map(fn (Piece $piece): array => [
                'fabric' => $piece->fabric,
                'exact' => self::sizeText($piece->width->raisedTo($this->marks()), $piece->height->raisedTo($this->marks())),
                'oversize' => self::sizeText($piece->oversize, $piece->height->raisedTo($this->marks())->plus($piece->oversize->minus($piece->width->raisedTo($this->marks())))),
                'count' => intdiv(($batches ?? 0) * $piece->perBatch + $piece->then->pieces() - 1, $piece->then->pieces()),
                'then' => $piece->then === Then::None ? '' : $piece->then->value,
            ], $way->pieces),
            'steps' => $way->steps,
            'note' => $way->note,
            'bonus' => $way->bonus,
            'sketch' => $way->sketch === null ? null : get_object_vars($way->sketch),
            'beside' => (int) round(CuttingPlan::clothFor($way, $batches ?? 0, $this->marks())->minus($unit->width->times($unit->height)->times(Fraction::of($unit->need + $unit->mirrored)))->toFloat()),
        ];
    }

    /** @return array<string, mixed> the unit with the ruler on it */
    private function ruler(MadeUnit $made): array
    {
        $block = $this->plan->construction->face->block;
        $ruler = SquaringUp::of($made->unit, $block->seamAllowance->in($block->unit));

        return [
            'width' => $ruler->width->toFloat(),
            'height' => $ruler->height->toFloat(),
            'allowance' => $ruler->allowance->toFloat(),
            'guides' => $ruler->guides,
            'tip' => $ruler->tip,
            'words' => $ruler->words,
            'isFlush' => $ruler->isFlush,
        ];
    }

    /** @return list<string> half of the raw size both ways, so that nobody has to halve it in the head */
    private function halves(MadeUnit $made): array
    {
        $block = $this->plan->construction->face->block;
        $two = $block->seamAllowance->in($block->unit)->times(Fraction::of(2));

        return array_map(static fn (Fraction $side): string => $side->plus($two)->times(Fraction::of(1, 2))->toText(), [$made->unit->width, $made->unit->height]);
    }

    /** @return array<string, mixed> */
    private function fabric(string $key, Packing $packing): array
    {
        $unit = $this->plan->construction->face->block->unit;

        return [
            'fabric' => $key,
            'length' => $packing->length->toText(),
            'buy' => FabricToBuy::words($packing->length, $unit),
            'isProved' => $packing->isProved(),
            'bound' => $packing->bound->toText(),
            'width' => $packing->width->toFloat(),
            'strips' => array_map(static fn (array $strip): array => [
                'height' => $strip['height']->toFloat(),
                'text' => $strip['height']->toText(),
                'pieces' => array_map(static fn (array $piece): array => [
                    'letter' => $piece['cut']->letter,
                    'width' => $piece['width']->toFloat(),
                    'height' => $piece['height']->toFloat(),
                ], $strip['pieces']),
            ], $packing->strips),
        ];
    }

    private function marks(): int
    {
        $unit = $this->plan->construction->face->block->unit;

        return $this->choices->question($unit)->marksFor($unit);
    }

    private static function sizeText(Fraction $width, Fraction $height): string
    {
        return $width->equals($height) ? $width->toText() : $width->toText().' x '.$height->toText();
    }
}
