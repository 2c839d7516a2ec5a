<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Point;

/**
 * The edge of an assembly along one join, as it really comes out: looked up once, asked several times.
 *
 * @internal
 */
final class RealEdge
{
    /** @var list<array{int, int, int, float, float}> from, to and patch of every patch that has an edge on the join, and the middle of that edge */
    public readonly array $stretches;

    /** @var array<string, true> places where some patch touches the join with a corner only */
    private array $tips = [];

    /** @var array<string, array{int, float, float}> by end of the join: the patch that bounds the assembly there, and the outward normal of that side */
    private array $bounds = [];

    private float $tx;

    private float $ty;

    /**
     * @param array<int, array{float, float, float, float}> $moved   by patch id, see RealAssembly
     * @param array<int, Patch>                             $patches by id
     */
    public function __construct(
        private readonly Assembly $assembly,
        private readonly array $moved,
        array $patches,
        private readonly Join $join,
    ) {
        [$this->tx, $this->ty] = RealAssembly::along($join);
        $sides = $this->sides();
        $stretches = $touched = $onJoin = [];
        foreach (self::near($assembly, $join, array_column($sides, 0)) as $id) {
            foreach ($patches[$id]->outline->edges() as [$a, $b]) {
                $isOn = $join->seam->sideOf($a) === 0;
                if ($isOn) {
                    $touched[$a->key()][] = $id;
                }
                if ($isOn && $join->seam->sideOf($b) === 0) {
                    $ends = [$join->seam->along($a), $join->seam->along($b)];
                    $stretches[] = [min($ends), max($ends), $id, ($a->x + $b->x) / 2, ($a->y + $b->y) / 2];
                    $onJoin[$id] = true;
                    continue;
                }
                foreach ($sides as $key => [$end, $from, $side, $mx, $my]) {
                    if (($a->equals($end) || $b->equals($end)) && $side->cross($a->minus($from)) === 0 && $side->cross($b->minus($from)) === 0) {
                        $this->bounds[$key] = [$id, $mx, $my];
                    }
                }
            }
        }
        $this->stretches = $stretches;
        foreach ($touched as $key => $ids) {
            if (array_filter($ids, static fn (int $id): bool => ! isset($onJoin[$id])) !== []) {
                $this->tips[$key] = true;
            }
        }
    }

    /**
     * Patches that may touch the seam or one of its ends: parts of a large assembly that lie clear of it are not looked into.
     *
     * @param list<Point> $ends
     *
     * @return list<int> ascending
     */
    private static function near(Assembly $assembly, Join $join, array $ends): array
    {
        $seam = Box::ofPoints([$join->seam->from, $join->seam->to, ...$ends]);
        $found = [];
        $look = static function (Assembly $part) use (&$look, &$found, $seam): void {
            if (! $seam->touches($part->outline()->box())) {
                return;
            }
            if ($part instanceof Join) {
                $look($part->left);
                $look($part->right);
            } else {
                array_push($found, ...$part->patchIds());
            }
        };
        $look($assembly);
        sort($found);

        return $found;
    }

    /** How far it lies beyond its place in a direction: the mean of its patches by their length on it. */
    public function shift(float $x, float $y): float
    {
        $sum = $length = 0.0;
        foreach ($this->stretches as [$from, $to, $patch, $middleX, $middleY]) {
            [$dx, $dy] = RealAssembly::shiftAt($this->moved[$patch], $middleX, $middleY);
            $sum += ($to - $from) * ($dx * $x + $dy * $y);
            $length += $to - $from;
        }

        return $length > 0 ? $sum / $length : 0.0;
    }

    /**
     * How far the finished corner at one of its ends lies beyond its place, along the join: where the side that bounds the
     * part there crosses the stitching line, both moved.
     */
    public function endShift(Point $end): float
    {
        [$patch, $mx, $my] = $this->bounds[$end->key()] ?? throw new \LogicException('A join ends at a corner of its parts.');
        [$dx, $dy] = RealAssembly::shiftAt($this->moved[$patch], $end->x, $end->y);
        $across = $this->shift(-$this->ty, $this->tx);

        return ($dx * $mx + $dy * $my - $across * (-$this->ty * $mx + $this->tx * $my)) / ($this->tx * $mx + $this->ty * $my);
    }

    /** How far what ends at the place lies beyond it, along the join: the mean of the patches before and behind. */
    public function shiftAt(Point $at): float
    {
        $shifts = [];
        $place = $this->join->seam->along($at);
        foreach ($this->stretches as [$from, $to, $patch]) {
            if ($from <= $place && $place <= $to) {
                [$dx, $dy] = RealAssembly::shiftAt($this->moved[$patch], $at->x, $at->y);
                $shifts[] = $dx * $this->tx + $dy * $this->ty;
            }
        }

        return $shifts === [] ? 0.0 : array_sum($shifts) / count($shifts);
    }

    public function hasTipAt(Point $at): bool
    {
        return isset($this->tips[$at->key()]);
    }

    /** @return array<string, array{Point, Point, Point, float, float}> by end of the join: the end, a corner of the side that bounds the assembly there, that side, and its outward normal */
    private function sides(): array
    {
        $sides = [];
        foreach ($this->assembly->outline()->edges() as [$a, $b]) {
            if ($this->join->seam->sideOf($a) === 0 && $this->join->seam->sideOf($b) === 0) {
                continue;
            }
            $length = hypot($b->x - $a->x, $b->y - $a->y);
            foreach ([$this->join->seam->from, $this->join->seam->to] as $end) {
                if ($a->equals($end) || $b->equals($end)) {
                    // Outlines run clockwise with y down: outward is to the left of the way.
                    $sides[$end->key()] = [$end, $a, $b->minus($a), ($b->y - $a->y) / $length, -($b->x - $a->x) / $length];
                }
            }
        }

        return $sides;
    }
}
