<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinTie;
use KeenSeam\Core\Assembly\StraightGrain;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Matching\Internal\RealAssembly;
use KeenSeam\Core\Matching\Internal\RealEdge;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressingPlan;

/**
 * Will it meet? Every join of a plan with the real lengths of its two edges, when each seam takes up so much: a seam that
 * takes more than two allowances brings its parts closer by the difference, and all that was sewn before comes with them.
 */
final class Drift
{
    /** @var list<JoinSheet> by join id; of the join that was asked for, where only one was */
    public readonly array $sheets;

    /** @var array{float, float} raw width and height of the block as it comes out, in its unit */
    public readonly array $expected;

    /** What the whole is called: "block", or "top". */
    public readonly string $whole;

    /** @var array{array{int, int, float}, array{int, int, float}} the directions in which the whole is measured */
    private readonly array $along;

    /** @var array{float, float} the same as it is meant to be */
    public readonly array $meant;

    public readonly LengthUnit $unit;

    /** @var array<int, Patch> */
    private array $patches = [];

    /** @var array<int, ConvexPolygon> outline of the unit each patch is in */
    private array $units = [];

    /** @var array<int, array<string, Nesting>> how ridges lie, by join and place */
    private array $nests = [];

    /** @var array<int, JoinSheet> */
    private array $made = [];

    private readonly float $allowance;

    private readonly int $steps;

    private readonly RawEdges $edges;

    /**
     * @param Fraction                        $takeUp   of every seam, in the block's unit
     * @param array<int, float>               $errors   by join: what this seam takes more than the others; for seams sewn or measured apart
     * @param array<int, array{float, float}> $measured by join: raw width and height of what it made, as the quilter measured it
     * @param RawEdges|null                   $edges    of the same construction, where they are known already
     * @param Join|null                       $only     the join that is asked for; nothing beyond what it sews together is looked at then
     */
    public function __construct(
        private readonly PressingPlan $plan,
        private readonly Fraction $takeUp,
        private readonly SquareUp $squareUp,
        private readonly array $errors = [],
        public readonly array $measured = [],
        ?RawEdges $edges = null,
        private readonly ?Join $only = null,
    ) {
        $face = $plan->construction->face;
        $this->allowance = $face->block->seamAllowance->in($face->block->unit)->toFloat();
        $this->steps = $face->lattice->steps;
        $this->unit = $face->block->unit;
        $this->whole = $face->kind->word();
        $this->along = $face->measuredAlong();
        [$width, $height] = $face->finishedSize();
        $this->meant = [$width + 2 * $this->allowance, $height + 2 * $this->allowance];
        $this->edges = $edges ?? new RawEdges($plan->construction);
        foreach ($face->patches as $patch) {
            $this->patches[$patch->id] = $patch;
        }
        $this->noteUnits($face->whole);
        foreach ($plan->matches as $match) {
            $this->nests[$match->join][$match->at->key()] = $match->nesting;
        }
        $whole = $this->real($only ?? $plan->construction->root, null);
        ksort($this->made);
        $this->sheets = array_values($this->made);
        $this->expected = $this->sizeOf($whole, $this->along);
    }

    /**
     * One join by itself: its sheet is the only one.
     *
     * @param array<int, array{float, float}> $measured as for the whole
     */
    public static function at(PressingPlan $plan, Fraction $takeUp, SquareUp $squareUp, Join $join, array $measured = [], ?RawEdges $edges = null): self
    {
        return new self($plan, $takeUp, $squareUp, [], $measured, $edges, $join);
    }

    /** How much more a seam takes than its two allowances. */
    private function error(Join $join): float
    {
        return $this->takeUp->toFloat() - 2 * $this->allowance + ($this->errors[$join->id] ?? 0.0);
    }

