<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Making\Recipes\GooseFromHalfSquares;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;

/**
 * The block as it is really sewn once ways are chosen: units that a way makes with other seams than drawn have those, and
 * where units are used as they come each place takes the build with which the whole is pressed best.
 */
final readonly class ChosenBuilds
{
    /** Ways to hand the builds out that are all tried; of more, better ones are looked for place by place. */
    private const MOST_TRIED = 150;

    private function __construct(
        private Construction $drawn,
        private CuttingPlan $cutting,
    ) {}

    /** Whether all is sewn along the seams that are drawn. */
    public static function areAsDrawn(CuttingPlan $cutting): bool
    {
        return array_filter($cutting->units, static fn (MadeUnit $made): bool => $made->way->key === GooseFromHalfSquares::KEY || $made->isAsTheyCome()) === [];
    }

    /**
     * @param CuttingPlan      $cutting  of the block as it is drawn
     * @param \Closure(): bool $timeIsUp
     */
    public static function sewn(Construction $drawn, CuttingPlan $cutting, PressQuestion $question, \Closure $timeIsUp): Construction
    {
        return self::areAsDrawn($cutting) ? $drawn : (new self($drawn, $cutting))->found($question, $timeIsUp);
    }

    /**
     * Numbers of the patches that are the same in both.
     *
     * @return array<int, int> id in the sewn block by id in the drawn one
     */
    public static function samePatches(Construction $drawn, Construction $sewn): array
    {
        $text = static fn (Face $face, Patch $patch): string => $patch->fabric->key.' '.implode(' ', self::sorted(array_map(static fn (Point $point): string => implode(',', $face->lattice->toText($point)), $patch->outline->points)));
        $there = [];
        foreach ($sewn->face->patches as $patch) {
            $there[$text($sewn->face, $patch)] = $patch->id;
        }
        $same = [];
        foreach ($drawn->face->patches as $patch) {
            $id = $there[$text($drawn->face, $patch)] ?? null;
            if ($id !== null) {
                $same[$patch->id] = $id;
            }
        }

        return $same;
    }

    private function found(PressQuestion $question, \Closure $timeIsUp): Construction
    {
        $cells = $this->otherSeams();
        $best = null;
        foreach ($this->handings() as [$places, $least, $most]) {
            $best = $this->handedOut($places, $least, $most, $cells, $question, $timeIsUp);
            foreach ($best as $i => $isOther) {
                $cells[spl_object_id($places[$i])] = $isOther ? $this->flipped($places[$i]) : $places[$i]->cell;
            }
        }

        return $this->construction($cells);
    }

    /** @return array<int, Cell> what lies in a place instead, by the object id of the unit that is drawn there */
    private function otherSeams(): array
    {
        $cells = [];
        foreach ($this->membersWhere(static fn (MadeUnit $made): bool => $made->way->key === GooseFromHalfSquares::KEY) as [, $members]) {
            foreach ($members as $member) {
                $cells[spl_object_id($member)] = $member->cell->holding(self::twoHalfSquares($member));
            }
        }

        return $cells;
    }

    /** The goose's left half has its sky at the upper left, the right half at the upper right. */
    private static function twoHalfSquares(PlacedUnit $goose): GridUnit
    {
        $unit = $goose->cell->unit;
        if (! $unit instanceof PatternUnit) {
            throw new \LogicException('Only a goose that was drawn as one is made of half squares.');
        }
        [$middle, $left, $right] = [$unit->fabrics[0], $unit->fabrics[1] ?? $unit->fabrics[0], $unit->fabrics[2] ?? $unit->fabrics[0]];
        $half = UnitPatterns::all()['half-square-triangle'];
        $one = Fraction::of(1);

        return new GridUnit(Grid::of([$one, $one], [$one], [
            new Cell(1, 1, 1, 1, new PatternUnit($half, [$left, $middle])),
            new Cell(1, 2, 1, 1, new PatternUnit($half, [$right, $middle]), new Placement(Turn::Quarter)),
        ]));
    }

    /** @return list<array{list<PlacedUnit>, int, int}> for every unit that is used as it comes: its places, and at least and at most how many in one block are built the other way */
    private function handings(): array
    {
        $handings = [];
        foreach ($this->membersWhere(static fn (MadeUnit $made): bool => $made->isAsTheyCome()) as [$made, $members]) {
            $blocks = max(1, intdiv($made->unit->need + $made->unit->mirrored, max(1, count($members))));
            $come = static fn (int $each): int => intdiv($made->parts * $each, $made->way->parts);
            $most = min(count($members), intdiv($come($made->way->lookAlike) + $blocks - 1, $blocks));
            $least = max(0, count($members) - intdiv($come($made->way->own) + $blocks - 1, $blocks));
            $handings[] = [$members, min($least, $most), $most];
        }

        return $handings;
    }

    /**
     * @param \Closure(MadeUnit): bool $is
     *
     * @return list<array{MadeUnit, list<PlacedUnit>}> with all of its members, both hands
     */
    private function membersWhere(\Closure $is): array
    {
        $twins = ClassKinship::twins($this->drawn->classes);
        $found = [];
        foreach ($this->drawn->classes as $class) {
            $made = $this->cutting->unit($class->label());
            if ($made !== null && $is($made)) {
                $twin = $twins[$class->index] ?? null;
                $found[] = [$made, [...$class->members, ...($twin === null ? [] : $this->drawn->classes[$twin]->members)]];
            }
        }

        return $found;
    }

    /** The same face, built as the mirror image. */
    private function flipped(PlacedUnit $unit): Cell
    {
        $picture = $this->cutting->unit($this->labelOf($unit))?->unit->picture ?? throw new \LogicException('A unit that is used as it comes is made.');
        $placement = $unit->cell->placement;
        $face = $picture->moved($placement)->key;
        foreach (Turn::cases() as $turn) {
            $other = new Placement($turn, ! $placement->mirrored);
            if ($picture->moved($other)->key === $face) {
                return $unit->cell->lying($other);
            }
        }

        throw new \LogicException('Units that look alike show the same face in some placement.');
    }

    private function labelOf(PlacedUnit $unit): string
    {
        $twins = ClassKinship::twins($this->drawn->classes);
        foreach ($this->drawn->classes as $class) {
            if (in_array($unit, $class->members, true)) {
                return $this->drawn->classes[min($class->index, $twins[$class->index] ?? $class->index)]->label();
            }
        }

        throw new \LogicException('A unit belongs to a class.');
    }

    /**
     * Which places take the other build: all ways where they are few, else the best that changing one place, or two, leads to.
     *
     * @param list<PlacedUnit> $places
     * @param array<int, Cell> $cells
     * @param \Closure(): bool $timeIsUp
     *
     * @return list<bool>
     */
    private function handedOut(array $places, int $least, int $most, array $cells, PressQuestion $question, \Closure $timeIsUp): array
    {
        $count = count($places);
        $price = function (array $other) use ($places, $cells, $question, $timeIsUp): Cost {
            foreach ($other as $i => $isOther) {
                $cells[spl_object_id($places[$i])] = $isOther ? $this->flipped($places[$i]) : $places[$i]->cell;
            }

            return (new PressingPlanner($this->construction($cells)))->best($question->withoutLocks(), $timeIsUp)->cost;
        };
        $start = array_map(static fn (int $i): bool => $i < $least, range(0, max(0, $count - 1)));
        [$best, $cost] = [$start, $price($start)];
        $better = static function (array $tried) use (&$best, &$cost, $price, $question): bool {
            $found = $price($tried);
            if ($found->compareTo($cost, $question->style) < 0) {
                [$best, $cost] = [$tried, $found];

                return true;
            }

            return false;
        };
        if ($count <= 16 && self::handingsOf($count, $least, $most) <= self::MOST_TRIED) {
            for ($bits = 0; $bits < 1 << $count && ! $timeIsUp(); ++$bits) {
                $tried = array_map(static fn (int $i): bool => ($bits >> $i & 1) === 1, range(0, $count - 1));
                $others = count(array_filter($tried));
                if ($others >= $least && $others <= $most) {
                    $better($tried);
                }
            }

            return array_values($best);
        }
        do {
            $isBetter = false;
            foreach (self::neighbours($best, $least, $most) as $tried) {
                if ($timeIsUp()) {
                    break;
                }
                $isBetter = $better($tried) || $isBetter;
            }
        } while ($isBetter && ! $timeIsUp());

        return array_values($best);
    }

    /**
     * @param array<int, bool> $other
     *
     * @return iterable<list<bool>>
     */
    private static function neighbours(array $other, int $least, int $most): iterable
    {
        foreach ($other as $i => $isOther) {
            $one = $other;
            $one[$i] = ! $isOther;
            $count = count(array_filter($one));
            if ($count >= $least && $count <= $most) {
                yield array_values($one);
            }
            foreach ($other as $j => $isOtherToo) {
                if ($j > $i && $isOther !== $isOtherToo) {
                    $two = $other;
                    [$two[$i], $two[$j]] = [$isOtherToo, $isOther];
                    yield array_values($two);
                }
            }
        }
    }

    private static function handingsOf(int $count, int $least, int $most): int
    {
        [$sum, $ways] = [0, 1];
        for ($k = 0; $k <= $most; ++$k) {
            $sum += $k >= $least ? $ways : 0;
            $ways = intdiv($ways * ($count - $k), $k + 1);
        }

        return $sum;
    }

    /** @param array<int, Cell> $cells */
    private function construction(array $cells): Construction
    {
        $block = $this->drawn->face->block;
        $grid = self::rebuilt($this->drawn->face->whole, $cells)->unit;
        if (! $grid instanceof GridUnit) {
            throw new \LogicException('A block is a grid.');
        }

        return Construction::of(Face::of(new Block($block->name, $block->unit, $block->finishedWidth, $block->finishedHeight, $block->seamAllowance, $block->fabrics, $grid->grid)), $this->drawn->order);
    }

    /** @param array<int, Cell> $cells by object id of the unit that is drawn in them */
    private static function rebuilt(PlacedUnit $unit, array $cells): Cell
    {
        $cell = $cells[spl_object_id($unit)] ?? null;
        if ($cell !== null) {
            return $cell;
        }
        $kind = $unit->cell->unit;
        if (! $kind instanceof GridUnit) {
            return $unit->cell;
        }
        // Parts stand in the order of the grid's cells.
        $parts = array_values(array_filter($unit->parts, static fn ($part): bool => $part instanceof PlacedUnit));
        $i = 0;

        return $unit->cell->holding(new GridUnit($kind->grid->withCells(static function (Cell $cell) use ($parts, $cells, &$i): Cell {
            return isset($parts[$i]) ? self::rebuilt($parts[$i++], $cells) : $cell;
        })));
    }

    /**
     * @param array<int, string> $texts
     *
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        sort($texts);

        return $texts;
    }
}
