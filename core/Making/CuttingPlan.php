<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Making\Internal\Stacks;
use KeenSeam\Core\Making\Recipes\StripSets;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

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

    /** @throws CutNotPossible */
    public static function of(Construction $construction, CutQuestion $question): self
    {
        $block = $construction->face->block;
        if ($question->blocks < 1 || $question->blocks > CutQuestion::MOST_BLOCKS) {
            throw CutNotPossible::blocks(CutQuestion::MOST_BLOCKS);
        }
        self::ensureCuttable($construction->face);
        $units = UnitsToMake::of($construction, $question->blocks);
        $bench = self::bench($construction, $units, $question);
        self::ensureKnown($question, $units);
        $made = self::allMade($units, $bench, $question);
        $stacks = new Stacks($bench, $question);
        foreach ($made as $one) {
            $stacks->addUnit($one);
        }
        $whole = $construction->face->whole;
        $areAllLoose = $construction->order->runsThroughCells();
        $stacks->addLoose(self::loosePatches($whole, self::fromStrips($made, $construction, true), $areAllLoose));
        $cuts = $stacks->cuts();
        $outside = self::loosePatches($whole, self::fromStrips($made, $construction, false), $areAllLoose);

        return new self($construction, $bench, $made, $cuts, self::packed($cuts, $block, $question), self::strips($made, $bench), self::counted($outside, $bench, $question->blocks), self::plainIn($made, $bench, $question->blocks));
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
        return $least === null || $count === 0 ? null : ['count' => $count, 'size' => $least->raisedTo($marks)->minus(Fraction::of($least->compareTo($least->raisedTo($marks)) === 0 ? 0 : 1, $marks)), 'for' => array_map(strval(...), array_keys($for))];
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
     * @param list<UnitToMake> $units
     *
     * @throws CutNotPossible where a choice is for a unit that is not there
     */
    private static function ensureKnown(CutQuestion $question, array $units): void
    {
        $labels = array_map(static fn (UnitToMake $unit): string => $unit->label, $units);
        foreach ([$question->ways, $question->builds, $question->margins->units] as $chosen) {
            foreach (array_keys($chosen) as $label) {
                if (! in_array((string) $label, $labels, true)) {
                    throw CutNotPossible::unknownUnit((string) $label, $labels);
                }
            }
        }
    }

    /**
     * @param list<UnitToMake> $units
     *
     * @return list<MadeUnit>
     */
    private static function allMade(array $units, Bench $bench, CutQuestion $question): array
    {
        return array_map(static fn (UnitToMake $unit): MadeUnit => self::made($unit, Recipes::waysOf($unit, $bench), $question, $bench->marks), $units);
    }

    /** @param list<Way> $ways */
    private static function made(UnitToMake $unit, array $ways, CutQuestion $question, int $marks): MadeUnit
    {
        $build = $question->buildOf($unit->label);
        $possible = [];
        foreach ($ways as $way) {
            $parts = $way->partsFor($unit->need, $unit->mirrored, $build);
            if ($parts !== null) {
                $possible[] = new MadeUnit($unit, $way, $ways, $build, $parts, self::clothFor($way, $parts, $marks));
            }
        }
        $chosen = $question->ways[$unit->label] ?? null;
        foreach ($possible as $made) {
            if ($made->way->key === $chosen) {
                return $made;
            }
        }
        if ($chosen !== null || $possible === []) {
            throw CutNotPossible::unknownWay((string) $chosen, $unit->label, array_map(static fn (MadeUnit $made): string => $made->way->key, $possible));
        }
        usort($possible, static fn (MadeUnit $a, MadeUnit $b): int => self::weighed($a, $question) <=> self::weighed($b, $question));

        return $possible[0];
    }

    /** @return list<float|int> smaller is better; equal ways stay in the order in which they are offered */
    private static function weighed(MadeUnit $made, CutQuestion $question): array
    {
        $pieces = array_sum(array_map(static fn (Piece $piece): int => $piece->perBatch, $made->way->pieces)) * $made->batches();
        $cloth = $made->cloth->toFloat();
        // What is squared up after sewing comes out truest; bias edges and cut triangles stretch.
        $isTrue = array_filter($made->way->pieces, static fn (Piece $piece): bool => $piece->then !== Then::None) === [] && ! $made->way->isOuterBias;
        $isByChoice = $made->way->isByChoice ? 1 : 0;
        $isOtherHand = $made->unit->mirrored === 0 && $made->wrongHand() > 0 ? 1 : 0;

        return match ($question->preference) {
            // Outer edges stay on the straight grain wherever there is a way.
            Preference::LeastCloth => [$isByChoice, $isOtherHand, $made->way->isOuterBias ? 1 : 0, $cloth],
            Preference::Accuracy => [$isByChoice, $isOtherHand, $isTrue ? 0 : 1, $made->way->isOuterBias ? 1 : 0, $cloth],
            Preference::FewestCuts => [$isByChoice, $isOtherHand, $pieces, $cloth],
        };
    }

    /**
     * @param list<Patch> $patches
     *
     * @return list<array{Piece, int}> with how many are taken, once all are cut further
     */
    private static function counted(array $patches, Bench $bench, int $blocks): array
    {
        $found = [];
        foreach ($patches as $patch) {
            $piece = $bench->cutter->piece($patch);
            $found[(string) $piece->patch] ??= [$piece, 0];
            $found[(string) $piece->patch][1] += $blocks;
        }

        return array_values($found);
    }

    /**
     * @param list<MadeUnit> $made
     *
     * @return array<string, list<array{Piece, int}>>
     */
    private static function plainIn(array $made, Bench $bench, int $blocks): array
    {
        $plain = [];
        foreach ($made as $one) {
            if (self::canBeStrips($one) && $one->unit->first !== null) {
                $plain[$one->unit->label] = self::counted(array_merge(...$one->unit->members), $bench, $blocks);
            }
        }

        return $plain;
    }

    private static function canBeStrips(MadeUnit $made): bool
    {
        return array_filter($made->ways, static fn (Way $way): bool => $way->key === StripSets::KEY) !== [];
    }

    /**
     * @param list<MadeUnit> $made
     * @param bool           $isChosen only those that are; else all that could
     *
     * @return array<int, true> object ids of small grids whose patches come from strips
     */
    private static function fromStrips(array $made, Construction $construction, bool $isChosen): array
    {
        $labels = [];
        foreach ($made as $one) {
            if (($isChosen ? $one->way->key === StripSets::KEY : self::canBeStrips($one)) && $one->unit->first !== null) {
                $labels[ClassKinship::handKey($one->unit->first, false)] = true;
                $labels[ClassKinship::handKey($one->unit->first, true)] = true;
            }
        }
        $keys = [];
        foreach ($labels === [] ? [] : $construction->classes as $class) {
            if (isset($labels[ClassKinship::handKey($class->members[0], false)])) {
                foreach ($class->members as $member) {
                    $keys[spl_object_id($member)] = true;
                }
            }
        }

        return $keys;
    }

    /**
     * Patches that are cut to shape by themselves: those that are a cell, and all of them where the order runs through cells.
     *
     * @param array<int, true> $fromStrips object ids of units whose patches come from strips
     *
     * @return list<Patch>
     */
    private static function loosePatches(PlacedUnit $unit, array $fromStrips, bool $areAllLoose): array
    {
        if ($areAllLoose) {
            return $unit->patches();
        }
        $loose = [];
        foreach ($unit->parts as $part) {
            if ($part instanceof Patch) {
                if (count($unit->parts) === 1) {
                    $loose[] = $part;
                }
            } elseif (! isset($fromStrips[spl_object_id($part)])) {
                array_push($loose, ...self::loosePatches($part, $fromStrips, false));
            }
        }

        return $loose;
    }

    /**
     * @param list<MadeUnit> $made
     *
     * @return list<array{set: StripSet, for: list<string>}>
     */
    private static function strips(array $made, Bench $bench): array
    {
        $strips = [];
        foreach ($made as $one) {
            foreach ($one->way->key === StripSets::KEY ? StripSets::sets($one->unit, $bench) : [] as $set) {
                $strips[] = ['set' => $set, 'for' => [$one->unit->label]];
            }
        }

        return $strips;
    }

    /**
     * @param list<Cut> $cuts
     *
     * @return array<string, Packing>
     */
    private static function packed(array $cuts, Block $block, CutQuestion $question): array
    {
        $byFabric = [];
        foreach ($cuts as $cut) {
            $byFabric[$cut->fabric][] = $cut;
        }
        $width = $question->widthFor($block->unit);

        return array_map(static function (array $ofFabric) use ($width, $block): Packing {
            foreach ($ofFabric as $cut) {
                if ($cut->longerSide()->compareTo($width) > 0) {
                    throw PieceNotPossible::widerThanFabric($block->fabrics[$cut->fabric]->name, $cut->longerSide(), $width, $block->unit);
                }
            }

            return Packing::of($ofFabric, $width);
        }, $byFabric);
    }

    private static function ensureCuttable(Face $face): void
    {
        $unit = $face->block->unit;
        $allowance = $face->block->seamAllowance->in($unit);
        $least = Length::ofInches(...self::LEAST)->in($unit);
        foreach ($face->patches as $patch) {
            $sides = array_map(static fn (array $edge): float => hypot($edge[1]->x - $edge[0]->x, $edge[1]->y - $edge[0]->y) / $face->lattice->steps, $patch->outline->edges());
            $shortest = Fraction::of((int) round(min([INF, ...$sides]) * 1000), 1000);
            if ($shortest->compareTo($least) < 0) {
                throw PieceNotPossible::tooSmall('side of a patch', $shortest, $least, $unit);
            }
            if ($shortest->compareTo($allowance) < 0) {
                throw PieceNotPossible::allowanceTooLarge($allowance, $shortest, $unit);
            }
        }
    }
}