    private function real(Assembly $assembly, ?JoinTie $of): RealAssembly
    {
        if (! $assembly instanceof Join) {
            return RealAssembly::asMeant($assembly, $this->patches);
        }
        [$left, $right] = [$this->real($assembly->left, $assembly->tie), $this->real($assembly->right, $assembly->tie)];
        [$leftEdge, $rightEdge] = [$left->edgeOn($assembly), $right->edgeOn($assembly)];
        if ($this->only === null || $assembly === $this->only) {
            $this->made[$assembly->id] = $this->sheet($assembly, $leftEdge, $rightEdge);
        }
        $isWholeUnit = $assembly->tie !== null && ($of === null || [$of->unitClass, $of->member] !== [$assembly->tie->unitClass, $assembly->tie->member]);

        $real = $isWholeUnit && $this->squareUp === SquareUp::Units
            ? RealAssembly::asMeant($assembly, $this->patches)
            : RealAssembly::joined($assembly, $left, $right, $leftEdge, $rightEdge, $this->error($assembly));
        $measured = $this->measured[$assembly->id] ?? null;

        return $measured === null ? $real : $real->stretchedBy($this->lacking($real, $measured));
    }

    private function sheet(Join $join, RealEdge $left, RealEdge $right): JoinSheet
    {
        $seam = $join->seam;
        $finished = $seam->length() / $this->steps;
        $ends = $this->edges->of($join);
        $real = static fn (RealEdge $part): float => $finished + $part->endShift($seam->to) - $part->endShift($seam->from);
        $edges = [$real($left), $real($right)];
        $marks = $this->marks($join, $left, $right, $ends[0]);

        return new JoinSheet(
            $join,
            $finished,
            $edges,
            [$edges[0] + $ends[0]->reach[0] + $ends[1]->reach[0], $edges[1] + $ends[0]->reach[1] + $ends[1]->reach[1]],
            self::up($marks),
            $this->bias($join, $left, $right),
            $marks,
            [$this->edge($join, $left), $this->edge($join, $right)],
            $ends,
        );
    }

