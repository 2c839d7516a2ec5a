<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\AssemblyShape;
use KeenSeam\Core\Assembly\Internal\ConstructionBuilder;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\OutlineNotConvex;
use KeenSeam\Core\Geometry\Point;

/** An order of the quilter's own while it grows: what still stands apart, and what was sewn so far. */
final readonly class GrowingOrder
{
    /**
     * @param list<OwnPair|string> $sew   what each part is made of
     * @param list<Assembly>       $parts the same, sewn
     * @param list<Join>           $joins those within units first, then as they were sewn
     */
    private function __construct(
        private Face $face,
        public array $sew,
        public array $parts,
        private array $joins,
    ) {}

    /** Everything apart: the units, each made before. */
    public static function start(Face $face): self
    {
        $builder = new ConstructionBuilder($face, Order::Rows);
        [$sew, $parts] = [[], $builder->units()];
        foreach ($face->whole->parts as $unit) {
            if (! $unit instanceof Patch) {
                $sew[] = $unit->cell->row.','.$unit->cell->column;
            }
        }

        return new self($face, $sew, $parts, $builder->joins());
    }

    /**
     * As it was told before.
     *
     * @param list<mixed> $told nested lists of two, one for every part that stands apart
     *
     * @throws OrderNotPossible
     */
    public static function of(Face $face, array $told): self
    {
        $growing = self::start($face);
        $byLeaf = [];
        foreach ($growing->parts as $i => $unit) {
            $byLeaf[OwnPair::leaves($growing->sew[$i])[0]] = $unit;
        }
        $sewn = new self($face, [], [], []);
        foreach ($told as $part) {
            $pairs = OwnPair::read($part);
            [$assembly, $joins] = self::sewnOf($face, $pairs, $byLeaf);
            $sewn = new self($face, [...$sewn->sew, $pairs], [...$sewn->parts, $assembly], [...$sewn->joins, ...$joins]);
        }

        return $sewn;
    }

    /**
     * Two parts sewn to each other, and if asked every two that are the same after a turn along with them.
     *
     * @throws OrderNotPossible when no straight seam joins the two
     */
    public function sewn(int $a, int $b, bool $withLikes): self
    {
        $first = $this->join($a, $b);
        if ($first === null) {
            throw OrderNotPossible::noStraightSeam(OwnPair::leaves($this->sew[$a] ?? '?'), OwnPair::leaves($this->sew[$b] ?? '?'));
        }
        $pairs = [[$a, $b, $first]];
        $taken = [$a => true, $b => true];
        $key = $withLikes ? AssemblyShape::key($first) : '';
        $sizes = self::sizes($first);
        foreach ($withLikes ? $this->neighbours() : [] as [$c, $d]) {
            if (isset($taken[$c]) || isset($taken[$d])) {
                continue;
            }
            $join = self::sizes($this->parts[$c], $this->parts[$d]) === $sizes ? $this->join($c, $d) : null;
            if ($join !== null && AssemblyShape::key($join) === $key) {
                $pairs[] = [$c, $d, $join];
                $taken += [$c => true, $d => true];
            }
        }

        return $this->with($pairs);
    }

    /** Every part sewn to its neighbour on the right, or where it has none to that below: pairs, then pairs of pairs. */
    public function inTwos(): self
    {
        $along = $this->pairsAlong(true);

        return $this->with($along === [] ? $this->pairsAlong(false) : $along);
    }

    /**
     * A unit taken apart into its patches, so that they are sewn in an order of their own; with its likes if asked.
     *
     * @throws OrderNotPossible when the part is no single unit of more than one patch
     */
    public function opened(int $part, bool $withLikes): self
    {
        $wanted = $this->parts[$part] ?? null;
        if (! $wanted instanceof Join || ! $this->opens($part)) {
            throw OrderNotPossible::noUnit();
        }
        $key = AssemblyShape::key($wanted);
        [$sew, $parts] = [[], []];
        foreach ($this->parts as $i => $one) {
            $leaf = $this->sew[$i];
            if (is_string($leaf) && $one instanceof Join && $this->opens($i) && ($i === $part || ($withLikes && AssemblyShape::key($one) === $key))) {
                foreach ($this->patchesOf($leaf) as $number => $patch) {
                    $sew[] = $leaf.'#'.($number + 1);
                    $parts[] = new Piece($patch);
                }
            } else {
                [$sew[], $parts[]] = [$leaf, $one];
            }
        }

        return new self($this->face, $sew, $parts, array_merge(...array_map(self::joinsIn(...), $parts)));
    }

    /** Whether a part is one unit of several patches that can be taken apart; a small grid is sewn as one. */
    public function opens(int $part): bool
    {
        $leaf = $this->sew[$part] ?? null;
        $unit = is_string($leaf) && ($this->parts[$part] ?? null) instanceof Join ? $this->unitAt($leaf) : null;

        return $unit !== null && array_filter($unit->parts, static fn (Patch|PlacedUnit $inner): bool => $inner instanceof PlacedUnit) === [];
    }

    public function isDone(): bool
    {
        return count($this->parts) === 1;
    }

    /** What was sewn so far, counted like a whole order. */
    public function report(): OrderReport
    {
        return OrderReport::ofJoins($this->face, $this->joins);
    }

    private function join(int $a, int $b): ?Join
    {
        if ($a === $b || ! isset($this->parts[$a], $this->parts[$b])) {
            return null;
        }
        try {
            return new Join(count($this->joins), $this->parts[$a], $this->parts[$b]);
        } catch (SetInSeamNeeded|OutlineNotConvex) {
            return null;
        }
    }

    /** @return list<array{int, int}> parts with a whole edge in common */
    private function neighbours(): array
    {
        $edges = $pairs = [];
        foreach ($this->parts as $i => $part) {
            foreach ($part->outline()->edges() as [$from, $to]) {
                $ends = [$from->key(), $to->key()];
                sort($ends);
                $key = implode(' ', $ends);
                if (isset($edges[$key])) {
                    $pairs[] = [$edges[$key], $i];
                }
                $edges[$key] = $i;
            }
        }
        sort($pairs);

        return $pairs;
    }

    /** @return list<array{int, int, Join}> */
    private function pairsAlong(bool $sideBySide): array
    {
        $corner = static fn (Assembly $part): Point => $part->outline()->corner();
        $neighbours = array_map(fn (array $pair): array => [$corner($this->parts[$pair[0]])->y, $corner($this->parts[$pair[0]])->x] <= [$corner($this->parts[$pair[1]])->y, $corner($this->parts[$pair[1]])->x] ? $pair : [$pair[1], $pair[0]], $this->neighbours());
        usort($neighbours, fn (array $a, array $b): int => [$corner($this->parts[$a[0]])->y, $corner($this->parts[$a[0]])->x] <=> [$corner($this->parts[$b[0]])->y, $corner($this->parts[$b[0]])->x]);
        $pairs = $taken = [];
        foreach ($neighbours as [$a, $b]) {
            $isBeside = $corner($this->parts[$a])->y === $corner($this->parts[$b])->y;
            $join = isset($taken[$a]) || isset($taken[$b]) || $isBeside !== $sideBySide ? null : $this->join($a, $b);
            if ($join !== null) {
                $pairs[] = [$a, $b, $join];
                $taken += [$a => true, $b => true];
            }
        }

        return $pairs;
    }

    /** @param list<array{int, int, Join}> $pairs */
    private function with(array $pairs): self
    {
        [$sew, $parts, $joins] = [$this->sew, $this->parts, $this->joins];
        foreach ($pairs as [$a, $b]) {
            $join = new Join(count($joins), $this->parts[$a], $this->parts[$b]);
            $joins[] = $join;
            [$sew[$a], $parts[$a]] = [OwnPair::of($this->sew[$a], $this->sew[$b]), $join];
            unset($sew[$b], $parts[$b]);
        }

        return new self($this->face, array_values($sew), array_values($parts), $joins);
    }

    /** @return list<Patch> */
    private function patchesOf(string $leaf): array
    {
        return $this->unitAt($leaf)?->patches() ?? [];
    }

    private function unitAt(string $leaf): ?PlacedUnit
    {
        foreach ($this->face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && $unit->cell->row.','.$unit->cell->column === $leaf) {
                return $unit;
            }
        }

        return null;
    }

    /** @return list<int> areas of the two parts, the smaller first */
    private static function sizes(Join|Assembly $first, ?Assembly $second = null): array
    {
        $parts = $second === null && $first instanceof Join ? [$first->left, $first->right] : array_filter([$first, $second]);
        $areas = array_map(static fn (Assembly $part): int => $part->outline()->areaDoubled(), $parts);
        sort($areas);

        return $areas;
    }

    /**
     * @param array<string, Assembly> $byLeaf
     *
     * @return array{Assembly, list<Join>}
     *
     * @throws OrderNotPossible
     */
    private static function sewnOf(Face $face, OwnPair|string $part, array $byLeaf): array
    {
        if (is_string($part)) {
            $assembly = $byLeaf[$part] ?? null;
            if ($assembly === null) {
                $patches = (new self($face, [], [], []))->patchesOf(OwnOrder::cellOf($part));
                $patch = $patches[(int) (explode('#', $part)[1] ?? 0) - 1] ?? throw OrderNotPossible::noSuchPlace($part);

                return [new Piece($patch), []];
            }

            return [$assembly, $assembly instanceof Join ? self::joinsIn($assembly) : []];
        }
        [[$left, $ofLeft], [$right, $ofRight]] = [self::sewnOf($face, $part->first, $byLeaf), self::sewnOf($face, $part->second, $byLeaf)];
        try {
            $join = new Join(count($ofLeft) + count($ofRight), $left, $right);
        } catch (SetInSeamNeeded|OutlineNotConvex) {
            throw OrderNotPossible::noStraightSeam(OwnPair::leaves($part->first), OwnPair::leaves($part->second));
        }

        return [$join, [...$ofLeft, ...$ofRight, $join]];
    }

    /** @return list<Join> */
    private static function joinsIn(Assembly $part): array
    {
        return $part instanceof Join ? [...self::joinsIn($part->left), ...self::joinsIn($part->right), $part] : [];
    }
}
