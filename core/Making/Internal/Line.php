<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

/**
 * A straight line through two whole-number places, along the weave or at half a right angle to it; what lies to the
 * right of its direction, as seen from above with y down, is its kept side.
 *
 * @internal
 */
final readonly class Line
{
    private int $dx;

    private int $dy;

    private function __construct(
        private int $x,
        private int $y,
        int $toX,
        int $toY,
    ) {
        [$this->dx, $this->dy] = [$toX - $x <=> 0, $toY - $y <=> 0];
        if (abs($toX - $x) !== abs($toY - $y) && $toX !== $x && $toY !== $y) {
            throw new \LogicException('Cloth is folded along the weave or halfway between.');
        }
    }

    public static function through(int $x, int $y, int $toX, int $toY): self
    {
        return new self($x, $y, $toX, $toY);
    }

    /** The same line, with the other side kept. */
    public function reversed(): self
    {
        return new self($this->x, $this->y, $this->x - $this->dx, $this->y - $this->dy);
    }

    /**
     * @param array{int, int} $corner
     *
     * @return array{int, int}
     */
    public function mirrored(array $corner): array
    {
        [$x, $y] = [$corner[0] - $this->x, $corner[1] - $this->y];

        return match (true) {
            $this->dx === 0 => [$this->x - $x, $this->y + $y],
            $this->dy === 0 => [$this->x + $x, $this->y - $y],
            $this->dx === $this->dy => [$this->x + $y, $this->y + $x],
            default => [$this->x - $y, $this->y - $x],
        };
    }

    /**
     * @param list<array{int, int}> $corners of a convex piece, clockwise
     *
     * @return list<array{int, int}> the part on the kept side; nothing when it has no area
     */
    public function clipped(array $corners): array
    {
        $kept = [];
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % count($corners)];
            [$here, $there] = [$this->side($corner), $this->side($next)];
            if ($here >= 0) {
                $kept[] = $corner;
            }
            if ($here * $there < 0) {
                $kept[] = $this->crossing($corner, $next, $here, $there);
            }
        }
        $isArea = array_filter($kept, fn (array $corner): bool => $this->side($corner) > 0) !== [];

        return $isArea ? $kept : [];
    }

    /** @param array{int, int} $corner */
    private function side(array $corner): int
    {
        return $this->dx * ($corner[1] - $this->y) - $this->dy * ($corner[0] - $this->x);
    }

    /**
     * @param array{int, int} $a
     * @param array{int, int} $b
     *
     * @return array{int, int}
     */
    private function crossing(array $a, array $b, int $sideOfA, int $sideOfB): array
    {
        $span = $sideOfA - $sideOfB;
        $place = [];
        foreach ([0, 1] as $axis) {
            $product = ($b[$axis] - $a[$axis]) * $sideOfA;
            if ($product % $span !== 0) {
                throw new \LogicException('The cloth is measured too coarsely for this cut.');
            }
            $place[] = $a[$axis] + intdiv($product, $span);
        }

        return [$place[0], $place[1]];
    }
}
