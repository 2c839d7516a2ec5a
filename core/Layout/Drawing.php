<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\OutlineNotConvex;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * What lies in a cell, being cut by straight lines and sewn together again: patches as they are seen on the face, their
 * corners as shares of the cell. Every change gives a new drawing; all of it is exact.
 */
final readonly class Drawing
{
    /** Marks to cut from along every side of the cell, as shares of it. */
    private const ALONG = [[0, 1], [1, 4], [1, 3], [1, 2], [2, 3], [3, 4]];

    /** @param non-empty-list<array{Fabric, list<Spot>}> $patches fabric and corners, clockwise */
    private function __construct(public array $patches) {}

    public static function whole(Fabric $fabric): self
    {
        return new self([[$fabric, array_map(static fn (array $at): Spot => new Spot(Fraction::of($at[0]), Fraction::of($at[1])), [[0, 0], [1, 0], [1, 1], [0, 1]])]]);
    }

    /**
     * What is there: patches of a face that fill an upright rectangle.
     *
     * @param non-empty-list<Patch> $patches
     */
    public static function of(array $patches): self
    {
        $points = array_merge(...array_map(static fn (Patch $patch): array => $patch->outline->points, $patches));
        [$left, $top, $right, $bottom] = Point::bounds($points);
        [$width, $height] = [$right - $left, $bottom - $top];

        return new self(array_map(static fn (Patch $patch): array => [
            $patch->fabric,
            array_map(static fn (Point $point): Spot => new Spot(Fraction::of($point->x - $left, $width), Fraction::of($point->y - $top, $height)), $patch->outline->points),
        ], $patches));
    }

    /**
     * Cuts every patch that the way from one place to the other crosses; all along its line where the cut goes through.
     *
     * @throws LayoutNotPossible where it ends inside a patch, runs along a seam, or leaves the cell
     */
    public function cut(Spot $from, Spot $to, bool $isThrough): self
    {
        if ($from->equals($to)) {
            throw LayoutNotPossible::cutWithoutLength();
        }
        if (! $from->isInCell() || ! $to->isInCell()) {
            throw LayoutNotPossible::cutOutside();
        }
        $patches = [];
        foreach ($this->patches as [$fabric, $corners]) {
            $halves = self::halves($corners, $from, $to);
            $reaches = $halves === null ? null : array_map(static fn (Spot $end): Fraction => $from->along($to, $end), $halves[2]);
            $isMet = $reaches !== null && ($isThrough || (max($reaches[0]->toFloat(), $reaches[1]->toFloat()) > 1e-12 && min($reaches[0]->toFloat(), $reaches[1]->toFloat()) < 1 - 1e-12));
            if ($halves === null || $reaches === null || ! $isMet) {
                $patches[] = [$fabric, $corners];
                continue;
            }
            $isWhole = $isThrough || array_filter($reaches, static fn (Fraction $reach): bool => $reach->compareTo(Fraction::zero()) < 0 || $reach->compareTo(Fraction::of(1)) > 0) === [];
            if (! $isWhole) {
                throw LayoutNotPossible::cutEndsInside();
            }
            array_push($patches, [$fabric, $halves[0]], [$fabric, $halves[1]]);
        }

        return count($patches) === count($this->patches) ? throw LayoutNotPossible::cutAlongSeam() : new self($patches);
    }

    /** @param int $patch its number, from 0 */
    public function painted(int $patch, Fabric $fabric): self
    {
        $patches = $this->patches;
        $patches[$patch] = [$fabric, $patches[$patch][1]];

        return new self($patches);
    }

    /**
     * Makes one patch of two, in the fabric of the first.
     *
     * @param int $one   number of the patch, from 0
     * @param int $other the same
     *
     * @throws LayoutNotPossible where the two have no whole seam in common, or together have a corner that points in
     */
    public function sewnBack(int $one, int $other): self
    {
        if ($one === $other || ! isset($this->patches[$one], $this->patches[$other])) {
            throw LayoutNotPossible::notTwoPatches(count($this->patches));
        }
        $lattice = self::lattice([...$this->patches[$one][1], ...$this->patches[$other][1]]);
        $outline = static fn (array $patch): ConvexPolygon => ConvexPolygon::of(array_values(array_map(static fn (Spot $spot): Point => $lattice->point($spot->x, $spot->y), $patch[1])));
        [$a, $b] = [$outline($this->patches[$one]), $outline($this->patches[$other])];
        $seam = $a->sharedEdge($b) ?? throw LayoutNotPossible::noSeamBetween();
        try {
            $together = $a->joinedWith($b, $seam);
        } catch (OutlineNotConvex) {
            throw LayoutNotPossible::pointsIn();
        }
        $sewn = [];
        foreach ($this->patches as $i => [$fabric, $corners]) {
            if ($i === $one) {
                $sewn[] = [$fabric, array_map(static fn (Point $point): Spot => new Spot($lattice->toLengthNumber($point->x), $lattice->toLengthNumber($point->y)), $together->points)];
            } elseif ($i !== $other) {
                $sewn[] = [$fabric, $corners];
            }
        }

        return $sewn === [] ? $this : new self($sewn);
    }

    /**
     * Places a cut may run from and to: corners, middles, thirds and quarters of the sides, the centre, and every end and
     * crossing of seams.
     *
     * @return list<Spot> each once, from the top down, from left to right
     */
    public function marks(): array
    {
        [$zero, $one, $half] = [Fraction::zero(), Fraction::of(1), Fraction::of(1, 2)];
        $marks = [new Spot($half, $half), new Spot($one, $one)];
        foreach (self::ALONG as [$part, $of]) {
            $share = Fraction::of($part, $of);
            array_push($marks, new Spot($share, $zero), new Spot($one, $share), new Spot($share, $one), new Spot($zero, $share));
        }
        foreach ($this->patches as [, $corners]) {
            array_push($marks, ...$corners);
        }
        $byKey = [];
        foreach ($marks as $mark) {
            $byKey[$mark->key()] = $mark;
        }
        usort($byKey, static fn (Spot $a, Spot $b): int => [$a->y->toFloat(), $a->x->toFloat()] <=> [$b->y->toFloat(), $b->x->toFloat()]);

        return $byKey;
    }

    /**
     * As a unit that shows this when it lies like that in its cell.
     *
     * @throws \KeenSeam\Core\KeenSeamProblem
     */
    public function unit(Placement $lies): PatchesUnit
    {
        $back = $lies->inverse();

        return PatchesUnit::of(array_map(static fn (array $patch): array => [
            $patch[0],
            array_map(static fn (Spot $corner): array => (static fn (Spot $own): array => [$own->x, $own->y])($corner->moved($back)), $patch[1]),
        ], $this->patches), '/patches');
    }

    /**
     * @param list<Spot> $corners of a convex patch, clockwise
     *
     * @return array{list<Spot>, list<Spot>, array{Spot, Spot}}|null both parts and the ends of the cut; null where the line does not divide it
     */
    private static function halves(array $corners, Spot $from, Spot $to): ?array
    {
        [$zero, $left, $right, $ends] = [Fraction::zero(), [], [], []];
        $sides = array_map(static fn (Spot $corner): int => $from->side($to, $corner)->compareTo($zero), $corners);
        if (! in_array(1, $sides, true) || ! in_array(-1, $sides, true)) {
            return null;
        }
        foreach ($corners as $i => $corner) {
            $next = ($i + 1) % count($corners);
            if ($sides[$i] >= 0) {
                $right[] = $corner;
            }
            if ($sides[$i] <= 0) {
                $left[] = $corner;
            }
            if ($sides[$i] === 0) {
                $ends[] = $corner;
            }
            if ($sides[$i] * $sides[$next] < 0) {
                [$a, $b] = [$from->side($to, $corner), $from->side($to, $corners[$next])];
                $met = $corner->towards($corners[$next], $a->dividedBy($a->minus($b)));
                [$right[], $left[], $ends[]] = [$met, $met, $met];
            }
        }

        if (count($ends) !== 2) {
            return null;
        }
        // Whichever way the cut was drawn, the part further up and to the left comes first.
        $far = static fn (array $part): float => array_sum(array_map(static fn (Spot $corner): float => $corner->x->toFloat() + $corner->y->toFloat(), $part)) / count($part);

        return [...($far($left) <= $far($right) ? [$left, $right] : [$right, $left]), $ends];
    }

    /** @param list<Spot> $spots */
    private static function lattice(array $spots): Lattice
    {
        return Lattice::through(array_merge(...array_map(static fn (Spot $spot): array => [$spot->x, $spot->y], $spots)), LengthUnit::Inch);
    }
}
