<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Point;
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
     * @param list<MadeUnit>         $units
     * @param list<Cut>              $cuts   by fabric, the largest first
     * @param array<string, Packing> $fabric by fabric key
     */
    private function __construct(
        public Construction $construction,
        public array $units,
        public array $cuts,
        public array $fabric,
    ) {}

    /** @throws CutNotPossible */
    public static function of(Construction $construction, CutQuestion $question): self
    {
        $block = $construction->face->block;
        if ($question->blocks < 1 || $question->blocks > CutQuestion::MOST_BLOCKS) {
            throw CutNotPossible::blocks(CutQuestion::MOST_BLOCKS);
        }
        self::ensureCuttable($construction->face);
        $allowance = $block->seamAllowance->in($block->unit);
        $ways = new Ways($allowance, $block->unit);
        $marks = $question->marksFor($block->unit);
        $units = array_map(static fn (UnitToMake $unit): MadeUnit => self::made($unit, $ways->of($unit), $question, $marks), self::unitsToMake($construction, $question->blocks));
        $cuts = self::cuts($units, self::plainPieces($construction->face, $ways, $question->blocks, self::cutFromStrips($units)), $question, $marks);

        return new self($construction, $units, $cuts, self::packed($cuts, $block, $question));
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

    /** @return list<UnitToMake> a class and its mirror twin together */
    private static function unitsToMake(Construction $construction, int $blocks): array
    {
        $classes = $construction->classes;
        $twins = ClassKinship::twins($classes);
        $alike = ClassKinship::lookAlikes($classes);
        $units = [];
        foreach ($classes as $class) {
            $twin = $twins[$class->index] ?? null;
            if ($twin !== null && $twin < $class->index) {
                continue;
            }
            $first = $class->members[0];
            [$width, $height] = self::size($first, $construction->face);
            $units[] = new UnitToMake(
                $class->label(),
                $first->cell->unit,
                $first,
                $width,
                $height,
                $blocks * count($class->members),
                $twin === null ? 0 : $blocks * count($classes[$twin]->members),
                self::ownPicture($first, $width, $height, $construction->face->block),
                array_map(static fn (int $other): string => $classes[$other]->label(), $alike[$class->index] ?? []),
            );
        }

        return $units;
    }

    /** @param list<Way> $ways */
    private static function made(UnitToMake $unit, array $ways, CutQuestion $question, int $marks): MadeUnit
    {
        $possible = [];
        foreach ($ways as $way) {
            $batches = $way->batches($unit->need, $unit->mirrored);
            if ($batches !== null) {
                $possible[] = new MadeUnit($unit, $way, $ways, $batches, self::clothFor($way, $batches, $marks));
            }
        }
        $chosen = $question->ways[$unit->label] ?? null;
        foreach ($possible as $made) {
            if ($made->way->key === $chosen) {
                return $made;
            }
        }
        if ($chosen !== null || $possible === []) {
            throw CutNotPossible::unknownWay((string) $chosen, $unit->label);
        }
        usort($possible, static fn (MadeUnit $a, MadeUnit $b): int => self::weighed($a, $question) <=> self::weighed($b, $question));

        return $possible[0];
    }

    /** @return list<float|int> smaller is better */
    private static function weighed(MadeUnit $made, CutQuestion $question): array
    {
        $pieces = array_sum(array_map(static fn (Piece $piece): int => $piece->perBatch, $made->way->pieces)) * $made->batches;
        $cloth = $made->cloth->toFloat();
        // What is squared up after sewing comes out truest; bias edges and cut triangles stretch.
        $isTrue = array_filter($made->way->pieces, static fn (Piece $piece): bool => $piece->then !== Then::None) === [] && ! $made->way->isOuterBias;

        $isByChoice = $made->way->isByChoice ? 1 : 0;
        // Equal ways stay in the order in which they are offered.
        $isOtherHand = $made->unit->mirrored === 0 && $made->way->other > 0 ? 1 : 0;

        return match ($question->preference) {
            // Outer edges stay on the straight grain wherever there is a way.
            Preference::LeastCloth => [$isByChoice, $isOtherHand, $made->way->isOuterBias ? 1 : 0, $cloth],
            Preference::Accuracy => [$isByChoice, $isOtherHand, $isTrue ? 0 : 1, $made->way->isOuterBias ? 1 : 0, $cloth],
            Preference::FewestCuts => [$isByChoice, $isOtherHand, $pieces, $cloth],
        };
    }

    /** Area cut for so many batches, in square inches or millimetres. */
    public static function clothFor(Way $way, int $batches, int $marks): Fraction
    {
        $area = Fraction::zero();
        foreach ($way->pieces as $piece) {
            $count = intdiv($batches * $piece->perBatch + $piece->then->pieces() - 1, $piece->then->pieces());
            $area = $area->plus($piece->width->raisedTo($marks)->times($piece->height->raisedTo($marks))->times(Fraction::of($count)));
        }

        return $area;
    }

    /**
     * @param list<MadeUnit>          $units
     * @param list<array{Piece, int}> $plain
     *
     * @return list<Cut>
     */
    private static function cuts(array $units, array $plain, CutQuestion $question, int $marks): array
    {
        $stacks = [];
        $add = static function (Piece $piece, int $pieces, string $for, bool $isOversize) use (&$stacks, $marks): void {
            [$width, $height] = [$piece->width->raisedTo($marks), $piece->height->raisedTo($marks)];
            if ($isOversize && $piece->oversize->compareTo($width) > 0) {
                [$width, $height] = [$piece->oversize, $height->plus($piece->oversize->minus($width))];
            }
            $key = implode(' ', [$piece->fabric, $piece->shape->value, $width->toText(), $height->toText(), $piece->then->value]);
            $stacks[$key] ??= ['piece' => $piece, 'width' => $width, 'height' => $height, 'pieces' => 0, 'for' => []];
            $stacks[$key]['pieces'] += $pieces;
            $stacks[$key]['for'][$for] = true;
        };
        foreach ($units as $made) {
            foreach ($made->way->pieces as $piece) {
                $add($piece, $made->batches * $piece->perBatch, $made->unit->label, $question->isOversize[$made->unit->label] ?? false);
            }
        }
        foreach ($plain as [$piece, $count]) {
            $add($piece, $count, 'plain', false);
        }
        $stacks = array_values($stacks);
        usort($stacks, static fn (array $a, array $b): int => $a['piece']->fabric <=> $b['piece']->fabric ?: $b['width']->times($b['height'])->compareTo($a['width']->times($a['height'])));

        return array_map(static fn (array $stack, int $i): Cut => new Cut(
            self::letter($i),
            $stack['piece']->fabric,
            $stack['piece']->shape,
            $stack['width'],
            $stack['height'],
            intdiv($stack['pieces'] + $stack['piece']->then->pieces() - 1, $stack['piece']->then->pieces()),
            $stack['piece']->then,
            array_map(strval(...), array_keys($stack['for'])),
        ), $stacks, array_keys($stacks));
    }

    /** a, b, ..., z, aa, ab, ... */
    private static function letter(int $number): string
    {
        return ($number < 26 ? '' : self::letter(intdiv($number, 26) - 1)).chr(ord('a') + $number % 26);
    }

    /**
     * @param list<MadeUnit> $units
     *
     * @return list<string> class keys of small grids whose patches come from strips
     */
    private static function cutFromStrips(array $units): array
    {
        return array_values(array_map(
            static fn (MadeUnit $made): string => ClassKinship::classKey($made->unit->first),
            array_filter($units, static fn (MadeUnit $made): bool => $made->way->key === 'strip-sets'),
        ));
    }

    /**
     * @param list<string> $fromStrips
     *
     * @return list<array{Piece, int}> patches that are a cell by themselves, with how many
     */
    private static function plainPieces(Face $face, Ways $ways, int $blocks, array $fromStrips): array
    {
        $found = [];
        foreach (self::plainUnits($face->whole, $fromStrips) as $unit) {
            [$width, $height] = self::size($unit, $face);
            $piece = $ways->rectangle($unit->patches()[0]->fabric->key, $width, $height);
            $key = implode(' ', [$piece->fabric, $width->toText(), $height->toText()]);
            $found[$key] ??= [$piece, 0];
            $found[$key][1] += $blocks;
        }

        return array_values($found);
    }

    /**
     * @param list<string> $fromStrips
     *
     * @return list<PlacedUnit>
     */
    private static function plainUnits(PlacedUnit $unit, array $fromStrips): array
    {
        $plain = [];
        foreach ($unit->parts as $part) {
            if ($part instanceof PlacedUnit && ($fromStrips === [] || ! in_array(ClassKinship::classKey($part), $fromStrips, true))) {
                array_push($plain, ...(count($part->patches()) === 1 ? [$part] : self::plainUnits($part, $fromStrips)));
            }
        }

        return $plain;
    }

    /** @return array{Fraction, Fraction} finished width and height in the unit's own frame */
    private static function size(PlacedUnit $unit, Face $face): array
    {
        $corner = $unit->outline->corner();
        $far = static fn (string $axis): int => max(array_map(static fn (Point $point): int => $axis === 'x' ? $point->x : $point->y, $unit->outline->points));
        $size = [Fraction::of($far('x') - $corner->x, $face->lattice->steps), Fraction::of($far('y') - $corner->y, $face->lattice->steps)];

        return $unit->placement->turn->swapsSides() ? [$size[1], $size[0]] : $size;
    }

    private static function ownPicture(PlacedUnit $unit, Fraction $width, Fraction $height, Block $block): Picture
    {
        $one = [Fraction::of(1)];
        $alone = new Block($block->name, $block->unit, Length::of($width, $block->unit), Length::of($height, $block->unit), $block->seamAllowance, $block->fabrics, Grid::of($one, $one, [new Cell(1, 1, 1, 1, $unit->cell->unit)]));

        return Picture::of(Face::of($alone)->whole);
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
                    throw CutNotPossible::widerThanFabric($block->fabrics[$cut->fabric]->name, $cut->longerSide(), $width, $block->unit);
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
                throw CutNotPossible::tooSmall('side of a patch', $shortest, $least, $unit);
            }
            if ($shortest->compareTo($allowance) < 0) {
                throw CutNotPossible::allowanceTooLarge($allowance, $shortest, $unit);
            }
        }
    }
}
