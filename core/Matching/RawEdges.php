<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\PolygonShape;

/**
 * The raw outlines of all parts of a block: each finished outline moved out by the allowance on every side, corners mitred.
 *
 * A template's corner under 90 degrees is cut off along the raw edge of the part it is first sewn to there, as the two will
 * lie once they are opened: what goes is the ear that no later seam needs, or that reaches past the unit's own edge. Lengths are in the block's unit, x and y as on
 * the face.
 */
final readonly class RawEdges
{
    private float $allowance;

    /** Lattice steps to one of the block's unit of length. */
    public int $steps;

    /** @var array<int, array{JoinEnd, JoinEnd}> start and end of each join, by its id */
    private array $ends;

    /** @var array<string, array<int, Patch>> every patch with a corner there, by place and id; only places where a template has one */
    private array $templates;

    /** @var array<int, array<string, array{float, float, float}>> by patch and corner: how far its tip reaches along that seam when cut, and the direction the cut faces */
    private array $cutTips;

    public function __construct(Construction $construction)
    {
        $face = $construction->face;
        $this->allowance = $face->block->seamAllowance->in($face->block->unit)->toFloat();
        $this->steps = $face->lattice->steps;
        $this->templates = self::cornersOfTemplates($construction->face);
        $this->cutTips = $this->tips($construction);
        $ends = [];
        foreach ($construction->joins as $join) {
            $ends[$join->id] = [$this->end($join, $join->seam->from), $this->end($join, $join->seam->to)];
        }
        $this->ends = $ends;
    }

    /** @return array{JoinEnd, JoinEnd} the start of the join and its end */
    public function of(Join $join): array
    {
        return $this->ends[$join->id];
    }

    private function end(Join $join, Point $at): JoinEnd
    {
        $angles = [self::angle($join->left, $join, $at), self::angle($join->right, $join, $at)];
        // Where each raw side crosses the stitching line; a tip that was cut ends there no further than the other part's side does.
        $crossings = array_map(fn (float $angle): float => $this->allowance / sin($angle), $angles);
        foreach ([$join->left, $join->right] as $i => $part) {
            $crossings[$i] = $this->cutAt($part, $at) === null ? $crossings[$i] : min($crossings);
        }

        return new JoinEnd($angles, [$this->reach($join->left, $join, $at), $this->reach($join->right, $join, $at)], [$crossings[0], $crossings[1]]);
    }

    private function cutAt(Assembly $part, Point $at): ?float
    {
        $patch = $this->alone($part, $at);

        return $patch === null ? null : ($this->cutTips[$patch->id][$at->key()][0] ?? null);
    }

    /** The template that alone makes a corner of the part; null where others are sewn to it there, or it needs none. */
    private function alone(Assembly $part, Point $at): ?Patch
    {
        $corner = $this->templates[$at->key()] ?? null;
        $here = $corner === null ? [] : array_values(array_intersect_key($corner, array_flip($part->patchIds())));

        return count($here) === 1 && ! PolygonShape::of($here[0]->outline)->isPlain() ? $here[0] : null;
    }

    /** How far the part's raw edge along the join goes past the finished corner: s·cot(a/2), or what is left of a cut tip. */
    private function reach(Assembly $part, Join $join, Point $at): float
    {
        return $this->cutAt($part, $at) ?? $this->mitre($part, $join, $at);
    }

    /**
     * @param float $more what it is cut larger by, all round
     *
     * @return list<array{float, float}> corners of the part as it lies on the table, clockwise
     */
    public function outline(Assembly $part, float $more = 0.0): array
    {
        $cuts = [];
        foreach ($part->outline()->points as $at) {
            $tip = $this->cutTips[$this->alone($part, $at)->id ?? -1][$at->key()] ?? null;
            if ($tip !== null) {
                $cuts[] = [$at->x / $this->steps, $at->y / $this->steps, $tip[1], $tip[2]];
            }
        }

        return self::movedOut($part->outline(), $this->steps, $this->allowance + $more, $cuts);
    }

    /**
     * Every patch of the part as it lies there face up, seams sewn: out to the raw edge where nothing is sewn to it yet.
     *
     * @return array<int, list<array{float, float}>> corners by patch id
     */
    public function patches(Assembly $part): array
    {
        $raw = $this->outline($part);
        $shown = [];
        foreach (self::piecesOf($part) as $piece) {
            $corners = $raw;
            foreach ($piece->patch->outline->edges() as [$a, $b]) {
                if (! self::isOuter($part, $a, $b)) {
                    [$x, $y] = self::outward($a, $b);
                    $corners = self::cutOff($corners, $x, $y, ($a->x * $x + $a->y * $y) / $this->steps);
                }
            }
            $shown[$piece->patch->id] = $corners;
        }

        return $shown;
    }

    /** @return list<Piece> */
    private static function piecesOf(Assembly $part): array
    {
        return $part instanceof Piece ? [$part] : array_merge(...array_map(self::piecesOf(...), $part->children()));
    }

    private static function isOuter(Assembly $part, Point $a, Point $b): bool
    {
        foreach ($part->outline()->edges() as [$c, $d]) {
            if ($d->minus($c)->cross($a->minus($c)) === 0 && $d->minus($c)->cross($b->minus($c)) === 0) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<array{float, float, float, float}> $cuts off corners: the corner, and the direction one allowance along which the cut runs
     *
     * @return list<array{float, float}>
     */
    private static function movedOut(ConvexPolygon $outline, int $steps, float $allowance, array $cuts): array
    {
        $edges = $outline->edges();
        $corners = [];
        foreach ($edges as $i => [$a, $b]) {
            $before = self::outward(...$edges[($i + count($edges) - 1) % count($edges)]);
            $after = self::outward($a, $b);
            $scale = $allowance / (1 + $before[0] * $after[0] + $before[1] * $after[1]);
            $corners[] = [$a->x / $steps + $scale * ($before[0] + $after[0]), $a->y / $steps + $scale * ($before[1] + $after[1])];
        }
        foreach ($cuts as [$x, $y, $faceX, $faceY]) {
            $corners = self::cutOff($corners, $faceX, $faceY, $x * $faceX + $y * $faceY + $allowance);
        }

        return $corners;
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return list<array{float, float}> what lies no further than $limit in the direction
     */
    private static function cutOff(array $corners, float $x, float $y, float $limit): array
    {
        $kept = [];
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % count($corners)];
            [$here, $there] = [$corner[0] * $x + $corner[1] * $y - $limit, $next[0] * $x + $next[1] * $y - $limit];
            if ($here <= 1e-12) {
                $kept[] = $corner;
            }
            if (($here > 1e-12) !== ($there > 1e-12)) {
                $share = $here / ($here - $there);
                $kept[] = [$corner[0] + $share * ($next[0] - $corner[0]), $corner[1] + $share * ($next[1] - $corner[1])];
            }
        }

        return $kept;
    }

    private function mitre(Assembly $part, Join $join, Point $at): float
    {
        return $this->allowance / tan(self::angle($part, $join, $at) / 2);
    }

    /** Between the seam and the part's next side, in radians. */
    private static function angle(Assembly $part, Join $join, Point $at): float
    {
        $along = self::intoSeam($join, $at);
        $side = self::nextSide($part, $join, $at);

        return atan2(abs($along->cross($side)), $along->dot($side));
    }

    private static function intoSeam(Join $join, Point $at): Point
    {
        return ($join->seam->from->equals($at) ? $join->seam->to : $join->seam->from)->minus($at);
    }

    /** From the end of the seam along the part's side that bounds it there. */
    private static function nextSide(Assembly $part, Join $join, Point $at): Point
    {
        foreach ($part->outline()->edges() as [$a, $b]) {
            if (($a->equals($at) || $b->equals($at)) && ! ($join->seam->sideOf($a) === 0 && $join->seam->sideOf($b) === 0)) {
                return ($a->equals($at) ? $b : $a)->minus($at);
            }
        }

        throw new \LogicException('A join ends at a corner of its parts.');
    }

    /**
     * A tip is cut along the part it is first sewn to: before that its patch alone makes the corner.
     *
     * @return array<int, array<string, array{float, float, float}>>
     */
    private function tips(Construction $construction): array
    {
        $tips = [];
        $units = self::unitOutlines($construction->face->whole);
        foreach ($construction->joins as $join) {
            foreach ([[$join->left, $join->right], [$join->right, $join->left]] as [$part, $other]) {
                foreach ([$join->seam->from, $join->seam->to] as $at) {
                    $patch = $this->alone($part, $at);
                    if ($patch === null) {
                        continue;
                    }
                    $isSharp = self::intoSeam($join, $at)->dot(self::nextSide($part, $join, $at)) > 0;
                    $across = self::angle($other, $join, $at);
                    $both = self::angle($part, $join, $at) + $across;
                    // An ear that becomes the allowance of a point stays, unless it reaches past the unit's own edge.
                    $isEar = $both < M_PI_2 + 1e-9 || ($both < M_PI - 1e-9 && self::isOnEdge($at, self::nextSide($other, $join, $at), $units[$patch->id]));
                    if ($isSharp && $isEar) {
                        $tips[$patch->id][$at->key()] = [$this->allowance * tan($across / 2), ...self::facing($join, $other, $at)];
                    }
                }
            }
        }

        return $tips;
    }

    /** @return array<string, array<int, Patch>> */
    private static function cornersOfTemplates(Face $face): array
    {
        $corners = $isTemplate = [];
        foreach ($face->patches as $patch) {
            $isPlain = PolygonShape::of($patch->outline)->isPlain();
            foreach ($patch->outline->points as $point) {
                $corners[$point->key()][$patch->id] = $patch;
                if (! $isPlain) {
                    $isTemplate[$point->key()] = true;
                }
            }
        }

        return array_intersect_key($corners, $isTemplate);
    }

    /** @return array<int, ConvexPolygon> outline of the unit each patch is in, by patch */
    private static function unitOutlines(PlacedUnit $unit): array
    {
        $outlines = [];
        foreach ($unit->parts as $part) {
            $outlines += $part instanceof PlacedUnit ? self::unitOutlines($part) : [$part->id => $unit->outline];
        }

        return $outlines;
    }

    private static function isOnEdge(Point $at, Point $side, ConvexPolygon $outline): bool
    {
        foreach ($outline->edges() as [$c, $d]) {
            if ($d->minus($c)->cross($at->minus($c)) === 0 && $d->minus($c)->cross($side) === 0) {
                return true;
            }
        }

        return false;
    }

    /** @return array{float, float} outward from the other part's next side */
    private static function facing(Join $join, Assembly $other, Point $at): array
    {
        [$along, $side] = [self::intoSeam($join, $at), self::nextSide($other, $join, $at)];
        $length = hypot($side->x, $side->y);
        // At a right angle to the side, away from the seam's inside.
        [$nx, $ny] = [$side->y / $length, -$side->x / $length];

        return $nx * $along->x + $ny * $along->y < 0 ? [$nx, $ny] : [-$nx, -$ny];
    }

    /** @return array{float, float} outlines run clockwise with y down, so outward is to the left of the way */
    private static function outward(Point $a, Point $b): array
    {
        $length = hypot($b->x - $a->x, $b->y - $a->y);

        return [($b->y - $a->y) / $length, -($b->x - $a->x) / $length];
    }
}
