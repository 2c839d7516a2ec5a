<?php

declare(strict_types=1);

namespace App\Documents;

use App\House\House;
use App\Models\ShelfBlock;
use App\Workings\Sheet;
use App\Workings\WorkingOut;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Making\LargestBlock;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Scaled;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** What the block would be at other sizes: the cutting of each is worked out anew. */
final readonly class SizeQuestion implements Sheet
{
    /** @param list<Fraction> $lengths in the block's unit: sizes of the block, or the side of what is at hand */
    private function __construct(private array $lengths, private bool $isLargest, private bool $isStrip = false) {}

    /** From squares or strips of one size: how large a block? */
    public static function largest(Fraction $side, bool $isStrip): self
    {
        return new self([$side], true, $isStrip);
    }

    /**
     * The same block at other finished sizes, side by side.
     *
     * @param list<Fraction> $widths
     */
    public static function sizes(array $widths): self
    {
        return new self($widths, false);
    }

    public function atOnce(): int
    {
        return 250;
    }

    public function make(ShelfBlock $block, WorkingOut $working): void
    {
        $this->answer($working);
    }

    /** JSON. */
    public function answer(WorkingOut $working): string
    {
        $sources = [$this->isStrip, ...array_map(static fn (Fraction $length): string => $length->toText(), $this->lengths)];

        return $this->isLargest
            ? $working->cuttingSheet('largest', $sources, fn (): array => $this->largestOf($working->drawn(), self::question($working, House::now()->withMargin(Margin::Exact))), $this)
            : $working->cuttingSheet('sizes', $sources, fn (): array => $this->sizesOf($working->drawn(), self::question($working, House::now())), $this);
    }

    private static function question(WorkingOut $working, House $house): CutQuestion
    {
        return $working->choicesThatFit()->question($working->design()->unit, $house);
    }

    /** @return array<string, mixed> what a pattern lists and the most that can be had are exact */
    private function largestOf(Construction $sewn, CutQuestion $question): array
    {
        [$side] = $this->lengths;
        $largest = LargestBlock::from($sewn, $side, $this->isStrip, $question);
        if ($largest === null) {
            return ['finished' => null, 'units' => [], 'trim' => []];
        }
        $unit = $largest->block->unit;

        return [
            'finished' => [self::onRuler($largest->block->finishedWidth->in($unit), $unit), self::onRuler($largest->block->finishedHeight->in($unit), $unit)],
            'units' => array_map(static fn (MadeUnit $made): array => self::made($made, $sewn), $largest->plan->units),
            'trim' => array_values(array_map(
                static fn (Cut $cut): array => ['fabric' => $cut->fabric, 'size' => SizeText::of($cut->width, $cut->height), 'off' => $side->minus($cut->longerSide())->toText()],
                array_filter($largest->plan->cuts, static fn (Cut $cut): bool => ! $cut->longerSide()->equals($side)),
            )),
        ];
    }

    /** @return array<string, mixed> */
    private function sizesOf(Construction $sewn, CutQuestion $question): array
    {
        $width = $sewn->face->block->finishedWidth->in($sewn->face->block->unit);

        return ['sizes' => array_map(fn (Fraction $size): array => $this->atSize($sewn, $size->dividedBy($width), $question), $this->lengths)];
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
}
