<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Table;

/**
 * A straight line along the weave or at half a right angle to it; what lies to the right of its direction, as seen from
 * above, is its kept side.
 */
final readonly class Line
{
    /**
     * @param int     $nx and $ny: across the line, away from the kept side; each -1, 0 or 1
     * @param RootTwo $at where the line lies: kept is what has nx·x + ny·y no larger
     */
    private function __construct(
        private int $nx,
        private int $ny,
        private RootTwo $at,
    ) {}

    /** Through a place, so many steps right and down (-1, 0 or 1). */
    public static function through(Place $place, int $right, int $down): self
    {
        return new self($down, -$right, $place->x->times($down)->minus($place->y->times($right)));
    }

    public static function between(Place $from, Place $to): self
    {
        [$dx, $dy] = [$to->x->minus($from->x), $to->y->minus($from->y)];
        if ($dx->sign() !== 0 && $dy->sign() !== 0 && ! $dx->equals($dy) && ! $dx->equals($dy->times(-1))) {
            throw new \LogicException('Cloth is folded and cut along the weave or halfway between.');
        }

        return self::through($from, $dx->sign(), $dy->sign());
    }

    /** The same line, with the other side kept. */
    public function reversed(): self
    {
        return new self(-$this->nx, -$this->ny, $this->at->times(-1));
    }

    /** Moved toward its kept side. */
    public function movedIn(RootTwo $distance): self
    {
        return new self($this->nx, $this->ny, $this->at->minus($this->isDiagonal() ? $distance->timesRoot() : $distance));
    }

    /** Positive outside of what is kept, 0 on the line. */
    public function side(Place $place): int
    {
        return $this->beyond($place)->sign();
    }

    public function mirrored(Place $place): Place
    {
        $beyond = $this->beyond($place);
        // Twice the distance back across the line; along a diagonal the direction is √2 long, so once is enough.
        $back = $this->isDiagonal() ? $beyond : $beyond->times(2);

        return $place->movedBy($back->times(-$this->nx), $back->times(-$this->ny));
    }

    /**
     * @param list<Place> $corners of a convex piece
     *
     * @return list<Place> the part on the kept side; none when it has no area
     */
    public function clipped(array $corners): array
    {
        $kept = [];
        $isArea = false;
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % count($corners)];
            [$here, $there] = [$this->side($corner), $this->side($next)];
            $isArea = $isArea || $here < 0;
            if ($here <= 0) {
                $kept[] = $corner;
            }
            if ($here * $there < 0) {
                $kept[] = $this->crossing($corner, $next);
            }
        }

        return $isArea ? $kept : [];
    }

    /**
     * The stretch of the line within a convex piece.
     *
     * @param list<Place> $corners
     *
     * @return array{Place, Place}|null
     */
    public function within(array $corners): ?array
    {
        $found = [];
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % count($corners)];
            [$here, $there] = [$this->side($corner), $this->side($next)];
            if ($here === 0) {
                $found[] = $corner;
            } elseif ($here * $there < 0) {
                $found[] = $this->crossing($corner, $next);
            }
        }

        return count($found) < 2 ? null : [$found[0], $found[1]];
    }

    private function crossing(Place $from, Place $to): Place
    {
        [$right, $down] = [$to->x->minus($from->x)->sign(), $to->y->minus($from->y)->sign()];
        $across = $this->nx * $right + $this->ny * $down; // 1 or 2, of either sign: edges run along the weave or halfway
        $left = $this->beyond($from)->times(-1 * ($across <=> 0));
        $length = abs($across) === 2 ? $left->halved() : $left;

        return $from->movedBy($length->times($right), $length->times($down));
    }

    private function beyond(Place $place): RootTwo
    {
        return $place->x->times($this->nx)->plus($place->y->times($this->ny))->minus($this->at);
    }

    private function isDiagonal(): bool
    {
        return $this->nx !== 0 && $this->ny !== 0;
    }
}
