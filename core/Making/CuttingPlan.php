<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FaceKind;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Making\Internal\LoosePatches;
use KeenSeam\Core\Making\Internal\Stacks;
use KeenSeam\Core\Making\Internal\WayChoice;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Top\Top;

/** From a block to the pile of units: how each class is made, what is cut for it, and how much fabric that takes. */
final readonly class CuttingPlan
{
    /** Sizes of one fabric that differ by less are easily mixed up: 1/2 in. Common practice, no published source. */
    private const NEAR = [1, 2];

    /** Nothing smaller is cut and sewn: 1/4 in finished. */
    private const LEAST = [1, 4];

    /**
     * @param list<MadeUnit>                                $units
     * @param list<Cut>                                     $cuts    by fabric, the largest first
     * @param array<string, Packing>                        $fabric  by fabric key
     * @param list<array{set: StripSet, for: list<string>}> $strips  sets of strips, with the units they are for
     * @param list<array{Piece, int}>                       $plain   patches that are a cell by themselves outside of grids of such
     * @param array<string, list<array{Piece, int}>>        $plainIn those of grids of plain patches, by the grid's label
     */
    private function __construct(
        public Construction $construction,
        public Bench $bench,
        public array $units,
        public array $cuts,
        public array $fabric,
        public array $strips,
        public array $plain,
        public array $plainIn,
    ) {}

    /**
     * @param Top|null $bordered the top whose borders are cut too
     *
     * @throws CutNotPossible
     */
    public static function of(Construction $construction, CutQuestion $question, ?Top $bordered = null): self
    {
        $block = $construction->face->block;
        if ($question->blocks < 1 || $question->blocks > CutQuestion::MOST_BLOCKS) {
            throw CutNotPossible::blocks(CutQuestion::MOST_BLOCKS);
        }
        self::ensureCuttable($construction->face);
        $units = UnitsToMake::of($construction, $question->blocks);
        $bench = self::bench($construction, $units, $question);
        $made = WayChoice::all($units, $bench, $question);
        $stacks = new Stacks($bench, $question);
        foreach ($made as $one) {
            $stacks->addUnit($one);
        }
        $loose = new LoosePatches($construction, $made, $bench, $question->blocks);
        $stacks->addLoose($loose->cut());
        $stacks->addStrips($bordered === null ? [] : TopBorders::pieces($bordered));
        $cuts = $stacks->cuts();

        return new self($construction, $bench, $made, $cuts, self::packed($cuts, $construction->face, $question), $loose->strips(), $loose->plain(), $loose->plainIn());
    }

    /** @return list<array{Cut, Cut}> stacks of one fabric whose sizes are near enough to be mixed up */
    public function nearlyEqual(): array
    {
        $unit = $this->construction->face->block->unit;
        $near = Length::ofInches(...self::NEAR)->in($unit);
        $pairs = [];
        foreach ($this->cuts as $i => $a) {
            foreach (array_slice($this->cuts, $i + 1) as $b) {
                $apart = $a->longerSide()->minus($b->longerSide())->absolute();
                if ($a->fabric === $b->fabric && $apart->isPositive() && $apart->compareTo($near) < 0) {
                    $pairs[] = [$a, $b];
                }
            }
        }

        return $pairs;
    }

    /**
     * Small half-square triangles that the waste gives, if it is sewn before it is cut off, and the one size to which all of
     * them can be squared up.
     *
     * @return array{count: int, size: Fraction, for: list<string>}|null null where there are none
     */
    public function offcuts(): ?array
    {
        [$count, $least, $for] = [0, null, []];
        foreach ($this->units as $made) {
            foreach ($made->way->offcuts as [$each, $raw]) {
                $count += $each * intdiv($made->parts, $made->way->parts);
                $least = $least === null || $raw->toFloat() < $least->toFloat() ? $raw : $least;
                $for[$made->unit->label] = true;
            }
        }
        $marks = $this->bench->sizes->marks();

        // What is sure to come out: the mark below.
        return $least === null ? null : ['count' => $count, 'size' => $least->raisedTo($marks)->minus(Fraction::of($least->compareTo($least->raisedTo($marks)) === 0 ? 0 : 1, $marks)), 'for' => array_map(strval(...), array_keys($for))];
    }

    /** The stack that a piece of a unit lies in. */
    public function cutOf(Piece $piece, string $label): ?Cut
    {
        foreach ($this->cuts as $cut) {
            if ($cut->key === $piece->stackKey($this->bench->marks) && in_array($label, $cut->for, true)) {
                return $cut;
            }
        }

        return null;
    }

    public function unit(string $label): ?MadeUnit
    {
        foreach ($this->units as $made) {
            if ($made->unit->label === $label) {
                return $made;
            }
        }

        return null;
    }

    /** A unit's name, with its class where others are called the same; a stack's other users keep theirs. */
    public function called(string $label): string
    {
        $unit = $this->unit($label)?->unit;

        return $unit === null ? $label : ($this->isCalledAlone($unit) ? $unit->plural : sprintf('%s (%s)', $unit->plural, $label));
    }

    public function isCalledAlone(UnitToMake $unit): bool
    {
        return count(array_filter($this->units, static fn (MadeUnit $other): bool => $other->unit->plural === $unit->plural)) === 1;
    }

    /** Area cut for so many parts of batches, in square inches or millimetres. */
    public static function clothFor(Way $way, int $parts, int $marks): Fraction
    {
        $area = Fraction::zero();
        foreach ($way->pieces as $piece) {
            [$width, $height] = $piece->exact($marks);
            $area = $area->plus($width->times($height)->times(Fraction::of($piece->countFor($way->batchesFor($parts), $parts, $way->parts))));
        }

        return $area;
    }

    /** @param list<UnitToMake> $units */
    private static function bench(Construction $construction, array $units, CutQuestion $question): Bench
    {
        $block = $construction->face->block;
        $sizes = new CutSizes($block->seamAllowance->in($block->unit), $block->unit);
        $parts = [];
        foreach ($units as $unit) {
            foreach ($unit->first === null ? $unit->members : [] as $member) {
                $known = KnownShape::of(array_map(static fn (Patch $patch): ConvexPolygon => $patch->outline, $member));
                if ($known !== null) {
                    $parts += array_fill_keys(array_map(static fn (Patch $patch): int => $patch->id, $member), $known->outline);
                }
            }
        }

        return new Bench($sizes, new PatchCutter($sizes, $construction, $parts), $construction->order, $question->widthFor($block->unit), $question->marksFor($block->unit));
    }

    /**
     * @param list<Cut> $cuts
     *
     * @return array<string, Packing>
     */
    private static function packed(array $cuts, Face $face, CutQuestion $question): array
    {
        $block = $face->block;
        $width = $question->widthFor($block->unit);
        $byFabric = [];
        foreach ($cuts as $cut) {
            $byFabric[$cut->fabric][] = $face->kind === FaceKind::Block ? $cut : self::pieced($cut, $width, $block->seamAllowance->times(2)->in($block->unit));
        }

        return array_map(static function (array $ofFabric) use ($width, $block): Packing {
            foreach ($ofFabric as $cut) {
                if ($cut->longerSide()->compareTo($width) > 0) {
                    throw WiderThanFabric::piece($block->fabrics[$cut->fabric]->name, $cut->longerSide(), $width, $block->unit);
                }
            }

            return Packing::of($ofFabric, $width);
        }, $byFabric);
    }

    /** Sashes and borders that are longer than the fabric is wide are sewn together of strips across all of it. */
    private static function pieced(Cut $cut, Fraction $width, Fraction $seam): Cut
    {
        if ($cut->template !== null || $cut->longerSide()->compareTo($width) <= 0) {
            return $cut;
        }
        $short = $cut->longerSide() === $cut->width ? $cut->height : $cut->width;
        $strips = (int) ceil($cut->longerSide()->times(Fraction::of($cut->count))->dividedBy($width->minus($seam))->toFloat());

        return new Cut($cut->letter, $cut->fabric, $cut->shape, $width, $short, $strips, $cut->then, $cut->for, $cut->margin, key: $cut->key);
    }

    private static function ensureCuttable(Face $face): void
    {
        $unit = $face->block->unit;
        $allowance = $face->block->seamAllowance->in($unit);
        $least = Length::ofInches(...self::LEAST)->in($unit);
        foreach ($face->patches as $patch) {
            $sides = array_map(static fn (array $edge): float => hypot($edge[1]->x - $edge[0]->x, $edge[1]->y - $edge[0]->y) / $face->lattice->steps, $patch->outline->edges());
            $shortest = Fraction::of((int) round(min($sides) * 1000), 1000);
            if ($shortest->compareTo($least) < 0) {
                throw PieceNotPossible::tooSmall('side of a patch', $shortest, $least, $unit);
            }
            if ($shortest->compareTo($allowance) < 0) {
                throw PieceNotPossible::allowanceTooLarge($allowance, $shortest, $unit);
            }
        }
    }
}
