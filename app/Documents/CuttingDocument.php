<?php

declare(strict_types=1);

namespace App\Documents;

use App\Cutting\CuttingChoices;
use App\House\House;
use App\Models\ShelfBlock;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FabricToBuy;
use KeenSeam\Core\Making\Leftovers;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Packing;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Making\SquaringUp;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\Way;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** Everything the cutting table shows: units as cards with their ways, the list to cut, and the fabric it takes. */
final readonly class CuttingDocument
{
    /** @param list<string> $sewn */
    private function __construct(
        private ShelfBlock $block,
        private CuttingPlan $plan,
        private CuttingChoices $choices,
        private array $sewn,
    ) {}

    /**
     * @param list<string> $sewn labels of units that are all sewn: what they are made of was cut
     *
     * @return array<string, mixed>
     */
    public static function of(ShelfBlock $block, CuttingPlan $plan, CuttingChoices $choices, array $sewn = []): array
    {
        return (new self($block, $plan, $choices, $sewn))->toArray();
    }

    /**
     * @param list<string> $sewn labels of units that are all sewn
     *
     * @return array{int, int} how many stacks and units lie ready, and how many there are
     */
    public static function readiness(ShelfBlock $block, CuttingPlan $plan, array $sewn): array
    {
        $document = new self($block, $plan, CuttingChoices::from([]), $sewn);
        $ready = [...array_map($document->isCut(...), $plan->cuts), ...array_map($document->isMade(...), $plan->units)];

        return [count(array_filter($ready)), count($ready)];
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
            'width' => $this->choices->question($face->block->unit, House::now())->widthFor($face->block->unit)->toText(),
            'face' => FaceDocument::of($face),
            'units' => array_map($this->unit(...), $this->plan->units),
            'cuts' => array_map($this->cut(...), $this->plan->cuts),
            'mixedUp' => array_map(static fn (array $pair): array => [$pair[0]->letter, $pair[1]->letter], $this->plan->nearlyEqual()),
            'fabric' => array_map($this->fabric(...), array_map(strval(...), array_keys($this->plan->fabric)), $this->plan->fabric),
            'over' => Leftovers::ofAll($this->plan),
        ];
    }

    /** @return array<string, mixed> */
    private function cut(Cut $cut): array
    {
        $unit = $this->plan->construction->face->block->unit;

        return [
            'name' => self::nameOf($cut),
            'letter' => $cut->letter,
            'fabric' => $cut->fabric,
            'shape' => $cut->shape->value,
            'size' => SizeText::of($cut->width, $cut->height),
            'count' => $cut->count,
            'pieces' => $cut->pieces(),
            'then' => $cut->then === Then::None ? '' : $cut->then->value,
            'bias' => $cut->then->biasWords(),
            'for' => array_map($this->plan->called(...), $cut->for),
            'margin' => $cut->margin->value,
            'mirrored' => $cut->mirrored,
            'how' => $cut->cuttingWords(),
            'outline' => $cut->template === null ? null : array_map(static fn (array $corner): array => [round($corner[0], 4), round($corner[1], 4)], $cut->outline()),
            'sides' => $cut->template === null ? [] : array_map(static fn (float $side): string => Amount::rounded($side, $unit), $cut->template->sides($cut->margin)),
            'isDone' => $this->isCut($cut),
        ];
    }

    /** @return array<string, mixed> */
    private function unit(MadeUnit $made): array
    {
        $unit = $made->unit;
        $count = $unit->need + $unit->mirrored;

        return [
            ...CutDocument::unit($made, $this->plan),
            'name' => $count === 1 ? $unit->name : $unit->plural,
            'look_alike' => array_map($this->plan->called(...), $unit->lookAlike),
            'tag' => $this->plan->isCalledAlone($unit) ? '' : $unit->label,
            'partOf' => $unit->first === null ? $this->plan->called(explode('.', $unit->label)[0]) : null,
            'ratio' => $unit->width->dividedBy($unit->height)->toFloat(),
            'patches' => array_map(static fn (array $patch): array => ['fabric' => $patch[0], 'points' => $patch[1]], $unit->picture->toShares()),
            'halves' => $this->halves($made),
            'ruler' => $this->ruler($made),
            'ways' => array_map(fn (Way $way): array => $this->way($way, $made), $made->ways),
            'margin' => ($this->choices->margins[$unit->label] ?? null)?->value,
            'canComeEitherWay' => $made->way->givesLookAlikes(),
            'says' => Leftovers::of($made),
            'isDone' => $this->isMade($made),
        ];
    }

    private function isCut(Cut $cut): bool
    {
        return in_array(self::nameOf($cut), $this->block->cut_done, true) || $this->isSewn($cut->for);
    }

    private function isMade(MadeUnit $made): bool
    {
        return in_array('unit '.$made->unit->label, $this->block->cut_done, true) || $this->isSewn([$made->unit->label]);
    }

    /** @param list<string> $labels of what is made of it; "U2.1" is a part of U2 */
    private function isSewn(array $labels): bool
    {
        $units = array_map(static fn (string $label): string => explode('.', $label)[0], $labels);

        return $units !== [] && array_diff($units, $this->sewn) === [];
    }

    /** @return array<string, mixed> */
    private function way(Way $way, MadeUnit $made): array
    {
        $unit = $made->unit;
        $parts = $way->partsFor($unit->need, $unit->mirrored, $made->build);
        $as = new MadeUnit($unit, $way, $made->ways, $made->build, $parts ?? 0, CuttingPlan::clothFor($way, $parts ?? 0, $this->plan->bench->marks));

        return [
            'key' => $way->key,
            'words' => $way->words,
            'batches' => $parts === null ? null : $as->batches(),
            'wrongHand' => $as->wrongHand(),
            'over' => implode(', ', array_filter([Leftovers::inShort($as, $parts !== null), $parts === null ? '' : $this->clothWords($as)])),
            'pieces' => array_map(fn (Piece $piece): array => $this->piece($piece, $as), $way->pieces),
            'stages' => $way->key === $made->way->key ? array_map(self::stage(...), $way->stages) : [],
            'note' => $way->note,
            'bonus' => $this->bonus($way),
        ];
    }

    /** How much cloth it takes, and how much of that does not show; '' where a part of the units is cut with something else. */
    private function clothWords(MadeUnit $made): string
    {
        $unit = $made->unit;
        if ($made->way->pieces === [] || $unit->parts !== []) {
            return '';
        }
        $beside = $made->cloth->minus($unit->width->times($unit->height)->times(Fraction::of($unit->need + $unit->mirrored)));

        // Square millimetres are no measure for cloth.
        [$area, $parts] = $this->plan->construction->face->block->unit === LengthUnit::Inch ? ['sq in', 1] : ['sq cm', 100];

        return sprintf('%d %s of cloth, %d in seams and waste', (int) round($made->cloth->toFloat() / $parts), $area, (int) round($beside->toFloat() / $parts));
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece, MadeUnit $made): array
    {
        $cut = $this->plan->cutOf($piece, $made->unit->label);
        $exact = SizeText::of(...$piece->exact($this->plan->bench->marks));

        return [
            'fabric' => $piece->fabric,
            'exact' => $exact,
            'size' => $cut === null ? $exact : SizeText::of($cut->width, $cut->height),
            'letter' => $cut->letter ?? '',
            'isLarger' => $cut?->margin === Margin::Larger,
            'count' => $piece->countFor($made->batches(), $made->parts, $made->way->parts),
            'shape' => $piece->shape->value,
            'then' => $piece->then === Then::None ? '' : $piece->then->value,
        ];
    }

    /** "2 small half-square triangles, about 1 3/4 raw" */
    private function bonus(Way $way): string
    {
        $count = array_sum(array_column($way->offcuts, 0));
        if ($count === 0) {
            return '';
        }
        $marks = $this->plan->bench->sizes->marks();
        $sizes = array_values(array_unique(array_map(static fn (array $one): string => $one[1]->raisedTo($marks)->minus(Fraction::of(1, $marks))->toText(), $way->offcuts)));

        return sprintf('%d small half-square triangle%s, about %s raw', $count, $count === 1 ? '' : 's', implode(' and ', $sizes));
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
        return array_map(static fn (Fraction $side): string => $side->times(Fraction::of(1, 2))->toText(), $made->unit->raw($this->plan->bench->sizes->allowance));
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

    /** @return array<string, mixed> how it lies there, for the cutting table and the machine alike */
    public static function stage(Stage $stage): array
    {
        return [
            'do' => $stage->do->value,
            'words' => $stage->words,
            'things' => $stage->cloth,
            'marks' => $stage->marks,
            'stitches' => $stage->stitches,
            'knives' => $stage->knives,
        ];
    }
}
