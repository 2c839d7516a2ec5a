<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\FaceKind;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Guide\Internal\PatchIds;
use KeenSeam\Core\Guide\Internal\StripSteps;
use KeenSeam\Core\Guide\Internal\UnitSteps;
use KeenSeam\Core\Listed;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\PieceNotPossible;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Pressing\PressingPlan;

/**
 * Everything there is to do to a block, from the cloth to the finished block, in the order a quilter works.
 *
 * Steps that are done at one place stand together: one of every kind of unit is sewn, pressed and measured before the
 * others follow in chains. The order of work is common practice, no published source.
 */
final class WorkSteps
{
    private readonly Construction $construction;

    private readonly ?CuttingPlan $cutting;

    private function __construct(private readonly PressingPlan $plan, private readonly CutQuestion $question, private readonly ?Construction $drawn, private readonly SquareUp $squareUp)
    {
        $this->construction = $plan->construction;
        $this->cutting = $this->cuttingPlan();
    }

    /**
     * @param Construction|null $drawn    the block as it is drawn, where chosen ways give it other seams; their labels are its
     * @param SquareUp          $squareUp none where nothing is trimmed before the whole is cut back from its centre
     *
     * @return non-empty-list<Step>
     *
     * @throws CutNotPossible when the number of blocks is absurd, or a way to make a unit is not known
     */
    public static function of(PressingPlan $plan, CutQuestion $question, Chain $chain = Chain::RowByRow, ?Construction $drawn = null, SquareUp $squareUp = SquareUp::Units): array
    {
        $steps = new self($plan, $question, $drawn, $squareUp);

        return [
            ...$steps->cutSteps(),
            ...(new UnitSteps($plan, $steps->cutting, $question->blocks, $squareUp))->all(),
            ...$steps->layOutSteps(),
            ...(new StripSteps($plan, $question->blocks, $chain))->all(),
            ...$steps->lastSteps(),
        ];
    }

    /** @throws CutNotPossible */
    private function cuttingPlan(): ?CuttingPlan
    {
        // An order that runs through cells sews patches, not units: those are cut to shape.
        if ($this->construction->order->runsThroughCells()) {
            try {
                return CuttingPlan::of($this->construction, new CutQuestion($this->question->blocks, $this->question->preference, marks: $this->question->marks, usableWidth: $this->question->usableWidth));
            } catch (PieceNotPossible) {
                return null;
            }
        }
        try {
            return CuttingPlan::of($this->drawn ?? $this->construction, $this->question);
        } catch (PieceNotPossible) {
            // Pieces too small to be cut may still lie there, ready to be sewn; a wrong answer of the quilter's is told.
            return null;
        }
    }

    /** @return list<Step> one for each fabric */
    private function cutSteps(): array
    {
        $block = $this->construction->face->block;
        $steps = [];
        foreach ($block->fabrics as $fabric) {
            $patches = array_values(array_filter($this->construction->face->patches, static fn (Patch $patch): bool => $patch->fabric->key === $fabric->key));
            if ($patches === []) {
                continue;
            }
            $cuts = array_filter($this->cutting->cuts ?? [], static fn (Cut $cut): bool => $cut->fabric === $fabric->key);
            $pieces = array_map(fn (Cut $cut): string => $this->cutWords($cut), $cuts);
            $steps[] = new Step(
                StepKind::Cut,
                [],
                PatchIds::of($patches),
                [],
                $fabric->name,
                $pieces === []
                    ? sprintf('Cut %s: %s, each with its allowance all round.', $fabric->name, Words::counted($this->question->blocks * count($patches), 'patch', 'patches'))
                    : sprintf('Cut %s: %s.', $fabric->name, implode('; ', $pieces)),
            );
        }

        return $steps;
    }

    /** "4 squares 3 7/8 in, stack a, cut once corner to corner" */
    private function cutWords(Cut $cut): string
    {
        $unit = $this->construction->face->block->unit->value;
        $size = $cut->width->equals($cut->height) ? $cut->width->toText() : $cut->width->toText().' x '.$cut->height->toText();

        return sprintf('%s %s %s, stack %s%s', Words::counted($cut->count, $cut->shape->value, $cut->shape->value.'s'), $size, $unit, $cut->letter, $cut->then === Then::None ? '' : ', '.$cut->then->value);
    }

    /** @return list<Step> */
    private function layOutSteps(): array
    {
        $turns = trim((new SeamWords($this->plan))->turnWords().$this->buildWords());

        return [new Step(
            StepKind::LayOut,
            [],
            PatchIds::of($this->construction->face->patches),
            [],
            'Lay out',
            'Lay the whole '.$this->construction->face->kind->word().' out, face up, and compare it with the picture: every '.$this->construction->face->kind->piece().', its turn, which fabric lies where.'.($turns === '' ? '' : ' '.$turns).($this->question->blocks > 1 ? ' A block you have not made before is best sewn to its end once, and looked at, before the others.' : ''),
            $this->question->blocks,
        )];
    }

    /** Where units are used as they come: which places take those that are built the other way. */
    private function buildWords(): string
    {
        $words = '';
        foreach ($this->cutting->units ?? [] as $made) {
            $first = $made->unit->first;
            if ($first === null || ! $made->isAsTheyCome()) {
                continue;
            }
            $key = ClassKinship::handKey($first, true);
            foreach ($this->construction->classes as $class) {
                $member = $class->members[0];
                if (ClassKinship::handKey($member, false) === $key && ClassKinship::classKey($member) !== ClassKinship::classKey($first)) {
                    $words .= sprintf(' The %s are used as they come: those built like a mirror image go to %s.', $made->unit->plural, Listed::of(array_map(Words::place(...), $class->members)));
                }
            }
        }

        return $words;
    }

    /** @return non-empty-list<Step> */
    private function lastSteps(): array
    {
        $block = $this->construction->face->block;
        $two = $block->seamAllowance->times(2);
        $face = $this->construction->face;
        $whole = $face->kind->word();
        $size = $face->kind === FaceKind::TopOnPoint
            ? array_map(static fn (float $side): string => ltrim(Amount::rounded($side + $two->in($block->unit)->toFloat(), $block->unit), Grain::ROUNDED), $face->finishedSize())
            : [$block->finishedWidth->plus($two)->in($block->unit)->toText(), $block->finishedHeight->plus($two)->in($block->unit)->toText()];
        $patches = PatchIds::of($this->construction->face->patches);
        $half = static fn (Length $side): string => $side->plus($two)->in($block->unit)->times(Fraction::of(1, 2))->toText().' '.$block->unit->value;
        $asked = sprintf('%s x %s %s', $size[0], $size[1], $block->unit->value);

        return [
            new Step(StepKind::SquareUp, [], $patches, [], 'The '.$whole, $this->squareUp === SquareUp::Units ? sprintf('Square up the %s to %s: straight edges, and not into the allowance of a point.', $whole, $asked) : sprintf('Cut the whole %1$s back evenly from its centre to %2$s: the middle of the ruler on the middle of the %1$s, %3$s to each side and %4$s up and down.', $whole, $asked, $half($block->finishedWidth), $half($block->finishedHeight)), $this->question->blocks, sets: [$patches], size: $size),
            new Step(StepKind::Measure, [], $patches, [], 'The '.$whole, sprintf('Measure the %s: %s from raw edge to raw edge.', $whole, $asked), $this->question->blocks, sets: [$patches], size: $size),
        ];
    }
}