    /** @return list<array{float, float, string}> from, to and fabric of each patch along the join, from its start */
    private function edge(Join $join, RealEdge $part): array
    {
        $length = $join->seam->length();
        $stretches = array_map(fn (array $one): array => [
            $one[0] / $length / $this->steps,
            $one[1] / $length / $this->steps,
            $this->patches[$one[2]]->fabric->key,
        ], $part->stretches);
        usort($stretches, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $stretches;
    }

    /** @return list<Mark> */
    private function marks(Join $join, RealEdge $left, RealEdge $right, JoinEnd $start): array
    {
        $nests = $this->nests[$join->id] ?? [];
        $marks = [];
        foreach ($join->meetings as $meeting) {
            if (! $join->seam->containsInside($meeting->at)) {
                continue;
            }
            $here = static fn (RealEdge $part, int $seams): MarkSide => match (true) {
                $seams === 0 => MarkSide::Plain,
                $part->hasTipAt($meeting->at) => MarkSide::Tip,
                default => MarkSide::Seam,
            };
            [$onLeft, $onRight] = [$here($left, $meeting->seamsOfLeft), $here($right, $meeting->seamsOfRight)];
            [$fromLeft, $fromRight] = [$this->fromCorner($join, $left, $meeting->at), $this->fromCorner($join, $right, $meeting->at)];
            $kind = MarkKind::where($onLeft, $onRight);
            $marks[] = new Mark($meeting->at, [$start->reach[0] + $fromLeft, $start->reach[1] + $fromRight], $onLeft, $onRight, $kind, $nests[$meeting->at->key()] ?? null, $kind === MarkKind::Match ? $fromLeft - $fromRight : null, [$this->liesTowardStart($join, $meeting->at, $meeting->lastOfLeft), $this->liesTowardStart($join, $meeting->at, $meeting->lastOfRight)]);
        }

        return $marks;
    }

    private function liesTowardStart(Join $join, Point $at, ?Join $seam): ?bool
    {
        return $seam === null ? null : Nesting::liesTowardStart($join->seam, $at, $seam, $this->plan->pressing->atEnd($seam, $at));
    }

    /** From the finished corner at the start of the join, as it will really come out. */
    private function fromCorner(Join $join, RealEdge $part, Point $at): float
    {
        $from = $join->seam->from;

        return hypot($at->x - $from->x, $at->y - $from->y) / $this->steps + $part->shiftAt($at) - $part->endShift($from);
    }

    /** @param list<Mark> $marks */
    private static function up(array $marks): string
    {
        $count = static fn (string $side, MarkSide $what): int => count(array_filter($marks, static fn (Mark $mark): bool => ($side === 'left' ? $mark->left : $mark->right) === $what));
        $ends = static fn (string $side): array => [$count($side, MarkSide::Tip), $count($side, MarkSide::Tip) + $count($side, MarkSide::Seam)];

        return match ($ends('left') <=> $ends('right')) {
            1 => 'left',
            -1 => 'right',
            default => 'either',
        };
    }

    private function bias(Join $join, RealEdge $left, RealEdge $right): string
    {
        $isBias = fn (RealEdge $part): bool => array_filter($part->stretches, fn (array $stretch): bool => $this->isBias($stretch[2], $join)) !== [];

        return match ([$isBias($left), $isBias($right)]) {
            [true, true] => 'both',
            [true, false] => 'left',
            [false, true] => 'right',
            [false, false] => 'none',
        };
    }

    private function isBias(int $patch, Join $join): bool
    {
        $grain = StraightGrain::of($this->patches[$patch], $this->plan->construction->face->within[$patch] ?? $this->units[$patch]);
        $direction = $join->seam->direction();

        return $grain->cross($direction) !== 0 && $grain->dot($direction) !== 0;
    }

    private function noteUnits(PlacedUnit $unit): void
    {
        foreach ($unit->parts as $part) {
            if ($part instanceof PlacedUnit) {
                $this->noteUnits($part);
            } else {
                $this->units[$part->id] = $unit->outline;
            }
        }
    }

    /**
     * @param array{float, float} $measured raw
     *
     * @return array{float, float} by how much it is wider and higher than it would come out
     */
    private function lacking(RealAssembly $real, array $measured): array
    {
        [$width, $height] = $this->sizeOf($real, [[1, 0, 1.0], [0, 1, 1.0]]);

        return [$measured[0] - $width, $measured[1] - $height];
    }

    /**
     * @param array{array{int, int, float}, array{int, int, float}} $along the directions across and down, and how long each is told
     *
     * @return array{float, float} what is left once its sides are cut straight
     */
    private function sizeOf(RealAssembly $whole, array $along): array
    {
        $outline = $whole->assembly->outline();
        $size = [];
        foreach ($along as [$x, $y, $length]) {
            $place = static fn (Point $point): int => $x * $point->x + $y * $point->y;
            $values = array_map($place, $outline->points);
            [$near, $far] = [min($values), max($values)];
            $shifts = ['near' => [], 'far' => []];
            foreach ($whole->moved as $id => $moved) {
                foreach ($this->patches[$id]->outline->edges() as [$a, $b]) {
                    $ends = [$place($a), $place($b)];
                    $shift = RealAssembly::shiftAt($moved, $a->x, $a->y);
                    if ($ends === [$near, $near]) {
                        $shifts['near'][] = ($x * $shift[0] + $y * $shift[1]) / $length;
                    } elseif ($ends === [$far, $far]) {
                        $shifts['far'][] = ($x * $shift[0] + $y * $shift[1]) / $length;
                    }
                }
            }
            $size[] = ($far - $near) / $length / $this->steps + 2 * $this->allowance + min($shifts['far'] ?: [0.0]) - max($shifts['near'] ?: [0.0]);
        }

        return [$size[0], $size[1]];
    }
}
